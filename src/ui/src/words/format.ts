import type { KitchenMeasure } from "../api/types";
import { larder } from "../api/larder.svelte";
import { m } from "../paraglide/messages";
import { locale } from "./locale";
import { viewOf } from "./units";

// One maker of each kind: making them is what costs.
const numbers = new Map<number, Intl.NumberFormat>();
const THIN_SPACE = "\u202f";

/**
 * A number as the locale writes it, with no more places than a kitchen can use. Thousands stand apart by a thin space in every locale: what one
 * reads as a thousand's comma is a fraction's to the next.
 */
export function number(value: number, places: number): string {
  let maker = numbers.get(places);
  if (!maker) numbers.set(places, (maker = new Intl.NumberFormat(locale, { maximumFractionDigits: places, useGrouping: "always" })));
  return thinly(maker, value);
}

const thinly = (maker: Intl.NumberFormat, value: number) =>
  maker
    .formatToParts(value)
    .map((part) => (part.type === "group" ? THIN_SPACE : part.value))
    .join("");

// A few hundredths have a digit more, so that two of them differ; thousands have none of them.
const coins = [0, 2, 3].map((places) => new Intl.NumberFormat(locale, { minimumFractionDigits: places, maximumFractionDigits: places }));
function sumOf(value: number): string {
  return thinly(coins[value !== 0 && Math.abs(value) < 0.1 ? 2 : Math.abs(value) >= 1000 ? 0 : 1]!, value);
}

// The decimal sign of the locale, and the digits of every script the platform knows.
const decimal = new Intl.NumberFormat(locale).formatToParts(1.5).find((part) => part.type === "decimal")?.value ?? ".";
let digits: Map<string, string> | undefined;
const everyDigit = () =>
  (digits ??= new Map(
    Intl.supportedValuesOf("numberingSystem").flatMap((system) =>
      Array.from({ length: 10 }, (_, n) => [new Intl.NumberFormat(`en-u-nu-${system}`).format(n), String(n)] as const),
    ),
  ));
const latin = (text: string) => (/^[\x20-\x7e]*$/.test(text) ? text : [...text].map((c) => everyDigit().get(c) ?? c).join(""));

/** A figure in a line that may run the other way: it runs as it is written by itself. */
export const apart = (figure: string): string => (document.dir === "rtl" ? `\u2068${figure}\u2069` : figure);

/** A quantity as a cook of this kitchen reads it: centimetres from five centimetres up, minutes from ninety seconds up. */
export const amount = (value: number, unit: string): string => apart(quantity(value, unit));

function quantity(value: number, unit: string): string {
  const view = viewOf(unit === "mm" && value >= 50 ? "cm" : unit);
  const shown = view.to(value);
  switch (unit) {
    case "g":
      return `${number(shown, (value < 10 ? 1 : 0) + (view.finer ? (shown < 100 ? 2 : 1) : 0))} ${view.symbol}`;
    case "mm":
      return `${number(shown, value >= 50 ? 1 : view.finer ? (value < 2.5 ? 3 : 2) : value < 1 ? 2 : 1)} ${view.symbol}`;
    case "µm":
      return `${number(shown, view.finer || (value < 10 ? 1 : 0))} ${view.symbol}`;
    case "%":
      return `${number(value, 1)} %`;
    case "°C":
      return `${number(shown, 0)} ${view.symbol}`;
    case "ml":
      return `${number(shown, view.finer && shown < 10 ? 1 : 0)} ${view.symbol}`;
    case "s":
      return seconds(value);
    case "min":
      return minutes(value);
    case "money":
      return m.money({ coin: view.symbol, sum: sumOf(value) }).trim();
    case "":
      return number(value, 1);
    default:
      return `${number(value, 1)} ${unit}`;
  }
}

/** Seconds as `50 s`, or `1 min 32 s` from ninety seconds up. */
export function seconds(value: number): string {
  const s = Math.round(value);
  if (s < 90) return m.lasts_s({ s });
  const [min, rest] = [Math.floor(s / 60), s % 60];
  return rest === 0 ? m.lasts_min({ min }) : m.lasts_min_s({ min, s: rest });
}

/** Minutes as `45 min`, or `2 h 30` from two hours up. */
export function minutes(value: number): string {
  const all = Math.round(value);
  if (all < 120) return m.lasts_min({ min: number(value, value < 5 ? 1 : 0) });
  const [h, rest] = [Math.floor(all / 60), all % 60];
  return rest === 0 ? m.lasts_h({ h }) : m.lasts_h_min({ h, min: rest });
}

const marks: Record<number, string> = { 3: "¼", 4: "⅓", 6: "½", 8: "⅔", 9: "¾" };

/** `1½ cups`, `2 tsp`, `3 Quay glass`. */
export function measured(measure: KitchenMeasure | null | undefined): string {
  if (!measure) return "";
  const whole = Math.floor(measure.twelfths / 12);
  const count = `${whole || ""}${marks[measure.twelfths % 12] ?? ""}`;
  const own = larder.view?.vessels.find((v) => v.id === measure.vessel)?.name;
  const vessel = { cup: measure.twelfths > 12 ? m.cups() : m.cup(), tbsp: m.tbsp(), tsp: m.tsp() }[measure.vessel] ?? own ?? measure.vessel;
  return `${apart(count)} ${vessel}`;
}

/** A mass as this kitchen weighs it: grams, or the cup first and the grams beside it. */
export function weighed(mass: number, measure: KitchenMeasure | null | undefined): string {
  const grams = amount(mass, "g");
  return larder.view?.units.mass === "cups" && measure ? m.as_measured({ measure: measured(measure), mass: grams }) : grams;
}

/**
 * What people type for a number, in the digits of any script: a point or a comma before a fraction, spaces between thousands. A comma before just
 * three digits could mean either and is not read, unless that is how the locale writes fractions.
 */
export function parseNumber(text: string): number | null {
  const spaced = latin(text.trim().replaceAll(/[\s\u202f\u00a0]/g, "")).replaceAll(/[\u066b]/g, ".");
  if (decimal !== "," && /^\d{1,3},\d{3}$/.test(spaced)) return null;
  const plain = spaced.replace(",", ".");
  return /^[+-]?(\d+\.?\d*|\.\d+)(e[+-]?\d{1,2})?$/i.test(plain) ? Number(plain) : null;
}

const days = new Intl.DateTimeFormat(locale, { weekday: "short", day: "numeric", month: "short" });
const dates = new Intl.DateTimeFormat(locale, { day: "numeric", month: "short", year: "numeric" });
const hours = new Intl.DateTimeFormat(locale, { hour: "2-digit", minute: "2-digit" });

export const day = (iso: string): string => days.format(new Date(iso));

const longDays = new Intl.DateTimeFormat(locale, { weekday: "long", day: "numeric", month: "long" });
export const dayLong = (iso: string): string => longDays.format(new Date(iso));

/** A day of the calendar, with its year. */
export function dateOf(date: string): string {
  const at = new Date(`${date}T12:00`);
  if (Number.isNaN(at.getTime())) return date;
  return dates.format(at);
}

/** The day of a moment, as ISO 8601 writes it. */
export const toDay = (date: Date): string => new Date(date.getTime() - date.getTimezoneOffset() * 60_000).toISOString().slice(0, 10);

/** The noon of such a day. */
export const fromDay = (day: string): string => new Date(`${day}T12:00`).toISOString();

/** So many days on, or back. */
export function daysOn(day: string, by: number): string {
  const at = new Date(`${day}T12:00`);
  at.setDate(at.getDate() + by);
  return toDay(at);
}

/** The instants between which a day lies where this screen stands. */
export const boundsOf = (day: string): { from: string; until: string } => ({
  from: new Date(`${day}T00:00`).toISOString(),
  until: new Date(`${daysOn(day, 1)}T00:00`).toISOString(),
});

/** So many seconds after a moment. */
export const later = (iso: string, seconds: number): string => new Date(Date.parse(iso) + seconds * 1000).toISOString();

export const clock = (iso: string): string => hours.format(new Date(iso));

const lists = new Intl.ListFormat(locale, { type: "unit", style: "short" });

/** Several things in one line. */
export const listed = (things: readonly string[]): string => lists.format(things);

/** How a section is drawn: its height against its width. */
export const drawnScale = (taller: number): string => (taller === 1 ? m.section_true() : m.section_scale({ taller: number(taller, 1) }));

export const leaves = (count: number): string => m.leaves({ count });

/** A day and its hour. */
export const moment = (iso: string): string => m.day_at({ day: day(iso), time: clock(iso) });

/** Figures and words side by side, as this language sets them; what is nothing is left out. */
export const beside = (...things: (string | null | undefined | false)[]): string =>
  things.reduce<string>((first, next) => (first && next ? m.side_by_side({ first, next }) : first || next || ""), "");
