import { onDestroy } from "svelte";
import { live } from "../live/live.svelte";
import type { ProbeReading, ScaleReading } from "./types";

interface Instrument<T> {
  /** Nothing heard for so long that the line is down: then the reading is this. */
  readonly now: T;
}

/** Listens to an instrument for as long as the component stands. */
function listen<T>(kind: "scale" | "probe", silent: T, differs: (a: T, b: T) => boolean, onreading: (reading: T) => void): Instrument<T> {
  let now = $state.raw(silent);
  const stop = [
    live.want({ [kind]: true }),
    live.on<T>(kind, (reading) => {
      if (differs(reading, now)) now = reading;
      onreading(reading);
    }),
  ];
  onDestroy(() => stop.forEach((s) => s()));
  return {
    get now() {
      return live.line === "up" ? now : silent;
    },
  };
}

/** The bench scale. */
export const listenToScale = (ontaken: (mass: number) => void): Instrument<ScaleReading> =>
  listen<ScaleReading>(
    "scale",
    { state: "unplugged", mass: null, steady: false, taken: null },
    (a, b) => a.state !== b.state || a.mass !== b.mass || a.steady !== b.steady,
    ({ taken }) => taken != null && ontaken(taken),
  );

/** The pan probe. */
export const listenToProbe = (onreading: (reading: ProbeReading) => void): Instrument<ProbeReading> =>
  listen<ProbeReading>("probe", { state: "unplugged", pan: null }, (a, b) => a.state !== b.state || a.pan !== b.pan, onreading);
