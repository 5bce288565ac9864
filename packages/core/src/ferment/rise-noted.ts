import {
  bandOf,
  isForecast,
  riseForecast,
  withPaces,
  type Paces,
  type RiseForecast,
} from './rise-doubt.ts';
import { usualRise, type RiseModel, type RisingDough } from './rise.ts';
import { riseUntil, type RiseEnd } from './rise-until.ts';
import { solvedOnce } from './solved-once.ts';

/**
 * How far apart two cases are whose doubt is taken for the same: the doubt of a time hardly changes where the time
 * itself does. Own choice; what it costs is held in test/ferment/rise-noted.test.ts.
 */
const near = { celsius: 0.5, pace: 0.1, temper: 0.5 } as const;

/** Step for what only a doubt hangs on, hours: what it is off is off in all of the times that are compared. Own choice. */
const roughStep = 1 / 10;

const rounded = (value: number, to: number): number => Math.round(value / to) * to;

/** The case that stands for all near it. */
const standingFor = (dough: RisingDough): RisingDough => ({
  ...dough,
  celsius: rounded(dough.celsius, near.celsius),
  air: dough.air.map((a) => ({ ...a, celsius: rounded(a.celsius, near.celsius) })),
});

/** Its paces; of a leaven that is not in it none. */
const pacesNear = (dough: RisingDough, paces: Paces): Record<'yeast' | 'starter', number> => ({
  yeast: dough.yeast > 0 ? rounded(paces.yeast?.mean ?? 0, near.pace) : 0,
  starter: dough.starter > 0 ? rounded(paces.starter?.mean ?? 0, near.pace) : 0,
});

/**
 * The forecast that a noted rise is held against: its time worked out for this very dough, warmth and leaven, its
 * doubt once for all that are near. A book of thousands of bakes is learned so in a tenth of the time.
 *
 * @returns as `riseForecast`; the spread differs by 1 % in the middle, by less than 5 % nine times in ten
 * @example notedForecast(dough of 1 % instant, {volume: 2}).middle === riseForecast(the same).middle // true
 */
export function notedForecast(
  given: RisingDough,
  end: RiseEnd,
  paces: Paces = {},
  model: RiseModel = usualRise,
): RiseForecast {
  const time = riseUntil(withPaces(given, paces), end, model);
  if (time.hours === undefined) return time;
  const dough = standingFor(given);
  const pace = pacesNear(given, paces);
  const { best = 0, most = 0 } = (given.starter > 0 && paces.starter?.temper) || {};
  const temper = { best: rounded(best, near.temper), most: rounded(most, near.temper) };
  const about = solvedOnce(model, `about ${JSON.stringify([dough, end, pace, temper])}`, () =>
    riseForecast(
      {
        ...withPaces(dough, {
          yeast: { mean: pace.yeast, sd: 0 },
          starter: { mean: pace.starter, sd: 0 },
        }),
        ...(given.starter > 0 ? { temper } : {}),
      },
      end,
      {},
      { ...model, step: roughStep },
    ),
  );
  // Where the case beside it comes to no end, only this very one tells.
  if (!isForecast(about)) return riseForecast(given, end, paces, model);
  return bandOf(time.hours, about, paces);
}
