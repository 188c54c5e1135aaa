import { replace, router } from "svelte-spa-router";
import { changes } from "./api/changes.svelte";
import { api, refusalsOf } from "./api/client";
import type { BatchSheet, BatchSpec, BatchView, BreadView, ClockView, Refusal, Stage } from "./api/types";

const usualStages: Stage[] = ["dough", "rest", "balls", "sheet", "fold", "filling", "roll", "pan"];

/** The strata of the column: the stages of the work, and the clock over them all. */
export type Stratum = Stage | "clock";

type Keeping = "new" | "changed" | "keeping" | "kept" | "refused" | "unreachable";

/** What a reload or a crash must not lose: figures the kitchen has not kept yet. */
interface Unkept {
  id: string | null;
  breadId: string | null;
  name: string;
  madeFor: string;
  spec: BatchSpec;
}

const DRAWER = "ystrata.batch.2";
const KEEP_AFTER_MS = 500;
const TRY_AGAIN_MS = 3000;
const CLOCK_AFTER_MS = 120;
/** An answer takes milliseconds: one that takes this long is lost on the way, and is asked for again. */
const ANSWERED_WITHIN_MS = 8000;

const USUAL_AHEAD_MS = 4 * 3600_000;
const HALF_HOUR_MS = 1800_000;

/** A table most breads can still be made for: a half hour some four hours off. */
const nextTable = () => new Date(Math.ceil((Date.now() + USUAL_AHEAD_MS) / HALF_HOUR_MS) * HALF_HOUR_MS).toISOString();

/**
 * The batch on the bench. Every change is planned and drawn at once and kept a moment later: one request of each kind
 * is under way at a time, and while it is, only the newest figures wait.
 */
class Batch {
  id = $state<string | null>(null);
  breadId = $state<string | null>(null);
  name = $state("");
  madeFor = $state("");
  spec = $state<BatchSpec | null>(null);

  sheet = $state.raw<BatchSheet | null>(null);
  // Planning and keeping each refuse for themselves: whichever answers last does not wipe out the other.
  private unworkable = $state.raw<Refusal[]>([]);
  private unkeepable = $state.raw<Refusal[]>([]);
  /** What the clock alone refuses: a bread beside this one that is gone, or cannot be made so often. */
  private unclockable = $state.raw<Refusal[]>([]);
  refusals = $derived([
    ...this.unworkable,
    ...[...this.unkeepable, ...this.unclockable].filter((k) => !this.unworkable.some((w) => w.field === k.field)),
  ]);
  keeping = $state<Keeping>("new");
  keptAt = $state<string | null>(null);
  private wanted = $state<Stratum>("dough");
  /** The open bench wants the whole width: what to watch makes room. */
  wide = $state(false);
  /** The fold step whose piece the section shows; nothing shows the finished bread, as every change does. */
  shown = $state<number | null>(null);

  /** The stages this batch goes through, in the order of the work. */
  stages = $derived<Stratum[]>([...(this.sheet?.stages ?? usualStages), "clock"]);
  /** The timetable of the newest sheet; the one before it until that is there. */
  clock = $state.raw<ClockView | null>(null);

  /** The stage on the bench. One that this batch does not go through gives way to the first. */
  get open(): Stratum {
    return this.stages.includes(this.wanted) ? this.wanted : "dough";
  }
  set open(stage: Stratum) {
    this.wanted = stage;
  }

  private planning = $state(false);
  private clocking = false;
  /** What the newest sheet was worked out of: only what can be planned is put on the clock. */
  private planned: BatchSpec | null = null;
  private clockTimer: ReturnType<typeof setTimeout> | undefined;
  private planAgain = false;
  private planRun: Promise<void> = Promise.resolve();
  /** Presses that go by figures of the sheet, until the sheet is that of the spec as it stands. */
  private pressed: { to: (sheet: BatchSheet) => void; of: string | undefined }[] = [];
  private saving: Promise<void> | null = null;
  private timer: ReturnType<typeof setTimeout> | undefined;

  /** Begins a batch of a bread; it is kept with its first change. */
  begin(bread: Pick<BreadView, "name" | "spec"> & { id: string | null }): void {
    this.lay({ id: null, breadId: bread.id, name: bread.name, madeFor: nextTable(), spec: structuredClone(bread.spec) });
    this.keeping = "new";
    this.keptAt = null;
    this.open = "dough";
    this.remember();
  }

  /** Takes a kept batch back to the bench. */
  take(view: BatchView): void {
    this.lay({ id: view.id, breadId: view.breadId, name: view.name, madeFor: view.madeFor, spec: view.spec });
    this.keeping = "kept";
    this.keptAt = view.changedAt;
    this.remember();
  }

  /** After a reload: the figures as they were left. */
  recover(): boolean {
    if (this.spec) return true;
    const text = localStorage.getItem(DRAWER);
    if (!text) return false;
    try {
      const { keeping, ...batch } = JSON.parse(text) as Unkept & { keeping: Keeping };
      this.lay(batch);
      this.keeping = keeping === "new" || keeping === "kept" ? keeping : "changed";
      if (this.keeping === "changed") this.keepSoon();
      return true;
    } catch {
      localStorage.removeItem(DRAWER);
      return false;
    }
  }

  /** Every change of a figure or the name goes through here. */
  change(to: () => void): void {
    to();
    this.shown = null;
    this.keeping = "changed";
    this.remember();
    this.planRun = this.plan();
    this.keepSoon();
  }

  /**
   * A change that goes by figures of the sheet: made at once when nothing changed since that sheet was asked for, else as soon as its answer
   * is there, so that it never lays old figures over newer ones. While the kitchen is away it goes by the last there were.
   * @param of Names what is changed: of several that wait, only the newest of one thing is made.
   */
  changeBy(to: (sheet: BatchSheet) => void, of?: string): void {
    if (!this.sheet) return;
    const at = of === undefined ? -1 : this.pressed.findIndex((p) => p.of === of);
    if (at >= 0) this.pressed[at] = { to, of };
    else this.pressed.push({ to, of });
    if (!this.planning) this.makeNext();
  }

  private makeNext(): void {
    const { sheet } = this;
    const next = sheet && this.pressed.shift();
    if (next) this.change(() => next.to(sheet));
  }

  /** Sees to it that the kitchen has these very figures. @returns whether it has */
  async keep(): Promise<boolean> {
    clearTimeout(this.timer);
    while (this.pressed.length > 0) await this.planRun;
    while (this.saving) await this.saving;
    if (this.keeping !== "kept") {
      this.saving = this.save();
      await this.saving;
    }
    return (this.keeping as Keeping) === "kept";
  }

  /** Whether an answer is still on its way: until it is there, nobody knows if what was typed stands. */
  get busy(): boolean {
    return this.planning;
  }

  /** What stands in the way of one field, or of one of several. */
  refusalOf(...fields: string[]): Refusal | undefined {
    return this.refusals.find((r) => fields.includes(r.field));
  }

  /** Works the same figures out anew: the larder has changed under them. */
  again(): void {
    if (this.spec) this.planRun = this.plan();
  }

  private lay(batch: Unkept): void {
    clearTimeout(this.timer);
    this.pressed = [];
    Object.assign(this, batch);
    this.shown = null;
    this.sheet = null;
    this.clock = null;
    this.planned = null;
    this.unworkable = [];
    this.unkeepable = [];
    this.unclockable = [];
    this.planRun = this.plan();
  }

  private async plan(): Promise<void> {
    if (this.planning) {
      this.planAgain = true;
      return this.planRun;
    }
    this.planning = true;
    try {
      do {
        this.planAgain = false;
        const spec = $state.snapshot(this.spec);
        if (!spec) break;
        const { data, error } = await api.POST("/api/plan", { body: spec, signal: AbortSignal.timeout(ANSWERED_WITHIN_MS) });
        if (this.planAgain) continue;
        if (data) {
          this.sheet = data;
          this.planned = spec;
          this.clockSoon();
        }
        this.unworkable = data ? [] : refusalsOf(error);
        this.makeNext();
      } while (this.planAgain);
    } catch {
      while (this.sheet && this.pressed.length > 0) this.makeNext();
      setTimeout(() => (this.planRun = this.plan()), TRY_AGAIN_MS);
    } finally {
      this.planning = false;
    }
  }

  private clockSoon(delay = CLOCK_AFTER_MS): void {
    clearTimeout(this.clockTimer);
    this.clockTimer = setTimeout(() => void this.plotClock(), delay);
  }

  // What is asked while an answer is on its way is asked again after it.
  private async plotClock(): Promise<void> {
    const spec = this.planned;
    if (!spec || this.clocking) return this.clocking ? this.clockSoon() : undefined;
    this.clocking = true;
    try {
      const { data, error } = await api.POST("/api/clock", { body: { name: this.name, spec, madeFor: this.madeFor } });
      // Another plan, or another batch, came meanwhile: its own clock is on its way.
      if (spec !== this.planned) return;
      if (data) this.clock = data;
      this.unclockable = data ? [] : refusalsOf(error);
    } catch {
      this.clockSoon(TRY_AGAIN_MS);
    } finally {
      this.clocking = false;
    }
  }

  private keepSoon(delay = KEEP_AFTER_MS): void {
    clearTimeout(this.timer);
    this.timer = setTimeout(() => void this.keep(), delay);
  }

  private async save(): Promise<void> {
    const spec = $state.snapshot(this.spec);
    if (!spec) return;
    const body = { breadId: this.breadId, name: this.name, madeFor: this.madeFor, spec };
    const id = this.id;
    this.keeping = "keeping";
    try {
      const changed = id ? await api.PUT("/api/batches/{id}", { params: { path: { id } }, body }) : null;
      // A batch that was deleted meanwhile but is still worked on is kept as a new one.
      const { data, error } = changed && changed.response.status !== 404 ? changed : await api.POST("/api/batches", { body });
      // Figures changed meanwhile are kept with the next round.
      const newest = (this.keeping as Keeping) === "keeping";
      if (data) {
        this.id = data.id;
        changes.shelf++;
        if (data.id !== id && router.location.startsWith("/batch")) void replace(`/batch/${data.id}`);
        this.keptAt = data.changedAt;
        this.unkeepable = [];
        if (newest) this.keeping = "kept";
      } else if (newest) {
        this.keeping = "refused";
        this.unkeepable = refusalsOf(error).map((r) => ({ ...r, field: r.field.replace(/^spec\./, "") }));
      }
    } catch {
      this.keeping = "unreachable";
      this.keepSoon(TRY_AGAIN_MS);
    } finally {
      this.saving = null;
      this.remember();
    }
  }

  private remember(): void {
    const { id, breadId, name, madeFor, keeping } = this;
    localStorage.setItem(DRAWER, JSON.stringify({ id, breadId, name, madeFor, keeping, spec: this.spec }));
  }
}

export const batch = new Batch();
