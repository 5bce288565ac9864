import { figure } from '../figure/figure.ts';
import { states } from './state.ts';

/**
 * Where touch ends, points: from here on a dough pools, and a finger finds no difference between a wet one and a wetter
 * one. The scale goes on by the water account, in which a point is a gram of water for 100 g of flour.
 */
export const touchEnds = states.find((s) => s.id === 'slack')!.below;

const uncertain = figure(
  0.35,
  'points of doubt for each point beyond',
  0.15,
  'own estimate, no source: customary doughs of 85 to 90 % water stand up to 15 points beyond',
);
const counts = figure(
  0.5,
  'share',
  0.2,
  'own estimate, no source: a batter is a batter, so that half of it is held against a dough',
);

const beyond = (points: number): number => Math.max(0, points - touchEnds);

/**
 * Doubt of a level that comes of its standing where nobody can feel it, standard deviation in points.
 *
 * @example pastTouchDoubt(10) // 0
 * @example pastTouchDoubt(24) // 3.5
 */
export const pastTouchDoubt = (points: number): number => uncertain.value * beyond(points);

/**
 * How far a level is outside a window as a baker would mind it: what lies past the touch counts less.
 *
 * @param off points outside, positive where too loose
 * @example minded(24, 14) // 9: four points that are felt, and half of ten
 */
export const minded = (points: number, off: number): number =>
  off > 0 ? off - (1 - counts.value) * Math.min(off, beyond(points)) : off;
