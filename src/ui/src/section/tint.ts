/** How a face looks at a darkness: raw, pale 0.3, gold 1, brown 1.8, charred 3. Colours for the eye only. */
const stops: [number, [number, number, number]][] = [
  [0, [247, 236, 212]],
  [0.3, [240, 217, 168]],
  [1, [217, 162, 78]],
  [1.8, [160, 96, 42]],
  [2.5, [92, 50, 26]],
  [3.5, [38, 24, 18]],
];
const RAW = stops[0]![1];

function lightAt(dark: number): number[] {
  const at = Math.min(Math.max(dark, 0), 3.5);
  const next = Math.max(
    stops.findIndex(([d]) => d >= at),
    1,
  );
  const [[d0, from], [d1, to]] = [stops[next - 1]!, stops[next]!];
  const share = (at - d0) / (d1 - d0);
  return from.map((c, i) => c + (to[i]! - c) * share);
}

export const tintOf = (dark: number): string => `rgb(${lightAt(dark).map(Math.round).join(" ")})`;

/** What browning takes from white dough it takes from dough of any hue: a beet dough browns too, and stays the darker one. */
export const browned = (hex: string, dark: number): string =>
  `#${lightAt(dark)
    .map((light, i) => Math.round(Math.min((parseInt(hex.slice(1 + 2 * i, 3 + 2 * i), 16) * light) / RAW[i]!, 255)))
    .map((value) => value.toString(16).padStart(2, "0"))
    .join("")}`;

/** Always the same freckles: a lot that falls alike for everybody. */
export function freckles(count: number, seed: number): { x: number; y: number; r: number; k: number }[] {
  let state = seed * 2654435761;
  const lot = () => {
    state = (state * 1664525 + 1013904223) >>> 0;
    return state / 4294967296;
  };
  return Array.from({ length: count }, () => {
    const [angle, out] = [lot() * 2 * Math.PI, Math.sqrt(lot()) * 44];
    return { x: 50 + out * Math.cos(angle), y: 50 + out * Math.sin(angle), r: 1.4 + lot() * 4.2, k: lot() };
  });
}
