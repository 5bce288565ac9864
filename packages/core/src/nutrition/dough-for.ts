import { styles, type StyleId } from '../style/style.ts';

/**
 * Dough for a weight of bread.
 *
 * @example doughFor(800, 'pan') // 909 g
 */
export const doughFor = (bread: number, style: StyleId): number =>
  bread / (1 - styles[style].loss.value);
