import type { Ingredient, LarderView, Limit } from "./types";
import { api } from "./client";

/** The larder and the rules of what goes where, fetched once. */
class Larder {
  view = $state.raw<LarderView | null>(null);
  byId = $derived(new Map<string, Ingredient>((this.view?.ingredients ?? []).map((i) => [i.id, i])));
  private limits = $derived(
    new Map<string, Limit>([...(this.view?.limits ?? []), ...(this.view?.logLimits ?? [])].map((l) => [l.field, l])),
  );

  async fetch(): Promise<void> {
    const { data } = await api.GET("/api/larder");
    this.view = data ?? null;
  }

  /** The range of a field such as `fold.steps[2].mass`. */
  limit(field: string): Limit {
    return this.limits.get(field.replaceAll(/\[\d+\]/g, "[]")) ?? { field, least: 0, most: 1e6, unit: "" };
  }

  /** What a place such as `dough.flours[0].id` takes. */
  choices(field: string): Ingredient[] {
    const kinds = this.view?.kinds[field.replaceAll(/\[\d+\]/g, "[]")] ?? [];
    return (this.view?.ingredients ?? []).filter((i) => kinds.includes(i.kind));
  }
}

export const larder = new Larder();
