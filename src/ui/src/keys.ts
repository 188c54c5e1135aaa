import { push, router } from "svelte-spa-router";
import { batch } from "./bench/bench.svelte";
import { letters } from "./letters.svelte";
import { toaster } from "./toast.svelte";

/** Places by their key. The numbers stand for the places of the work, so they stay what they are. */
export const places = [
  { key: "1", path: "/" },
  { key: "2", path: "/batch" },
  { key: "3", path: "/stove" },
  { key: "4", path: "/log" },
  { key: "5", path: "/larder" },
] as const;

const typing = (target: EventTarget | null) =>
  target instanceof HTMLElement &&
  target.closest(
    "input, textarea, select, [contenteditable], [role=listbox], [role=dialog], [role=spinbutton], [data-command-root], [aria-expanded=true]",
  ) !== null;

const CODES: Record<string, string> = { Slash: "/", BracketLeft: "[", BracketRight: "]" };

/**
 * The key as it is called here, whatever script the keyboard types: a letter of another script counts as the Latin one that is printed on, or
 * would be at, the same place.
 */
export function keyOf({ key, code, shiftKey }: Pick<KeyboardEvent, "key" | "code" | "shiftKey">): string {
  if (key.length > 1 || /^[!-~ ]$/.test(key)) return key.length > 1 ? key : key.toUpperCase();
  const place = /^(?:Key|Digit)(.)$/.exec(code)?.[1] ?? CODES[code] ?? key;
  return place === "/" && shiftKey ? "?" : place;
}

/** Takes the keys that work everywhere. None fires while someone types, and none leaves a running service but the one that says so. */
export function takeKey(event: KeyboardEvent, showKeys: () => void): void {
  if (event.defaultPrevented || event.ctrlKey || event.metaKey || event.altKey || typing(event.target) || !letters.on) return;
  const key = keyOf(event);
  const atStove = /^\/stove\/./.test(router.location);
  const place = places.find((p) => p.key === key);
  if (key === "?") showKeys();
  else if (key === "U" && !atStove && toaster.now?.undo) void toaster.undo();
  else if (atStove) return;
  else if (place) void push(place.path);
  else if (key === "/") void find();
  else if ((key === "[" || key === "]") && router.location.startsWith("/batch")) step(key === "]" ? 1 : -1);
  else return;
  event.preventDefault();
}

function step(by: number): void {
  const at = batch.stages.indexOf(batch.open) + by;
  batch.open = batch.stages[Math.min(Math.max(at, 0), batch.stages.length - 1)] ?? batch.open;
}

const FRAMES = 60;

/** To the finding of this place; a place that has none sends to the shelf. A place that is just being opened is waited for. */
async function find(): Promise<void> {
  if (/^#\/(batch|card|stove|timetable)/.test(location.hash)) await push("/");
  for (let i = 0; i < FRAMES; i++) {
    // Until the place called for stands there, the one being left still shows its own.
    const arrived = router.location === (location.hash.slice(1).split("?")[0] || "/");
    await new Promise(requestAnimationFrame);
    const field = arrived && document.querySelector<HTMLElement>("[data-find]");
    if (field) return field.focus();
  }
}
