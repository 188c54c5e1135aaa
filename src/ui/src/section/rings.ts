import type { Section } from "../api/types";

/** Rings or windings across the radius; none of what is not wound. */
export const ringsOf = ({ rings, windings }: Section): number => rings?.each.length ?? windings ?? 0;
