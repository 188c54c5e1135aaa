import type { FacePhoto } from "../../api/types";

type Patch = FacePhoto["white"][number];

/** How far from where it was touched is looked at, of the shorter side. */
export const REACH = 0.055;

/** Means of the four quarters of a disc of a picture, as sRGB. A disc that hangs over the edge is moved in. */
export function quartersOf(picture: ImageData, at: { x: number; y: number }): Patch[] {
  const { width, height, data } = picture;
  const reach = Math.max(Math.round(REACH * Math.min(width, height)), 2);
  const inside = (share: number, length: number) => Math.min(Math.max(Math.round(share * length), reach), length - reach);
  const [cx, cy] = [inside(at.x, width), inside(at.y, height)];
  const sums = Array.from({ length: 4 }, () => ({ red: 0, green: 0, blue: 0, dots: 0 }));
  for (let y = -reach; y < reach; y++)
    for (let x = -reach; x < reach; x++) {
      if (x * x + y * y > reach * reach) continue;
      const sum = sums[(x < 0 ? 0 : 1) + (y < 0 ? 0 : 2)]!;
      const dot = 4 * ((cy + y) * width + cx + x);
      sum.red += data[dot]!;
      sum.green += data[dot + 1]!;
      sum.blue += data[dot + 2]!;
      sum.dots++;
    }
  const mean = (sum: number, dots: number) => Math.round((10 * sum) / Math.max(dots, 1)) / 10;
  return sums.map((s) => ({ red: mean(s.red, s.dots), green: mean(s.green, s.dots), blue: mean(s.blue, s.dots) }));
}

/** The dots of a photo the kitchen keeps. */
export async function dotsOf(image: HTMLImageElement): Promise<ImageData> {
  await image.decode();
  const canvas = document.createElement("canvas");
  [canvas.width, canvas.height] = [image.naturalWidth, image.naturalHeight];
  const drawn = canvas.getContext("2d", { willReadFrequently: true })!;
  drawn.drawImage(image, 0, 0);
  return drawn.getImageData(0, 0, canvas.width, canvas.height);
}
