import type { BatchSpec } from "../api/types";
import { storage } from "../storage.svelte";

/** What was decided for one batch. */
export interface Figures {
  breadId: string | null;
  name: string;
  madeFor: string;
  spec: BatchSpec;
}

/** A batch as this browser has it. */
export interface Unkept extends Figures {
  id: string;
  /** Whether the kitchen has it at all, if with older figures. */
  known: boolean;
  /** The newest spec that could be worked, so that one that cannot still opens on a bench where it is put right. */
  good?: BatchSpec | undefined;
}

const UNKEPT = "ystrata.unkept.1.";
const ON_THE_BENCH = "ystrata.bench.1";

function read<T>(text: string | null): T | null {
  try {
    return text ? (JSON.parse(text) as T) : null;
  } catch {
    return null;
  }
}

/** What the kitchen has not yet: one entry a batch, for every tab of this browser, until the kitchen has it. */
export const drawer = {
  put: (batch: Unkept): void => storage.set(UNKEPT + batch.id, JSON.stringify(batch)),
  remove: (id: string): void => storage.remove(UNKEPT + id),
  find: (id: string): Unkept | null => read<Unkept>(storage.get(UNKEPT + id)),
  all: (): Unkept[] => storage.keys(UNKEPT).flatMap((key) => read<Unkept>(storage.get(key)) ?? []),
};

/** What lies on this tab's bench, kept or not, for its reload alone. */
export const onTheBench = {
  put: (batch: Unkept): void => storage.set(ON_THE_BENCH, JSON.stringify(batch), true),
  get: (): Unkept | null => read<Unkept>(storage.get(ON_THE_BENCH, true)),
};
