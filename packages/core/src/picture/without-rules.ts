import type { GrayPicture } from './gray-picture.ts';

/** Rules are looked for piece by piece, pixels: long enough that no letter fills one. Own choice, no source. */
const piece = 48;
/** A rule is at least so many pieces long. Own choice, no source. */
const leastPieces = 6;
/** So much of a piece is dark where a rule goes through it. Own choice, no source. */
const filled = 0.85;
/** Darker than this, of 255, is no paper; darker than that, ink and no shadow. Own choices, no source. */
const [notPaper, black] = [205, 110];
/** A rule is no thicker than this share of the picture's longer side: what is, is the edge of a card. Own choice. */
const thickest = 1 / 160;
const paper = 250;

/** A stretch of a rule within one piece: from where to where it is thick. */
interface Stretch {
  readonly from: number;
  readonly to: number;
}

/** One view of a picture: along a row, or along a column. */
interface View {
  readonly length: number;
  readonly across: number;
  readonly at: (along: number, across: number) => number;
}

const views = ({ width, height }: GrayPicture): readonly [View, View] => [
  { length: width, across: height, at: (along, across) => across * width + along },
  { length: height, across: width, at: (along, across) => along * width + across },
];

/** Thin dark stretches in one piece of the view. */
function stretchesIn(pixels: Uint8Array, view: View, start: number, thick: number): Stretch[] {
  const end = Math.min(view.length, start + piece);
  const need = filled * (end - start);
  const found: Stretch[] = [];
  let from = -1;
  for (let y = 0; y <= view.across; y += 1) {
    let dark = 0;
    if (y < view.across)
      for (let x = start; x < end; x += 1) if (pixels[view.at(x, y)]! < notPaper) dark += 1;
    if (y < view.across && dark >= need) from = from < 0 ? y : from;
    else if (from >= 0) {
      if (y - from <= thick) found.push({ from, to: y - 1 });
      from = -1;
    }
  }
  return found;
}

/** Takes one stretch out: a shadow is lightened, a line of ink is filled in from above and below. */
function clear(out: Uint8Array, view: View, start: number, { from, to }: Stretch): void {
  const end = Math.min(view.length, start + piece);
  const values: number[] = [];
  for (let x = start; x < end; x += 1)
    for (let y = from; y <= to; y += 1) values.push(out[view.at(x, y)]!);
  const middle = values.sort((a, b) => a - b)[Math.floor(values.length / 2)]!;
  const [above, below] = [Math.max(0, from - 2), Math.min(view.across - 1, to + 2)];
  for (let x = start; x < end; x += 1) {
    const ends = Math.max(out[view.at(x, above)]!, out[view.at(x, below)]!);
    for (let y = Math.max(0, from - 1); y <= Math.min(view.across - 1, to + 1); y += 1) {
      const at = view.at(x, y);
      // A stroke that goes through is dark on both sides of it.
      out[at] =
        middle >= black ? Math.min(255, (out[at]! * paper) / middle) : Math.max(out[at]!, ends);
    }
  }
}

/**
 * A picture without the long thin lines in it: folds, frames, the rules of a table. Letters that they go through stay.
 *
 * @param picture upright and evenly lit
 * @returns a new picture of the same size
 * @example withoutRules(photo).pixels.length // photo.width * photo.height
 */
export function withoutRules(picture: GrayPicture): GrayPicture {
  const pixels = Uint8Array.from(picture.pixels);
  const thick = Math.max(3, Math.round(Math.max(picture.width, picture.height) * thickest));
  for (const view of views(picture)) {
    const pieces = Array.from({ length: Math.floor(view.length / piece) }, (_, i) =>
      stretchesIn(pixels, view, i * piece, thick),
    );
    // Chains: a stretch goes on where the next piece has one at its height, or the one after that.
    let open: Array<{ last: number; end: Stretch; all: Array<readonly [number, Stretch]> }> = [];
    const done: typeof open = [];
    pieces.forEach((stretches, i) => {
      for (const stretch of stretches) {
        const before = open.find(
          (o) => o.last < i && stretch.from <= o.end.to + 3 && stretch.to >= o.end.from - 3,
        );
        if (before) {
          before.all.push([i, stretch]);
          [before.last, before.end] = [i, stretch];
        } else open.push({ last: i, end: stretch, all: [[i, stretch]] });
      }
      done.push(...open.filter((o) => o.last < i - 1));
      open = open.filter((o) => o.last >= i - 1);
    });
    for (const { all } of [...done, ...open])
      if (all.length >= leastPieces)
        for (const [i, stretch] of all) clear(pixels, view, i * piece, stretch);
  }
  return { ...picture, pixels };
}
