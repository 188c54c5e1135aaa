import { save } from "../files/files";
import type { Section } from "../api/types";
import type { Baked } from "./frame";
import { draw } from "./geometry";
import { paint } from "./paint";

const WIDE = 1400;
const HIGH = 360;
const CAPTION = 44;

const escape = (text: string) => text.replaceAll(/[<>&"]/g, (c) => `&#${c.charCodeAt(0)};`);

/** A colour of the theme as it is: a file of its own knows no tokens. */
const token = (name: string) => getComputedStyle(document.documentElement).getPropertyValue(name).trim();
const plainly = (colour: string | undefined) => (colour ? colour.replace(/^var\((.+)\)$/, (_, name: string) => token(name)) : "none");

/** The section as an SVG file of its own: nothing in it needs the program. */
export function sectionSvg(section: Section, baked: Baked | null, caption: (taller: number) => string): string {
  const drawing = draw(section, WIDE, HIGH, baked);
  const body = paint(section, drawing, baked)
    .map(
      ({ d, fill, stroke, width, dash }) =>
        `<path d="${d}" fill="${plainly(fill)}" stroke="${plainly(stroke)}" stroke-width="${(width ?? 0).toFixed(2)}" stroke-linejoin="round"${dash ? ` stroke-dasharray="${dash}"` : ""}/>`,
    )
    .join("");
  const words = escape(caption(drawing.taller));
  return (
    `<svg xmlns="http://www.w3.org/2000/svg" width="${WIDE}" height="${HIGH + CAPTION}" viewBox="0 0 ${WIDE} ${HIGH + CAPTION}">` +
    `<title>${words}</title><rect width="100%" height="100%" fill="white"/>${body}` +
    `<text x="12" y="${HIGH + 27}" font-family="sans-serif" font-size="19" fill="${token("--color-ink")}">${words}</text></svg>`
  );
}

export const saveSvg = (svg: string, name: string): void => save(new Blob([svg], { type: "image/svg+xml" }), `${name}.svg`);

/** The same picture in dots, twice as fine as the screen. */
export async function savePng(svg: string, name: string): Promise<void> {
  const picture = new Image();
  picture.src = `data:image/svg+xml;charset=utf-8,${encodeURIComponent(svg)}`;
  await picture.decode();
  const canvas = document.createElement("canvas");
  [canvas.width, canvas.height] = [picture.width * 2, picture.height * 2];
  canvas.getContext("2d")?.drawImage(picture, 0, 0, canvas.width, canvas.height);
  canvas.toBlob((blob) => blob && save(blob, `${name}.png`), "image/png");
}
