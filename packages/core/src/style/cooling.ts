import { commonPractice, figure } from '../figure/figure.ts';
import type { Form } from './form.ts';
import { inTin } from './in-tin.ts';
import { styles, type StyleId } from './style.ts';
import { bakingPower } from './baking.ts';

/** Minutes in its tin or pan before it is turned out. Handbook section 13: 5 to 20. */
const inPan = figure(10, 'min', 5, commonPractice);

/** When a bread is turned out and cut, by the clock of its coming out. */
export interface Cooling {
  /** Minutes until it leaves its tin; 0 for what stands on a tray. */
  readonly outOfPan: number;
  /** Minutes until it is cut. */
  readonly cut: number;
  readonly says: string;
}

/** A bread that cools longer than this is cut on another day, minutes. Own choice, no source. */
const aDay = 12 * 60;
/** Pieces lighter than this stand on no tin's warmth, grams. Own choice, no source. */
const small = 200;

/**
 * How long a bread cools: by its style, and longer for a heavier piece.
 *
 * @param grams raw, of one piece
 * @param form what it is shaped to; as its style is, where nobody said
 * @example coolingOf('rye', 900).cut // 1440
 */
export function coolingOf(style: StyleId, grams: number, form: Form = styles[style].form): Cooling {
  const { baking, cut: own } = styles[style];
  const share = Math.min(
    1.5,
    Math.max(0.5, (grams / 1000 / baking.kilograms) ** bakingPower.value),
  );
  const cut =
    Math.round((baking.cooling.value * (baking.cooling.value >= aDay ? 1 : share)) / 5) * 5;
  const says =
    own ??
    (cut >= aDay
      ? 'Wrap it in a cloth and cut after a day or two: sooner it smears.'
      : cut === 0
        ? 'It is eaten hot.'
        : 'Cut hot, the crumb turns gummy.');
  return { outOfPan: inTin(style, form) && grams >= small ? inPan.value : 0, cut, says };
}
