import type { GrayPicture } from './gray-picture.ts';
import type { InkIn } from './page-rows.ts';

/** Darker than this, of 255, is ink. Own choice, no source. */
const dark = 165;
/** A letter covers so much of the square of its height. Own choice: about a fifth of it is ink. */
const covers = 0.2;

/**
 * Tells how much ink a part of a picture has, in letters.
 *
 * @param picture evenly lit
 * @param scale so many of its pixels are one of those in which places are told
 * @example inkIn(photo, 1)({x0: 0, y0: 40, x1: 300, y1: 60}, 20) // 11.3
 */
export const inkIn =
  ({ width, height, pixels }: GrayPicture, scale: number): InkIn =>
  ({ x0, y0, x1, y1 }, letter) => {
    let found = 0;
    const [right, below] = [Math.min(width, x1 * scale), Math.min(height, y1 * scale)];
    for (let y = Math.max(0, Math.round(y0 * scale)); y < below; y += 1)
      for (let x = Math.max(0, Math.round(x0 * scale)); x < right; x += 1)
        if (pixels[y * width + x]! < dark) found += 1;
    return found / (covers * (letter * scale) ** 2);
  };
