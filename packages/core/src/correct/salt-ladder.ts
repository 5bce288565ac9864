import type { ResolvedLine } from '../formula/resolve.ts';
import { saltPerSodium, type Totals } from '../formula/totals.ts';
import type { Kitchen } from '../belief/kitchen.ts';
import { saltEffect } from './salt.ts';

/** What a dough would be at another saltiness. */
interface SaltRung {
  readonly percent: number;
  readonly label: string;
  /** Grams of salt to add, or negative, to hold back. */
  readonly change: number;
  /** Milligrams of sodium in a portion, all sources. */
  readonly sodium: number;
  /** Salt as a label reckons it, g a portion. */
  readonly salt: number;
  /** Share by which it rises faster than as it stands; negative is slower. */
  readonly riseFaster: number;
  readonly now: boolean;
}

/** Sodium in salt, mg per g. Source: USDA SR Legacy 02047, from memory. */
const sodiumPerSalt = 387.58;

/**
 * What moving the salt does, at the percentages that a baker would think of: low, half-way, usual, as it
 * stands.
 *
 * @param portions that the bread is shared out in
 * @example saltLadder(lines, totals, kitchen, 16).find((r) => r.now)?.sodium
 */
export function saltLadder(
  lines: readonly ResolvedLine[],
  totals: Totals,
  kitchen: Kitchen,
  portions: number,
): SaltRung[] {
  const { saltLow, saltUsualLow, saltUsualHigh } = kitchen.coefficients;
  const sodium = lines.reduce((sum, l) => sum + (l.grams * l.of.composition.sodium) / 100, 0);
  const rung = (percent: number, label: string, now = false): SaltRung => {
    const change = ((percent - totals.saltPercent) * totals.flourGrams) / 100;
    const all = sodium + change * sodiumPerSalt;
    return {
      percent,
      label,
      change,
      sodium: all / portions,
      salt: (all * saltPerSodium) / 1000 / portions,
      ...saltEffect(change, { totals, kitchen }),
      now,
    };
  };
  return [
    rung(saltLow.value, 'low-sodium'),
    rung(saltUsualLow.value, 'usual, low end'),
    rung(saltUsualHigh.value, 'usual, high end'),
    rung(totals.saltPercent, 'as it stands', true),
  ].sort((a, b) => a.percent - b.percent);
}
