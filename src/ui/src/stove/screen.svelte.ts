import { onDestroy } from "svelte";
import { call } from "../api/call";
import { api } from "../api/client";
import type { PressBody, ServiceView } from "../api/types";
import { live } from "../live/live.svelte";
import { Alarm } from "./alarm";
import { storage } from "../storage.svelte";
import { type Press, presses, type Waiting } from "./presses.svelte";

const BEAT_MS = 200;
// With too many screens listening there is no line: then it is asked.
const ASKS_EVERY_MS = 3000;
const DRAWER = "ystrata.stove.";
// A service that was seen longer ago than this is over.
const OLDEST_MS = 24 * 3600_000;

/**
 * One service as this screen sees it. The state is the kitchen's; this screen only counts on between two words of it, by a clock that nobody
 * can put on or back. Everything it holds is let go when it is left; presses that wait go on by themselves.
 */
export class StoveScreen {
  view = $state.raw<ServiceView | null>(null);
  /** Seconds since the service began, by the kitchen's clock. */
  now = $state(0);
  missing = $state(false);
  private order = 0;
  /** When the newest word came, and what the kitchen's clock was then. */
  private mark = 0;
  private asked = -Infinity;
  private left = false;
  private readonly alarm = new Alarm(() => void this.due());

  constructor(readonly id: string) {
    presses.bringBack();
    this.bringBack();
    // Hidden, only the alarm looks: what another screen did meanwhile is not known before it has asked.
    const beat = setInterval(() => document.hidden || this.tick(), BEAT_MS);
    const stop = [
      live.want({ services: [id] }),
      live.on<ServiceView>("service", (view) => view.id === id && this.take(view)),
      live.on<{ id: string }>("missing", (gone) => gone.id === id && this.gone()),
      // A server that was started again counts its words anew.
      live.on("opened", () => (this.order = 0)),
      presses.on(id, (view) => this.take(view)),
      () => clearInterval(beat),
      () => this.alarm.end(),
    ];
    onDestroy(() => {
      this.left = true;
      for (const s of stop) s();
    });
  }

  /** Whether the kitchen is heard: timers run on and presses wait while it is not. */
  get heard(): boolean {
    return live.line !== "down" && live.line !== "outside" && !presses.away(this.id);
  }
  get full(): boolean {
    return live.line === "full";
  }

  get waiting(): Waiting[] {
    return presses.of(this.id);
  }

  /** Whether a press on this place, or this work, waits for its answer. */
  waits(part: Partial<Press>): boolean {
    return this.waiting.some((w) => !w.asked && Object.entries(part).every(([k, v]) => w.body[k as keyof Press] === v));
  }

  /** One of a kind that is still on its way, the newest. */
  private onItsWay(act: Press["act"]): PressBody | undefined {
    return this.waiting.findLast((w) => !w.asked && w.body.act === act)?.body;
  }

  /** How many hands there are once every press has arrived. */
  get people(): number {
    return this.onItsWay("hands")?.value ?? this.view?.sheet.people ?? 0;
  }

  /** Takes back the newest press that is not taken back yet, nor about to be; one that is still on its way is newer than any that was counted. */
  undoLast(): void {
    const stands = (id: string) => !this.waits({ act: "undo", undoes: id });
    const newest =
      this.waiting.findLast((w) => !w.asked && w.body.act !== "undo" && stands(w.body.id))?.body.id ??
      this.view?.sheet.past.find((p) => !p.undone && stands(p.event.id))?.event.id;
    if (newest) this.press({ act: "undo", undoes: newest });
  }

  press(press: Press): void {
    presses.press(this.id, press);
  }

  /** Looks again at this second of the service, also while the page is hidden. */
  ringAt(second: number | null): void {
    this.alarm.set(second === null ? null : Math.max((second - this.now) * 1000, 0));
  }

  private take(view: ServiceView): void {
    // A word that was overtaken by a newer one is old.
    if (this.left || view.order < this.order) return;
    this.order = view.order;
    this.show(view, performance.now());
    storage.set(DRAWER + this.id, JSON.stringify({ view, at: Date.now() }));
  }

  private show(view: ServiceView, mark: number): void {
    this.view = view;
    this.mark = mark;
    this.tick();
  }

  // The page was made anew, perhaps while the kitchen is away: the timers go on from what was last heard, until it is heard again.
  private bringBack(): void {
    const last = storage.read<{ view: ServiceView; at: number }>(DRAWER + this.id);
    const ago = last ? Date.now() - last.at : -1;
    if (last && ago >= 0 && ago < OLDEST_MS) this.show(last.view, performance.now() - ago);
    else storage.remove(DRAWER + this.id);
  }

  private gone(): void {
    this.missing = true;
    storage.remove(DRAWER + this.id);
  }

  private tick(): void {
    if (live.line === "full" && performance.now() - this.asked > ASKS_EVERY_MS) void this.ask();
    if (!this.view) return;
    const word = (Date.parse(this.view.sent) - Date.parse(this.view.openedAt)) / 1000;
    this.now = Math.max(word + (performance.now() - this.mark) / 1000, this.view.sheet.now);
  }

  // A hidden page hears nothing of what is pressed elsewhere: before it rings it looks whether that is still to be done.
  private async due(): Promise<void> {
    if (document.hidden) await this.ask();
    this.tick();
  }

  private async ask(): Promise<void> {
    this.asked = performance.now();
    const { data } = await call(() => api.GET("/api/services/{id}", { params: { path: { id: this.id } } }), { once: true });
    if (data) this.take(data);
  }
}
