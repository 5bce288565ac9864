import { figure, ownModel, type Figure } from '../figure/figure.ts';
import { kneadings, type KneadingId } from '../machine/kneading.ts';
import { styleIn } from '../style/style-figures.ts';
import type { StyleId } from '../style/style.ts';
import type { Belief, KnownMeasure } from './belief.ts';
import type { OwnFigures } from '../coefficients/figure-rows.ts';
import { byItsDial, type OvenTold } from './oven-dial.ts';

/** What each kind of measured figure is of. */
interface MeasuredOf {
  /** The usual oven where none is told. */
  readonly oven: { readonly oven?: OvenTold | undefined };
  readonly loss: {
    readonly style: StyleId;
    readonly pan?: string | undefined;
    /** What the household set for such breads; the table's where absent. */
    readonly figures?: OwnFigures;
  };
  readonly friction: { readonly by: KneadingId };
}

export type MeasuredKindId = keyof MeasuredOf;

/** A figure that bakes measure by themselves, apart from the dough: one row a kind. */
interface MeasuredKind<Of> {
  /** Key under which the book keeps one. */
  key(of: Of): string;
  /** What one goes by that no bake measured yet, where another stands for it. */
  instead?(of: Of): Of | undefined;
  /** What is believed before the first. */
  prior(of: Of): Figure;
  /** How much one bake differs from the next. */
  readonly passing: Figure;
}

const ownEstimate = 'own estimate, no source';

/** One row a kind. */
export const measuredKinds: { readonly [K in MeasuredKindId]: MeasuredKind<MeasuredOf[K]> } = {
  /**
   * Logarithm of the minutes in an oven beside the usual ones, by its own dial: one that is colder than it says takes
   * longer. Of an oven that nobody told apart, what was learned is that of the usual one.
   */
  oven: {
    key: ({ oven }) => (oven ? `oven:${oven.id}` : 'oven'),
    instead: ({ oven }) => (oven ? {} : undefined),
    prior: ({ oven }) => figure(byItsDial(0, oven), 'ln of the minutes', 0.15, ownEstimate),
    passing: figure(0.12, 'ln of the minutes', 0.05, ownEstimate),
  },
  /** Share of the dough that the oven takes: of the pan that was used where one was named, else of the kind of bread. */
  loss: {
    key: ({ style, pan }) => `loss:${pan === undefined ? `style:${style}` : `pan:${pan}`}`,
    prior: ({ style, figures }) => styleIn(style, figures ?? {}).loss,
    passing: figure(0.012, 'share of the dough', 0.005, ownModel),
  },
  /** Warmth that working puts into a dough: bowls take some of it, batches differ, tips are read early. */
  friction: {
    key: ({ by }) => `friction:${by}`,
    prior: ({ by }) => kneadings[by].rise,
    passing: figure(1.2, '°C', 0.5, ownEstimate),
  },
};

/**
 * What is known of one: as the table has it until a bake measured it.
 *
 * @example measuredOf(nothingLearned, 'loss', {style: 'pan'}).mean // .12
 */
export function measuredOf<K extends MeasuredKindId>(
  { measured }: Belief,
  kind: K,
  of: MeasuredOf[K],
): KnownMeasure {
  const row: MeasuredKind<MeasuredOf[K]> = measuredKinds[kind];
  const other = row.instead?.(of);
  const known = measured?.[row.key(of)] ?? (other && measured?.[row.key(other)]);
  if (known) return known;
  const { value, sd } = row.prior(of);
  return { mean: value, sd, bakes: 0 };
}

/** What one bake saw of one figure. */
export interface Seen<K extends MeasuredKindId = MeasuredKindId> {
  readonly kind: K;
  readonly of: MeasuredOf[K];
  readonly value: number;
  /** Spread of this one seeing, beside what passes from bake to bake; nothing where absent. */
  readonly doubt?: number;
}
