import { onDestroy } from "svelte";
import type { ScaleReading } from "./types";

const nothing: ScaleReading = { state: "unplugged", mass: null, steady: false, taken: null };

/** Listens to the bench scale for as long as the component stands. The browser calls again by itself when the line breaks. */
export function listen(ontaken: (mass: number) => void): { readonly now: ScaleReading } {
  let now = $state.raw(nothing);
  const source = new EventSource("/api/scale/readings");
  source.onmessage = (event) => {
    const reading = JSON.parse(event.data as string) as ScaleReading;
    if (reading.state !== now.state || reading.mass !== now.mass || reading.steady !== now.steady) now = reading;
    if (reading.taken != null) ontaken(reading.taken);
  };
  source.onerror = () => (now = nothing);
  onDestroy(() => source.close());
  return {
    get now() {
      return now;
    },
  };
}
