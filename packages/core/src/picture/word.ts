/** A rectangle of a picture, in pixels from its upper left corner. */
export interface Box {
  readonly x0: number;
  readonly y0: number;
  readonly x1: number;
  readonly y1: number;
}

/** A word as it was found on a page. */
export interface PrintedWord {
  readonly text: string;
  /** How surely it was read, 0 to 1: 1 where it is no picture but a text. */
  readonly confidence: number;
  readonly box: Box;
}

/** The smallest rectangle around several. */
export const around = (boxes: readonly Box[]): Box => ({
  x0: Math.min(...boxes.map((b) => b.x0)),
  y0: Math.min(...boxes.map((b) => b.y0)),
  x1: Math.max(...boxes.map((b) => b.x1)),
  y1: Math.max(...boxes.map((b) => b.y1)),
});

/**
 * How far two rectangles share the same height on the page, as a share of the lower one of the two.
 *
 * @example levelWith({x0: 0, y0: 0, x1: 9, y1: 10}, {x0: 20, y0: 5, x1: 29, y1: 15}) // .5
 */
export const levelWith = (one: Box, other: Box): number =>
  Math.max(0, Math.min(one.y1, other.y1) - Math.max(one.y0, other.y0)) /
  Math.max(1, Math.min(one.y1 - one.y0, other.y1 - other.y0));
