import type { Facet, Outline, PlanMark, PlanView } from "../api/types";

/** A piece as a fold step leaves it. */
export interface Folded {
  view: PlanView;
  outline: Outline;
  across: number;
  wide: number;
  rings: number;
}

/** A step as it is drawn, for `Plan`. */
export interface Picture {
  facets: Facet[];
  marks: PlanMark[];
  outline: Outline;
  across: number;
  wide: number;
  rings: number;
}

/**
 * A fold is drawn on the piece it is done to, with its creases; anything else as it leaves the piece.
 * @param before facets of the piece before it
 */
export function pictureOf({ view, ...piece }: Folded, before: Facet[]): Picture {
  const onPiece = view.marks.length > 0 && (view.facets.length > 0 || before.length > 0);
  return { ...piece, facets: onPiece ? before : view.facets, marks: view.marks };
}
