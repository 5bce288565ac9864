import { commonPractice, figure } from '../figure/figure.ts';

/** What a probe in the middle says of a bread in the oven. */
interface Doneness {
  readonly standing: 'raw' | 'nearly' | 'done' | 'past';
  /** Minutes more, of such bread. */
  readonly more?: number;
  readonly says: string;
}

/** Degrees a minute by which a crumb near its end still warms. Common practice, no source. */
const warms = figure(1.2, '°C a minute', 0.5, commonPractice);
/** Minutes that are given at once. Common practice, no source. */
export const fiveMore = 5;
/** Nearer than this it is nearly done, °C. Own choice, no source. */
const near = 5;
/** Further than this past its span it dries out, °C. Own choice, no source. */
const dries = 2;
/** The longest that is foretold from one reading, minutes. Own choice, no source. */
const mostMore = 30;

/**
 * Whether a bread is done, by the middle of it, and how many minutes more where it is not. Two readings tell how
 * fast it warms; from one, the usual pace is taken.
 *
 * @param readings °C with their moments in minutes, the last one last
 * @param core what it is done at, °C
 * @example doneBy([{minute: 30, celsius: 84}], [88, 93]) // {standing: 'nearly', more: 5, …}
 */
export function doneBy(
  readings: ReadonlyArray<{ readonly minute: number; readonly celsius: number }>,
  [least, most]: readonly [least: number, most: number],
): Doneness | undefined {
  const last = readings.at(-1);
  if (!last) return undefined;
  const span = least === most ? `${least} °C` : `${least} to ${most} °C`;
  if (last.celsius > most + dries)
    return { standing: 'past', says: `Above ${span}: take it out now, it only dries.` };
  if (last.celsius >= least)
    return { standing: 'done', says: `It is done: ${span} in the middle. Take it out.` };
  const before = readings.at(-2);
  const passed = before ? last.minute - before.minute : 0;
  const pace = before && passed >= 1 ? (last.celsius - before.celsius) / passed : warms.value;
  const wanted = least - last.celsius;
  const more = Math.max(2, Math.min(mostMore, Math.ceil(wanted / Math.max(0.3, pace))));
  const standing = wanted <= near ? 'nearly' : 'raw';
  const to = standing === 'nearly' ? Math.max(more, fiveMore) : more;
  return {
    standing,
    more: to,
    says: `${Math.ceil(wanted)} degrees short of ${least} °C: about ${to} minutes more, then look again.`,
  };
}

/**
 * Readings of a probe by the minutes since the bread went in.
 *
 * @param begunAt ISO moment at which it went in
 * @example coreReadings([{celsius: 84, at: '2026-11-26T08:30:00Z'}], '2026-11-26T08:00:00Z')[0].minute // 30
 */
export const coreReadings = (
  core: ReadonlyArray<{ readonly celsius: number; readonly at: string }>,
  begunAt: string,
): Array<{ readonly minute: number; readonly celsius: number }> =>
  core.map(({ celsius, at }) => ({
    minute: Math.max(0, (Date.parse(at) - Date.parse(begunAt)) / 60_000),
    celsius,
  }));

/** Something seen in the oven that is not as it should be, and what helps now. */
interface OvenTrouble {
  readonly label: string;
  readonly says: string;
}

/** One row a trouble. Common practice, no source. */
export const ovenTroubles = {
  'brown-raw': {
    label: 'Brown outside, raw inside',
    says: 'Lay foil over it, turn the oven down by 20 °C, ten minutes more; then the probe again. Colour alone lies.',
  },
  pale: {
    label: 'Pale, and done inside',
    says: 'Take it out of the tin and bake it five minutes more on the bare rack.',
  },
  'one-side': {
    label: 'Darker on one side',
    says: 'Turn it round now; next time half-way.',
  },
  bursts: {
    label: 'Bursting at the side',
    says: 'No help now: it went in too early, or without a cut. It tastes the same.',
  },
  sinks: {
    label: 'Sinking in the oven',
    says: 'It had gone over. Leave the door shut and bake it through; it slices for toast.',
  },
} as const satisfies Record<string, OvenTrouble>;
