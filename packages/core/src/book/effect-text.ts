import { outcomes } from './helped.ts';

/** Nearer than this to a half or a whole grade it is that grade, grades. Own choice. */
const nearEnough = 0.05;

/** Grades as one says them aloud: in halves. */
function gradesText(size: number): string {
  const halves = Math.round(2 * size);
  if (halves === 0) return 'hardly a grade';
  const whole = Math.floor(halves / 2);
  const half = halves % 2 === 1;
  const names = ['', 'one', 'two', 'three', 'four'];
  const says =
    whole === 0
      ? 'half a grade'
      : `${names[whole] ?? whole}${half ? ' and a half' : ''} ${whole === 1 && !half ? 'grade' : 'grades'}`;
  const off = size - halves / 2;
  return Math.abs(off) < nearEnough ? says : `${off < 0 ? 'nearly' : 'over'} ${says}`;
}

/**
 * What a change did, in words: how much better or worse, and the half width of its 80 % interval.
 *
 * @param effect in the outcome's unit
 * @param giveOrTake in the same
 * @example effectText('stars', -1.9, 0.6) // 'nearly two grades worse (± 0.6)'
 * @example effectText('height', 6.2, 3) // '6 mm higher (± 3)'
 */
export function effectText(
  outcome: keyof typeof outcomes,
  effect: number,
  giveOrTake: number,
): string {
  const { unit, more, less } = outcomes[outcome];
  const side = effect < 0 ? less : more;
  const size = Math.abs(effect);
  return outcome === 'stars'
    ? `${gradesText(size)} ${side} (± ${giveOrTake.toFixed(1)})`
    : outcome === 'height'
      ? `${size.toFixed(0)} ${unit} ${side} (± ${giveOrTake.toFixed(0)})`
      : `${size.toFixed(1)} ${unit} ${side} (± ${giveOrTake.toFixed(1)})`;
}
