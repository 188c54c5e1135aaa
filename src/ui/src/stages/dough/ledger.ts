import type { Amount, BatchSpec, Part, Question } from "../../api/types";

// What the spec says, read for the bench: what follows from it, and what gives way to what, is the kitchen's to say (`POST /api/ledger`).

/** The figure a batch is asked by: rounds are pieces whose ball is fixed by its round. */
export const questionOf = (spec: BatchSpec): Question =>
  spec.start.by === "pieces" && spec.balls.by === "thickness" && spec.dough.feel !== "batter" ? "rounds" : spec.start.by;

/** From flour or liquid at hand: the dough is fixed, and either the ball or how many it makes. */
export const startsFromBowl = (spec: BatchSpec): boolean => spec.start.by === "flour" || spec.start.by === "liquid";

/** Dough and pieces are fixed, so the ball follows. */
export const ballFollows = (spec: BatchSpec): boolean => startsFromBowl(spec) && spec.start.makes != null;

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
