import { onDestroy } from "svelte";
import { api } from "./api/client";
import type { PressBody, ServiceView, StoveRefusal } from "./api/types";
import { newId } from "./ids";
import { storage } from "./storage.svelte";

type Press = Omit<PressBody, "id" | "ago">;
interface Waiting {
  body: PressBody;
  at: number;
}

const TRY_AGAIN_MS = 1500;
const BEAT_MS = 200;
// The kitchen speaks every few seconds: silent for longer than this, the line is dead.
const SILENT_MS = 12_000;
const DRAWER = "ystrata.presses.1";

/**
 * One service as this screen sees it. The state is the kitchen's; this screen only counts down between two words of it, by the kitchen's
 * clock. A press is shown as done when the kitchen has it; until then it waits, also through a reload, and is sent again with the same id.
 */
export class StoveScreen {
  view = $state.raw<ServiceView | null>(null);
  /** Seconds since the service began, by the kitchen's clock. */
  now = $state(0);
  heard = $state(true);
  waiting = $state.raw<Waiting[]>([]);
  refused = $state.raw<StoveRefusal | null>(null);
  missing = $state(false);
  private ahead = 0;
  private lastWord = Date.now();
  private source: EventSource | null = null;
  private sending = false;
  private beat: ReturnType<typeof setInterval>;
  private readonly drawer: string;

  constructor(readonly id: string) {
    this.drawer = `${DRAWER}.${id}`;
    try {
      this.waiting = JSON.parse(storage.get(this.drawer) ?? "[]") as Waiting[];
    } catch {
      storage.remove(this.drawer);
    }
    this.listen();
    this.beat = setInterval(() => this.tick(), BEAT_MS);
    if (this.waiting.length > 0) void this.send();
    onDestroy(() => {
      clearInterval(this.beat);
      this.source?.close();
    });
  }

  /** Whether a press on this place, or this work, waits for its answer. */
  waits(part: Partial<Press>): boolean {
    return this.waiting.some((w) => Object.entries(part).every(([k, v]) => w.body[k as keyof Press] === v));
  }

  /** One of a kind that is still on its way, the newest. */
  private onItsWay(act: Press["act"]): PressBody | undefined {
    return this.waiting.findLast((w) => w.body.act === act)?.body;
  }

  /** How many hands there are once every press has arrived. */
  get people(): number {
    return this.onItsWay("hands")?.value ?? this.view?.sheet.people ?? 0;
  }

  /** Takes back the newest press that is not taken back yet, nor about to be; one that is still on its way is newer than any that was counted. */
  undoLast(): void {
    const stands = (id: string) => !this.waits({ act: "undo", undoes: id });
    const newest =
      this.waiting.findLast((w) => w.body.act !== "undo" && stands(w.body.id))?.body.id ??
      this.view?.sheet.past.find((p) => !p.undone && stands(p.event.id))?.event.id;
    if (newest) this.press({ act: "undo", undoes: newest });
  }

  press(press: Press): void {
    this.waiting = [...this.waiting, { body: { ...press, id: newId() }, at: Date.now() }];
    this.remember();
    void this.send();
  }

  // One at a time and in their order; the ids make a press that was answered unheard count once.
  private async send(): Promise<void> {
    if (this.sending) return;
    this.sending = true;
    try {
      while (this.waiting.length > 0) {
        const { body, at } = this.waiting[0]!;
        const ago = Math.min(Math.max((Date.now() - at) / 1000, 0), 3600);
        const { data, error, response } = await api.POST("/api/services/{id}/events", {
          params: { path: { id: this.id } },
          body: { ...body, ago: ago < 2 ? 0 : Math.round(ago) },
        });
        if (!data && response.status >= 500) throw new Error("no answer");
        this.waiting = this.waiting.slice(1);
        this.remember();
        // An answer that was overtaken by a newer word is old.
        if (data && !(this.view && Date.parse(data.service.sent) < Date.parse(this.view.sent))) this.take(data.service);
        this.refused = data ? null : ((error as { code?: StoveRefusal } | undefined)?.code ?? "notTold");
      }
    } catch {
      this.heard = false;
      setTimeout(() => void this.send(), TRY_AGAIN_MS);
    } finally {
      this.sending = false;
    }
  }

  private listen(): void {
    this.source?.close();
    const source = (this.source = new EventSource(`/api/services/${this.id}/stream`));
    source.onmessage = (event) => this.take(JSON.parse(event.data as string) as ServiceView);
    source.onerror = async () => {
      this.heard = false;
      if (source.readyState !== EventSource.CLOSED) return;
      // The browser has given up: nothing is there by that name, or the kitchen is down.
      const found = await api.GET("/api/services/{id}", { params: { path: { id: this.id } } }).catch(() => null);
      this.missing = found?.response.status === 404;
      if (!this.missing) setTimeout(() => this.listen(), TRY_AGAIN_MS);
    };
  }

  private take(view: ServiceView): void {
    this.view = view;
    this.ahead = Date.parse(view.sent) - Date.now();
    this.lastWord = Date.now();
    this.heard = true;
    this.tick();
  }

  private tick(): void {
    if (!this.view) return;
    this.now = Math.max((Date.now() + this.ahead - Date.parse(this.view.openedAt)) / 1000, this.view.sheet.now);
    if (Date.now() - this.lastWord > SILENT_MS && this.heard) {
      this.heard = false;
      this.listen();
    }
  }

  private remember(): void {
    if (this.waiting.length === 0) storage.remove(this.drawer);
    else storage.set(this.drawer, JSON.stringify(this.waiting));
  }
}
