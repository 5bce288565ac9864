import type { Box } from '@tender-crumb/core/picture';

/** Around a row so much of its height is shown as well. */
const margin = 0.35;

/**
 * A row of a picture, with a little around it.
 *
 * @param kept the picture
 * @param size of the picture, pixels: what lies outside is cut off
 */
export async function stripOf(
  kept: Uint8Array,
  { width, height }: { readonly width: number; readonly height: number },
  { x0, y0, x1, y1 }: Box,
): Promise<Uint8Array> {
  const { default: sharp } = await import('sharp');
  const around = margin * Math.max(1, y1 - y0);
  const within = (at: number, most: number): number => Math.round(Math.min(most, Math.max(0, at)));
  const left = within(x0 - around, width - 1);
  const top = within(y0 - around, height - 1);
  return sharp(kept)
    .extract({
      left,
      top,
      width: Math.max(1, within(x1 + around, width) - left),
      height: Math.max(1, within(y1 + around, height) - top),
    })
    .jpeg({ quality: 85 })
    .toBuffer();
}
