import { withPaces, type Paces } from './rise-doubt.ts';
import { riseUntil, type RiseEnd } from './rise-until.ts';
import { usualRise, type RiseModel, type RisingDough } from './rise.ts';

/** Air that a dough can be put into: a fridge, a warm oven. °C; above it yeast slows again. */
export const airSpan = [4, 36] as const;
/** To a twentieth of a degree. */
const halvings = 10;

/** How warm a place has a dough ready in a time; or what the coldest and the warmest of them do. */
type WarmthFor =
  | { readonly celsius: number }
  | {
      readonly celsius?: undefined;
      readonly why: 'too-soon' | 'too-late';
      /** Hours at that end; none where it never comes there. */
      readonly hours?: number;
    };

/**
 * The warmth of the place for a time, with the leaven as it is: the warmer, the sooner, so that halving finds it.
 *
 * @param dough its own warmth at first stays as it is
 * @param hours wanted, above 0
 * @example warmthFor(lean dough of 1 % instant, 2.5, {volume: 2}).celsius // about 15
 */
export function warmthFor(
  dough: RisingDough,
  hours: number,
  end: RiseEnd,
  paces: Paces = {},
  model: RiseModel = usualRise,
): WarmthFor {
  const paced = withPaces(dough, paces);
  const takes = (celsius: number, upTo?: number): number =>
    riseUntil({ ...paced, air: [{ hours: 1, celsius }] }, end, model, upTo).hours ?? Infinity;
  const [coldest, warmest] = airSpan;
  const at = (celsius: number) => {
    const of = takes(celsius);
    return of === Infinity ? {} : { hours: of };
  };
  if (takes(warmest, hours * 1.001) > hours) return { why: 'too-soon', ...at(warmest) };
  if (takes(coldest, hours * 1.001) <= hours) return { why: 'too-late', ...at(coldest) };
  let [low, high]: [number, number] = [coldest, warmest];
  for (let i = 0; i < halvings; i += 1) {
    const middle = (low + high) / 2;
    if (takes(middle, hours * 1.001) > hours) low = middle;
    else high = middle;
  }
  return { celsius: (low + high) / 2 };
}
