import type { BatchSpec, ClockSpec } from "../../api/types";

/** What a clock is where nothing was said of it: as the core has it. */
const usual: Required<ClockSpec> = {
  people: 1,
  pans: 1,
  places: 1,
  rollAhead: 2,
  openBalls: 4,
  bench: 48,
  covered: true,
  by: "table",
  ahead: "none",
  beside: null,
};

export const clockOf = (spec: BatchSpec): Required<ClockSpec> => ({ ...usual, ...spec.clock });
