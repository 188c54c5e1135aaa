import { expect, test } from "vitest";
import { amount, leaves, listed, number, parseNumber } from "../../src/ui/src/words/format";
import { larder } from "../../src/ui/src/api/larder.svelte";
import type { LarderView } from "../../src/ui/src/api/types";
import { folded } from "../../src/ui/src/words/find";
import { m } from "../../src/ui/src/paraglide/messages";
import { named } from "../../src/ui/src/words/forms";

/** How figures are written and read, whatever the cook's keyboard. */
test("a number is read in the digits of any script", () => {
  for (const typed of ["62.5", "62,5", " 62.5 ", "٦٢٫٥", "६२.५", "৬২.৫", "６２.５"]) expect(parseNumber(typed)).toBe(62.5);
  for (const typed of ["1 450", "1\u202f450", "1\u00a0450", "१ ४५०"]) expect(parseNumber(typed)).toBe(1450);
});

test("what could be a thousand or a fraction is not guessed at, and words are no number", () => {
  for (const typed of ["1,450", "12,000", "two", "", "1.2.3", "--4", "<b>1</b>", "1e999"]) expect(parseNumber(typed)).toBeNull();
});

test("what is written can be typed again", () => {
  for (const value of [0.5, 7, 62.25, 1450, 12345.5]) expect(parseNumber(number(value, 2))).toBe(value);
});

test("thousands stand apart, and nothing has more places than a hand can use", () => {
  expect(number(1450, 0)).toBe("1\u202f450");
  expect(amount(72.6789, "%")).toBe("72.7 %");
  expect(amount(95, "s")).toBe("1 min 35 s");
  expect(amount(150, "min")).toBe("2 h 30");
  expect(amount(3.456, "money")).toMatch(/3\.46$/);
});

test("one leaf is one, and several are listed as the language does", () => {
  expect([leaves(1), leaves(9)]).toEqual(["1 leaf", "9 leaves"]);
  expect(listed(["ghee", "salt", "water"])).toBe("ghee, salt, water");
});

test("a name has its form within a line from the catalogue, and case and accents hide nothing", () => {
  const symptom = named(m.symptom_no_layers);
  expect([symptom(), symptom.within()]).toEqual(["No layers", "no layers"]);
  expect(folded(" Crème FRAÎCHE ")).toBe("creme fraiche");
});

test("money has the digits it needs", () => {
  const sum = (value: number) => amount(value, "money").replace(/^\D+/, "");
  expect([sum(0.034), sum(0.5), sum(12), sum(1234.56), sum(0)]).toEqual(["0.034", "0.50", "12.00", "1\u202f235", "0.00"]);
});

test("in ounces, inches and degrees Fahrenheit nothing is metric", () => {
  const was = larder.view;
  larder.view = { ...was, units: { mass: "ounces", heat: "fahrenheit", length: "inches", coin: "" } } as LarderView;
  try {
    const read = (value: number, unit: string) => amount(value, unit).replaceAll("\u00a0", " ");
    expect(read(1450, "g")).toBe("51.15 oz");
    expect(read(180, "mm")).toBe("7.1 in");
    expect(read(2.6, "mm")).toBe("0.1 in");
    expect(read(0.3, "mm")).toBe("0.012 in");
    expect(read(40, "µm")).toBe("0.0016 in");
    expect(read(90, "ml")).toMatch(/^3 (US )?fl oz$/);
    expect(read(60, "°C")).toBe("140 °F");
    for (const unit of ["g", "mm", "µm", "ml", "°C"]) expect(read(7, unit)).not.toMatch(/\b(g|mm|cm|ml)\b|µm|°C/);
  } finally {
    larder.view = was;
  }
});

test("thin things have the digits a hand can use and no more", () => {
  expect([amount(1.69, "mm"), amount(0.187, "mm"), amount(48.44, "mm")]).toEqual(["1.7 mm", "0.19 mm", "48.4 mm"]);
});
