import type { Limit, Refusal } from "../api/types";
import { number, parseNumber } from "../words/format";
import { say } from "../words/refusals";
import { viewOf } from "../words/units";
import { Wording } from "./amounts.svelte";

/** A number as whoever shows it has it. Kept in the unit of the core; what is read and typed is in the kitchen's own. */
export interface Figure {
  value: number | null | undefined;
  limit: Limit;
  /** The core's unit; `cm` for millimetres read as centimetres. */
  unit?: string;
  /** Decimal places it is shown with, in the usual unit. */
  places?: number;
  /** What a press of an arrow adds, in the usual unit as it is shown. */
  step?: number;
  /** It may be left empty. */
  spare?: boolean;
  /** Of a mass: what it is a mass of, so that it can be typed in words; of the dough itself by an empty one. Nothing where only a number will do. */
  of?: string | undefined;
  refusal?: Refusal | undefined;
  /** How it is shown while nobody types, where that is not the bare number. */
  shown?: string;
  /** What was typed goes once it was read: the figure stands as it is shown. */
  passes?: boolean;
  /** @param packing how tight a powder was taken to lie in a vessel nobody has said the filling of */
  set: (value: number | null, packing?: number) => void;
}

/**
 * One number in a field: in the reader's units, in digits of any script, a mass also in words (a golf ball, two cups), by hand or by arrows.
 * What was typed stays as it was typed for as long as it is, or could not become, the figure.
 */
export class Typed {
  private text = $state<string | null>(null);
  /** What was typed is no number. */
  unread = $state(false);
  private wording = new Wording();

  constructor(private readonly of: () => Figure) {}

  get view() {
    return viewOf(this.of().unit ?? "");
  }
  /** In the unit it is read in. */
  get now(): number {
    return this.view.to(this.of().value ?? 0);
  }
  get shown(): string {
    const { value, unit, refusal, shown } = this.of();
    // Salt has use for the second digit of its share; from a tenth up no hand has.
    const places = this.of().places ?? (unit === "%" && Math.abs(value ?? 0) >= 10 ? 1 : 2);
    if (this.text !== null && this.stands) return this.text;
    if (shown !== undefined) return shown;
    return value == null ? "" : number(this.now, refusal ? 6 : places + this.view.finer);
  }
  get problem(): string {
    const { limit, refusal, passes } = this.of();
    // What is no amount at all is told the range, where there is one.
    if (this.wording.problem && (passes || !this.wording.unread)) return this.wording.problem;
    return this.unread ? say({ ...limit, code: "notANumber" }) : refusal ? say(refusal) : "";
  }
  private get stands(): boolean {
    if (this.of().passes || this.unread || this.wording.problem) return true;
    const { value } = this.of();
    const read = parseNumber(this.text ?? "");
    return read === null ? value == null : Math.abs(read - this.now) < 1e-9 * Math.abs(this.now) + 1e-9;
  }
  /** What an arrow adds, in the unit it is read in. */
  get step(): number {
    return this.view.step(this.of().step ?? 1);
  }

  type(text: string): void {
    const { spare, unit, of, set } = this.of();
    this.text = text;
    this.wording.forget();
    const read = parseNumber(text);
    this.unread = read === null && !(spare && text.trim() === "");
    if (!this.unread) set(read === null ? null : this.view.from(read));
    else if (of !== undefined && unit === "g" && text.trim())
      void this.wording.read(text, of, (grams, packing) => this.take(grams, packing));
  }

  /** The field is left: what was read stands as everything else does. */
  leave(): void {
    if (this.of().passes && !this.unread && !this.wording.problem) this.text = null;
  }

  set(shown: number): void {
    this.forget();
    this.of().set(Number(this.view.from(shown).toFixed(6)));
  }

  nudge(direction: number): void {
    const { limit } = this.of();
    const next = (Math.round(this.now / this.step) + direction) * this.step;
    this.set(Math.min(Math.max(next, this.view.to(limit.least)), this.view.to(limit.most)));
  }

  /** Arrows up and down, and + and − where no number begins with a sign. */
  keys(event: KeyboardEvent): void {
    const { limit } = this.of();
    const direction =
      { ArrowUp: 1, ArrowDown: -1 }[event.target instanceof HTMLInputElement ? event.key : ""] ??
      (limit.least >= 0 ? { "+": 1, "-": -1 }[event.key] : undefined);
    if (!direction) return;
    event.preventDefault();
    this.nudge(direction);
  }

  private take(grams: number, packing?: number): void {
    if (!this.of().passes) this.text = null;
    this.unread = false;
    this.of().set(Math.round(10 * grams) / 10, packing);
  }

  private forget(): void {
    [this.text, this.unread] = [null, false];
    this.wording.forget();
  }
}
