import type { Place } from "./types";

/** Counts what was kept, here or on another screen, so that what is on the screen knows when to ask again. */
class Changes {
  private counts = $state<Record<Place, number>>({
    breads: 0,
    batches: 0,
    log: 0,
    larder: 0,
    learned: 0,
    services: 0,
    practice: 0,
    days: 0,
    kitchen: 0,
  });

  /** How often it was changed; a kitchen that may be another counts for every place. */
  of(place: Place): number {
    return this.counts[place] + this.counts.kitchen;
  }

  tell(place: Place): void {
    this.counts[place]++;
  }
}

export const changes = new Changes();
