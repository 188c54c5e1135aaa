import { type Answer, call, type Trouble } from "../../api/call";
import { api, meant } from "../../api/client";
import type { LogView, Outcome, Refusal } from "../../api/types";
import { newId } from "../../ids";
import { storage } from "../../storage.svelte";
import { keepOver, type Row } from "../../versions/elsewhere.svelte";
import { nothing } from "./figures";

/** What of an entry is written. */
interface Written {
  cookedAt: string;
  outcome: Outcome;
  photoId: string | null;
}
/** As it lies in the browser until it is kept: with what it was made from, so that it meets what others wrote meanwhile. */
interface Left extends Written {
  id: string;
  from: Row<Written> | null;
}

const now = () => new Date().toISOString();
const rowOf = (view: LogView): Row<Written> => ({
  version: view.version,
  figures: { cookedAt: new Date(view.cookedAt).toISOString(), outcome: view.outcome, photoId: view.photoId ?? null },
});

/** An entry of the log as it is written: one that is there, or a new one of a batch. What is not kept yet lies in the browser. */
export class Writing {
  outcome = $state<Outcome>(structuredClone(nothing));
  cookedAt = $state("");
  photoId = $state<string | null>(null);
  name = $state("");
  planned = $state.raw<LogView["planned"]>(null);
  glance = $state.raw<LogView["glance"]>(null);
  refusals = $state.raw<Refusal[]>([]);
  /** By its field, what is typed and no number. */
  unread = $state<Record<string, boolean>>({});
  /** There is no such batch. */
  missing = $state(false);
  keeping = $state(false);
  trouble = $state.raw<Trouble | null>(null);
  readonly batchId: string;
  private readonly left: Left;
  private readonly drawer: string;
  private readonly asKept: Left;

  constructor(line: LogView | undefined, batchId: string | undefined) {
    this.batchId = line?.batchId ?? batchId ?? "";
    this.drawer = `ystrata.log.${line?.id ?? batchId}`;
    this.asKept = line
      ? { id: line.id, from: rowOf(line), ...structuredClone(rowOf(line).figures) }
      : { id: newId(), from: null, cookedAt: now(), outcome: structuredClone(nothing), photoId: null };
    this.left = this.remembered();
    ({ outcome: this.outcome, cookedAt: this.cookedAt, photoId: this.photoId } = this.left);
    [this.name, this.planned, this.glance] = [line?.batchName ?? "", line?.planned ?? null, line?.glance ?? null];
    if (!line && batchId) void this.fetchPlan();
  }

  get unkept(): boolean {
    const { cookedAt, outcome, photoId } = this.asKept;
    return JSON.stringify(this.written()) !== JSON.stringify({ cookedAt, outcome, photoId } satisfies Written);
  }
  get stumbles(): boolean {
    return Object.values(this.unread).some(Boolean);
  }
  refusalOf = (field: string): Refusal | undefined => this.refusals.find((r) => r.field === `outcome.${field}`);

  /** What was written but not kept yet outlives a reload. */
  remember(): void {
    const { id, from } = this.left;
    if (this.unkept) storage.set(this.drawer, JSON.stringify({ id, from, ...this.written() } satisfies Left));
    else storage.remove(this.drawer);
  }

  async fetchPlan(): Promise<void> {
    const path = { id: this.batchId };
    const { data, trouble } = await call(() => api.GET("/api/batches/{id}/planned", { params: { path } }));
    this.missing = trouble?.kind === "missing";
    this.trouble = trouble && !this.missing ? trouble : null;
    if (!data) return;
    ({ batchName: this.name, planned: this.planned = null, glance: this.glance = null } = data);
    // What bench, scale and stove know needs no retyping; what was written before they did stays.
    const { used, timed, yields, hands } = data.gathered;
    const fill = <T extends object>(mine: T, theirs: T) => {
      for (const key of Object.keys(theirs) as (keyof T)[]) mine[key] ??= theirs[key];
    };
    fill(this.outcome.used, used);
    fill(this.outcome.timed, timed);
    this.outcome.yields ??= yields ?? null;
    this.outcome.hands ??= hands ?? null;
  }

  /** @returns the entry as it is kept, or nothing where it is not */
  async keep(): Promise<LogView | null> {
    if (this.keeping || this.stumbles) return null;
    this.keeping = true;
    const { id, from } = this.left;
    const { data, trouble } = await (from ? this.put(id, from, this.written()) : this.add(id, this.written()));
    this.keeping = false;
    this.refusals = trouble?.kind === "refused" ? trouble.refusals : [];
    this.trouble = trouble && trouble.kind !== "refused" ? trouble : null;
    if (data) storage.remove(this.drawer);
    return data;
  }

  private written(): Written {
    return { cookedAt: this.cookedAt, outcome: $state.snapshot(this.outcome), photoId: this.photoId };
  }

  private remembered(): Left {
    try {
      const { outcome: o, ...rest } = JSON.parse(storage.get(this.drawer) ?? "") as Left;
      const whole = { ...nothing, ...o, used: { ...nothing.used, ...o.used }, judged: { ...nothing.judged, ...o.judged } };
      return { ...this.asKept, ...rest, outcome: whole };
    } catch {
      return structuredClone(this.asKept);
    }
  }

  private put(id: string, from: Row<Written>, to: Written): Promise<Answer<LogView>> {
    const send = (version: string, w: Written) => {
      const params = { path: { id }, header: meant(version) };
      return call(() => api.PUT("/api/log/{id}", { params, body: { batchId: this.batchId, ...w } }));
    };
    return keepOver<Written, LogView>({ from, to, send, rowOf, name: this.name, second: (w) => this.add(newId(), w) });
  }

  private async add(id: string, w: Written): Promise<Answer<LogView>> {
    const answer = await call(() => api.POST("/api/log", { body: { batchId: this.batchId, ...w, id } }));
    if (answer.trouble?.kind !== "stale" || !answer.trouble.now) return answer;
    // It was kept by a request whose answer was lost: from there on it is changed.
    return this.put(id, rowOf(answer.trouble.now as LogView), w);
  }
}
