import type { KitchenMeasure } from "../api/types";
import { larder } from "../api/larder.svelte";
import { m } from "../paraglide/messages";
import { viewOf } from "./units";

/** A number with no more places than a kitchen can use. */
export function number(value: number, places: number): string {
  return new Intl.NumberFormat("en", { maximumFractionDigits: places, useGrouping: value >= 1000 }).format(value).replaceAll(",", "\u202f");
}

/** A quantity as a cook of this kitchen reads it: centimetres from five centimetres up, minutes from ninety seconds up. */
export function amount(value: number, unit: string): string {
  const view = viewOf(unit === "mm" && value >= 50 ? "cm" : unit);
  const shown = view.to(value);
  switch (unit) {
    case "g":
      return `${number(shown, (value < 10 ? 1 : 0) + (view.finer ? (shown < 100 ? 2 : 1) : 0))} ${view.symbol}`;
    case "mm":
      return `${number(shown, value >= 50 ? 1 + view.finer : value < 2 ? 2 : 1)} ${view.symbol}`;
    case "µm":
      return `${number(value, value < 10 ? 1 : 0)} µm`;
    case "%":
      return `${number(value, 1)} %`;
    case "°C":
      return `${number(shown, 0)} ${view.symbol}`;
    case "ml":
      return `${number(value, 0)} ml`;
    case "s":
      return seconds(value);
    case "min":
      return minutes(value);
    case "money":
      return `${view.symbol} ${value.toFixed(value < 10 ? 2 : 1)}`.trim();
    case "":
      return number(value, 1);
    default:
      return `${number(value, 1)} ${unit}`;
  }
}

/** Seconds as `50 s`, or `1 min 32 s` from ninety seconds up. */
export function seconds(value: number): string {
  const s = Math.round(value);
  if (s < 90) return `${s} s`;
  const rest = s % 60;
  return rest === 0 ? `${s / 60} min` : `${Math.floor(s / 60)} min ${rest} s`;
}

/** Minutes as `45 min`, or `2 h 30` from two hours up. */
export function minutes(value: number): string {
  const all = Math.round(value);
  if (all < 120) return `${number(value, value < 5 ? 1 : 0)} min`;
  const rest = all % 60;
  return rest === 0 ? `${all / 60} h` : `${Math.floor(all / 60)} h ${rest}`;
}

const marks: Record<number, string> = { 3: "¼", 4: "⅓", 6: "½", 8: "⅔", 9: "¾" };

/** `1½ cups`, `2 tsp`, `3 Quay glass`. */
export function measured(measure: KitchenMeasure | null | undefined): string {
  if (!measure) return "";
  const whole = Math.floor(measure.twelfths / 12);
  const count = `${whole || ""}${marks[measure.twelfths % 12] ?? ""}`;
  const own = larder.view?.vessels.find((v) => v.id === measure.vessel)?.name;
  const vessel = { cup: measure.twelfths > 12 ? m.cups() : m.cup(), tbsp: m.tbsp(), tsp: m.tsp() }[measure.vessel] ?? own ?? measure.vessel;
  return `${count} ${vessel}`;
}

/** A mass as this kitchen weighs it: grams, or the cup first and the grams beside it. */
export function weighed(mass: number, measure: KitchenMeasure | null | undefined): string {
  const grams = amount(mass, "g");
  return larder.view?.units.mass === "cups" && measure ? m.as_measured({ measure: measured(measure), mass: grams }) : grams;
}

/** What people type for a number: decimal point or comma, spaces between thousands. A comma before just three digits could mean either: not read. */
export function parseNumber(text: string): number | null {
  const spaced = text.trim().replaceAll(/[\s\u202f\u00a0]/g, "");
  if (/^\d{1,3},\d{3}$/.test(spaced)) return null;
  const plain = spaced.replace(",", ".");
  return /^[+-]?(\d+\.?\d*|\.\d+)(e[+-]?\d{1,2})?$/i.test(plain) ? Number(plain) : null;
}

export function day(iso: string): string {
  return new Intl.DateTimeFormat("en-GB", { weekday: "short", day: "numeric", month: "short" }).format(new Date(iso));
}

/** A day of the calendar, with its year. */
export function dateOf(date: string): string {
  const at = new Date(`${date}T12:00`);
  if (Number.isNaN(at.getTime())) return date;
  return new Intl.DateTimeFormat("en-GB", { day: "numeric", month: "short", year: "numeric" }).format(at);
}

/** The day of a moment, as ISO 8601 writes it. */
export const toDay = (date: Date): string => new Date(date.getTime() - date.getTimezoneOffset() * 60_000).toISOString().slice(0, 10);

/** The noon of such a day. */
export const fromDay = (day: string): string => new Date(`${day}T12:00`).toISOString();

export function clock(iso: string): string {
  return new Intl.DateTimeFormat("en-GB", { hour: "2-digit", minute: "2-digit" }).format(new Date(iso));
}

/** How a section is drawn: its height against its width. */
export const drawnScale = (taller: number): string => (taller === 1 ? m.section_true() : m.section_scale({ taller: number(taller, 1) }));

/** Turns one of several catalogue lines by a number, where languages differ in their plurals. */
export function leaves(count: number): string {
  return count === 1 ? m.one_leaf() : m.leaves({ count });
}

/** A day and its hour. */
export const moment = (iso: string): string => m.day_at({ day: day(iso), time: clock(iso) });
