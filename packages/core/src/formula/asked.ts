import { object, text } from '../quantity/shape.ts';

/** A question that was asked of a bread beforehand: does this change help? Its next bakes are made with it, and without. */
export interface Asked {
  /** As in the book's effects. */
  readonly key: string;
  /** What is changed, as usual and as changed. */
  readonly says: string;
  readonly from: string;
  readonly to: string;
  /** What it is judged by. */
  readonly by: string;
  /** ISO date. */
  readonly askedOn: string;
}

export const askedField = object({
  key: text(200, 1),
  says: text(200, 1),
  from: text(200),
  to: text(200),
  by: text(40, 1),
  askedOn: text(10, 10),
});
