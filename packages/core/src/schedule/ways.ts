import { commonPractice, figure } from '../figure/figure.ts';
import type { LeavenKind } from '../ferment/leaven-for.ts';
import { fridgeCelsius } from '../ferment/vessel.ts';
import { isShapedCold } from '../ferment/shaped-cold.ts';
import { isSour } from '../ferment/ripe-end.ts';
import { riseUntil } from '../ferment/rise-until.ts';
import { riseForecast, withPaces } from '../ferment/rise-doubt.ts';
import type { Rise } from '../ferment/rises.ts';
import type { Bread } from './bread.ts';
import { risesBy } from './coming-rises.ts';
import { keepsFor, riseSpan, type Stretch } from './rise-span.ts';
import { boundsFor, kindOf } from './leaven-bounds.ts';
import type { WayId } from './way-id.ts';
import { warmPlace, wayPlaces } from './way-places.ts';

/** How one rise of a bread goes. */
export interface RiseWay {
  readonly span: Stretch;
  /** The dough in that air, and what ends its rise. */
  readonly rise: Rising;
  /** Of the place that it stands in, at last. */
  readonly celsius: number;
  readonly cold: boolean;
  /** Its leaven is to be made fit for the time that the plan gives it. */
  readonly leaven?: LeavenKind;
}

/** A rise without its forecast. */
type Rising = Pick<Rise, 'id' | 'label' | 'until' | 'dough' | 'end'>;

export interface RiseWays {
  /** It is frozen before its first rise, and thawed in the fridge. */
  readonly frozen?: { readonly freezer: Stretch; readonly thawing: Stretch };
  readonly first: RiseWay;
  /** None of a bread that rises once. */
  readonly final?: RiseWay;
}

/** A way to let a bread rise. */
interface Way {
  readonly label: string;
  readonly says: string;
  /** The dearer, the later it is tried. */
  readonly cost: number;
  /** None where this bread cannot go that way. */
  readonly of: (bread: Bread) => RiseWays | undefined;
}

/** Hours in the fridge: less is no night, more is only for a sourdough. */
const coldHours = {
  least: figure(8, 'h', 1, commonPractice),
  usual: figure(12, 'h', 2, commonPractice),
  most: figure(36, 'h', 6, commonPractice),
  mostShaped: figure(16, 'h', 3, commonPractice),
  /** With the leaven made fit for it. */
  mostChosen: figure(24, 'h', 4, commonPractice),
} as const;
/** Cold dough may be taken on at this share of the time in which it is ready. */
const soonCold = figure(0.8, 'share', 0.1, commonPractice);
/** Nobody lets a dough rise longer in the room, hours. */
const slowest = figure(18, 'h', 4, commonPractice);
const minutes = (hours: number): number => Math.round(hours * 60);

/** Both rises in one air. */
function standing(bread: Bread, way: 'as-it-is' | 'warm'): RiseWays | undefined {
  const [first, final] = risesBy(bread, way);
  const celsius = wayPlaces[way].room ?? bread.room;
  if (!first) return undefined;
  const a = riseSpan(first, bread.paces, bread.model);
  const b = final && riseSpan(final, bread.paces, bread.model);
  if (!a || (final && !b)) return undefined;
  const at = { celsius, cold: false };
  return {
    first: { span: a, rise: first, ...at },
    ...(final && b ? { final: { span: b, rise: final, ...at } } : {}),
  };
}

/** By bread: three of the ways begin with its rises in the room. */
const rooms = new WeakMap<Bread, { readonly ways: RiseWays | undefined }>();

function inTheRoom(bread: Bread): RiseWays | undefined {
  const known = rooms.get(bread);
  if (known) return known.ways;
  const found = standing(bread, 'as-it-is');
  rooms.set(bread, { ways: found });
  return found;
}

/** Warmer than the room, and no warmer than butter stands. */
const inTheWarm = (bread: Bread): RiseWays | undefined =>
  bread.room < warmPlace.value - 2 && !isShapedCold(bread.lines)
    ? standing(bread, 'warm')
    : undefined;

/** Hours of a rise with the most and the least leaven that can be meant; as long as is followed where it never comes there. */
function leavenHours(
  { dough, end }: Rising,
  { paces, model }: Bread,
  longest: number,
): [soonest: number, latest: number] {
  const kind = kindOf(dough);
  const paced = withPaces(dough, paces);
  const [least, most] = boundsFor(dough);
  const hours = (percent: number) =>
    riseUntil({ ...paced, [kind]: percent }, end, model, longest).hours ?? Infinity;
  return [hours(most), Math.min(longest, hours(least))];
}

/** Whether its own leaven can be made more or less: what a pre-ferment was given has been eaten from. */
const hasOwnLeaven = ({ lines }: Bread): boolean =>
  lines.some(
    (l) =>
      l.grams > 0 && (l.stageKind === 'starter' || (l.of.yeast && l.stageKind !== 'preferment')),
  );

/** The first rise with as much leaven as its time takes. */
function withAmount(bread: Bread): RiseWays | undefined {
  const usual = inTheRoom(bread);
  if (!usual || !hasOwnLeaven(bread)) return undefined;
  const { first, final } = usual;
  const [soonest, latest] = leavenHours(first.rise, bread, slowest.value);
  if (!(soonest < latest)) return undefined;
  const span = { ...first.span, least: minutes(soonest), most: minutes(latest) };
  return {
    first: { ...first, span, leaven: kindOf(first.rise.dough) },
    ...(final ? { final } : {}),
  };
}

function coldFirst(bread: Bread): RiseWays | undefined {
  const usual = inTheRoom(bread);
  if (!usual) return undefined;
  const of = usual.first.rise;
  const place = wayPlaces['cold-first'];
  const first: Rising = { ...of, dough: place.first!(of.dough, bread) };
  const final = usual.final && coldShaped(bread, usual.final.rise);
  if (usual.final && !final) return undefined;
  const { least, most, mostChosen } = coldHours;
  const ready =
    riseUntil(withPaces(first.dough, bread.paces), first.end, bread.model, most.value).hours ??
    Infinity;
  const keeps = keepsFor(first.dough, first.end, most.value, bread.paces, bread.model);
  const asIs = keeps >= least.value && ready <= most.value;
  if (!asIs && !hasOwnLeaven(bread)) return undefined;
  const [from, to] = asIs
    ? [ready * soonCold.value, keeps]
    : leavenHours(first, bread, mostChosen.value);
  const soonest = Math.max(from, least.value);
  if (!(soonest < to)) return undefined;
  const middle = Math.min(to, Math.max(soonest, coldHours.usual.value));
  return {
    first: {
      rise: first,
      celsius: fridgeCelsius.value,
      cold: true,
      span: { least: minutes(soonest), usual: minutes(middle), most: minutes(to), doubt: 0 },
      ...(asIs ? {} : { leaven: kindOf(first.dough) }),
    },
    ...(final ? { final } : {}),
  };
}

/** The last rise of a dough that comes out of the fridge, shaped cold. */
function coldShaped(bread: Bread, last: Rising): RiseWay | undefined {
  const dough = wayPlaces['cold-first'].final!(last.dough, bread);
  const forecast = riseForecast(dough, last.end, bread.paces, bread.model);
  const span = riseSpan({ dough, end: last.end, forecast }, bread.paces, bread.model);
  return span && { rise: { ...last, dough }, celsius: bread.room, cold: false, span };
}

/** Its first rise as it goes, its last in the fridge. */
function coldProof(bread: Bread, usual: RiseWays | undefined): RiseWays | undefined {
  if (!usual?.final) return undefined;
  const { rise, celsius } = usual.final;
  const dough = wayPlaces['cold-proof'].final!(rise.dough, { ...bread, room: celsius });
  const most = isSour(dough) ? coldHours.most.value : coldHours.mostShaped.value;
  const keeps = keepsFor(dough, rise.end, most, bread.paces, bread.model);
  if (keeps < coldHours.least.value) return undefined;
  return {
    first: usual.first,
    final: {
      rise: { ...rise, dough },
      celsius: fridgeCelsius.value,
      cold: true,
      span: {
        least: minutes(coldHours.least.value),
        usual: minutes(Math.min(keeps, coldHours.usual.value)),
        most: minutes(keeps),
        doubt: 0,
      },
    },
  };
}

/** Hours of freezing and thawing. */
const freezing = {
  least: figure(12, 'h', 4, commonPractice),
  usual: figure(24, 'h', 12, commonPractice),
  /** A plan reaches no further; past a month yeast and gluten suffer. */
  most: figure(12 * 24, 'h', 48, commonPractice),
  thawLeast: figure(8, 'h', 2, commonPractice),
  thaw: figure(12, 'h', 2, commonPractice),
  thawMost: figure(20, 'h', 4, commonPractice),
} as const;

/** Frozen before its first rise: it thaws overnight in the fridge, and rises from there with yeast that has suffered. */
function frozen(bread: Bread): RiseWays | undefined {
  const usual = inTheRoom(bread);
  if (!usual) return undefined;
  const { rise } = usual.first;
  // A starter does not bear it.
  if (isSour(rise.dough)) return undefined;
  const dough = wayPlaces.frozen.first!(rise.dough, bread);
  const forecast = riseForecast(dough, rise.end, bread.paces, bread.model);
  const span = riseSpan({ dough, end: rise.end, forecast }, bread.paces, bread.model);
  if (!span) return undefined;
  const { least, usual: most, thaw, thawLeast, thawMost } = freezing;
  return {
    frozen: {
      freezer: {
        least: minutes(least.value),
        usual: minutes(most.value),
        most: minutes(freezing.most.value),
        doubt: 0,
      },
      thawing: {
        least: minutes(thawLeast.value),
        usual: minutes(thaw.value),
        most: minutes(thawMost.value),
        doubt: 0,
      },
    },
    first: { ...usual.first, rise: { ...rise, dough }, span },
    ...(usual.final ? { final: usual.final } : {}),
  };
}

/** One row a way, the cheapest first. */
export const ways = {
  'as-it-is': {
    label: 'as it is',
    says: 'in the room, with the leaven of the recipe',
    cost: 0,
    of: inTheRoom,
  },
  amount: {
    label: 'with other leaven',
    says: 'in the room, with the leaven that fits the time',
    cost: 1,
    of: withAmount,
  },
  warm: {
    label: 'in a warm place',
    says: `at ${warmPlace.value} °C: an oven with its light on, or a box with a cup of hot water`,
    cost: 1.5,
    of: inTheWarm,
  },
  'cold-first': {
    label: 'first rise in the fridge',
    says: 'in the room until it begins to swell, then in the fridge; shaped cold',
    cost: 2,
    of: coldFirst,
  },
  'cold-proof': {
    label: 'shaped into the fridge',
    says: 'shaped, in the fridge, baked from there',
    cost: 2,
    of: (bread) => coldProof(bread, inTheRoom(bread)),
  },
  'amount-cold-proof': {
    label: 'with other leaven, shaped into the fridge',
    says: 'its first rise in the room with as much leaven as the time takes; shaped, it waits in the fridge',
    cost: 3,
    of: (bread) => coldProof(bread, withAmount(bread)),
  },
  'warm-cold-proof': {
    label: 'in a warm place, shaped into the fridge',
    says: `its first rise at ${warmPlace.value} °C; shaped, in the fridge, baked from there`,
    cost: 3.5,
    of: (bread) => coldProof(bread, inTheWarm(bread)),
  },
  frozen: {
    label: 'from the freezer',
    says: 'frozen before its first rise, thawed in the fridge overnight; its yeast has lost a quarter',
    cost: 5,
    of: frozen,
  },
} as const satisfies Record<WayId, Way>;
