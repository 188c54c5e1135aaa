import { replace, router } from "svelte-spa-router";
import { call, type Trouble } from "../api/call";
import { api } from "../api/client";
import type { BatchSheet, BatchSpec, BatchView, BreadView, ClockView, LedgerMove, Refusal, Stage } from "../api/types";
import { newId } from "../ids";
import { onTheBench, standOf, type Figures } from "./drawer";
import { type Differs, type Keeper, type Keeping, keepers } from "./keeper.svelte";

const usualStages: Stage[] = ["dough", "rest", "balls", "sheet", "fold", "filling", "roll", "pan"];

/** The strata of the column: the stages of the work, and the clock over them all. */
export type Stratum = Stage | "clock";

const TRY_AGAIN_MS = 3000;
const CLOCK_AFTER_MS = 120;

const USUAL_AHEAD_MS = 4 * 3600_000;
const HALF_HOUR_MS = 1800_000;

/** A table most breads can still be made for: a half hour some four hours off. */
const nextTable = () => new Date(Math.ceil((Date.now() + USUAL_AHEAD_MS) / HALF_HOUR_MS) * HALF_HOUR_MS).toISOString();

/** Something pressed that goes by figures of the sheet. @property of Names what is changed: of several that wait, only the newest of one thing is made. */
type Pressed = { of: string | undefined } & ({ to: (sheet: BatchSheet) => void } | { move: LedgerMove });

/**
 * The batch on the bench. Every change is planned and drawn at once and kept a moment later by the batch's own keeper: one request of each
 * kind is under way at a time, and while it is, only the newest figures wait.
 */
class Bench {
  private keeper = $state.raw<Keeper | null>(null);
  breadId = $state<string | null>(null);
  name = $state("");
  madeFor = $state("");
  spec = $state<BatchSpec | null>(null);

  sheet = $state.raw<BatchSheet | null>(null);
  // Planning and keeping each refuse for themselves: whichever answers last does not wipe out the other.
  private unworkable = $state.raw<Refusal[]>([]);
  /** What the clock alone refuses: a bread beside this one that is gone, or cannot be made so often. */
  private unclockable = $state.raw<Refusal[]>([]);
  refusals = $derived([
    ...this.unworkable,
    ...[...(this.keeper?.refusals ?? []), ...this.unclockable].filter((k) => !this.unworkable.some((w) => w.field === k.field)),
  ]);
  private wanted = $state<Stratum>("dough");
  /** The part of the open bench that is open, by its tab. */
  tab = $state("");
  /** The fold step that is open; nothing where none is. */
  shown = $state<number | null>(null);

  /** The stages this batch goes through, in the order of the work. */
  stages = $derived<Stratum[]>([...(this.sheet?.stages ?? usualStages), "clock"]);
  /** The timetable of the newest sheet; the one before it until that is there. */
  clock = $state.raw<ClockView | null>(null);

  /** Its id in the kitchen, once it is there. */
  get id(): string | null {
    return this.keeper?.known ? this.keeper.id : null;
  }
  get keeping(): Keeping {
    return this.keeper?.keeping ?? "new";
  }
  get keptAt(): string | null {
    return this.keeper?.keptAt ?? null;
  }
  /** Why it is not kept, when that is not the figures' fault. */
  get keepingTrouble(): Trouble | null {
    return this.keeper?.trouble ?? null;
  }
  /** What another screen made of it, where that clashes with what was made here. */
  get differs(): Differs | null {
    return this.keeper?.differs ?? null;
  }
  /** Counts what other screens changed of the batch on the bench, and is shown here now. */
  takenUp = $state(0);

  /** The stage on the bench. One that this batch does not go through gives way to the first. */
  /** What is to be watched at the open bench. */
  get watched() {
    return this.sheet?.notes.filter((note) => note.stage === this.open) ?? [];
  }

  get open(): Stratum {
    return this.stages.includes(this.wanted) ? this.wanted : "dough";
  }
  set open(stage: Stratum) {
    this.wanted = stage;
  }

  /** Why there is no new sheet, when that is not the figures' fault. */
  trouble = $state.raw<Trouble | null>(null);
  /** Why there is no new timetable, when that is not the figures' fault. */
  clockTrouble = $state.raw<Trouble | null>(null);
  private planning = $state(false);
  private clocking = false;
  /** What the newest sheet was worked out of: only what can be planned is put on the clock. */
  private planned: BatchSpec | null = null;
  private clockTimer: ReturnType<typeof setTimeout> | undefined;
  private planAgain = false;
  private planRun: Promise<void> = Promise.resolve();
  /** Presses that go by figures of the sheet, until the sheet is that of the spec as it stands. */
  private pressed: Pressed[] = [];
  /** Counts the changes, so that what was asked of older figures is asked again. */
  private revision = 0;

  /** Begins a batch of a bread; it is kept with its first change. */
  begin(bread: Pick<BreadView, "name" | "spec"> & { id: string | null }): void {
    const figures = { breadId: bread.id, name: bread.name, madeFor: nextTable(), spec: structuredClone(bread.spec) };
    this.lay(keepers.of({ id: newId(), known: false, ...figures }, "new"));
    this.open = "dough";
  }

  /** Takes a batch back to the bench: as the kitchen has it, or as it was left here if the kitchen has not got that yet. */
  take(view: BatchView): void {
    const from = standOf(view);
    this.lay(keepers.of({ id: view.id, known: true, from, ...structuredClone(from.figures) }, "kept", view.changedAt));
  }

  /** After a reload: the figures as they were left. */
  recover(): boolean {
    if (this.spec) return true;
    const left = onTheBench.get();
    if (!left) return false;
    // Whether the kitchen lacks any of it is the drawer's to say: what was kept is never sent again over what others changed since.
    this.lay(keepers.of(left, left.known ? "kept" : "new"));
    return true;
  }

  /** Lays a batch on the bench that the kitchen has not got yet. @returns whether there is one by that id */
  findUnkept(id: string): boolean {
    const keeper = keepers.find(id);
    if (keeper && keeper !== this.keeper) this.lay(keeper);
    return keeper !== undefined;
  }

  /** Every change of a figure or the name goes through here. */
  change(to: () => void): void {
    to();
    this.revision++;
    this.shown = null;
    this.keeper?.changed(this.figures());
    this.remember();
    this.planRun = this.plan();
  }

  /** A way back from what was just done, for a button that outlives it: it is done to the batch it belongs to, whatever lies on the bench by then. */
  back(to: (spec: BatchSpec, figures: { name: string }) => void): () => void {
    const { keeper } = this;
    return () => {
      if (keeper === this.keeper) {
        const { spec } = this;
        if (spec) this.change(() => to(spec, this));
      } else if (keeper) {
        const figures = structuredClone(keeper.figures);
        to(figures.spec, figures);
        keeper.changed(figures);
      }
    };
  }

  /**
   * A change that goes by figures of the sheet: made at once when nothing changed since that sheet was asked for, else as soon as its answer
   * is there, so that it never lays old figures over newer ones. While the kitchen is away it goes by the last there were.
   * @param of Names what is changed: of several that wait, only the newest of one thing is made.
   */
  changeBy(to: (sheet: BatchSheet) => void, of?: string): void {
    this.press({ to, of });
  }

  /** A figure of the ledger is given, and others give way: which, and to what, the kitchen says. While it is away the move waits. */
  move(move: LedgerMove, of?: string): void {
    this.press({ move, of });
  }

  private press(pressed: Pressed): void {
    if (!this.sheet) return;
    const at = pressed.of === undefined ? -1 : this.pressed.findIndex((p) => p.of === pressed.of);
    if (at >= 0) this.pressed[at] = pressed;
    else this.pressed.push(pressed);
    if (!this.planning) this.planRun = this.plan(false);
  }

  // What is pressed while the answer to a move is on its way comes first: the move is then asked for anew. @returns whether the kitchen answered
  private async makeNext(): Promise<boolean> {
    const { sheet, spec, keeper, revision } = this;
    const next = this.pressed[0];
    if (!sheet || !spec || !next) {
      this.pressed = [];
      return true;
    }
    if ("to" in next) {
      this.pressed.shift();
      this.change(() => next.to(sheet));
      return true;
    }
    const { data, trouble } = await this.asked(next.move, $state.snapshot(spec));
    if (this.keeper !== keeper || this.revision !== revision || this.pressed[0] !== next) return true;
    if (trouble && trouble.kind !== "refused") {
      this.trouble = trouble;
      return false;
    }
    this.pressed.shift();
    if (data) {
      const { start, dough, balls, ladle } = data;
      this.change(() => Object.assign(spec, { start, dough, balls, ladle }));
    }
    if (trouble?.kind === "refused") this.unworkable = trouble.refusals;
    return true;
  }

  private asked(move: LedgerMove, spec: BatchSpec) {
    const stands = this.planned ?? this.keeper?.good;
    return call(() => api.POST("/api/ledger", { body: { spec, move, ...(stands && { stands }) } }));
  }

  /** Sees to it that the kitchen has these very figures. @returns whether it has */
  async keep(): Promise<boolean> {
    while (this.pressed.length > 0 && !this.trouble) await this.planRun;
    return (await this.keeper?.keep()) ?? false;
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

  private lay(keeper: Keeper): void {
    if (this.keeper) this.leave(this.keeper);
    this.revision++;
    if (this.keeper) this.keeper.onknown = this.keeper.onfigures = undefined;
    this.keeper = keeper;
    keeper.onknown = (id) => {
      this.remember();
      if (router.location.startsWith("/batch")) void replace(`/batch/${id}`);
    };
    keeper.onfigures = (elsewhere) => this.takeUp(keeper, elsewhere);
    Object.assign(this, structuredClone(keeper.figures));
    this.remember();
    this.shown = null;
    this.sheet = null;
    this.clock = null;
    this.planned = null;
    this.unworkable = [];
    this.unclockable = [];
    this.planRun = this.plan();
  }

  // What was pressed on a batch that leaves the bench is still its own.
  private leave(keeper: Keeper): void {
    const { sheet, pressed } = this;
    this.pressed = [];
    const waits = async () => {
      for (const next of pressed) {
        const figures = structuredClone(keeper.figures);
        if ("to" in next) continue;
        const { data } = await this.asked(next.move, figures.spec);
        if (data) keeper.changed({ ...figures, spec: data });
      }
    };
    for (const next of pressed) if ("to" in next && sheet) this.change(() => next.to(sheet));
    void waits();
  }

  // The figures on the bench give way to what the keeper has now; the bench stays as it is until they are worked out.
  private takeUp(keeper: Keeper, elsewhere: boolean): void {
    Object.assign(this, structuredClone(keeper.figures));
    this.revision++;
    this.shown = null;
    this.remember();
    if (elsewhere) this.takenUp++;
    this.planRun = this.plan();
  }

  /** What was made here goes on as a batch of its own; the one it was is what the other screen made of it. */
  part(name: string): void {
    const mine = this.keeper?.part(name);
    if (mine) this.lay(keepers.of(mine, "changed"));
  }

  settle(prefer: "mine" | "theirs"): void {
    this.keeper?.settle(prefer);
  }

  /** @param changed nothing is worked out anew where only something pressed is to be made */
  private async plan(changed = true): Promise<void> {
    if (this.planning) {
      this.planAgain = true;
      return this.planRun;
    }
    this.planning = true;
    this.planAgain = changed;
    try {
      while (this.planAgain || this.pressed.length > 0) {
        if (!this.planAgain) {
          if (await this.makeNext()) continue;
          setTimeout(() => (this.planRun = this.plan()), TRY_AGAIN_MS);
          break;
        }
        this.planAgain = false;
        const spec = $state.snapshot(this.spec);
        if (!spec) break;
        const { data, trouble } = await call(() => api.POST("/api/plan", { body: spec }), { once: true });
        if (this.planAgain) continue;
        this.trouble = trouble && trouble.kind !== "refused" ? trouble : null;
        if (this.trouble) {
          // A change of the page's own goes by the last figures there were.
          while (this.sheet && this.pressed[0] && "to" in this.pressed[0]) void this.makeNext();
          setTimeout(() => (this.planRun = this.plan()), TRY_AGAIN_MS);
          break;
        }
        if (data) {
          this.sheet = data;
          this.planned = spec;
          if (this.keeper) this.keeper.good = spec;
          this.clockSoon();
        }
        this.unworkable = trouble?.kind === "refused" ? trouble.refusals : [];
        const { good } = this.keeper ?? {};
        if (!this.sheet && good) {
          const { data: before } = await call(() => api.POST("/api/plan", { body: good }));
          if (this.planAgain) continue;
          this.sheet = before;
        }
      }
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
    const body = { name: this.name, spec, madeFor: this.madeFor };
    const { data, trouble } = await call(() => api.POST("/api/clock", { body }), { once: true });
    this.clocking = false;
    // Another plan, or another batch, came meanwhile: its own clock is on its way.
    if (spec !== this.planned) return;
    if (data) this.clock = data;
    this.clockTrouble = trouble && trouble.kind !== "refused" ? trouble : null;
    if (this.clockTrouble) this.clockSoon(TRY_AGAIN_MS);
    else this.unclockable = trouble?.kind === "refused" ? trouble.refusals : [];
  }

  private figures(): Figures {
    const { breadId, name, madeFor } = this;
    return { breadId, name, madeFor, spec: $state.snapshot(this.spec)! };
  }

  private remember(): void {
    if (this.keeper) onTheBench.put(this.keeper.unkept);
  }
}

export const batch = new Bench();
