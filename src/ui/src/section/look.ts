const byte = (hex: string, at: number) => parseInt(hex.slice(at, at + 2), 16);

/** A hue with so much white or black laid over it: 0 to 1 lighter, 0 to -1 darker. As a plain colour, so that a drawing stands alone. */
export function shade(hex: string, by: number): string {
  const to = by > 0 ? 255 : 0;
  const mixed = [1, 3, 5].map((at) => Math.round(byte(hex, at) + (to - byte(hex, at)) * Math.abs(by)));
  return `#${mixed.map((value) => value.toString(16).padStart(2, "0")).join("")}`;
}

/** Neighbouring leaves of one dough, told apart by a shade. */
export const leafShades = (dough: string): [string, string, string] => [dough, shade(dough, -0.055), shade(dough, 0.22)];

/** The theme's colours of dough as those of this one, bare, greased and floured, for whatever is drawn of it. */
export const doughTokens = (dough: string): string =>
  [
    `--color-raw:${dough}`,
    `--color-raw-fat:color-mix(in srgb, ${dough} 58%, var(--color-ghee))`,
    `--color-raw-dust:color-mix(in srgb, ${dough} 60%, white)`,
    `--color-raw-fat-dust:color-mix(in srgb, ${dough} 52%, color-mix(in srgb, var(--color-ghee) 60%, white))`,
  ].join(";");
