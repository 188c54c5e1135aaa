import { call, passes } from "../api/call";
import { api } from "../api/client";
import type { PressBody, ServiceView, StoveRefusal } from "../api/types";
import { newId } from "../ids";
import { storage } from "../storage.svelte";

export type Press = Omit<PressBody, "id" | "ago">;

/** A press the kitchen has not counted yet. */
export interface Waiting {
  service: string;
  body: PressBody;
  /** By this machine's clock, which may be put right meanwhile. */
  at: number;
  /** By the clock of this page, which only runs forwards; nothing for one from before a reload. */
  mark: number | null;
  /** So old, or its age so uncertain, that the cook has to say what becomes of it. */
  asked: boolean;
}

const DRAWER = "ystrata.press.2.";
const TRY_AGAIN_MS = 1500;
/** A press that waited for longer is not counted without a word. */
const OLD_MS = 3600_000;
/** The kitchen takes none that is older. */
const OLDEST_MS = 24 * 3600_000;
/** The machine's clock and the page's agree within this, or one of them was put on or stood still. */
const CLOCKS_AGREE_MS = 60_000;
const AT_ONCE_S = 2;

const keyOf = (w: Waiting) => `${DRAWER}${w.service}.${w.body.id}`;

function read(key: string): Waiting | null {
  try {
    const { service, body, at } = JSON.parse(storage.get(key) ?? "") as Waiting;
    return { service, body, at, mark: null, asked: false };
  } catch {
    storage.remove(key);
    return null;
  }
}

/**
 * Presses on their way: each waits in the browser until the kitchen has counted it, whatever is on the screen and also through a reload, and is
 * sent again with the same id. In their order, one at a time for each service.
 */
class Presses {
  private all = $state.raw<Waiting[]>([]);
  /** Why the last press of a service was not counted. */
  private refusals = $state<Record<string, StoveRefusal | null>>({});
  private unheard = $state<Record<string, boolean>>({});
  private sending = new Set<string>();
  private answered: { service: string; told: (view: ServiceView) => void }[] = [];
  private begun = false;

  of(service: string): Waiting[] {
    return this.all.filter((w) => w.service === service);
  }

  refusalOf(service: string): StoveRefusal | null {
    return this.refusals[service] ?? null;
  }
  /** It has been seen. */
  forgetRefusal(service: string): void {
    this.refusals[service] = null;
  }

  /** The last press did not reach the kitchen. */
  away(service: string): boolean {
    return this.unheard[service] ?? false;
  }

  /** What was left by pages that are gone. */
  bringBack(): void {
    if (this.begun) return;
    this.begun = true;
    const left = storage.keys(DRAWER).flatMap((key) => read(key) ?? []);
    this.all = [...this.all, ...left.toSorted((a, b) => a.at - b.at)];
    // Another page of this browser makes and counts presses too.
    addEventListener("storage", ({ key, newValue }) => {
      if (!key?.startsWith(DRAWER)) return;
      const there = this.all.find((w) => keyOf(w) === key);
      if (newValue === null && there) this.all = this.all.filter((w) => w !== there);
      else if (newValue !== null && !there) this.all = [...this.all, ...[read(key) ?? []].flat()].toSorted((a, b) => a.at - b.at);
    });
    for (const service of new Set(this.all.map((w) => w.service))) void this.send(service);
  }

  press(service: string, press: Press): void {
    const waiting: Waiting = { service, body: { ...press, id: newId() }, at: Date.now(), mark: performance.now(), asked: false };
    this.all = [...this.all, waiting];
    storage.set(keyOf(waiting), JSON.stringify(waiting));
    void this.send(service);
  }

  /** What becomes of one that was asked about. */
  settle(old: Waiting, how: "then" | "now" | "never"): void {
    if (how === "never") this.done(old);
    else {
      const at = how === "now" ? { at: Date.now(), mark: performance.now() } : { mark: null };
      this.all = this.all.map((w) =>
        w.body.id === old.body.id ? { ...w, ...at, asked: false, body: { ...w.body, ago: how === "then" ? agoOf(old) : 0 } } : w,
      );
      void this.send(old.service);
    }
  }

  /** Whether the kitchen could still count it when it was pressed. */
  couldBeThen(old: Waiting): boolean {
    const age = Date.now() - old.at;
    return age >= 0 && age <= OLDEST_MS;
  }

  /** Tells every answer about a service. @returns a way to stop */
  on(service: string, told: (view: ServiceView) => void): () => void {
    const one = { service, told };
    this.answered.push(one);
    return () => {
      this.answered = this.answered.filter((a) => a !== one);
    };
  }

  private async send(service: string): Promise<void> {
    if (this.sending.has(service)) return;
    this.sending.add(service);
    for (let next; (next = this.next(service));) {
      const { body } = next;
      const answer = await call(() =>
        api.POST("/api/services/{id}/events", { params: { path: { id: service } }, body: { ...body, ago: body.ago ?? agoOf(next!) } }),
      );
      // It waits also where this screen was sent away: let in again, the page begins anew and sends it.
      if (answer.trouble && (passes(answer.trouble) || answer.trouble.kind === "outside")) {
        this.unheard[service] = true;
        if (passes(answer.trouble)) setTimeout(() => void this.send(service), TRY_AGAIN_MS);
        break;
      }
      this.unheard[service] = false;
      this.done(next);
      this.refusals[service] = answer.trouble
        ? (((answer.trouble as { code?: string }).code as StoveRefusal | undefined) ?? "notTold")
        : null;
      if (answer.data) for (const a of this.answered) if (a.service === service) a.told(answer.data.service);
    }
    this.sending.delete(service);
  }

  // The first that need not be asked about; newer ones do not wait for an answer of the cook's.
  private next(service: string): Waiting | undefined {
    this.all = this.all.map((w) =>
      w.service === service && !w.asked && w.body.ago === undefined && uncertain(w) ? { ...w, asked: true } : w,
    );
    return this.all.find((w) => w.service === service && !w.asked);
  }

  private done(one: Waiting): void {
    storage.remove(keyOf(one));
    this.all = this.all.filter((w) => w.body.id !== one.body.id);
  }
}

function uncertain({ at, mark }: Waiting): boolean {
  const byMachine = Date.now() - at;
  const byPage = mark === null ? byMachine : performance.now() - mark;
  return byMachine > OLD_MS || byPage > OLD_MS || Math.abs(byMachine - byPage) > CLOCKS_AGREE_MS || byMachine < -CLOCKS_AGREE_MS;
}

/** Seconds since it was pressed; none for one that is sent at once. */
function agoOf({ at, mark }: Waiting): number {
  const ago = (mark === null ? Date.now() - at : performance.now() - mark) / 1000;
  return ago < AT_ONCE_S ? 0 : Math.round(Math.min(ago, OLDEST_MS / 1000));
}

export const presses = new Presses();
