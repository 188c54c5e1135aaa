import { type Answer, call, type Trouble } from "../../api/call";
import { api, meant } from "../../api/client";
import { larder } from "../../api/larder.svelte";
import type { Ingredient, Refusal, Trait } from "../../api/types";
import { batch } from "../../bench/bench.svelte";
import { newId } from "../../ids";
import { m } from "../../paraglide/messages";
import { toaster, told } from "../../toast.svelte";
import { keepOver, type Row } from "../../versions/elsewhere.svelte";

type Figures = Omit<Ingredient, "origin" | "solids">;

// A flour needs to say how it behaves under the pin; a usual white one is a start.
const usualFlour = { strength: "white" as const, springback: 0.16, leastRest: 20 };
const USUAL_PACK_G = 1000;

// Where a line comes from and what is worked out of it are the kitchen's to say.
const rowOf = ({ origin: _, solids: __, ...figures }: Ingredient, version: string): Row<Figures> => ({ version, figures });

/** A line of the larder as it is written: one that is there, or a new one. */
export class Line {
  body = $state({} as Ingredient);
  price = $state<{ cost: number | null; pack: number | null }>({ cost: null, pack: null });
  trouble = $state.raw<Trouble | null>(null);
  refusals = $state.raw<Refusal[]>([]);
  /** By its field, what is typed and no number. */
  unread = $state<Record<string, boolean>>({});
  private readonly version: string;
  // Pressed again after an answer that was lost, it is one line.
  private readonly own = newId();
  private readonly asKept: string;

  constructor(
    readonly start: Ingredient,
    private readonly fresh: boolean,
  ) {
    this.version = larder.view?.itemVersions[start.id] ?? "";
    const figures = structuredClone(start);
    this.body = { ...figures, traits: figures.traits ?? null, lot: figures.lot ?? null };
    this.price = { cost: figures.price?.cost ?? null, pack: figures.price?.pack ?? USUAL_PACK_G };
    this.asKept = JSON.stringify(this.figures());
  }

  get unkept(): boolean {
    return this.fresh || JSON.stringify(this.figures()) !== this.asKept;
  }
  get stumbles(): boolean {
    return Object.values(this.unread).some(Boolean);
  }
  get flour() {
    return this.body.traits ?? usualFlour;
  }
  /** What nobody has said of it is what its kind usually is. */
  get marks(): readonly Trait[] {
    return this.body.marks ?? larder.view?.usualTraits.find((k) => k.kind === this.body.kind)?.traits ?? [];
  }
  refusalOf = (field: string): Refusal | undefined => this.refusals.find((r) => r.field === field);

  /** @returns the line as it is kept, or nothing where it is not */
  async keep(): Promise<Ingredient | null> {
    if (this.stumbles) return null;
    const figures = this.figures();
    const { data, trouble } = await (this.fresh ? this.add(figures, this.own) : this.put(rowOf(this.start, this.version), figures));
    this.refusals = trouble?.kind === "refused" ? trouble.refusals : [];
    this.trouble = trouble && trouble.kind !== "refused" ? trouble : null;
    if (!data) return null;
    await refresh();
    toaster.say(m.item_kept({ name: data.name }));
    return data;
  }

  /** An own line goes, a shipped one gets its shipped values back; both with a way back. @returns whether it was done */
  async remove(back: (id: string) => void): Promise<boolean> {
    const { id, name, origin } = this.start;
    const path = { id };
    const { trouble } = await call(() => api.DELETE("/api/larder/items/{id}", { params: { path, header: meant(this.version) } }));
    if (trouble && trouble.kind !== "missing") {
      this.trouble = trouble;
      return false;
    }
    await refresh();
    toaster.say(origin === "own" ? m.deleted({ name }) : m.item_reset({ name }), async () => {
      const { trouble: still } = await told(
        m.undo(),
        call(() => api.POST("/api/larder/items/{id}/restore", { params: { path } })),
      );
      if (still) return;
      await refresh();
      back(id);
    });
    return true;
  }

  private figures(): Figures {
    const { cost, pack } = this.price;
    const { origin: _, solids: __, ...figures } = $state.snapshot(this.body);
    const isFlour = figures.kind === "flour";
    return {
      ...figures,
      traits: isFlour ? (figures.traits ?? usualFlour) : null,
      absorption: isFlour ? (figures.absorption ?? null) : null,
      price: cost === null ? null : { cost, pack: pack ?? USUAL_PACK_G },
    };
  }

  private put(from: Row<Figures>, to: Figures): Promise<Answer<Ingredient>> {
    const send = (version: string, body: Figures) => {
      const params = { path: { id: from.figures.id }, header: meant(version) };
      return call(() => api.PUT("/api/larder/items/{id}", { params, body: { ...this.start, ...body } }));
    };
    const second = (body: Figures) => this.add({ ...body, name: m.name_here({ name: body.name }).slice(0, 80) }, newId());
    return keepOver<Figures, Ingredient>({ from, to, send, rowOf, name: this.start.name, second });
  }

  private async add(figures: Figures, id: string): Promise<Answer<Ingredient>> {
    const answer = await call(() => api.POST("/api/larder/items", { body: { ...this.start, ...figures, id } }));
    if (answer.trouble?.kind !== "stale" || !answer.trouble.now) return answer;
    // It was kept by a request whose answer was lost: from there on it is changed.
    const row = rowOf(answer.trouble.now as Ingredient, answer.trouble.version);
    return this.put(row, { ...figures, id: row.figures.id });
  }
}

async function refresh(): Promise<void> {
  await larder.fetch();
  batch.again();
}
