import { SvelteMap } from "svelte/reactivity";
import { changes } from "../api/changes.svelte";
import { api, refusalsOf } from "../api/client";
import type { BatchSpec, Refusal } from "../api/types";
import { newId } from "../ids";
import { drawer, type Figures, type Unkept } from "./drawer";

export type Keeping = "new" | "changed" | "keeping" | "kept" | "refused" | "unreachable";

const KEEP_AFTER_MS = 500;
const TRY_AGAIN_MS = 3000;

/** One tab at a time brings a batch to the kitchen, where the browser has locks (it has none for pages that came over plain HTTP from afar). */
const alone = async (id: string, what: () => Promise<void>): Promise<void> =>
  navigator.locks ? await navigator.locks.request(`ystrata.keep.${id}`, what) : await what();

/**
 * Brings one batch's figures to the kitchen: one request is under way at a time, and while it is, only the newest figures wait. It is this
 * batch's alone and goes on by itself when another one is laid on the bench, so that no answer ever reaches another batch.
 */
export class Keeper {
  id = $state("");
  keeping = $state<Keeping>("new");
  keptAt = $state<string | null>(null);
  refusals = $state.raw<Refusal[]>([]);
  /** Whether the kitchen has it at all, if with older figures. */
  known = $state(false);
  /** Told when the kitchen first has it, and when it gets another id since the one it had was deleted under the cook's hands. */
  onknown: ((id: string) => void) | undefined;
  figures: Figures;
  good: BatchSpec | undefined;
  private saving: Promise<void> | null = null;
  private timer: ReturnType<typeof setTimeout> | undefined;

  /** @param own This page's own; what another tab left is only carried, as that tab left it. */
  constructor(
    { id, known, good, ...figures }: Unkept,
    keeping: Keeping,
    keptAt: string | null = null,
    private own = true,
  ) {
    this.id = id;
    this.known = known;
    this.figures = figures;
    this.good = good;
    this.keeping = keeping;
    this.keptAt = keptAt;
    if (keeping === "changed") this.keepSoon();
  }

  get unkept(): Unkept {
    return { id: this.id, known: this.known, good: this.good, ...this.figures };
  }

  changed(figures: Figures): void {
    this.figures = figures;
    this.own = true;
    this.keeping = "changed";
    this.remember();
    this.keepSoon();
  }

  /** Sees to it that the kitchen has the newest figures. @returns whether it has */
  async keep(): Promise<boolean> {
    clearTimeout(this.timer);
    while (this.saving) await this.saving;
    if (this.keeping !== "kept") {
      this.saving = this.save();
      await this.saving;
    }
    return (this.keeping as Keeping) === "kept";
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
        let answer = await this.send();
        if (answer.status === 409) {
          // It was kept by a request whose answer was lost: from here on it is changed.
          this.known = true;
          answer = await this.send();
        }
        if (answer.status === 404) {
          // A batch that was deleted meanwhile but is still worked on is kept as a new one.
          drawer.remove(this.id);
          this.id = newId();
          this.known = false;
          answer = await this.send();
        }
        if (answer.status >= 500) throw new Error("no answer");
        this.answered(answer.keptAt, answer.refusals);
      });
    } catch {
      this.keeping = "unreachable";
      this.keepSoon(TRY_AGAIN_MS);
    } finally {
      this.saving = null;
      this.remember();
    }
  }

  private async send() {
    const { id, figures } = this;
    const { data, error, response } = this.known
      ? await api.PUT("/api/batches/{id}", { params: { path: { id } }, body: figures })
      : await api.POST("/api/batches", { body: { ...figures, id } });
    return { status: response.status, keptAt: data?.changedAt ?? null, refusals: data ? [] : refusalsOf(error) };
  }

  // What another tab left: its newest figures, or nothing more to do once the kitchen has them.
  private takeFromDrawer(): boolean {
    const left = drawer.find(this.id);
    if (left) {
      const { known, breadId, name, madeFor, spec } = left;
      this.known = known;
      this.figures = { breadId, name, madeFor, spec };
    } else this.keeping = "kept";
    return left !== null;
  }

  // Figures changed meanwhile are kept with the next round.
  private answered(keptAt: string | null, refusals: Refusal[]): void {
    const newest = (this.keeping as Keeping) === "keeping";
    if (keptAt !== null) {
      const first = !this.known;
      this.known = true;
      this.keptAt = keptAt;
      this.refusals = [];
      changes.shelf++;
      if (newest) this.keeping = "kept";
      if (first) this.onknown?.(this.id);
    } else if (newest) {
      this.keeping = "refused";
      this.refusals = refusals.map((r) => ({ ...r, field: r.field.replace(/^spec\./, "") }));
    }
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

  /** Brings to the kitchen what was left unkept by a page that is gone. */
  bringBack(): void {
    for (const { id } of drawer.all()) this.find(id);
  }
}

export const keepers = new Keepers();
