import { keepOver, type Row } from "../versions/elsewhere.svelte";
import { merge } from "../versions/merge";
import { m } from "../paraglide/messages";
import { storage } from "../storage.svelte";
import { toaster } from "../toast.svelte";
import { type Answer, call, type Trouble } from "./call";
import { api, meant } from "./client";
import type { Ingredient, LarderView, Limit, Units } from "./types";

const ASK_AGAIN_MS = 3000;
const DRAWER = "ystrata.larder";

/** The larder and the rules of what goes where: fetched at the start and again when it was changed. */
class Larder {
  view = $state.raw<LarderView | null>(null);
  /** Why there is none, or none anew. */
  trouble = $state.raw<Trouble | null>(null);
  byId = $derived(new Map<string, Ingredient>((this.view?.ingredients ?? []).map((i) => [i.id, i])));
  private limits = $derived(
    new Map<string, Limit>([...(this.view?.limits ?? []), ...(this.view?.logLimits ?? [])].map((l) => [l.field, l])),
  );
  private unitsChosen: Units | null = null;
  /** The units as the kitchen has them. */
  private kept: Row<Units> | null = null;
  private unitsOnTheWay: Promise<void> | null = null;
  private timer: ReturnType<typeof setTimeout> | undefined;
  private asked = 0;
  private answered = 0;
  private itemLimits = $derived(new Map<string, Limit>((this.view?.itemLimits ?? []).map((l) => [l.field, l])));

  async fetch(): Promise<void> {
    clearTimeout(this.timer);
    const mine = ++this.asked;
    const { data, trouble } = await call(() => api.GET("/api/larder"));
    // An answer that was overtaken says what was.
    if (mine < this.answered) return;
    this.answered = mine;
    this.trouble = trouble;
    if (data) {
      this.kept = { version: data.unitsVersion, figures: data.units };
      this.view = { ...data, units: this.unitsChosen ?? data.units };
      storage.set(DRAWER, JSON.stringify(data));
    } else {
      // A screen that is outside begins anew when it is let in.
      if (trouble?.kind === "outside") return storage.remove(DRAWER);
      // Pages open also while the kitchen is away, with its larder as it was last seen here; it is asked for until it answers.
      if (trouble?.kind === "away") this.view ??= storage.read<LarderView>(DRAWER);
      this.timer = setTimeout(() => void this.fetch(), ASK_AGAIN_MS);
    }
  }

  /** The range of a field such as `fold.steps[2].mass`. */
  limit(field: string): Limit {
    return this.limits.get(field.replaceAll(/\[\d+\]/g, "[]")) ?? { field, least: 0, most: 1e6, unit: "" };
  }

  /** The range of a figure of a line of the larder. */
  itemLimit(field: string): Limit {
    return this.itemLimits.get(field) ?? { field, least: 0, most: 1e6, unit: "" };
  }

  /** What a place such as `dough.flours[0].id` takes. What was taken out of the larder is not offered. */
  choices(field: string): Ingredient[] {
    const kinds = this.view?.kinds[field.replaceAll(/\[\d+\]/g, "[]")] ?? [];
    return (this.view?.ingredients ?? []).filter((i) => i.origin !== "gone" && kinds.includes(i.kind));
  }

  /**
   * Several presses in a row build on each other: one is on its way at a time and the newest goes last, even when the page is left.
   * Until the larder is back with them, no answer from before takes a choice away.
   */
  async setUnits(change: { [K in keyof Units]?: Units[K] | undefined }): Promise<void> {
    if (!this.view) return;
    this.unitsChosen = { ...this.view.units, ...change } as Units;
    this.view = { ...this.view, units: this.unitsChosen };
    this.unitsOnTheWay ??= this.sendUnits();
    await this.unitsOnTheWay;
  }

  private async sendUnits(): Promise<void> {
    addEventListener("pagehide", this.putLast);
    while (this.unitsChosen && this.kept) {
      const sent = this.unitsChosen;
      const from = this.kept;
      const { trouble } = await keepOver<Units, Units>({
        from,
        to: sent,
        send: putUnits,
        rowOf: (figures, version) => ({ version, figures }),
        name: m.larder_cups(),
      });
      if (trouble) toaster.trouble(m.larder_cups(), trouble);
      await this.fetch();
      if (sent !== this.unitsChosen) {
        this.unitsChosen = merge(from.figures, this.unitsChosen, this.kept.figures).with("mine");
        continue;
      }
      this.unitsChosen = null;
      // What could not be kept is not shown as if it were.
      if (this.view) this.view = { ...this.view, units: this.kept.figures };
    }
    removeEventListener("pagehide", this.putLast);
    this.unitsOnTheWay = null;
  }

  private putLast = (): void => {
    if (this.unitsChosen && this.kept) void putUnits(this.kept.version, this.unitsChosen);
  };
}

const putUnits = (version: string, body: Units): Promise<Answer<Units>> =>
  call(() => api.PUT("/api/larder/units", { params: { header: meant(version) }, body, keepalive: true }));

export const larder = new Larder();
