import { onDestroy } from "svelte";
import type { ProbeReading } from "./types";

const nothing: ProbeReading = { state: "unplugged", pan: null };

/** Listens to the pan probe for as long as the component stands. The browser calls again by itself when the line breaks. */
export function listenToProbe(onreading: (reading: ProbeReading) => void): { readonly now: ProbeReading } {
  let now = $state.raw(nothing);
  const source = new EventSource("/api/probe/readings");
  source.onmessage = (event) => {
    const reading = JSON.parse(event.data as string) as ProbeReading;
    if (reading.state !== now.state || reading.pan !== now.pan) now = reading;
    onreading(reading);
  };
  source.onerror = () => (now = nothing);
  onDestroy(() => source.close());
  return {
    get now() {
      return now;
    },
  };
}
