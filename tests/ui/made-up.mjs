// Writes what the server words in the made-up languages of the tests: its catalogues, and the names of what ships in the larder.
import { mkdirSync, readdirSync, readFileSync, writeFileSync } from "node:fs";
import { join } from "node:path";
import { madeUp } from "../../src/ui/made-up.mjs";

const root = join(import.meta.dirname, "../..");
const english = join(root, "src/Web/Words/en");
const catalogues = Object.fromEntries(readdirSync(english).map((file) => [file, JSON.parse(readFileSync(join(english, file), "utf8"))]));

const shelves = join(root, "src/Core/Kitchens");
const larder = {};
for (const file of ["larder.csv", "pantry.csv", "pulses.csv"]) {
  const [head, ...lines] = readFileSync(join(shelves, file), "utf8").trim().split(/\r?\n/);
  const columns = head.split(",");
  for (const line of lines) {
    const [id, name] = line.split(",");
    larder[`item_${id}`] = name;
    const note = line.split(",")[columns.indexOf("note")];
    if (note) larder[`note_${id}`] = note;
  }
}

for (const language of ["xa", "xb"]) {
  const folder = join(process.argv[2], `en-${language.toUpperCase()}`);
  mkdirSync(folder, { recursive: true });
  for (const [file, words] of Object.entries({ ...catalogues, "items.json": larder })) {
    const said = Object.fromEntries(Object.entries(words).map(([key, text]) => [key, madeUp(language, text, /(\{\w+\})/)]));
    writeFileSync(join(folder, file), JSON.stringify(said, null, 2));
  }
}
