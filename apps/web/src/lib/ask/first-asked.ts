import type { HouseQuestionId } from '@tender-crumb/core/household';

/** What the program asks of its own accord, the most pressing first. */
export const questionKinds = [
  'how-was',
  'sack',
  'row',
  // How much a cup holds moves every line, and with them which bread it may be.
  'cup',
  'style',
  'machine',
  'degrees',
  'scale',
  'bakers',
] as const satisfies ReadonlyArray<HouseQuestionId | 'how-was' | 'sack' | 'row' | 'style'>;
export type QuestionKind = (typeof questionKinds)[number];

/** A question that waits its turn. */
export interface Waiting {
  readonly kind: QuestionKind;
  /** Of what it is asked: a bake, a flour, a recipe. */
  readonly of: string;
}

/**
 * Of several questions on one page the one that is asked; of one kind the one that stood there first.
 *
 * @param isOff whether it was put off
 * @returns undefined where all are put off, or there is none
 */
export const firstAsked = (
  waiting: readonly Waiting[],
  isOff: (asked: Waiting) => boolean,
): Waiting | undefined =>
  waiting
    .filter((w) => !isOff(w))
    .sort((a, b) => questionKinds.indexOf(a.kind) - questionKinds.indexOf(b.kind))[0];
