import { storage } from "./storage.svelte";

const SEEN = "ystrata.looked-round";

/** What is looked at, one after the other. */
export const STOPS = ["column", "bench", "section", "watch", "stove"] as const;
export type Stop = (typeof STOPS)[number];

/** A first look round the bench: offered once in a browser, left at any moment, and found again under `?`. */
class Round {
  private at = $state<number | null>(null);

  get stop(): Stop | null {
    return this.at === null ? null : (STOPS[this.at] ?? null);
  }
  get number(): number {
    return (this.at ?? 0) + 1;
  }

  /** Begins by itself the first time; never again once it was left. */
  offer(): void {
    if (storage.get(SEEN) === null) this.begin();
  }
  begin(): void {
    this.at = 0;
  }
  next(): void {
    if (this.at === null || this.at + 1 >= STOPS.length) this.leave();
    else this.at++;
  }
  leave(): void {
    this.at = null;
    storage.set(SEEN, "1");
  }
}

export const round = new Round();
