import type { Section } from "../api/types";
import { m } from "../paraglide/messages";
import { amount, leaves } from "./format";

/** What a bread is in a word or two: its filling, or its leaves. */
export const madeOf = (section: Section, effective: number): string =>
  section.filling ? m.filling_layer({ thickness: amount(section.filling.thickness, "mm") }) : leaves(effective);
