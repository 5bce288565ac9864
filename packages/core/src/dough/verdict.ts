import { styleInSentence, type StyleId } from '../formula/style.ts';
import { gramsText } from '../quantity/number.ts';
import { normalBelow, type Slip } from './slips/slip.ts';
import type { Level } from './level.ts';
import type { DoughState } from './state.ts';
import { outside, type Window } from './window.ts';

/** The level in words: what stands beside the picture, always. */
export interface Verdict {
  readonly state: string;
  /** In or out of the window, and what brings it home. */
  readonly says: string;
  /** Chance that the dough lands in the window, 0 to 1. */
  readonly chance: number;
  readonly fits: boolean;
}

/**
 * Chance that a dough lands in its window, by the normal distribution about its level.
 *
 * @example chanceInWindow({points: 0.5, sd: 1, …}, [-3, 4]) // 0.9995
 */
export const chanceInWindow = ({ points, sd }: Level, [low, high]: Window): number =>
  normalBelow((high - points) / sd) - normalBelow((low - points) / sd);

const capital = (text: string): string => text.charAt(0).toUpperCase() + text.slice(1);

/** Says what a level means for a style, with the one correction that brings it home. */
export function verdict(
  level: Level,
  state: DoughState,
  window: Window,
  style: StyleId,
  slips: readonly Slip[],
): Verdict {
  const off = outside(level.points, window);
  const chance = chanceInWindow(level, window);
  const fix = slips.find((s) => s.kind === 'water' || s.kind === 'flour');
  const wanted = styleInSentence[style];
  const correction =
    fix &&
    (fix.grams > 0
      ? `Needs about ${gramsText(fix.grams)} more ${fix.kind} (${fix.spoons}).`
      : `Hold back about ${gramsText(-fix.grams)} of water (${fix.spoons}).`);
  return {
    state: capital(state.says),
    says:
      off === 0
        ? `Where it should be for ${wanted}.`
        : `${off < 0 ? 'Too tight' : 'Too loose'} for ${wanted}. ${correction ?? ''}`.trim(),
    chance,
    fits: off === 0,
  };
}
