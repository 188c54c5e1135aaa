import { save } from "../files/files";
import type { Section } from "../api/types";
import { draw } from "./geometry";
import { leafShades } from "./look";

const WIDE = 1400;
const HIGH = 360;
const CAPTION = 44;

const escape = (text: string) => text.replaceAll(/[<>&"]/g, (c) => `&#${c.charCodeAt(0)};`);

/** A colour of the theme as it is: a file of its own knows no tokens. */
const token = (name: string) => getComputedStyle(document.documentElement).getPropertyValue(`--color-${name}`).trim();

/** The section as an SVG file of its own: nothing in it needs the program. */
export function sectionSvg(section: Section, caption: (taller: number) => string): string {
  const drawing = draw(section, WIDE, HIGH);
  const [parted, weld, crust] = [token("parted"), token("weld"), token("crust-deep")];
  const { look } = section;
  const tints = look ? leafShades(look.dough) : [1, 2, 3].map((n) => token(`leaves-${n}`));
  const stroke = { open: parted, patchy: parted, fused: weld };
  const body = [
    ...(section.filling ? [`<path d="${drawing.crust}" fill="${tints[0]}"/>`] : []),
    ...drawing.leaves.map((d, i) => `<path d="${d}" fill="${tints[i % 3]}"/>`),
    ...drawing.flecks.map(({ hue, path }) => `<path d="${path}" fill="${hue}"/>`),
    ...drawing.contacts.map(
      (c) =>
        `<path d="${c.path}" fill="none" stroke="${stroke[c.state]}" stroke-width="${c.width.toFixed(2)}"${c.state === "patchy" ? ' stroke-dasharray="9 7"' : ""}/>` +
        (c.stitches ? `<path d="${c.stitches}" stroke="${token("chilli")}" stroke-width="1.6"/>` : ""),
    ),
    ...drawing.fillings.map((d) => `<path d="${d}" fill="${look?.filling?.hue ?? token("filling")}"/>`),
    ...drawing.lumps.map(({ hue, path }) => `<path d="${path}" fill="${hue}"/>`),
    `<path d="${drawing.crust}" fill="none" stroke="${crust}" stroke-width="2.4" stroke-linejoin="round"/>`,
    drawing.windings ? `<path d="${drawing.windings}" fill="none" stroke="${crust}" stroke-dasharray="6 5"/>` : "",
  ].join("");
  const words = escape(caption(drawing.taller));
  return (
    `<svg xmlns="http://www.w3.org/2000/svg" width="${WIDE}" height="${HIGH + CAPTION}" viewBox="0 0 ${WIDE} ${HIGH + CAPTION}">` +
    `<title>${words}</title><rect width="100%" height="100%" fill="white"/>${body}` +
    `<text x="12" y="${HIGH + 27}" font-family="sans-serif" font-size="19" fill="${token("ink")}">${words}</text></svg>`
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
