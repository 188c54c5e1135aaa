import { onDestroy } from "svelte";
import type { StoveSheet, StoveTask } from "../api/types";

const SETTLES_MS = 300;
/** A pair of hands at the bench, by name. */
export const handsOf = (person: number): string => `hands-${person}`;

/** A place on a pan, by name. */
export const spotOf = (pan: number, place: number): string => `${pan}-${place}`;

/**
 * What stands at each spot of the stove, so that it tells whether something else came there.
 * @param benches what each pair of hands does next
 */
export const standsOf = (
  sheet: StoveSheet,
  benches: { person: number; next: StoveTask | null }[],
): (readonly [spot: string, stands: string])[] => [
  ...sheet.pans.flatMap((pan) =>
    pan.places.map((p) => [spotOf(pan.pan, p.place), `${p.bread}-${p.numbers[0] ?? p.next?.number}-${p.turns}`] as const),
  ),
  ...benches.map(({ person, next }) => [handsOf(person), next ? `${next.work}-${next.bread}-${next.number}-${next.chore}` : ""] as const),
];

/** What changed under the finger, by this screen or another, takes no press for a moment: nobody meant it. */
export class Settling {
  private unsettled = $state<Record<string, boolean>>({});
  private last: Record<string, string> = {};
  private timers: ReturnType<typeof setTimeout>[] = [];

  /** @param stands what stands at each spot now */
  constructor(stands: () => (readonly [string, string])[]) {
    $effect(() => {
      for (const [spot, now] of stands()) {
        if (this.last[spot] !== undefined && this.last[spot] !== now) {
          this.unsettled[spot] = true;
          this.timers.push(setTimeout(() => (this.unsettled[spot] = false), SETTLES_MS));
        }
        this.last[spot] = now;
      }
    });
    onDestroy(() => this.timers.forEach(clearTimeout));
  }

  settled(spot: string): boolean {
    return !this.unsettled[spot];
  }
}
