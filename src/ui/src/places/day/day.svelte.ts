import { call } from "../../api/call";
import { api, meant } from "../../api/client";
import { changes } from "../../api/changes.svelte";
import { Fetched } from "../../api/fetched.svelte";
import type { BatchView, DaySpec, DayView, Refusal } from "../../api/types";
import { m } from "../../paraglide/messages";
import { toaster, told } from "../../toast.svelte";
import { keepOver, type Row } from "../../versions/elsewhere.svelte";
import { span } from "../../words/clock";
import { boundsOf, day as dayWords, later } from "../../words/format";

/** One day as the kitchen works it out, and what is said of it here. Changes are kept one after the other, each over what stands then. */
export class DayOf {
  readonly fetched: Fetched<DayView>;
  /** As it was said last, kept yet or not. */
  private said = $state.raw<DaySpec | null>(null);
  private keeping: Promise<void> = Promise.resolve();
  private waiting = 0;
  /** What was kept last, until it is shown. */
  private kept: Row<DaySpec> | null = null;
  private refusals = $state.raw<Refusal[]>([]);
  readonly bounds: { from: string; until: string };

  constructor(readonly day: string) {
    this.bounds = boundsOf(day);
    this.fetched = new Fetched(() => call(() => api.GET("/api/days/{day}", { params: { path: { day }, query: this.bounds } })));
  }

  get view() {
    return this.fetched.data;
  }
  get spec(): DaySpec {
    return this.said ?? this.view?.spec ?? {};
  }

  /** Where the same day is to be had as a file. */
  file(name: string, more = ""): string {
    return `/api/days/${this.day}/${name}?from=${this.bounds.from}&until=${this.bounds.until}${more}`;
  }

  /** Pairs of hands or pans there are; nothing for what the batches count on. */
  there(what: "people" | "pans", count: number | null): void {
    this.change({ ...this.spec, [what]: count });
  }

  /** What there is of one thing; nothing where nobody knows. */
  atHand(id: string, mass: number | null): void {
    const others = (this.spec.atHand ?? []).filter((a) => a.id !== id);
    this.change({ ...this.spec, atHand: mass === null ? others : [...others, { id, mass }] });
  }

  /** Why what was said of one place cannot be; of a thing at hand by its id. */
  refusalOf(place: "people" | "pans" | { id: string }): Refusal | undefined {
    const field = typeof place === "string" ? place : `atHand[${(this.spec.atHand ?? []).findIndex((a) => a.id === place.id)}].mass`;
    return this.refusals.find((r) => r.field === field);
  }

  private change(spec: DaySpec): void {
    this.said = spec;
    this.waiting++;
    this.keeping = this.keeping.then(() => this.keep(spec));
  }

  // What is refused stays as it was typed, and nothing of it is kept.
  private async keep(spec: DaySpec): Promise<void> {
    const from = this.kept ?? { version: this.view?.version ?? "", figures: this.view?.spec ?? {} };
    const answer = await keepOver<DaySpec, DaySpec>({
      from,
      to: spec,
      send: (version, body) =>
        call(() => api.PUT("/api/days/{day}", { params: { path: { day: this.day }, header: meant(version) }, body })),
      rowOf: (figures, version) => ({ version, figures }),
      name: dayWords(this.bounds.from),
    });
    this.waiting--;
    const refused = answer.trouble?.kind === "refused";
    this.refusals = answer.trouble?.kind === "refused" ? answer.trouble.refusals : [];
    if (answer.trouble && !refused) toaster.trouble(m.day_keep(), answer.trouble);
    if (!answer.trouble) this.kept = { version: answer.version, figures: answer.data };
    if (this.waiting > 0 || refused) return;
    await this.fetched.fetch();
    if (this.waiting === 0) [this.said, this.kept] = [null, null];
  }

  /** Has a batch's table so many seconds later, or earlier: so it is in nobody's way. */
  async move(id: string, seconds: number): Promise<void> {
    const batch = await this.shift(id, seconds);
    if (!batch) return;
    toaster.say(m.day_moved({ name: batch.name, time: span(Math.abs(seconds)), way: seconds < 0 ? "earlier" : "later" }), async () => {
      await this.shift(id, -seconds);
    });
  }

  private async shift(id: string, seconds: number): Promise<BatchView | null> {
    const path = { id };
    const { data } = await told(
      m.day_move(),
      call(() => api.GET("/api/batches/{id}", { params: { path } })),
    );
    if (!data) return null;
    const { breadId, name, spec, version } = data;
    const body = { breadId: breadId ?? null, name, spec, madeFor: later(data.madeFor, seconds) };
    const kept = await told(
      m.day_move(),
      call(() => api.PUT("/api/batches/{id}", { params: { path, header: meant(version) }, body })),
    );
    changes.tell("batches");
    return kept.data;
  }
}
