import type { YeastKind } from '../ingredient/ingredient.ts';
import { convertYeast, massPerWork, type YeastWork } from '../ingredient/yeast.ts';
import { hoursText } from '../quantity/duration.ts';
import { refuse, type Refused } from '../quantity/refusal.ts';
import { leavenFor, type LeavenFor } from './leaven-for.ts';
import { isForecast, riseForecast, type Paces } from './rise-doubt.ts';
import { warmthFigures } from '../coefficients/rise-figures.ts';
import { ripeEnd } from './ripe-end.ts';
import { longestRise, type RiseEnd } from './rise-until.ts';
import { drawnRise } from './rise-curve.ts';
import { usualRise, type Air, type RiseModel, type RisePoint, type RisingDough } from './rise.ts';
import type { VesselId } from './vessel.ts';

/** A leaven as a baker says it: yeast in grams to 100 g of all flour, a starter by its flour. */
interface LeavenAsked {
  readonly kind: YeastKind | 'starter';
  /** Absent where it is what is asked for. */
  readonly percent?: number;
}

/** A question about a rise, in the words of a formula. Percentages are of all flour. */
export interface RiseAsked {
  readonly leavens: readonly LeavenAsked[];
  readonly saltPercent: number;
  readonly sugarPercent: number;
  readonly fatPercent: number;
  readonly waterPercent: number;
  readonly wholeShare: number;
  readonly liquid?: boolean;
  readonly doughC: number;
  readonly air: readonly Air[];
  readonly vessel: VesselId;
  readonly kilograms: number;
  readonly fromVolume?: number;
  readonly awake?: boolean;
  readonly until: { readonly volume: number } | { readonly ripe: true };
}

/** What a rise comes to. */
interface RiseAnswer {
  /** None where it never comes there; `why` says so then. */
  readonly hours: { readonly middle: number; readonly low: number; readonly high: number } | null;
  readonly why?: string;
  /** How far it comes where it never comes there, and when. */
  readonly reaches?: { readonly volume: number; readonly hours: number };
  readonly curve: ReadonlyArray<Pick<RisePoint, 'hours' | 'volume' | 'celsius'>>;
}

/** How much leaven a time takes. */
interface LeavenAnswer {
  readonly percent: { readonly middle: number; readonly low: number; readonly high: number } | null;
  readonly why?: string;
  /** The nearest that there is. */
  readonly nearest?: { readonly percent: number; readonly hours: number };
}

/** The question as the model takes it. */
export function doughAsked(asked: RiseAsked, work: YeastWork = massPerWork): RisingDough {
  const yeasts = asked.leavens.filter((l) => l.kind !== 'starter');
  const instant = (l: LeavenAsked): number =>
    l.kind === 'starter' ? 0 : convertYeast(l.percent ?? 0, l.kind, 'instant', work);
  const main = [...yeasts].sort((a, b) => instant(b) - instant(a))[0];
  return {
    yeast: yeasts.reduce((sum, l) => sum + instant(l), 0),
    tolerant: main?.kind === 'osmotolerant',
    starter: asked.leavens.reduce(
      (sum, l) => sum + (l.kind === 'starter' ? (l.percent ?? 0) : 0),
      0,
    ),
    salt: asked.saltPercent,
    sugar: asked.sugarPercent,
    fat: asked.fatPercent,
    water: asked.waterPercent,
    whole: asked.wholeShare,
    liquid: asked.liquid ?? false,
    celsius: asked.doughC,
    air: asked.air,
    vessel: asked.vessel,
    kilograms: asked.kilograms,
    fromVolume: asked.fromVolume ?? 1,
    awake: asked.awake ?? false,
  };
}

const endOf = (asked: RiseAsked, dough: RisingDough, model: RiseModel): RiseEnd =>
  'volume' in asked.until ? { volume: asked.until.volume } : ripeEnd(dough, model);

/** Why a rise never comes to its end, in words. */
function whyNot(dough: RisingDough, end: RiseEnd, reaches: number): string {
  const hottest = Math.max(dough.celsius, ...dough.air.map((a) => a.celsius));
  if (dough.yeast + dough.starter === 0) return 'Nothing here makes it rise.';
  if (hottest > warmthFigures.gasMost.value)
    return `At ${Math.round(hottest)} °C yeast dies before it has risen.`;
  if ('gas' in end) return `It is not ripe in ${longestRise} hours.`;
  if ((dough.fromVolume ?? 1) >= end.volume) return 'It is that high already.';
  return `It comes to ${reaches.toFixed(2)} times its volume at most.`;
}

/**
 * When will it be ready? With its band, and the curve that leads there.
 *
 * @param paces what is believed of this household's leavens
 * @example answerRise({leavens: [{kind: 'instant', percent: 1}], …, until: {volume: 2}}).hours?.middle // 1.3
 */
export function answerRise(
  asked: RiseAsked,
  work: YeastWork = massPerWork,
  paces: Paces = {},
  model: RiseModel = usualRise,
): RiseAnswer {
  const dough = doughAsked(asked, work);
  const end = endOf(asked, dough, model);
  const forecast = riseForecast(dough, end, paces, model);
  const found = isForecast(forecast);
  const curve = drawnRise(dough, forecast, paces, model);
  const shown = curve.map(({ hours, volume, celsius }) => ({ hours, volume, celsius }));
  if (found) {
    const { middle, low, high } = forecast;
    return { hours: { middle, low, high }, curve: shown };
  }
  return {
    hours: null,
    why: whyNot(dough, end, forecast.reaches),
    ...('volume' in end ? { reaches: { volume: forecast.reaches, hours: forecast.atHours } } : {}),
    curve: shown,
  };
}

/** Why no leaven does it in that time, in words. */
function whyNoLeaven(
  found: Exclude<LeavenFor, { percent: object }>,
  percent: number | undefined,
): string {
  const { why, nearest } = found;
  if (why === 'never' || !nearest || percent === undefined) return 'It never gets there.';
  const most = `${Number(percent.toPrecision(2))} %`;
  return why === 'too-soon'
    ? `Too soon: with ${most} at most, it takes ${hoursText(nearest.hours)}. Make it warmer, or wait.`
    : `Too late: with ${most} at least, it takes ${hoursText(nearest.hours)}. Make it colder, or use the fridge.`;
}

/**
 * How much leaven does that take? Exactly one of the leavens stands there without its per cent.
 *
 * @returns per cent of that kind with its band; where nothing fits, why, and the nearest that does
 * @example answerLeaven({leavens: [{kind: 'instant'}], …}, 3).percent?.middle // .3, at 26 °C
 */
export function answerLeaven(
  asked: RiseAsked,
  hours: number,
  work: YeastWork = massPerWork,
  paces: Paces = {},
  model: RiseModel = usualRise,
): LeavenAnswer | Refused {
  const open = asked.leavens.filter((l) => l.percent === undefined);
  if (open.length !== 1) {
    return refuse(
      'one-leaven',
      'Exactly one of the leavens has no per cent: it is the one that is looked for.',
    );
  }
  const { kind } = open[0]!;
  const dough = doughAsked(asked, work);
  const of = kind === 'starter' ? 'starter' : 'yeast';
  const own = (percent: number): number =>
    kind === 'starter' ? percent : convertYeast(percent, 'instant', kind, work);
  // A leaven that is looked for decides what ripe means.
  const end = endOf(asked, { ...dough, [of]: Math.max(dough[of], 1) }, model);
  const tolerant = { ...dough, tolerant: dough.tolerant || kind === 'osmotolerant' };
  const found = leavenFor(tolerant, of, hours, end, paces, model);
  if (found.percent) {
    const { middle, low, high } = found.percent;
    return { percent: { middle: own(middle), low: own(low), high: own(high) } };
  }
  const nearest = found.nearest && { ...found.nearest, percent: own(found.nearest.percent) };
  return {
    percent: null,
    why: whyNoLeaven(found, nearest?.percent),
    ...(nearest ? { nearest } : {}),
  };
}
