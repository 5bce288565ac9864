import type { GrayPicture, PrintedWord } from '@tender-crumb/core/picture';

/** A sheet of one shade. */
export const sheet = (width: number, height: number, shade = 250): GrayPicture => ({
  width,
  height,
  pixels: new Uint8Array(width * height).fill(shade),
});

/** A sheet with a rectangle drawn on it. */
export function withInk(
  picture: GrayPicture,
  [x0, y0, x1, y1]: readonly [number, number, number, number],
  shade = 20,
): GrayPicture {
  const pixels = Uint8Array.from(picture.pixels);
  for (let y = Math.max(0, y0); y < Math.min(picture.height, y1); y += 1)
    for (let x = Math.max(0, x0); x < Math.min(picture.width, x1); x += 1)
      pixels[y * picture.width + x] = shade;
  return { ...picture, pixels };
}

/** Rows of strokes, turned by some degrees: a text as somebody sees it without glasses. */
export function text(degrees: number, width = 800, height = 600): GrayPicture {
  const pixels = new Uint8Array(width * height).fill(250);
  const slope = Math.tan((degrees * Math.PI) / 180);
  for (let row = 60; row < height - 60; row += 40)
    for (let x = 60; x < width - 60; x += 1) {
      if (x % 12 > 7) continue;
      const foot = Math.round(row + slope * (x - width / 2));
      for (let y = foot - 12 - (x % 5); y <= foot; y += 1)
        if (y >= 0 && y < height) pixels[y * width + x] = 30;
    }
  return { width, height, pixels };
}

/** A row of words, each letter 10 wide and 20 high, a space between. */
export const row = (says: string, x: number, y: number, confidence = 0.95): PrintedWord[] => {
  let at = x;
  return says.split(' ').map((word) => {
    const box = { x0: at, y0: y, x1: at + 10 * word.length, y1: y + 20 };
    at = box.x1 + 8;
    return { text: word, confidence, box };
  });
};

/** Rows one below the other, from the top of the page; an empty one is a gap. */
export const page = (rows: readonly string[], x = 50, pitch = 32): PrintedWord[] =>
  rows.flatMap((says, i) => (says ? row(says, x, 50 + i * pitch) : []));
