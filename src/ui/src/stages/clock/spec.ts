import { larder } from "../../api/larder.svelte";
import type { BatchSpec, ClockSpec } from "../../api/types";

/** The clock of a batch; where nothing was said of it, as the core has it. */
export const clockOf = (spec: BatchSpec): Required<ClockSpec> => ({ ...larder.view?.plainClock, ...spec.clock }) as Required<ClockSpec>;
