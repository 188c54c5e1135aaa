import { tick } from "svelte";
import type { BatchSpec } from "../../api/types";
import { batch } from "../../bench/bench.svelte";
import { m } from "../../paraglide/messages";
import { toaster } from "../../toast.svelte";

/** Moves one item of a list; places beyond the ends mean the ends. */
export function moved<T>(list: T[], from: number, to: number): T[] {
  const copy = [...list];
  const [item] = copy.splice(from, 1);
  if (item !== undefined) copy.splice(Math.min(Math.max(to, 0), copy.length), 0, item);
  return copy;
}

interface Of<T> {
  steps: () => T[];
  /** Lays other steps in their place, in whichever batch. */
  put: (spec: BatchSpec, steps: T[]) => void;
  name: (step: T) => string;
  /** The step that is open from now on; none for nothing. */
  open: (at: number | null) => void;
  /** What the tiles of this ladder are found by. */
  path: string;
}

/** A ladder of steps: they are put in, moved and taken out, by hand or by keys, each with a way back. */
export class Ladder<T> {
  constructor(private readonly of: Of<T>) {}

  get path(): string {
    return this.of.path;
  }

  async lay(steps: T[], at: number | null): Promise<void> {
    batch.change(() => batch.spec && this.of.put(batch.spec, steps));
    this.of.open(at);
    await tick();
    if (at !== null) document.querySelector<HTMLElement>(`[data-step="${this.of.path}${at}"]`)?.focus();
  }

  insert(step: T, at: number): void {
    const steps = this.of.steps();
    void this.lay([...steps.slice(0, at), step, ...steps.slice(at)], at);
  }

  move(from: number, to: number): void {
    const steps = this.of.steps();
    if (to >= 0 && to < steps.length) void this.lay(moved(steps, from, to), to);
  }

  remove(at: number): void {
    const before = $state.snapshot(this.of.steps()) as T[];
    const gone = before[at];
    if (!gone) return;
    void this.lay(
      before.filter((_, i) => i !== at),
      before.length > 1 ? Math.min(at, before.length - 2) : null,
    );
    const { put } = this.of;
    toaster.say(
      m.step_removed({ step: this.of.name(gone) }),
      batch.back((spec) => put(spec, before)),
    );
  }

  keys(event: KeyboardEvent, at: number): void {
    if (event.altKey && event.key === "ArrowLeft") this.move(at, at - 1);
    else if (event.altKey && event.key === "ArrowRight") this.move(at, at + 1);
    else if (event.key === "Delete") this.remove(at);
    else return;
    event.preventDefault();
  }
}
