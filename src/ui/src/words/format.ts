import { m } from "../paraglide/messages";

/** A number with no more places than a kitchen can use. */
export function number(value: number, places: number): string {
  return new Intl.NumberFormat("en", { maximumFractionDigits: places, useGrouping: value >= 1000 }).format(value).replaceAll(",", "\u202f");
}

/** A quantity as a cook reads it: grams, centimetres from five centimetres up, minutes from ninety seconds up. */
export function amount(value: number, unit: string): string {
  switch (unit) {
    case "g":
      return `${number(value, value < 10 ? 1 : 0)} g`;
    case "mm":
      return value >= 50 ? `${number(value / 10, 1)} cm` : `${number(value, value < 2 ? 2 : 1)} mm`;
    case "µm":
      return `${number(value, value < 10 ? 1 : 0)} µm`;
    case "%":
      return `${number(value, 1)} %`;
    case "°C":
      return `${number(value, 0)} °C`;
    case "s":
      return seconds(value);
    case "min":
      return `${number(value, 0)} min`;
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

/** What people type for a number: decimal point or comma, spaces between thousands. Nothing else. */
export function parseNumber(text: string): number | null {
  const plain = text
    .trim()
    .replaceAll(/[\s\u202f\u00a0]/g, "")
    .replace(",", ".");
  return /^[+-]?(\d+\.?\d*|\.\d+)(e[+-]?\d{1,2})?$/i.test(plain) ? Number(plain) : null;
}

export function day(iso: string): string {
  return new Intl.DateTimeFormat("en-GB", { weekday: "short", day: "numeric", month: "short" }).format(new Date(iso));
}

export function clock(iso: string): string {
  return new Intl.DateTimeFormat("en-GB", { hour: "2-digit", minute: "2-digit" }).format(new Date(iso));
}

/** A moment as the browser's own field for day and time takes it: local, to the minute. */
export function toLocal(iso: string): string {
  const at = new Date(iso);
  return new Date(at.getTime() - at.getTimezoneOffset() * 60_000).toISOString().slice(0, 16);
}

/** The moment such a field means. */
export const fromLocal = (text: string): string => new Date(text).toISOString();

/** Turns one of several catalogue lines by a number, where languages differ in their plurals. */
export function leaves(count: number): string {
  return count === 1 ? m.one_leaf() : m.leaves({ count });
}
