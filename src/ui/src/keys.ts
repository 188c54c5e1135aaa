import { push, router } from "svelte-spa-router";
import { batch } from "./bench/bench.svelte";

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
  target.closest("input, textarea, select, [contenteditable], [role=listbox], [role=dialog], [data-command-root], [aria-expanded=true]") !==
    null;

/** Takes the keys that work everywhere. None fires while someone types. */
export function takeKey(event: KeyboardEvent, showKeys: () => void): void {
  if (event.defaultPrevented || event.ctrlKey || event.metaKey || event.altKey || typing(event.target)) return;
  const place = places.find((p) => p.key === event.key);
  if (place) void push(place.path);
  else if (event.key === "?") showKeys();
  else if (event.key === "/") void find();
  else if ((event.key === "[" || event.key === "]") && router.location.startsWith("/batch")) step(event.key === "]" ? 1 : -1);
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
