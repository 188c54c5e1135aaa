import type { Ingredient, LarderView, Limit, Units } from "./types";
import { api } from "./client";

/** The larder and the rules of what goes where: fetched at the start and again when it was changed. */
class Larder {
  view = $state.raw<LarderView | null>(null);
  byId = $derived(new Map<string, Ingredient>((this.view?.ingredients ?? []).map((i) => [i.id, i])));
  private limits = $derived(
    new Map<string, Limit>([...(this.view?.limits ?? []), ...(this.view?.logLimits ?? [])].map((l) => [l.field, l])),
  );
  private unitsChosen: Units | null = null;
  private unitsOnTheWay: Promise<void> | null = null;
  private itemLimits = $derived(new Map<string, Limit>((this.view?.itemLimits ?? []).map((l) => [l.field, l])));

  async fetch(): Promise<void> {
    const { data } = await api.GET("/api/larder");
    if (data) this.view = { ...data, units: this.unitsChosen ?? data.units };
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
  async setUnits(change: Partial<Units>): Promise<void> {
    if (!this.view) return;
    this.unitsChosen = { ...this.view.units, ...change };
    this.view = { ...this.view, units: this.unitsChosen };
    this.unitsOnTheWay ??= this.sendUnits();
    await this.unitsOnTheWay;
  }

  private async sendUnits(): Promise<void> {
    addEventListener("pagehide", this.putUnits);
    let sent;
    do {
      sent = this.unitsChosen;
      await this.putUnits();
      await this.fetch();
    } while (sent !== this.unitsChosen);
    removeEventListener("pagehide", this.putUnits);
    this.unitsChosen = null;
    this.unitsOnTheWay = null;
  }

  private putUnits = async (): Promise<void> => {
    if (this.unitsChosen) await api.PUT("/api/larder/units", { body: this.unitsChosen, keepalive: true });
  };
}

export const larder = new Larder();
