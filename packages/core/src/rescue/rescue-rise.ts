import { isForecast, riseForecast } from '../ferment/rise-doubt.ts';
import { capital } from '../quantity/capital.ts';
import { hoursText } from '../quantity/duration.ts';
import { normalBelow } from '../quantity/normal.ts';
import type { Bread } from '../schedule/bread.ts';
import { risesBy } from '../schedule/coming-rises.ts';
import type { WayId } from '../schedule/way-id.ts';
import { warmPlace } from '../schedule/way-places.ts';
import { writtenWay } from '../schedule/written-way.ts';
import { ranked, type Cause } from './cause.ts';

/** What is known of a rise that does not come. */
export interface NoRise {
  /** Hours since it was mixed. */
  readonly hours: number;
  /** Where it stands, °C; the household's room where nobody knows. */
  readonly celsius?: number;
  /** How hot its water was. */
  readonly water: 'cold' | 'lukewarm' | 'hot' | 'unknown';
  /** How old its leaven is, or how long its starter was not fed. */
  readonly leaven: 'fresh' | 'old' | 'unknown';
}

/** What to do about a rise that does not come. */
interface RiseRescue {
  readonly now: readonly string[];
  readonly causes: readonly Cause[];
  /** Hours from its mixing in which it should be risen, 8 times in 10; none where nothing in it raises it. */
  readonly expected?: { readonly low: number; readonly middle: number; readonly high: number };
}

/** A rise is seen from so much of its time on. Own choice, no source. */
const seenFrom = 0.45;
/** Chances before it is looked at. Common practice, no source. */
const dead = { fresh: 0.02, old: 0.3, unknown: 0.08 } as const;
const scalded = { cold: 0, lukewarm: 0.01, hot: 0.5, unknown: 0.06 } as const;
const forgotten = 0.04;
/** A place may be so much colder than a room's thermometer says, °C, so often. Common practice, no source. */
const colder = 5;
const colderChance = 0.2;
/** It is waited for first where it lives rather than not. */
const ratherLives = 0.5;
/** Yeast is dissolved in so much water when it is worked in late, grams. Common practice, no source. */
const dissolvedIn = 15;

/**
 * A rise that does not come: whether it is only too early, what else it may be, and what to do now.
 *
 * @param of the bread as it was mixed, where it stands
 * @param way that it goes
 * @example rescueRise(bread, {hours: 1, water: 'lukewarm', leaven: 'fresh'}).causes[0].id // 'early'
 */
export function rescueRise(of: Bread, seen: NoRise, way: WayId = writtenWay(of)): RiseRescue {
  const bread = seen.celsius === undefined ? of : { ...of, room: seen.celsius };
  const { lines } = bread;
  const sour = lines.some((l) => l.stageKind === 'starter' && l.grams > 0);
  const raised = sour || lines.some((l) => l.of.yeast && l.grams > 0);
  const [first] = risesBy(bread, seen.celsius !== undefined && way === 'warm' ? 'as-it-is' : way);
  if (!raised) {
    return {
      now: [
        `Nothing here raises it: dissolve a level teaspoon of instant yeast in ${dissolvedIn} g of warm water and knead it in.`,
      ],
      causes: [{ id: 'forgotten', says: 'No yeast and no starter went in.', share: 1 }],
    };
  }
  /** Chance that nothing is to be seen yet, of a dough that rises so. */
  const unseen = (celsius: number): number => {
    if (!first) return 0.5;
    const dough = { ...first.dough, air: [{ hours: 1, celsius }] };
    const forecast = riseForecast(dough, first.end, bread.paces, bread.model);
    if (!isForecast(forecast)) return 1;
    const z = (Math.log(seen.hours) - Math.log(forecast.middle * seenFrom)) / forecast.sd;
    return 1 - normalBelow(z);
  };
  // One after the other: what was left out cannot die, what is dead cannot be scalded.
  const noLife = (1 - forgotten) * dead[seen.leaven];
  const burnt = (1 - forgotten - noLife) * scalded[seen.water];
  const alive = 1 - forgotten - noLife - burnt;
  const causes = ranked([
    {
      id: 'early',
      says: 'It is early: a dough like this shows little yet.',
      weight: alive * (1 - colderChance) * unseen(bread.room),
    },
    {
      id: 'cold',
      says: 'It is colder than you think: a stone sill, a draught, cold flour.',
      weight: alive * colderChance * unseen(bread.room - colder),
    },
    {
      id: 'dead',
      says: sour ? 'The starter was hungry or past its peak.' : 'The yeast is dead.',
      weight: noLife,
    },
    { id: 'scalded', says: 'Hot water killed the yeast: above 50 °C it suffers.', weight: burnt },
    { id: 'forgotten', says: `The ${sour ? 'starter' : 'yeast'} was left out.`, weight: forgotten },
  ]);
  const lives = causes
    .filter((c) => c.id === 'early' || c.id === 'cold')
    .reduce((s, c) => s + c.share, 0);
  const forecast = first && isForecast(first.forecast) ? first.forecast : undefined;
  const warm = `Put it somewhere warm, about ${warmPlace.value} °C, covered.`;
  const wait = forecast
    ? `Look again in ${hoursText(Math.max(0.5, forecast.high - seen.hours))}: 9 times in 10 it has risen by then.`
    : 'Look again in an hour.';
  const feed = sour
    ? 'knead in a level teaspoon of instant yeast, dissolved in a spoon of warm water. It will be a milder bread.'
    : `dissolve a fresh packet of yeast in ${dissolvedIn} g of warm water with a pinch of flour. If it foams in ten minutes, knead it in: two minutes of kneading are enough.`;
  return {
    now:
      lives >= ratherLives
        ? [warm, wait, `If nothing has moved by then, ${feed}`]
        : [capital(feed), warm],
    causes,
    ...(forecast
      ? { expected: { low: forecast.low, middle: forecast.middle, high: forecast.high } }
      : {}),
  };
}
