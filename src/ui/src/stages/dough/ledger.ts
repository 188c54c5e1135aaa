import type { Amount, BatchSpec, Part } from "../../api/types";

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
