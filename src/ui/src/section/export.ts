import { save } from "../files/files";
import type { Section } from "../api/types";
import { draw } from "./geometry";

const WIDE = 1400;
const HIGH = 360;
const CAPTION = 44;

const escape = (text: string) => text.replaceAll(/[<>&"]/g, (c) => `&#${c.charCodeAt(0)};`);

/** The section as an SVG file of its own: nothing in it needs the program. */
export function sectionSvg(section: Section, caption: (taller: number) => string): string {
  const drawing = draw(section, WIDE, HIGH);
  const tints = ["#f3e3c0", "#eed9ae", "#f5e8ca"];
  const stroke = { open: "#e0a63a", patchy: "#e0a63a", fused: "#cdb27c" };
  const body = [
    ...drawing.leaves.map((d, i) => `<path d="${d}" fill="${tints[i % 3]}"/>`),
    ...drawing.contacts.map(
      (c) =>
        `<path d="${c.path}" fill="none" stroke="${stroke[c.state]}" stroke-width="${c.width.toFixed(2)}"${c.state === "patchy" ? ' stroke-dasharray="9 7"' : ""}/>` +
        (c.stitches ? `<path d="${c.stitches}" stroke="#b3261e" stroke-width="1.6"/>` : ""),
    ),
    `<path d="${drawing.crust}" fill="none" stroke="#7a4a1e" stroke-width="2.4" stroke-linejoin="round"/>`,
    drawing.windings ? `<path d="${drawing.windings}" fill="none" stroke="#7a4a1e" stroke-dasharray="6 5"/>` : "",
  ].join("");
  const words = escape(caption(drawing.taller));
  return (
    `<svg xmlns="http://www.w3.org/2000/svg" width="${WIDE}" height="${HIGH + CAPTION}" viewBox="0 0 ${WIDE} ${HIGH + CAPTION}">` +
    `<title>${words}</title><rect width="100%" height="100%" fill="#fff"/>${body}` +
    `<text x="12" y="${HIGH + 27}" font-family="sans-serif" font-size="19" fill="#2b2320">${words}</text></svg>`
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
