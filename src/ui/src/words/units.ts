import { larder } from "../api/larder.svelte";
import { locale } from "./locale";

const names = new Map([
  ["g", "gram"],
  ["oz", "ounce"],
  ["mm", "millimeter"],
  ["cm", "centimeter"],
  ["in", "inch"],
  ["ml", "milliliter"],
  ["fl oz", "fluid-ounce"],
  ["°C", "celsius"],
  ["°F", "fahrenheit"],
]);
const symbols = new Map<string, string>();

/** What a unit is called in the reader's language: the platform knows those that are measured with here, and is asked once for each. */
export function symbolOf(unit: string): string {
  const name = names.get(unit);
  if (!name) return unit;
  let symbol = symbols.get(unit);
  if (symbol === undefined) {
    const parts = new Intl.NumberFormat(locale, { style: "unit", unit: name }).formatToParts(1);
    symbols.set(unit, (symbol = parts.find((part) => part.type === "unit")?.value ?? unit));
  }
  return symbol;
}

const GRAMS_PER_OUNCE = 28.349523125;
const MM_PER_INCH = 25.4;
const ML_PER_FLUID_OUNCE = 29.5735295625;

/** A figure as this kitchen reads it. Figures are kept in the unit of the core; only here do they change their clothes. */
export interface View {
  symbol: string;
  /** Kept → shown. */
  to: (kept: number) => number;
  /** Shown → kept. */
  from: (shown: number) => number;
  /** A step of the usual unit as a step of this one. */
  step: (usual: number) => number;
  /** Decimal places more than the usual unit needs. */
  finer: number;
}

const plain = (unit: string): View => ({ symbol: symbolOf(unit), to: (v) => v, from: (v) => v, step: (s) => s, finer: 0 });
const times = (unit: string, k: number, step: (s: number) => number, finer = 0): View => ({
  symbol: symbolOf(unit),
  to: (v) => v * k,
  from: (v) => v / k,
  step,
  finer,
});

/** @param unit the core's unit; `cm` for a length in millimetres that is read in centimetres. */
export function viewOf(unit: string): View {
  const units = larder.view?.units;
  switch (unit) {
    case "g":
      return units?.mass === "ounces" ? times("oz", 1 / GRAMS_PER_OUNCE, (s) => (s >= 5 ? 0.25 : s >= 1 ? 0.05 : 0.02), 1) : plain("g");
    case "cm":
      return units?.length === "inches" ? times("in", 1 / MM_PER_INCH, () => 0.25, 1) : times("cm", 0.1, (s) => s);
    // What is so thin as to be read in millimetres has more places in inches.
    case "mm":
      return units?.length === "inches" ? times("in", 1 / MM_PER_INCH, (s) => s / 20, 2) : plain("mm");
    case "µm":
      return units?.length === "inches" ? times("in", 1 / MM_PER_INCH / 1000, (s) => s / 20_000, 4) : plain("µm");
    case "ml":
      return units?.mass === "ounces" ? times("fl oz", 1 / ML_PER_FLUID_OUNCE, (s) => (s >= 5 ? 0.25 : 0.05), 2) : plain("ml");
    case "°C":
      return units?.heat === "fahrenheit"
        ? { symbol: symbolOf("°F"), to: (c) => c * 1.8 + 32, from: (f) => (f - 32) / 1.8, step: (s) => s * 2, finer: 0 }
        : plain("°C");
    case "money":
      return plain(units?.coin ?? "");
    default:
      return plain(unit);
  }
}
