import type { Stage, StartBy } from "../../api/types";
import { m } from "../../paraglide/messages";

export const stageName: Record<Stage, () => string> = {
  dough: m.stage_dough,
  rest: m.stage_rest,
  balls: m.stage_balls,
  sheet: m.stage_sheet,
  fold: m.stage_fold,
  filling: m.stage_filling,
  roll: m.stage_roll,
  pan: m.stage_pan,
};

export const startName: Record<StartBy, () => string> = {
  pieces: m.start_pieces,
  flour: m.start_flour,
  liquid: m.start_liquid,
  filling: m.start_filling,
  people: m.start_people,
};
