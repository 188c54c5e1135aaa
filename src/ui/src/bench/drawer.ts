import type { BatchSpec, BatchView } from "../api/types";
import { storage } from "../storage.svelte";

/** What was decided for one batch. */
export interface Figures {
  breadId: string | null;
  name: string;
  madeFor: string;
  spec: BatchSpec;
}

/** What the kitchen has of a batch, and its version. */
export interface Stand {
  version: string;
  figures: Figures;
}

/** A batch as this browser has it. */
export interface Unkept extends Figures {
  id: string;
  /** Whether the kitchen has it at all, if with older figures. */
  known: boolean;
  /** What these figures were made from; nothing when the kitchen has not got it yet, or that is not known any more. */
  from?: Stand | null;
  /** The newest spec that could be worked, so that one that cannot still opens on a bench where it is put right. */
  good?: BatchSpec | undefined;
}

export const standOf = ({ version, breadId, name, madeFor, spec }: BatchView): Stand => ({
  version,
  figures: { breadId, name, madeFor: new Date(madeFor).toISOString(), spec },
});

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
  /** Tells of what another tab puts in or takes out. */
  watch: (changed: (id: string, there: boolean) => void): void =>
    addEventListener("storage", ({ key, newValue }) => {
      if (key?.startsWith(UNKEPT)) changed(key.slice(UNKEPT.length), newValue !== null);
    }),
};

/** What lies on this tab's bench, kept or not, for its reload alone. */
export const onTheBench = {
  put: (batch: Unkept): void => storage.set(ON_THE_BENCH, JSON.stringify(batch), true),
  get: (): Unkept | null => read<Unkept>(storage.get(ON_THE_BENCH, true)),
};
