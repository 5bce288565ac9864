import { hoursText } from '../quantity/duration.ts';
import type { Folds, Phase } from './method-in.ts';

/** Where a part of a rise stands, as it is said. */
const places: Readonly<Record<NonNullable<Phase['place']>, string>> = {
  room: 'in the room',
  fridge: 'in the fridge',
  warm: 'in a warm place',
  machine: 'in the machine',
  oven: 'in the oven',
};

/**
 * A part of a step in words.
 *
 * @example partText({minutes: 20, celsius: 230, lid: true, says: ''}) // '20 min at 230 °C, lid on'
 */
export function partText({
  minutes,
  mostMinutes,
  celsius,
  place,
  lid,
}: Omit<Phase, 'says'>): string {
  const long = (of: number) => (of >= 120 ? hoursText(of / 60) : `${of} min`);
  const time =
    minutes === undefined
      ? ''
      : mostMinutes === undefined
        ? long(minutes)
        : `${minutes} to ${long(mostMinutes)}`;
  const at = celsius === undefined ? '' : `at ${Math.round(celsius)} °C`;
  const cover = lid === undefined ? '' : lid ? 'lid on' : 'lid off';
  return [
    [time, at, place && place !== 'oven' ? places[place] : ''].filter(Boolean).join(' '),
    cover,
  ]
    .filter(Boolean)
    .join(', ');
}

/**
 * Folds in words.
 *
 * @example foldsText({times: 2, every: 30, says: ''}) // '2 × fold, every 30 min'
 */
export const foldsText = ({ times, every }: Folds): string => `${times} × fold, every ${every} min`;
