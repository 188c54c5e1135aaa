import type { Outcome } from "../../api/types";
import { m } from "../../paraglide/messages";

interface JudgedScale {
  key: keyof Outcome["judged"];
  name: () => string;
  /** From 1, poor, to 5, as it should be. */
  words: (() => string)[];
}

export const scales: JudgedScale[] = [
  { key: "soft", name: m.judge_soft, words: [m.soft_1, m.soft_2, m.soft_3, m.soft_4, m.soft_5] },
  { key: "leaves", name: m.judge_leaves, words: [m.leaves_1, m.leaves_2, m.leaves_3, m.leaves_4, m.leaves_5] },
  { key: "colour", name: m.judge_colour, words: [m.colour_1, m.colour_2, m.colour_3, m.colour_4, m.colour_5] },
  { key: "taste", name: m.judge_taste, words: [m.taste_1, m.taste_2, m.taste_3, m.taste_4, m.taste_5] },
  { key: "filling", name: m.judge_filling, words: [m.filling_1, m.filling_2, m.filling_3, m.filling_4, m.filling_5] },
  { key: "wall", name: m.judge_wall, words: [m.wall_1, m.wall_2, m.wall_3, m.wall_4, m.wall_5] },
];
