import { figure, ownModel, type Figure } from '../figure/figure.ts';
import { styles, type StyleId } from '../style/style.ts';
import type { Belief, KnownMeasure } from './belief.ts';

/** A figure that bakes measure by themselves, apart from the dough: one row a kind. */
interface MeasuredKind {
  /** What is believed before the first, of a bread of that style. */
  prior(style: StyleId): Figure;
  /** How much one bake differs from the next. */
  readonly passing: Figure;
}

const ownEstimate = 'own estimate, no source';

/** One row a kind. */
export const measuredKinds = {
  /** Logarithm of the minutes in the oven beside those of the table: an oven that is colder than it says takes longer. */
  oven: {
    prior: () => figure(0, 'ln of the minutes', 0.15, ownEstimate),
    passing: figure(0.12, 'ln of the minutes', 0.05, ownEstimate),
  },
  /** Share of the dough that the oven takes. */
  loss: {
    prior: (style) => styles[style].loss,
    passing: figure(0.012, 'share of the dough', 0.005, ownModel),
  },
} as const satisfies Record<string, MeasuredKind>;

export type MeasuredKindId = keyof typeof measuredKinds;

/**
 * Key under which the book keeps one: of the pan that was used where one was named, else of the kind of bread.
 *
 * @example measuredKey('loss', 'pan', 'long-tin') // 'loss:pan:long-tin'
 */
export const measuredKey = (kind: MeasuredKindId, style: StyleId, pan?: string): string =>
  kind === 'oven' ? kind : `${kind}:${pan === undefined ? `style:${style}` : `pan:${pan}`}`;

/**
 * What is known of one: as the table has it until a bake measured it.
 *
 * @example measuredOf(nothingLearned, 'loss', 'pan').mean // .12
 */
export function measuredOf(
  { measured }: Belief,
  kind: MeasuredKindId,
  style: StyleId,
  pan?: string,
): KnownMeasure {
  const known = measured?.[measuredKey(kind, style, pan)];
  if (known) return known;
  const { value, sd } = measuredKinds[kind].prior(style);
  return { mean: value, sd, bakes: 0 };
}
