import type { Ingredient, LarderView, Limit, Units } from "./types";
import { api } from "./client";

/** The larder and the rules of what goes where: fetched at the start and again when it was changed. */
class Larder {
  view = $state.raw<LarderView | null>(null);
  byId = $derived(new Map<string, Ingredient>((this.view?.ingredients ?? []).map((i) => [i.id, i])));
  private limits = $derived(
    new Map<string, Limit>([...(this.view?.limits ?? []), ...(this.view?.logLimits ?? [])].map((l) => [l.field, l])),
  );
  private unitsSet = 0;
  private itemLimits = $derived(new Map<string, Limit>((this.view?.itemLimits ?? []).map((l) => [l.field, l])));

  async fetch(): Promise<void> {
    const { data } = await api.GET("/api/larder");
    this.view = data ?? this.view;
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

  /** Several presses in a row build on each other, whichever answer comes last. */
  async setUnits(change: Partial<Units>): Promise<void> {
    if (!this.view) return;
    const mine = ++this.unitsSet;
    const units = { ...this.view.units, ...change };
    this.view = { ...this.view, units };
    await api.PUT("/api/larder/units", { body: units });
    if (mine === this.unitsSet) await this.fetch();
  }
}

export const larder = new Larder();
