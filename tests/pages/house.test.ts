import { readdirSync, readFileSync } from "node:fs";
import { join } from "node:path";
import { expect, test } from "vitest";

/** What the interface's house is held to: one part for each thing, one home for each colour, layers that point one way. */
const root = join(import.meta.dirname, "../../src/ui/src");
const files = readdirSync(root, { recursive: true, encoding: "utf8" })
  .filter((file) => /\.(svelte|ts|css)$/.test(file) && !file.startsWith("paraglide") && !file.startsWith("api/schema"))
  .map((file) => ({ file, text: readFileSync(join(root, file), "utf8") }));

// A catalogue for each place.
const words = join(root, "../messages/en");
const catalogues = readdirSync(words).map((file) => JSON.parse(readFileSync(join(words, file), "utf8")) as Record<string, unknown>);
const messages = Object.assign({}, ...catalogues) as Record<string, unknown>;

/** Every place where something stands that must not. */
function found(what: RegExp, where: (file: string) => boolean = () => true): string[] {
  return files
    .filter(({ file }) => where(file))
    .flatMap(({ file, text }) => text.split("\n").flatMap((line, i) => (what.test(line) ? [`${file}:${i + 1} ${line.trim()}`] : [])));
}
const inside =
  (...rooms: string[]) =>
  (file: string) =>
    rooms.some((room) => file.startsWith(`${room}/`));

test("there are files to look at", () => {
  expect(files.length).toBeGreaterThan(150);
});

test("lists, days, ticks and sliders are the house's own parts, never the browser's", () => {
  expect(found(/<(select|progress|details|meter|dialog)\b|type="(date|datetime-local|time|checkbox|radio|range)"/)).toEqual([]);
});

test("a dialog, a list or a slider is made of the library's parts once", () => {
  const once =
    /import \{[^}]*\b(Dialog|Select|Slider|Checkbox|Switch|Popover|Command|DropdownMenu|DatePicker|TimeField|Collapsible|Progress|Meter|Toggle)\b[^}]*\} from "bits-ui"/;
  expect(found(once, (file) => !file.startsWith("parts/"))).toEqual([]);
});

test("a number is typed in one field, and a button that is on or off is one part", () => {
  expect(
    found(
      /inputmode="decimal"|parseNumber\(/,
      (file) => !["parts/TypedInput.svelte", "parts/typed.svelte.ts", "words/format.ts"].includes(file),
    ),
  ).toEqual([]);
  expect(found(/aria-pressed=\{/)).toEqual([]);
});

test("no component is longer than can be read at a sitting", () => {
  const lines = files.filter(({ file }) => file.endsWith(".svelte")).map(({ file, text }) => [file, text.split("\n").length - 1] as const);
  expect(lines.filter(([, count]) => count > 200)).toEqual([]);
});

test("no colour but the theme's", () => {
  // A face's browning is worked out; a hue of an ingredient is the cook's to set.
  const worked = ["section/tint.ts", "places/larder/Item.svelte"];
  expect(found(/#[0-9a-f]{6}\b|rgb\(/i, (file) => !file.startsWith("theme/") && !worked.includes(file))).toEqual([]);
});

test("no style is forced, no type has a size of its own, nothing knows left from right", () => {
  expect(
    found(/[\s"'`:]!(?:-?(?:px|py|p[setb]|m[setbxy]?|text|bg|border|rounded|min|max|w|h|justify|leading)-)/, (file) =>
      file.endsWith(".svelte"),
    ),
  ).toEqual([]);
  expect(
    found(/text-\[[\d.]+px\]|(?<![\w-])(?:ml|mr|pl|pr|left|right|text-left|text-right|border-l|border-r)-(?:\d|\[)/, (file) =>
      file.endsWith(".svelte"),
    ),
  ).toEqual([]);
});

test("rooms are measured with the layout there is, not by asking for one in the midst of drawing", () => {
  expect(found(/bind:(client|offset)(Width|Height)/)).toEqual([]);
});

test("every script of a page asks, as the first thing it says, to be compiled while it comes in", () => {
  const built = join(root, "../../Web/wwwroot/assets");
  const scripts = readdirSync(built).filter((file) => /(?<!worker-[\w-]{8})\.js$/.test(file));
  expect(scripts.length).toBeGreaterThan(10);
  expect(scripts.filter((file) => !readFileSync(join(built, file), "utf8").startsWith("//# allFunctionsCalledOnLoad\n"))).toEqual([]);
});

test("layers point one way: words know no stage, stages no place, parts neither", () => {
  expect(found(/from "(\.\.\/)+(stages|places)\//, inside("words", "api", "parts", "section", "bench"))).toEqual([]);
  expect(found(/from "(\.\.\/)+places\//, inside("stages"))).toEqual([]);
});

test("no name is made small by the program, and lists are joined by the language", () => {
  const home = ["words/find.ts", "keys.ts", "words/record.ts"];
  expect(found(/to(Locale)?(Lower|Upper)Case\(/, (file) => !home.includes(file))).toEqual([]);
  expect(
    found(/\.join\(" ?[,·] "\)|\$\{[^}]*\}(?: ·|:) \$\{/, (file) => file !== "places/shelf/EditBread.svelte" && file !== "words/clock.ts"),
  ).toEqual([]);
});

test("every message that counts things by a figure knows one from many", () => {
  const counted = /\{(count|pieces)\} (?:pieces|leaves|rings|balls|lines|records|cookings|trays|stays|pairs|lots)\b/;
  // What is never one: a bowl that does not take it all, more than can be followed.
  const many = ["card_each_lot"];
  expect(
    Object.entries(messages).flatMap(([key, text]) => (typeof text === "string" && counted.test(text) && !many.includes(key) ? [key] : [])),
  ).toEqual([]);
});

test("no message has a unit of its own: masses, lengths and heats are in the units of the kitchen", () => {
  const own = /\d\s?(g|kg|mm|cm|ml|l|µm|°C|°F|oz)\b/;
  expect(Object.entries(messages).flatMap(([key, text]) => (own.test(JSON.stringify(text)) ? [key] : []))).toEqual([]);
});

test("no message stands in two catalogues", () => {
  const keys = catalogues.flatMap((one) => Object.keys(one)).filter((key) => !key.startsWith("$"));
  expect(keys.filter((key, i) => keys.indexOf(key) !== i)).toEqual([]);
});

test("every message is said somewhere", () => {
  const keys = Object.keys(messages).filter((key) => !key.startsWith("$"));
  const all = files.map(({ text }) => text).join("\n");
  const said = new Set([...all.matchAll(/\bm\.(\w+)/g)].map(([, key]) => key));
  expect(keys.filter((key) => !said.has(key))).toEqual([]);
});
