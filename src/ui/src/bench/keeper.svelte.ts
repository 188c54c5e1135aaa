import { SvelteMap } from "svelte/reactivity";
import { type Answer, call, type Trouble } from "../api/call";
import { changes } from "../api/changes.svelte";
import { api, meant } from "../api/client";
import type { BatchSpec, BatchView, Refusal } from "../api/types";
import { newId } from "../ids";
import { m } from "../paraglide/messages";
import { toaster } from "../toast.svelte";
import { type Clash, merge, type Merged, same } from "../versions/merge";
import { drawer, type Figures, type Stand, standOf, type Unkept } from "./drawer";

/** `elsewhere`: it was changed on another screen too, and the cook has to say whose figures go on. */
export type Keeping = "new" | "changed" | "keeping" | "kept" | "refused" | "elsewhere" | "unreachable";

const KEEP_AFTER_MS = 500;
const TRY_AGAIN_MS = 3000;
/** A batch starts from one question: its figures are one decision. */
const WHOLE = ["spec.start", "spec.balls"];

/** One tab at a time brings a batch to the kitchen, where the browser has locks (it has none for pages that came over plain HTTP from afar; there the version alone keeps one from overwriting the other). */
const alone = async (id: string, what: () => Promise<void>): Promise<void> =>
  navigator.locks ? await navigator.locks.request(`ystrata.keep.${id}`, what) : await what();

/** What another screen made of it, and where that clashes with what was made here. */
export interface Differs {
  theirs: Stand;
  clashes: Clash[];
  made: Merged<Figures>["with"];
}

/**
 * Brings one batch's figures to the kitchen: one request is under way at a time, and while it is, only the newest figures wait. It is this
 * batch's alone and goes on by itself when another one is laid on the bench, so that no answer ever reaches another batch. What another
 * screen changed meanwhile is laid together with what was changed here; where both changed the same, it waits for the cook.
 */
export class Keeper {
  id = $state("");
  keeping = $state<Keeping>("new");
  keptAt = $state<string | null>(null);
  refusals = $state.raw<Refusal[]>([]);
  /** Whether the kitchen has it at all, if with older figures. */
  known = $state(false);
  differs = $state.raw<Differs | null>(null);
  /** Why it was not kept, when that is not the figures' fault. */
  trouble = $state.raw<Trouble | null>(null);
  /** Told when the kitchen first has it, and when it gets another id since the one it had was deleted under the cook's hands. */
  onknown: ((id: string) => void) | undefined;
  /** Told when its figures are no longer those that were changed here, and whether another screen's change is why. */
  onfigures: ((elsewhere: boolean) => void) | undefined;
  figures: Figures;
  good: BatchSpec | undefined;
  private from: Stand | null;
  /** What was sent and never answered: the kitchen may have it all the same. */
  private unanswered: Figures[] = [];
  private saving: Promise<void> | null = null;
  private timer: ReturnType<typeof setTimeout> | undefined;

  /** @param own This page's own; what another tab left is only carried, as that tab left it. */
  constructor(
    { id, known, good, from, breadId, name, madeFor, spec }: Unkept,
    keeping: Keeping,
    keptAt: string | null = null,
    private own = true,
  ) {
    this.id = id;
    this.known = known;
    this.figures = { breadId, name, madeFor, spec };
    this.good = good;
    this.from = from ?? null;
    this.keeping = keeping;
    this.keptAt = keptAt;
    if (keeping === "changed") this.keepSoon();
  }

  get unkept(): Unkept {
    return { id: this.id, known: this.known, good: this.good, from: this.from, ...this.figures };
  }

  changed(figures: Figures): void {
    this.figures = figures;
    this.own = true;
    this.keeping = "changed";
    this.differs = null;
    this.remember();
    this.keepSoon();
  }

  /** Sees to it that the kitchen has the newest figures. @returns whether it has */
  async keep(): Promise<boolean> {
    clearTimeout(this.timer);
    while (this.saving) await this.saving;
    if (this.keeping !== "kept" && this.keeping !== "elsewhere") {
      this.saving = this.save();
      await this.saving;
    }
    return (this.keeping as Keeping) === "kept";
  }

  /** Another screen changed it: takes up what stands now, unless something was changed here; that meets it when it is kept. */
  async heard(version: string | null): Promise<void> {
    if (!this.known || this.keeping !== "kept" || version === this.from?.version) return;
    const { data, trouble } = await call(() => api.GET("/api/batches/{id}", { params: { path: { id: this.id } } }));
    if (trouble?.kind === "missing" && this.onfigures) toaster.say(m.batch_gone_elsewhere({ name: this.figures.name || m.nameless() }));
    if (data && (this.keeping as Keeping) === "kept" && data.version !== this.from?.version) this.takeUp(data);
  }

  /** Settles what differs: these figures go on, where they clash. */
  settle(prefer: "mine" | "theirs"): void {
    if (!this.differs) return;
    const { theirs, made } = this.differs;
    this.from = theirs;
    this.changed(made(prefer));
    this.onfigures?.(false);
    if (same(this.figures, theirs.figures)) void this.keep();
  }

  /** Settles what differs: this is what the other screen made of it, and what was made here is another batch. @returns that one */
  part(name: string): Unkept | null {
    if (!this.differs) return null;
    const mine = { ...this.figures, name };
    const { theirs } = this.differs;
    this.figures = theirs.figures;
    this.from = theirs;
    this.differs = null;
    this.keeping = "kept";
    this.remember();
    return { id: newId(), known: false, ...mine };
  }

  /** Throws away what was changed here and not kept. */
  discard(): void {
    clearTimeout(this.timer);
    this.differs = null;
    this.keeping = this.from ? "kept" : "new";
    if (this.from) this.figures = this.from.figures;
    this.remember();
    this.onfigures?.(false);
  }

  private keepSoon(delay = KEEP_AFTER_MS): void {
    clearTimeout(this.timer);
    this.timer = setTimeout(() => void this.keep(), delay);
  }

  private async save(): Promise<void> {
    this.keeping = "keeping";
    try {
      await alone(this.id, async () => {
        if (!this.own && !this.takeFromDrawer()) return;
        await this.bring();
      });
    } finally {
      this.saving = null;
      this.remember();
    }
  }

  private async bring(): Promise<void> {
    const sent = this.figures;
    const { data, trouble } = await this.send();
    // What was changed meanwhile is kept with the next round.
    const newest = this.keeping === "keeping";
    if (data) this.taken(data, newest);
    else if (trouble.kind === "stale") this.meet(trouble.now as BatchView | null);
    else if (trouble.kind === "missing") this.begunAnew();
    else if (trouble.kind !== "refused") {
      this.trouble = trouble;
      if (trouble.kind === "away" && !this.unanswered.includes(sent)) this.unanswered.push(sent);
      if (newest) this.keeping = "unreachable";
      this.keepSoon(TRY_AGAIN_MS);
    } else if (newest) {
      this.keeping = "refused";
      this.refusals = trouble.refusals.map((r) => ({ ...r, field: r.field.replace(/^spec\./, "") }));
    }
  }

  private send(): Promise<Answer<BatchView>> {
    const { id, figures, from } = this;
    if (!this.known) return call(() => api.POST("/api/batches", { body: { ...figures, id } }), { once: true });
    // Whose version is not known any more meets what stands, whatever that is.
    const header = meant(from?.version ?? "unknown");
    return call(() => api.PUT("/api/batches/{id}", { params: { path: { id }, header }, body: figures }), { once: true });
  }

  // A batch that was deleted meanwhile but is still worked on is kept as a new one.
  private begunAnew(): void {
    drawer.remove(this.id);
    this.id = newId();
    this.known = false;
    this.from = null;
    this.again();
  }

  // It was changed on another screen, or kept by a request whose answer was lost.
  private meet(now: BatchView | null): void {
    if (now === null) return this.begunAnew();
    const theirs = standOf(now);
    const own = this.unanswered.find((figures) => same(figures, theirs.figures));
    const merged = merge(own ?? this.from?.figures ?? null, this.figures, theirs.figures, WHOLE);
    this.known = true;
    if (merged.clashes.length > 0) {
      // What was changed while this was on its way is in it: sent by itself it would only be asked about once more.
      clearTimeout(this.timer);
      this.keeping = "elsewhere";
      this.differs = { theirs, clashes: merged.clashes, made: merged.with };
      return;
    }
    const figures = merged.with("mine");
    const changed = !same(figures, this.figures);
    this.figures = figures;
    this.from = theirs;
    if (changed) this.onfigures?.(true);
    if (same(figures, theirs.figures)) this.taken(now, this.keeping === "keeping");
    else this.again();
  }

  private again(): void {
    this.keeping = "changed";
    this.keepSoon(0);
  }

  private taken(now: BatchView, newest: boolean): void {
    const first = !this.known;
    this.known = true;
    this.keptAt = now.changedAt;
    this.from = standOf(now);
    this.refusals = [];
    this.unanswered = [];
    this.trouble = null;
    changes.tell("batches");
    if (newest) this.keeping = "kept";
    if (first) this.onknown?.(this.id);
  }

  private takeUp(now: BatchView): void {
    this.from = standOf(now);
    this.figures = this.from.figures;
    this.keptAt = now.changedAt;
    this.onfigures?.(true);
  }

  // What another tab left: its newest figures, or nothing more to do once the kitchen has them.
  private takeFromDrawer(): boolean {
    const left = drawer.find(this.id);
    if (left) {
      const { known, breadId, name, madeFor, spec, from } = left;
      this.known = known;
      this.from = from ?? null;
      this.figures = { breadId, name, madeFor, spec };
    } else this.keeping = "kept";
    return left !== null;
  }

  private remember(): void {
    if (this.keeping === "kept" || this.keeping === "new") drawer.remove(this.id);
    else drawer.put(this.unkept);
  }
}

/** The batches of this page that were opened or are not wholly kept, by their ids. */
class Keepers {
  private all = new SvelteMap<string, Keeper>();
  /** What the kitchen has not yet, to be listed. */
  unkept = $derived([...this.all.values()].filter((k) => !["kept", "new"].includes(k.keeping)));

  /** The one that works on this batch already, else a new one. */
  of(batch: Unkept, keeping: Keeping, keptAt: string | null = null): Keeper {
    const there = this.find(batch.id);
    if (there) return there;
    const keeper = new Keeper(batch, keeping, keptAt);
    this.all.set(batch.id, keeper);
    return keeper;
  }

  /** One with figures that the kitchen has not yet, in this page or left by another tab. */
  find(id: string): Keeper | undefined {
    const there = [...this.all.values()].find((k) => k.id === id);
    // The kitchen's word is newer than what lies kept here.
    if (there && !["kept", "new"].includes(there.keeping)) return there;
    const left = drawer.find(id);
    if (!left) return undefined;
    const keeper = new Keeper(left, "changed", null, false);
    this.all.set(id, keeper);
    return keeper;
  }

  /** Brings to the kitchen what was left unkept by a page that is gone, and lists what other tabs have not kept yet. */
  bringBack(): void {
    for (const { id } of drawer.all()) this.find(id);
    drawer.watch((id, there) => {
      const here = [...this.all.values()].find((k) => k.id === id);
      if (there && !here) this.find(id);
      // Another tab brought it to the kitchen.
      if (!there && here?.keeping === "unreachable") void here.keep();
    });
  }

  /** @param id Nothing: all may have been changed. */
  heard(id: string | null, version: string | null): void {
    for (const keeper of this.all.values()) if (id === null || keeper.id === id) void keeper.heard(id === null ? null : version);
  }
}

export const keepers = new Keepers();
