import { untrack } from "svelte";
import type { StoveSheet, StoveTask } from "../api/types";
import { m } from "../paraglide/messages";
import { pieceName, taskWords } from "../words/stove";
import { bell, voice } from "./bell.svelte";

/** What a screen is there for. */
export type Shows = "all" | "pans" | "hands" | `hands-${number}`;

interface Thing {
  key: string;
  /** Seconds of the service. */
  at: number;
  words: string;
}

/**
 * Stays that will be over, and work that hands wait for.
 * @param benches what each pair of hands of this screen does next
 */
export function dueOf(sheet: StoveSheet, benches: StoveTask[], shows: Shows): Thing[] {
  const stays = sheet.pans.flatMap((pan) =>
    pan.places.flatMap((p) => {
      if (p.due == null) return [];
      const piece = pieceName(sheet, p.bread ?? 0, p.numbers[0] ?? 0);
      return [{ key: `${pan.pan}-${p.place}-${p.numbers[0]}-${p.turns}`, at: p.due, words: (p.lift ? m.say_lift : m.say_turn)({ piece }) }];
    }),
  );
  const work = benches.map((bench) => ({
    key: `hands-${bench.work}-${bench.bread}-${bench.number}`,
    at: bench.at,
    words: m.say_now({ what: taskWords(sheet, bench) }),
  }));
  return [...(shows.startsWith("hands") ? [] : stays), ...work];
}

// What was over already when the screen came does not ring for itself.
const FRESH_S = 3;

/** Rings once for each thing that is due, and says it: to a screen reader, and aloud where that is wanted. */
export class Due {
  said = $state("");
  private rung: Record<string, true> = {};

  /**
   * @param now seconds of the service
   * @param heard changes with every word of the kitchen's: it may have put its clock right
   * @param ringAt has the bell ring at a moment by a clock that a hidden page's slowness does not reach
   */
  constructor(things: () => Thing[], now: () => number, heard: () => unknown, ringAt: (at: number | null) => void) {
    const due = $derived(things());
    $effect(() => {
      const over = due.filter((d) => now() >= d.at && !this.rung[d.key]);
      const fresh = over.filter((d) => now() - d.at < FRESH_S);
      if (fresh.length > 0) {
        bell.ring();
        this.said = fresh.map((d) => d.words).join(". ");
        voice.say(this.said);
      }
      for (const d of over) this.rung[d.key] = true;
    });
    const soonest = $derived(Math.min(...due.filter((d) => d.at > now()).map((d) => d.at)));
    $effect(() => {
      void heard();
      const at = Number.isFinite(soonest) ? soonest : null;
      untrack(() => ringAt(at));
    });
  }
}
