import type { BatchSheet, BatchSpec } from "../api/types";

/** Every bench gets what was decided and what follows; it changes the spec in place and says so to the batch. */
export interface StageProps {
  spec: BatchSpec;
  sheet: BatchSheet;
}
