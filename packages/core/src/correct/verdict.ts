import { capital } from '../quantity/capital.ts';
import { tellingDifference } from '../dough/telling-difference.ts';
import { styles, type StyleId, type Window } from '../style/style.ts';
import { gramsText } from '../quantity/number.ts';
import type { CannotTell } from '../dough/cannot-tell.ts';
import type { Level } from '../dough/level.ts';
import type { Aim } from './aims.ts';
import { normalBelow } from '../quantity/normal.ts';
import type { Correction } from './correction.ts';
import type { DoughState } from '../dough/state.ts';
import { outside } from '../dough/window.ts';

/** The level in words: what stands beside the picture, always. */
interface Verdict {
  readonly state: string;
  /** In or out of the window, and what brings it home. */
  readonly says: string;
  /** The same in as few words as a row of a list has room for. */
  readonly brief: string;
  /** How it will feel before slow drinkers have drunk, where that is another feel. */
  readonly early?: string;
  /** Chance that the dough lands in the window, 0 to 1; absent where nothing can be told. */
  readonly chance?: number;
  readonly fits: boolean;
  /** Said where hardly any breads stand behind the window. */
  readonly weak?: string;
}

/** What a verdict is passed on. */
interface Judged {
  readonly level: Level;
  readonly state: DoughState;
  readonly window: Window;
  /** How far the window's ends are in doubt, standard deviation in points. */
  readonly edge: number;
  readonly aims: readonly Aim[];
  readonly corrections: readonly Correction[];
  readonly restMinutes: number;
  readonly cannotTell?: CannotTell;
}

/**
 * Chance that a dough lands in its window, by the normal distribution about its level.
 *
 * @param edge how far the window's own ends are in doubt, standard deviation in points
 * @example chanceInWindow({points: 0.5, sd: 1, …}, [-3, 4]) // 0.9995
 */
export function chanceInWindow(
  { points, sd }: Pick<Level, 'points' | 'sd'>,
  [low, high]: Window,
  edge = 0,
): number {
  const blurred = Math.hypot(sd, edge);
  const within = normalBelow((high - points) / blurred) - normalBelow((low - points) / blurred);
  return Math.max(0, within);
}

function earlyFeel({ points, early }: Level, restMinutes: number): string | undefined {
  if (early - points < tellingDifference) return undefined;
  return `At first the dough feels wetter. Wait ${restMinutes} minutes before you judge it.`;
}

/** The grams beside it say “about” already. */
const bare = (measure: string): string => measure.replace(/^about /, '');

/** Doubt of a window's ends from which it is said to rest on few breads, points. Own choice. */
const weakEdge = 3;

/** Says what a level means for a style, with the one correction that brings it home. */
export function verdict(
  { level, state, window, edge, aims, corrections, restMinutes, cannotTell }: Judged,
  style: StyleId,
): Verdict {
  if (cannotTell)
    return { state: 'Cannot tell', says: cannotTell.says, brief: 'Cannot tell', fits: false };
  const off = outside(level.points, window);
  const fix = corrections.find((s) => s.kind === 'water' || s.kind === 'flour');
  const wanted = styles[style].inSentence;
  const correction =
    fix &&
    (fix.grams > 0
      ? `Needs about ${gramsText(fix.grams)} more ${fix.name} (${bare(fix.spoons)}).`
      : `Hold back about ${gramsText(-fix.grams)} of water (${bare(fix.spoons)}).`);
  const deed =
    fix &&
    (fix.grams > 0
      ? `add ${gramsText(fix.grams)} ${fix.name}`
      : `hold back ${gramsText(-fix.grams)} water`);
  const side = off < 0 ? 'Too tight' : 'Too loose';
  const early = earlyFeel(level, restMinutes);
  return {
    state: capital(state.says),
    says:
      off === 0 ? `Just right for ${wanted}.` : `${side} for ${wanted}. ${correction ?? ''}`.trim(),
    brief: off === 0 ? 'Just right' : [side, ...(deed ? [deed] : [])].join(': '),
    ...(early ? { early } : {}),
    // Of what it is, or may be.
    chance: aims.reduce(
      (sum, aim) => sum + aim.probability * chanceInWindow(level, aim.window, aim.edge),
      0,
    ),
    ...(edge >= weakEdge ? { weak: 'We know few breads of this kind: go by feel.' } : {}),
    fits: off === 0,
  };
}
