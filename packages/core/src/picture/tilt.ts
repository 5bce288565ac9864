import type { GrayPicture } from './gray-picture.ts';

/** So far a card is turned at most, degrees: further, and it was laid down so. Own choice, no source. */
export const mostTilt = 8;
/** Degrees between two looks, coarse and fine. Own choice. */
const [coarse, fine] = [0.5, 0.1];
/** Darker than this share of the paper is ink. Own choice, no source. */
const ink = 0.6;
/** Less than this is a straight picture, degrees: turning it would only blur it. Own choice. */
const leastTilt = 0.15;
/** Rows must stand out so much more than in the picture as it is, as a share, to be worth turning it. Own choice. */
const worth = 0.01;

/** A stroke is no higher than this share of the picture’s longer side: what is, is a shadow or the table. Own choice, no source. */
const highestStroke = 1 / 40;

/** Where strokes end below: letters stand on their row with them. */
function feetOf({ width, height, pixels }: GrayPicture): { x: Float32Array; y: Float32Array } {
  const [x, y]: [number[], number[]] = [[], []];
  const most = Math.max(4, highestStroke * Math.max(width, height));
  for (let column = 0; column < width; column += 1) {
    let high = 0;
    for (let row = 0; row < height; row += 1) {
      if (pixels[row * width + column]! < ink * 255) {
        high += 1;
        continue;
      }
      if (high > 0 && high <= most) {
        x.push(column - width / 2);
        y.push(row - 1 - height / 2);
      }
      high = 0;
    }
  }
  return { x: Float32Array.from(x), y: Float32Array.from(y) };
}

/**
 * How far the rows of a page are turned, by the angle at which they stand out most from the gaps between them.
 *
 * Source: deskewing by projection profiles (Postl 1986): the sum of squared differences between neighbouring rows.
 *
 * @param picture evenly lit, of some 800 pixels along its longer side
 * @returns degrees, clockwise positive, -8 to 8; 0 where no angle stands out
 * @example tiltOf({ width: 1, height: 1, pixels: Uint8Array.of(255) }) // 0
 */
export function tiltOf(picture: GrayPicture): number {
  const { x, y } = feetOf(picture);
  if (x.length === 0) return 0;
  const reach = Math.ceil(Math.hypot(picture.width, picture.height) / 2) + 1;
  const sums = new Float32Array(2 * reach + 2);
  const standsOut = (degrees: number): number => {
    sums.fill(0);
    const slope = Math.tan((degrees * Math.PI) / 180);
    for (let i = 0; i < x.length; i += 1) {
      const at = y[i]! - slope * x[i]! + reach;
      const row = Math.floor(at);
      if (row < 0 || row >= sums.length - 1) continue;
      sums[row]! += row + 1 - at;
      sums[row + 1]! += at - row;
    }
    let out = 0;
    for (let i = 1; i < sums.length; i += 1) out += (sums[i]! - sums[i - 1]!) ** 2;
    return out;
  };
  const best = (from: number, to: number, step: number): number => {
    let [at, most] = [0, -1];
    for (let degrees = from; degrees <= to + 1e-9; degrees += step) {
      const out = standsOut(degrees);
      if (out > most) [at, most] = [degrees, out];
    }
    return at;
  };
  const about = best(-mostTilt, mostTilt, coarse);
  const found = best(about - coarse, about + coarse, fine);
  if (Math.abs(found) < leastTilt || standsOut(found) <= (1 + worth) * standsOut(0)) return 0;
  return Math.round(found * 10) / 10;
}
