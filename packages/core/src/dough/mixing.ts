import type { ResolvedLine } from '../formula/resolve.ts';
import { commonPractice, figure, type Figure } from '../figure/figure.ts';
import { strengthShares } from './strength.ts';

export const mixers = ['hand', 'mixer', 'machine'] as const;
export type Mixer = (typeof mixers)[number];

interface MixingRow {
  readonly label: string;
  /** Minutes for a strong flour. */
  readonly minutes: Figure;
  readonly says: string;
}

/** How long a strong flour is worked, by method. */
export const mixing: Readonly<Record<Mixer, MixingRow>> = {
  hand: {
    label: 'by hand',
    minutes: figure(10, 'min', 2, commonPractice),
    says: 'knead until a piece stretches thin without tearing',
  },
  mixer: {
    label: 'mixer, then hand',
    minutes: figure(16, 'min', 3, commonPractice),
    says: 'half in the mixer at low speed, half by hand',
  },
  machine: {
    label: 'bread machine',
    minutes: figure(25, 'min', 4, commonPractice),
    says: 'its kneading is fixed: look after five to ten minutes',
  },
};

/** Share of a strong flour's kneading that each strength stands. Common practice, no source. */
const stands = { strong: 1, weak: 0.5, soft: 0.4, none: 0.3 } as const;

/** Minutes that a dough stands, and whether that is less than the method gives it. */
export interface MixingAdvice {
  readonly mixer: Mixer;
  readonly label: string;
  readonly minutes: number;
  readonly says: string;
  /** The method works it for longer than this flour stands. */
  readonly tooLong: boolean;
}

/** A programme that cannot be stopped works every dough for as long as it does strong flour. */
const fixed: ReadonlySet<Mixer> = new Set(['machine']);
/** A flour that stands less than this share of a fixed kneading is overworked by it. */
const leastForFixed = 0.75;

/**
 * How long each method should work this dough: as long as its flours stand, in proportion to their
 * weight.
 *
 * @example mixingAdvice(linesOfSpelt)[0].minutes // 5, by hand
 */
export function mixingAdvice(lines: readonly ResolvedLine[]): MixingAdvice[] {
  const shares = strengthShares(lines);
  const known = shares.strong + shares.weak + shares.soft + shares.none || 1;
  const share =
    (shares.strong * stands.strong +
      shares.weak * stands.weak +
      shares.soft * stands.soft +
      shares.none * stands.none) /
    known;
  return mixers.map((mixer) => {
    const { label, minutes, says } = mixing[mixer];
    const tooLong = fixed.has(mixer) && share < leastForFixed;
    return {
      mixer,
      label,
      minutes: Math.round(minutes.value * share),
      says: tooLong ? 'kneads for longer than this flour stands: use dough-only and stop it' : says,
      tooLong,
    };
  });
}
