import type { StoveSheet, StoveTask } from "../api/types";
import { phone, narrow } from "../narrow";
import type { Shows } from "./due.svelte";
import type { Press } from "./presses.svelte";

export const isBench = (task: StoveTask): boolean => task.pan == null;

/** Long before the first piece the pans are one line, seconds. */
const EARLY_S = 600;

/** Who does what as this screen shows it: each pair of hands has its own line, and can have a screen of its own. */
export class Crew {
  constructor(
    private readonly sheet: () => StoveSheet | null,
    private readonly wanted: () => Shows,
  ) {}

  readonly tasks = $derived.by(() => this.sheet()?.tasks ?? []);
  readonly people = $derived.by(() => Array.from({ length: Math.max(this.sheet()?.people ?? 1, 1) }, (_, i) => i));
  /** Hands that are gone by now give way to all hands. */
  readonly shows = $derived.by<Shows>(() => {
    const wanted = this.wanted();
    return wanted.startsWith("hands-") && !this.people.includes(Number(wanted.slice(6))) ? "hands" : wanted;
  });
  readonly mine = $derived.by(() =>
    this.shows === "pans" ? [] : this.people.filter((p) => !this.shows.startsWith("hands-") || this.shows === `hands-${p}`),
  );
  /** What each pair of hands of this screen does next at the bench. */
  readonly benches = $derived.by(() => this.mine.flatMap((person) => this.benchOf(person) ?? []));
  readonly bench = $derived.by(() => this.benches.toSorted((a, b) => a.at - b.at)[0] ?? null);
  /** What the pedal presses: the nearest thing this screen is there for. */
  readonly nearest = $derived.by(
    () => this.tasks.find((t) => this.shows === "all" || (isBench(t) ? this.benches.includes(t) : this.shows === "pans")) ?? null,
  );
  /** When the first piece that is still to be laid is laid. */
  readonly firstPiece = $derived.by(() =>
    Math.min(...(this.sheet()?.pans.flatMap((p) => p.places.map((s) => s.next?.at ?? Infinity)) ?? [])),
  );

  tasksOf(person: number): StoveTask[] {
    return this.tasks.filter((t) => this.of(person, t) && (this.shows === "all" || isBench(t)));
  }
  benchOf(person: number): StoveTask | null {
    return this.tasks.find((t) => isBench(t) && this.of(person, t)) ?? null;
  }
  /** Whose bench a press is for. */
  whose(press: Press): number {
    const same = (own: Press | null | undefined) => own?.work === press.work && own?.bread === press.bread && own?.number === press.number;
    return this.mine.find((person) => same(this.benchOf(person)?.press)) ?? 0;
  }
  early(now: number): boolean {
    const empty = this.sheet()?.pans.every((p) => p.places.every((s) => s.bread == null)) ?? false;
    return this.shows === "all" && empty && this.firstPiece - now > EARLY_S;
  }
  /** Beside the pans a phone has room for one pair of hands: for whoever is due first. */
  inSight(early: boolean): number[] {
    if (!phone.current || this.shows !== "all" || early) return this.mine;
    return [this.mine.find((p) => this.bench && this.benchOf(p) === this.bench) ?? 0];
  }
  private of(person: number, task: StoveTask): boolean {
    return this.people.length === 1 || task.person === person;
  }
}

/** Pans side by side, so that six of them and their times are as large as the screen lets them be. */
export const panColumns = (pans: number): number =>
  pans <= 2 ? Math.max(pans, 1) : phone.current || pans <= 4 || (narrow.current && pans <= 6) ? 2 : 3;
