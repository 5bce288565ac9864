import type { GrayPicture } from './gray-picture.ts';

/** Tiles along the longer side: a shadow is wider than one, a heading is not. Own choice, no source. */
const tiles = 24;
/** Of a tile's pixels so many are brighter than what is taken for its paper. Own choice, no source. */
const brighter = 0.15;
/** So bright is paper made, of 255. */
const paper = 250;
/** Paper is not taken to be darker than this: a dark picture would become noise. Own choice, no source. */
const darkest = 24;

/** What paper is in each tile: bright, but not the brightest. */
function papersOf({ width, height, pixels }: GrayPicture, size: number) {
  const [columns, rows] = [Math.ceil(width / size), Math.ceil(height / size)];
  const found = new Float32Array(columns * rows);
  const counts = new Uint32Array(256);
  for (let row = 0; row < rows; row += 1) {
    for (let column = 0; column < columns; column += 1) {
      counts.fill(0);
      const [right, below] = [
        Math.min(width, (column + 1) * size),
        Math.min(height, (row + 1) * size),
      ];
      let n = 0;
      for (let y = row * size; y < below; y += 2)
        for (let x = column * size; x < right; x += 2) {
          counts[pixels[y * width + x]!]! += 1;
          n += 1;
        }
      let [left, at] = [brighter * n, 255];
      while (at > 0 && (left -= counts[at]!) > 0) at -= 1;
      found[row * columns + column] = Math.max(darkest, at);
    }
  }
  return { columns, rows, found };
}

/**
 * A picture as if the light had fallen on it evenly: each pixel as a share of how bright the paper is around it. Shadows
 * and the colour of paper go, ink stays.
 *
 * Source: flat-field correction, with a high quantile of each tile for the field.
 *
 * @returns a new picture of the same size
 * @example evenLight({ width: 2, height: 1, pixels: Uint8Array.of(100, 100) }).pixels[0] // 250
 */
export function evenLight(picture: GrayPicture): GrayPicture {
  const { width, height, pixels } = picture;
  const size = Math.max(8, Math.ceil(Math.max(width, height) / tiles));
  const { columns, rows, found } = papersOf(picture, size);
  const out = new Uint8Array(pixels.length);
  // Between the middles of tiles the paper changes evenly.
  const place = (at: number, count: number): readonly [from: number, to: number, part: number] => {
    const along = Math.min(count - 1, Math.max(0, at / size - 0.5));
    const from = Math.floor(along);
    return [from, Math.min(count - 1, from + 1), along - from];
  };
  const across = Array.from({ length: width }, (_, x) => place(x, columns));
  for (let y = 0; y < height; y += 1) {
    const [above, below, down] = place(y, rows);
    for (let x = 0; x < width; x += 1) {
      const [left, right, part] = across[x]!;
      const top =
        found[above * columns + left]! * (1 - part) + found[above * columns + right]! * part;
      const bottom =
        found[below * columns + left]! * (1 - part) + found[below * columns + right]! * part;
      const here = top * (1 - down) + bottom * down;
      out[y * width + x] = Math.min(255, (pixels[y * width + x]! * paper) / here);
    }
  }
  return { width, height, pixels: out };
}
