import type { ClockView, PieceLife } from "../../api/types";
import { m } from "../../paraglide/messages";
import { axisOf, place } from "./axis";

const LEAST_LEFT = 66;
const A_LETTER = 7.2;
export const LANE = 30;
export const TOP = 20;
const GAP = 5;
const REST = 19;
const TICK_APART = 58;
const BEFORE_THE_FIRST_S = 30;

interface Of {
  view: ClockView;
  /** From the first roll on, larger. */
  close: boolean;
  picked: PieceLife | null;
  width: number;
}

/** Where everything of a service lies on the page: lanes of hands, pans and rests along one axis of time. */
export class Lanes {
  constructor(private readonly of: () => Of) {}

  readonly sheet = $derived.by(() => this.of().view.sheet);
  readonly people = $derived.by(() => Math.max(...this.sheet.hands.map((h) => h.person), 0) + 1);
  readonly places = $derived.by(() =>
    this.sheet.pans
      .map(({ pan, place }) => ({ pan, place }))
      .toSorted((a, b) => a.pan - b.pan || a.place - b.place)
      .filter((p, i, all) => p.pan !== all[i - 1]?.pan || p.place !== all[i - 1]?.place),
  );
  /** What each lane is called: pairs of hands, then places on pans. */
  readonly handNames = $derived.by(() => Array.from({ length: this.people }, (_, i) => m.hands_lane({ number: i + 1 })));
  readonly panNames = $derived.by(() => {
    const onePlace = this.places.every((p) => p.place === 0);
    return this.places.map((p) => (onePlace ? m.pan_lane({ number: p.pan + 1 }) : m.place_lane({ pan: p.pan + 1, place: p.place + 1 })));
  });
  /** As much room before the lanes as their names take. */
  readonly left = $derived.by(() =>
    Math.max(LEAST_LEFT, 12 + A_LETTER * Math.max(...[...this.handNames, ...this.panNames].map((name) => name.length))),
  );
  /** Where the axis begins. */
  readonly from = $derived.by(() => {
    if (!this.of().close) return 0;
    const first = this.sheet.hands.filter((h) => h.work === "roll" || h.work === "lay").map((h) => h.parts[0]?.from ?? 0);
    return Math.max(Math.min(...first) - BEFORE_THE_FIRST_S, 0);
  });
  readonly axis = $derived.by(() => axisOf(this.sheet, this.from, this.sheet.lead, this.left, this.of().width - this.left - 14));
  readonly restY = $derived.by(() => TOP + (this.people + this.places.length) * (LANE + GAP) + 10);
  readonly height = $derived.by(() => this.restY + this.sheet.rests.length * REST + 22);
  /** Moments that are named along the top, apart enough to be read. */
  readonly ticks = $derived.by(() => {
    const zero = Date.parse(this.of().view.zero) / 1000;
    return this.axis
      .filter((p) => !p.rest)
      .flatMap((p) => {
        const step = [60, 120, 300, 600, 900, 1800, 3600].find((s) => (s / Math.max(p.to - p.from, 1)) * p.width >= TICK_APART) ?? 7200;
        const first = Math.ceil((zero + p.from) / step) * step - zero;
        return Array.from({ length: Math.max(Math.floor((p.to - first) / step) + 1, 0) }, (_, i) => first + i * step);
      });
  });
  private readonly lives = $derived.by(() => Object.fromEntries(this.sheet.pieces.map((p) => [`${p.bread}-${p.number}`, p])));

  x = (at: number): number => place(this.axis, at);
  handY = (person: number): number => TOP + person * (LANE + GAP);
  panY = (pan: number, at: number): number =>
    TOP + (this.people + this.places.findIndex((p) => p.pan === pan && p.place === at)) * (LANE + GAP) + 4;
  restAt = (i: number): number => this.restY + i * REST;
  /** Whether there is room to name a moment. */
  named = (t: number): boolean =>
    this.x(t) > this.left + 4 &&
    this.x(t) < this.of().width - 30 &&
    this.axis.every((p) => !p.rest || this.x(t) < p.x - 24 || this.x(t) > p.x + p.width + 24);

  get width(): number {
    return this.of().width;
  }
  get picked(): PieceLife | null {
    return this.of().picked;
  }
  isPicked = (bread: number, number: number): boolean => this.picked?.bread === bread && this.picked.number === number;
  life = (bread: number, number: number): PieceLife | undefined => this.lives[`${bread}-${number}`];
  /** Which piece is followed, from 1. */
  get followed(): number {
    return this.sheet.pieces.findIndex((p) => this.isPicked(p.bread, p.number)) + 1;
  }
  /** So many minutes lie on so many points of the page, where something is done. */
  get minutesAPoint(): number {
    const busy = this.axis.filter((p) => !p.rest);
    const seconds = busy.reduce((sum, p) => sum + p.to - p.from, 0);
    const points = busy.reduce((sum, p) => sum + p.width, 0);
    return seconds / Math.max(points, 1) / 60;
  }
}
