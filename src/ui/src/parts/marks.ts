import { symbol, symbolCircle, symbolDiamond, symbolSquare, symbolTriangle } from "d3-shape";

const SIZE = 52;

/** Several things of one kind in a drawing: each has a shape, a stroke and a letter besides its colour. */
export const marks = [
  { tint: "var(--color-rim)", shape: symbolCircle, dash: undefined, letter: "A" },
  { tint: "var(--color-crust)", shape: symbolSquare, dash: "8 3", letter: "B" },
  { tint: "var(--color-leaf)", shape: symbolTriangle, dash: "2 3", letter: "C" },
  { tint: "var(--color-chilli)", shape: symbolDiamond, dash: "8 3 2 3", letter: "D" },
].map(({ shape, ...mark }) => ({ ...mark, path: symbol(shape, SIZE)() ?? "" }));
