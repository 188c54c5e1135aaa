import { larder } from "../api/larder.svelte";
import { m } from "../paraglide/messages";
import type { Clash } from "../versions/merge";
import { placeOf } from "./fields";
import { amount, clock, day, number, listed } from "./format";
import { feelName, restEnd } from "./names/dough";
import { fillingFeelName, fillingStepName, parcelName } from "./names/filling";
import { stepName } from "./names/fold";
import { allergenName, kindName, nameOf } from "./names/items";
import { colourName, finishName, flameName, holdName, holdWantName, panName, roastingName } from "./names/pan";
import { startName } from "./names/stages";

/** What a figure outside a spec is called. */
const names: Record<string, () => string> = {
  name: m.batch_name,
  about: m.about,
  tags: m.tags,
  madeFor: m.table_time,
  breadId: m.filter_bread,
  cookedAt: m.cooked_at,
  photoId: m.photo_is,
  "outcome.note": m.note,
  "outcome.counts": m.counts,
  "outcome.faults": m.faults_head,
  "outcome.used.pieces": m.pieces,
  "outcome.used.flour": m.flour,
  "outcome.used.liquid": m.liquid,
  "outcome.used.doughFat": m.dough_fat,
  "outcome.used.salt": m.salt,
  "outcome.used.ballMass": m.one_ball,
  "outcome.used.lost": m.pieces_lost,
  "outcome.used.dough": m.dough_divided,
  "outcome.used.raw": m.log_raw,
  "outcome.used.roasted": m.log_roasted,
  "outcome.faces": m.colour_reached,
  "outcome.timed.pan": m.pan_heat,
  "outcome.timed.firstSide": m.turn_first,
  "outcome.timed.secondSide": m.turn_second,
  "outcome.timed.lastSide": m.turn_last,
  "outcome.judged": m.judged,
  density: m.density,
  water: m.water_in,
  fat: m.fat_in,
  sugar: m.sugar_in,
  salt: m.salt_in,
  kcalPer100G: () => m.kcal({ mass: amount(100, "g") }),
  absorption: m.absorption,
  smokePoint: m.smoke_point,
  holding: m.holding,
  draw: m.draw,
  squeeze: m.squeeze,
  price: m.price,
  allergens: m.allergens,
  marks: m.traits,
  hue: m.hue,
  each: m.each_weighs,
  kind: m.kind,
  mass: m.mass_unit,
  cup: m.cup_kind,
  fill: m.powder_fill,
  heat: m.heat_unit,
  length: m.length_unit,
  coin: m.coin,
  board: m.board,
};

/** Units of figures that no limit of a spec tells. */
const units: Record<string, string> = {
  "outcome.used.flour": "g",
  "outcome.used.liquid": "g",
  "outcome.used.raw": "g",
  "outcome.used.roasted": "g",
  "outcome.used.doughFat": "g",
  "outcome.used.salt": "g",
  "outcome.used.ballMass": "g",
  "outcome.used.dough": "g",
  "outcome.timed.pan": "°C",
  "outcome.timed.firstSide": "s",
  "outcome.timed.secondSide": "s",
  "outcome.timed.lastSide": "s",
};

/** What a word of a spec is called on the screen. */
const words: Record<string, () => string> = {
  rubbedIn: m.fat_rubbed_in,
  workedIn: m.fat_worked_in,
  withFlour: m.salt_with_flour,
  last: m.salt_last,
  ...startName,
  ...kindName,
  ...allergenName,
  ...finishName,
  ...holdName,
  ...holdWantName,
  ...roastingName,
  ...restEnd,
  ...parcelName,
  ...colourName,
  ...feelName,
  ...fillingFeelName,
  ...flameName,
  ...panName,
  ...fillingStepName,
  ...stepName,
};

function nameOfField(field: string): string {
  const plain = field.replaceAll(/\[\d+\]/g, "[]");
  for (let at = plain; at; at = at.replace(/\.?[^.]*$/, "")) {
    const name = names[at] ?? names[at.replace(/\[\]$/, "")];
    if (name) return name();
  }
  return "";
}

/** Where two differ: its bench and its name there. */
export const fieldWords = (field: string): string =>
  field.startsWith("spec.") ? placeOf(field.slice("spec.".length)) : nameOfField(field) || field;

/** A figure or a word as the cook reads it. */
export function valueWords(field: string, value: unknown): string {
  if (value == null || value === "") return m.elsewhere_nothing();
  if (typeof value === "boolean") return value ? m.yes() : m.no();
  const inSpec = field.startsWith("spec.");
  if (typeof value === "number") {
    const unit = inSpec ? larder.limit(field.slice("spec.".length)).unit : (units[field] ?? larder.itemLimit(field).unit);
    return unit ? amount(value, unit) : number(value, 2);
  }
  if (Array.isArray(value)) return listed(value.map((v) => valueWords(field, v)));
  // A whole step or a pan is called by its kind.
  if (typeof value === "object") {
    const { kind, id, ...rest } = value as Record<string, unknown>;
    return valueWords(field, kind ?? id ?? Object.values(rest).find((v) => v != null));
  }
  if (typeof value !== "string") return m.elsewhere_nothing();
  if (/^\d{4}-\d\d-\d\dT/.test(value)) return `${day(value)}, ${clock(value)}`;
  if (larder.byId.has(value)) return nameOf(value);
  return (inSpec ? words[value]?.() : undefined) ?? value;
}

export interface Row {
  label: string;
  mine: string;
  theirs: string;
}

/** What differs, a line for each place that has a name: the kind, the fat and the grams of a fold step are one. */
export function rowsOf(clashes: Clash[]): Row[] {
  const labels = [...new Set(clashes.map((c) => fieldWords(c.field)))];
  return labels.map((label) => {
    const there = clashes.filter((c) => fieldWords(c.field) === label);
    const side = (whose: "mine" | "theirs") => {
      const said = there.filter((c) => c[whose] != null && c[whose] !== "").map((c) => valueWords(c.field, c[whose]));
      return listed([...new Set(said)]) || m.elsewhere_nothing();
    };
    return { label, mine: side("mine"), theirs: side("theirs") };
  });
}
