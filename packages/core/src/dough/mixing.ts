import type { ResolvedLine } from '../formula/resolve.ts';
import { kneadingIds, kneadings, type KneadingId } from '../machine/kneading.ts';
import { baseOf, between } from '../formula/base.ts';
import { strengthShares } from './strength.ts';

/** Share of a strong flour's kneading that each strength stands. Common practice, no source. */
const stands = { strong: 1, weak: 0.5, soft: 0.4, none: 0.3 } as const;
/** The same of a dough on its dry base: one short knead, as gluten alone is quickly strong. */
const dryBaseStands = 0.5;

/** Minutes that a dough stands, and whether that is less than the method gives it. */
export interface MixingAdvice {
  readonly by: KneadingId;
  readonly label: string;
  readonly minutes: number;
  readonly says: string;
  /** The method works it for longer than this flour stands. */
  readonly tooLong: boolean;
}

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
  const byFlour =
    (shares.strong * stands.strong +
      shares.weak * stands.weak +
      shares.soft * stands.soft +
      shares.none * stands.none) /
    known;
  const share = between(byFlour, dryBaseStands, baseOf(lines).dryness);
  return kneadingIds.map((by) => {
    const { label, minutes, fixed, says } = kneadings[by];
    const tooLong = fixed && share < leastForFixed;
    return {
      by,
      label,
      minutes: Math.round(minutes.value * share),
      says: tooLong ? 'kneads too long for this dough: use dough-only and stop it' : says,
      tooLong,
    };
  });
}
