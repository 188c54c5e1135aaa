import { larder } from "../../api/larder.svelte";
import type { Amount, BatchSheet, BatchSpec, Part, Portion, StartBy, WaterBy } from "../../api/types";

/** The six questions: rounds are pieces whose ball is fixed by its round. */
export type Question = StartBy | "rounds";

export const questionOf = (spec: BatchSpec): Question =>
  spec.start.by === "pieces" && spec.balls.by === "thickness" && spec.dough.feel !== "batter" ? "rounds" : spec.start.by;

/** Lays every figure that follows into the spec, then fixes another of them: nothing jumps and nothing is lost. */
export function ask(spec: BatchSpec, sheet: BatchSheet, question: Question): void {
  const { pieces, ball, thickness, ladle, flour, liquid, filling, fillingEach, people, each } = sheet.dough.start;
  Object.assign(spec.start, { pieces, flour, liquid: liquid ?? spec.start.liquid, filling, fillingEach, people, each });
  const rounds = question === "rounds" || (question !== "pieces" && spec.balls.by === "thickness");
  Object.assign(spec.balls, { by: rounds ? "thickness" : "mass", mass: ball, thickness });
  if (spec.dough.feel === "batter") spec.ladle.volume = ladle;
  spec.start.by = question === "rounds" ? "pieces" : question;
  if (!startsFromBowl(spec)) spec.start.makes = undefined;
}

/** From flour or liquid at hand: the dough is fixed, and either the ball or how many it makes. */
export const startsFromBowl = (spec: BatchSpec): boolean => spec.start.by === "flour" || spec.start.by === "liquid";

/** Dough and pieces are fixed, so the ball follows. */
export const ballFollows = (spec: BatchSpec): boolean => startsFromBowl(spec) && spec.start.makes != null;

/** The ball, round or ladle is given: how many there are follows from here on. */
export function fixBall(spec: BatchSpec, sheet: BatchSheet): void {
  if (!ballFollows(spec)) return;
  const { ball, thickness, ladle } = sheet.dough.start;
  Object.assign(spec.balls, { mass: ball, thickness });
  if (spec.dough.feel === "batter") spec.ladle.volume = ladle;
  spec.start.makes = undefined;
}

type Line = { part: Part; index: number };

/** What the spec says of a line of the ledger; nothing for a line that was just taken out. */
export function lineOf(spec: BatchSpec, { part, index }: Line): { id: string } | undefined {
  const { flours, liquids, fat, salt, additions } = spec.dough;
  return { flour: flours[index], liquid: liquids[index], fat, salt, addition: additions[index] }[part];
}

/** Where a line stands in the spec. */
export const fieldOf = ({ part, index }: Line): string =>
  ({
    flour: `dough.flours[${index}]`,
    liquid: `dough.liquids[${index}]`,
    fat: "dough.fat",
    salt: "dough.salt",
    addition: `dough.additions[${index}]`,
  })[part];

/** The amount of a line; a flour has none of its own. */
export function amountOf(spec: BatchSpec, { part, index }: Line): Amount | null {
  const { liquids, fat, salt, additions } = spec.dough;
  return (
    { flour: null, liquid: liquids[index]?.amount, fat: fat.amount, salt: salt.amount, addition: additions[index]?.amount }[part] ?? null
  );
}

/** Puts something else in a line's place: another fat at equal fat, another puree as thick as the larder's. */
export function replace(spec: BatchSpec, sheet: BatchSheet, at: Line, id: string): void {
  const line = lineOf(spec, at);
  const swap = at.part === "fat" ? sheet.dough.swaps.find((s) => s.id === id) : undefined;
  if (swap) spec.dough.fat.amount = { ...swap.amount };
  const liquid = at.part === "liquid" ? spec.dough.liquids[at.index] : undefined;
  if (liquid) liquid.water = undefined;
  if (line) line.id = id;
}

/** Whether a dough can do without this line. */
export const canGo = (spec: BatchSpec, { part }: Line): boolean =>
  part === "addition" || (part === "flour" && spec.dough.flours.length > 1) || (part === "liquid" && spec.dough.liquids.length > 1);

/** Takes a line out. When it made up the rest of the water, another liquid does from here on. */
export function leaveOut(spec: BatchSpec, { part, index }: Line): void {
  const { flours, liquids, additions } = spec.dough;
  if (part === "liquid" && liquids[index]?.amount.by === "rest") {
    const next = liquids.find((_, i) => i !== index);
    if (next) next.amount.by = "rest";
  }
  ({ flour: flours, liquid: liquids, addition: additions, fat: [], salt: [] })[part].splice(index, 1);
}

/** The liquid a start from liquid fixes: the one that makes up the rest, else the first that is given by its share. */
function isAnchor(spec: BatchSpec, portion: Portion): boolean {
  const { liquids } = spec.dough;
  const rest = liquids.findIndex((l) => l.amount.by === "rest");
  return portion.part === "liquid" && portion.index === (rest >= 0 ? rest : liquids.findIndex((l) => l.amount.by === "share"));
}

/** A mass was given for a line: it is what the cook has, so all else gives way. */
export function setGrams(spec: BatchSpec, sheet: BatchSheet, portion: Portion, grams: number): void {
  if (portion.part === "flour") {
    if (spec.start.by !== "flour") ask(spec, sheet, "flour");
    spec.start.flour = (grams * 100) / portion.share;
  } else if (isAnchor(spec, portion) && spec.start.by !== "flour") {
    // Water first: with nothing else fixed by its mass the water sets the size.
    if (spec.start.by !== "liquid") ask(spec, sheet, "liquid");
    spec.start.liquid = grams;
  } else {
    const amount = amountOf(spec, portion);
    if (!amount) return;
    if (amount.by === "rest") pourAll(spec, sheet);
    Object.assign(amount, { by: "mass", mass: grams });
  }
}

/** A percent was given for a line. */
export function setShare(spec: BatchSpec, sheet: BatchSheet, portion: Portion, share: number): void {
  if (portion.part === "flour") {
    // The other flours keep their proportion in what is left.
    const left = (100 - share) / (100 - portion.share);
    for (const p of sheet.dough.portions.filter((p) => p.part === "flour")) {
      const flour = spec.dough.flours[p.index];
      if (flour) flour.parts = p.index === portion.index ? share : p.share * left;
    }
    return;
  }
  const amount = amountOf(spec, portion);
  if (!amount) return;
  if (spec.start.by === "liquid" && isAnchor(spec, portion)) ask(spec, sheet, "flour");
  if (amount.by === "rest") pourAll(spec, sheet);
  Object.assign(amount, { by: "share", share });
}

/** The pin of a line: what was fixed follows, what followed is fixed as it is. */
export function togglePin(spec: BatchSpec, sheet: BatchSheet, portion: Portion): void {
  if (portion.part === "flour") return ask(spec, sheet, spec.start.by === "flour" ? "pieces" : "flour");
  const amount = amountOf(spec, portion);
  if (!amount) return;
  if (portion.part !== "liquid") {
    if (amount.by === "mass")
      Object.assign(amount, { by: "share", share: portion.part === "salt" ? sheet.dough.content.salt : portion.share });
    else Object.assign(amount, { by: "mass", mass: portion.mass });
  } else if (spec.start.by === "liquid" && isAnchor(spec, portion)) {
    ask(spec, sheet, "pieces");
  } else if (portion.pinned) {
    // A liquid let go makes up the rest where none does, else it keeps its share.
    if (spec.dough.liquids.some((l) => l.amount.by === "rest")) Object.assign(amount, { by: "share", share: portion.share });
    else {
      amount.by = "rest";
      if (spec.dough.waterBy === "liquids") Object.assign(spec.dough, { waterBy: "hydration", hydration: sheet.dough.water.hydration });
    }
  } else if (isAnchor(spec, portion) && spec.start.by !== "flour") {
    ask(spec, sheet, "liquid");
  } else {
    Object.assign(amount, { by: "mass", mass: portion.mass });
  }
}

/** What sets the water. With everything as poured each liquid keeps its grams; else one makes up the rest. */
export function setWaterBy(spec: BatchSpec, sheet: BatchSheet, by: WaterBy): void {
  const { liquids } = spec.dough;
  if (by === "liquids") return pourAll(spec, sheet);
  if (spec.dough.waterBy === "liquids" || !liquids.some((l) => l.amount.by === "rest")) {
    spec.dough.hydration = sheet.dough.water.hydration;
    const rest = liquids.find((l) => l.id === larder.view?.firstPicks.water) ?? liquids.at(-1);
    if (rest) rest.amount.by = "rest";
  }
  spec.dough.waterBy = by;
}

/** Fixes the liquid that made up the rest at what it is now; the hydration follows from here on. */
function pourAll(spec: BatchSpec, sheet: BatchSheet): void {
  for (const p of sheet.dough.portions.filter((p) => p.part === "liquid")) {
    const amount = spec.dough.liquids[p.index]?.amount;
    if (amount?.by !== "rest") continue;
    const start = spec.start.by === "liquid";
    Object.assign(amount, start ? { by: "share", share: p.share } : { by: "mass", mass: p.mass });
  }
  spec.dough.waterBy = "liquids";
}
