import {
  bakeState,
  mixedLines,
  type BakeEvent,
  type Outcome,
  type OutcomeWord,
} from '@tender-crumb/core/bake';
import { checkDough, weighingList } from '@tender-crumb/core/hands';
import {
  level,
  measuringSd,
  moistureShift,
  ordinaryMoisture,
  outside,
  windowFor,
} from '@tender-crumb/core/dough';
import { isForecast, leavenKeys, waterTemperature } from '@tender-crumb/core/ferment';
import { baseOf, resolve, type ResolvedLine, type Formula } from '@tender-crumb/core/formula';
import { nothingLearned, type Belief, kitchenOf } from '@tender-crumb/core/belief';
import { coefficients } from '@tender-crumb/core/coefficients';
import {
  defaultHousehold,
  pantryIn,
  usualBaker,
  defaultSettings,
  houseQuestionIds,
  type Baker,
  type Settings,
  type Household,
  type Room,
} from '@tender-crumb/core/household';
import type { Bag, Label } from '@tender-crumb/core/ingredient';
import { bakeRises } from '@tender-crumb/core/learn';
import { kneadingOf, type DeviceId, type KneadingId } from '@tender-crumb/core/machine';
import { sumGrams } from '@tender-crumb/core/quantity';
import { ovenMinutes, styles } from '@tender-crumb/core/style';
import { demoBreads, type DemoBread } from './formulas.ts';
import {
  demoAppliances,
  demoFeedings,
  demoLeavens,
  demoPans,
  demoPlans,
  starterOf,
  type DemoFeeding,
} from './leavens.ts';
import { loafDrawing, type Drawn } from './loaf-drawing.ts';
import { Draws } from './random.ts';
import { chaptersAt, type Chapter } from './story.ts';
import { lastTime } from './under-way.ts';
import { demoBags, demoLabels, hiddenTruth } from './truth.ts';

const months = 9;
const dayMs = 86_400_000;

/** Two live in the cottage; until now she baked. */
const demoBakers: readonly Baker[] = [
  { id: usualBaker, name: 'Maud' },
  { id: 'joris', name: 'Joris' },
];

/** How Number 9, Heron Lock measures and reckons. */
export const demoSettings: Settings = {
  ...defaultSettings,
  measures: { cup: 'metric', tablespoon: 'metric', fill: 'spooned', egg: 'eu-medium' },
  yeastKept: 'instant-yeast',
  appliances: demoAppliances,
  pans: demoPans,
  bakers: demoBakers,
  settled: houseQuestionIds,
  prices: {
    oil: { paid: 6.4, kilograms: 1 },
    butter: { paid: 2.6, kilograms: 0.25 },
    milk: { paid: 1.2, kilograms: 1 },
    honey: { paid: 4.9, kilograms: 0.5 },
    sugar: { paid: 1.1, kilograms: 1 },
    salt: { paid: 0.6, kilograms: 0.5 },
    egg: { paid: 3.2, kilograms: 0.53 },
    'instant-yeast': { paid: 5.5, kilograms: 0.5 },
    'vital-gluten': { paid: 6.9, kilograms: 1 },
    'milk-powder': { paid: 7.8, kilograms: 1 },
    'flax-meal': { paid: 5.2, kilograms: 1 },
    'oat-fibre': { paid: 8.5, kilograms: 1 },
    'rolled-oats': { paid: 1.9, kilograms: 1 },
  },
  money: {
    currency: 'EUR',
    power: 0.34,
    cheapPower: 0.09,
    shop: {
      'lockside-white': { price: 2.2, grams: 500 },
      'wash-house-hundred': { price: 4.5, grams: 750 },
      'towpath-sourdough': { price: 5.2, grams: 800 },
    },
  },
};
const demoHousehold: Household = { ...defaultHousehold, ...demoSettings };

/** One bake of the nine months. */
export interface DemoBake {
  readonly id: string;
  readonly formulaId: string;
  readonly version: number;
  readonly method: DemoBread['method'] | 'mixer';
  readonly startedAt: string;
  /** What the thermometer and the hygrometer in the pantry showed. */
  readonly room: Room;
  readonly events: readonly BakeEvent[];
  /** A drawing of its loaf, as SVG, under the id of its photo. */
  readonly drawing?: { readonly photo: string; readonly svg: string };
}

/** Everything that the demo household has. */
export interface DemoData {
  readonly settings: Settings;
  readonly bags: readonly Bag[];
  readonly labels: readonly Label[];
  /** Each formula in its versions: with the spring bags, and later with the autumn ones. */
  readonly formulas: ReadonlyArray<{
    readonly id: string;
    readonly versions: ReadonlyArray<{ readonly formula: Formula; readonly at: string }>;
  }>;
  readonly bakes: readonly DemoBake[];
  readonly feedings: readonly DemoFeeding[];
  /** What is planned for this week. */
  readonly plans: ReturnType<typeof demoPlans>;
}

/** Days since 1970. */
const seedOf = (today: Date): number => Math.floor(today.getTime() / dayMs);

/** Lines bound to the season's bags. */
const withBags = (formula: Formula, season: 'spring' | 'autumn'): Formula => ({
  ...formula,
  stages: formula.stages.map((s) => ({
    ...s,
    ...(s.kind === 'starter' ? { bag: starterOf } : {}),
    lines: s.lines.map((l) => {
      const bag = demoBags.find((b) => b.ingredient === l.ingredient && b.id.endsWith(season));
      return bag ? { ...l, bag: bag.id } : l;
    }),
  })),
});

/**
 * Nine months of bakes up to a day, simulated from a hidden truth: what the scale showed, how the
 * dough felt, what was spooned in, how it came out.
 *
 * @param today the day on which the demo is filled; the same day gives the same household
 * @param seed of all that was drawn; another one is another household. It is the day's own, and chosen by nobody
 */
export function demoData(today: Date, seed = seedOf(today)): DemoData {
  const draws = new Draws(seed);
  const truth = hiddenTruth(draws);
  // Of their own, so that what rises moves nothing else.
  const rising = new Draws(seed + 1);
  const looking = new Draws(seed + 3);
  const kneading = new Draws(seed + 4);
  const met = new Set<Chapter>();
  const paces = { yeast: 0.1 * rising.normal(), starter: -0.18 + 0.1 * rising.normal() };
  const end = Date.UTC(today.getUTCFullYear(), today.getUTCMonth(), today.getUTCDate());
  const begin = end - months * 30 * dayMs;
  const half = begin + (months * 30 * dayMs) / 2;
  const day = (ms: number) => new Date(ms).toISOString().slice(0, 10);

  const formulas = demoBreads.map(({ id, formula }, i) => {
    const [spring, autumn] = [withBags(formula, 'spring'), withBags(formula, 'autumn')];
    const versions = [{ formula: spring, at: new Date(begin - (9 - i) * dayMs).toISOString() }];
    if (JSON.stringify(autumn) !== JSON.stringify(spring)) {
      versions.push({ formula: autumn, at: new Date(half + i * 60_000).toISOString() });
    }
    return { id, versions };
  });

  const bags = demoBags.map((b) => ({
    ...b,
    openedOn: day(b.id.endsWith('spring') ? begin : half),
  }));
  const air = pantryAir(draws, begin, end);
  const moistures = bagMoistures(bags, air, draws);

  const bakes: DemoBake[] = [];
  const bakedOn = demoBreads.map(({ monthly }) => daysOf(30 / monthly, months * 30 - 1, draws));
  for (let at = begin; at < end - dayMs; at += dayMs) {
    for (const [i, bread] of demoBreads.entries()) {
      if (!bakedOn[i]!.has(Math.round((at - begin) / dayMs))) continue;
      const { versions } = formulas[i]!;
      const version = at < half ? 1 : versions.length;
      const formula = versions[version - 1]!.formula;
      const { room } = air.get(day(at))!;
      const household = {
        ...demoHousehold,
        room,
        bags: bags.map((b) => ({ ...b, moisture: moistures.get(b.id)!.get(day(at)) })),
      };
      const start = at + (7 + Math.floor(10 * draws.uniform())) * 3_600_000 + i * 60_000;
      const share = (at - begin) / (end - begin);
      const story = chaptersAt(bread.id, share).map((c) => {
        const first = !met.has(c);
        met.add(c);
        return { ...c, first };
      });
      const id = `bake-${bakes.length + 1}`;
      const { events, drawn } = simulate(
        formula,
        bread,
        id,
        start,
        household as Household,
        truth,
        draws,
        { draws: rising, paces, kneading },
        story,
        looking,
      );
      // A photo now and then, and always of the last weeks.
      const pictured = share > 0.9 || looking.uniform() < 0.12;
      const photo = `photo-${id}`;
      bakes.push({
        id,
        formulaId: bread.id,
        version,
        method: story.find((c) => c.method)?.method ?? bread.method,
        startedAt: new Date(start).toISOString(),
        room: shown(air.get(`${day(at).slice(0, 8)}01`) ?? air.get(day(begin))!),
        events: pictured
          ? [
              ...events.slice(0, -1),
              {
                id: `${id}-photo`,
                at: events.at(-1)!.at,
                kind: 'photo',
                data: { photo, step: 'taste' },
              },
              events.at(-1)!,
            ]
          : events,
        ...(pictured ? { drawing: { photo, svg: loafDrawing(drawn, looking) } } : {}),
      });
    }
  }
  const counted = bags.map((b) => {
    const grams = counts[b.id];
    if (b.id.endsWith('spring')) return { ...b, finished: true };
    const at = new Date(end - dayMs).toISOString();
    return grams === undefined ? b : { ...b, left: { grams, at } };
  });
  noteLast(bakes, 'sluice-gate-plait', lastTime);
  return {
    settings: { ...demoSettings, room: bakes.at(-1)!.room },
    labels: demoLabels,
    bags: [
      ...counted,
      ...demoLeavens.map((b) =>
        b.kind === 'yeast'
          ? { ...b, bestBefore: day(end + (b.id === 'yeast-jar' ? 300 : -20) * dayMs) }
          : b,
      ),
    ],
    formulas,
    // As they came to their end: the book learns in that order.
    bakes: bakes.sort((a, b) => (endOf(a) < endOf(b) ? -1 : 1)),
    feedings: demoFeedings(new Draws(seed + 2), begin, end),
    plans: demoPlans(today),
  };
}

/** How unevenly a bread that is baked every so often really is: gaps of this part of the usual one, and up to twice less that. */
const unevenly = 0.6;

/** Days on which a bread is baked, counted from the first: as often as it is eaten, and never quite by the calendar. */
function daysOf(every: number, days: number, draws: Draws): ReadonlySet<number> {
  const found = new Set<number>();
  for (let at = every * draws.uniform(); at < days;) {
    found.add(Math.floor(at));
    at += Math.max(1, every * (unevenly + 2 * (1 - unevenly) * draws.uniform()));
  }
  return found;
}

/** What was noted at its steps, of the last bake of a bread. */
function noteLast(
  bakes: DemoBake[],
  formulaId: string,
  notes: Readonly<Record<string, string>>,
): void {
  const at = bakes.findLastIndex((b) => b.formulaId === formulaId);
  const bake = bakes[at];
  const last = bake?.events.at(-1);
  if (!bake || !last) return;
  const noted = Object.entries(notes).map(([step, text], i): BakeEvent => ({
    id: `${bake.id}-note-${i + 1}`,
    at: last.at,
    kind: 'note',
    data: { step, text },
  }));
  bakes[at] = { ...bake, events: [...bake.events.slice(0, -1), ...noted, last] };
}

/** What the household weighed yesterday, when it looked through its cupboard, grams. */
const counts: Readonly<Record<string, number>> = {
  'white-autumn': 3150,
  'whole-autumn': 310,
  'crock-autumn': 4200,
  'plain-autumn': 870,
};

const endOf = ({ events }: DemoBake): string => events.find((e) => e.kind === 'finished')?.at ?? '';

/** The air of the cold pantry day by day: dry in late winter, damp in autumn, with the weather on top. */
function pantryAir(draws: Draws, from: number, to: number): Map<string, { room: Required<Room> }> {
  const days = new Map<string, { room: Required<Room> }>();
  let weather = 0;
  for (let at = from; at < to; at += dayMs) {
    weather = 0.9 * weather + 0.01 * draws.normal();
    const date = new Date(at);
    const season = Math.cos((2 * Math.PI * (date.getUTCMonth() + date.getUTCDate() / 30 - 9)) / 12);
    const room = { celsius: 18 + 2 * draws.uniform(), humidity: 0.62 + 0.1 * season + weather };
    days.set(date.toISOString().slice(0, 10), { room });
  }
  return days;
}

/** What the household reads off on the first of a month, and types in: whole degrees and per cents. */
const shown = ({ room: { celsius, humidity } }: { room: Required<Room> }): Room => ({
  celsius: Math.round(celsius),
  humidity: Math.round(100 * humidity) / 100,
});

/**
 * How moist each bag truly is, day by day: its own from the mill, then drawn to the pantry's air, and
 * never quite what the air says.
 */
function bagMoistures(
  bags: readonly Bag[],
  air: ReadonlyMap<string, { room: Required<Room> }>,
  draws: Draws,
): Map<string, Map<string, number>> {
  const { bagResponse, bagMoisture, moistureSpread } = coefficients;
  const closes = 1 - Math.exp(-1 / bagResponse.value);
  return new Map(
    bags.map((bag) => {
      const own = bagMoisture.value * draws.normal();
      let drawn = 0;
      const days = new Map<string, number>();
      for (const [day, { room }] of air) {
        if (day >= bag.openedOn!) drawn += closes * (moistureShift(room, Infinity) - drawn);
        const today = moistureSpread.value * draws.normal();
        days.set(day, ordinaryMoisture + own + drawn + today);
      }
      return [bag.id, days];
    }),
  );
}

/** One bake as it went. */
function simulate(
  formula: Formula,
  bread: DemoBread,
  id: string,
  start: number,
  household: Household,
  truth: Belief,
  draws: Draws,
  rising: Rising,
  story: readonly Told[],
  looking: Draws,
): { events: BakeEvent[]; drawn: Drawn } {
  const events: BakeEvent[] = [];
  const told = <K extends keyof Chapter>(what: K): Chapter[K] | undefined =>
    story.find((c) => c[what] !== undefined)?.[what];
  const at = (minute: number) => new Date(start + minute * 60_000).toISOString();
  const add = (minute: number, event: { kind: BakeEvent['kind']; data: unknown }) =>
    events.push({ id: `${id}-${events.length + 1}`, at: at(minute), ...event } as BakeEvent);
  const actual = kitchenOf(household, truth);
  const pantry = pantryIn(household);

  const byScale = !resolve(formula).some((l) => l.measured === 'volume');
  for (const [n, item] of weighingList(formula, bread.method)
    .flatMap((s) => s.items)
    // What was mixed ahead was weighed when it was.
    .filter((item) => !item.whole)
    .entries()) {
    const correction = byScale && draws.uniform() < 0.12 ? 1 + 0.02 * draws.normal() : 1;
    const grams = Math.round(item.grams * correction * 10) / 10;
    add(n * 0.6, { kind: 'weighed', data: { item: item.id, grams, byScale } });
  }

  // What the bowl really holds is what the scale showed, give or take, and nobody sees the difference.
  const error = new Map<string, number>();
  const trueLevel = (): number => {
    const lines = mixedLines(formula, bakeState(events), pantry).map((l) => {
      if (!error.has(l.id)) {
        const slip =
          l.ingredient === 'water' ? (story.find((c) => c.first && c.slip)?.slip ?? 0) : 0;
        error.set(l.id, slip + measuringSd(l, actual) * draws.normal());
      }
      return { ...l, grams: Math.max(0, l.grams + error.get(l.id)!) };
    });
    return level(lines, actual)!.points;
  };
  const [low, high] = windowFor(formula.style, baseOf(resolve(formula)).dryness);
  const looser = told('looser') ?? 0;
  const window = [low + looser, high + looser] as const;
  const feel = (): number =>
    Math.round((trueLevel() + coefficients.feel.value * draws.normal()) * 2) / 2;

  let felt = feel();
  add(16, { kind: 'felt', data: { points: felt } });
  for (let spoon = 0; spoon < 3 && outside(felt, window) !== 0; spoon += 1) {
    const lines = mixedLines(formula, bakeState(events), pantry);
    const base = level(lines, actual)!.baseGrams;
    const advice = checkDough(felt, window, lines, base, demoHousehold.measures);
    if (!advice.ingredient || !advice.grams) break;
    add(17 + 4 * spoon, {
      kind: 'added',
      data: { ingredient: advice.ingredient, grams: advice.grams },
    });
    felt = feel();
    add(20 + 4 * spoon, { kind: 'felt', data: { points: felt } });
  }
  const method = told('method') ?? bread.method;
  const done = noteRises(formula, events, household, method, rising, add, told('warmth'));
  const off = outside(trueLevel(), window);
  const outcome = judged(off, draws);
  const better = story.reduce((sum, c) => sum + (c.better ?? 0), 0);
  const stars = Math.max(1, Math.min(5, Math.round((outcome.stars ?? 3) + better)));
  const note = story.find((c) => c.first && c.note)?.note ?? outcome.note;
  const words: readonly OutcomeWord[] =
    stars <= 3 && outcome.words.includes('just right') ? [] : outcome.words;
  const inOven = bakedFor(formula, events, looking);
  add(done, { kind: 'step', data: { step: 'bake', sense: 'begun' } });
  add(done + inOven, { kind: 'step', data: { step: 'bake', sense: 'done' } });
  const usual = usualHeight[formula.style] ?? 80;
  const height = Math.round(
    usual - 2.2 * Math.abs(off) + (told('height') ?? 0) + 4 * looking.normal() - 3 * (5 - stars),
  );
  const grams = sumGrams(mixedLines(formula, bakeState(events), pantry));
  const loss = styles[formula.style].loss.value + 0.015 + 0.012 * looking.normal();
  const weighed =
    looking.uniform() < 0.6
      ? { before: Math.round(grams), after: Math.round(grams * (1 - loss)) }
      : {};
  add(done + inOven + 20, {
    kind: 'outcome',
    data: { ...outcome, stars, words, note, height, ...weighed },
  });
  add(done + inOven + 21, { kind: 'finished', data: {} });
  return {
    events,
    drawn: { height: height / usual, off, dark: formula.style === 'hearth-wholegrain' },
  };
}

/** A chapter that a bake falls into, and whether it is the first of it. */
type Told = Chapter & { readonly first: boolean };

/** How high a bread usually stands, mm. */
const usualHeight: Readonly<Record<string, number>> = {
  pan: 118,
  'wholegrain-pan': 98,
  'hearth-wholegrain': 84,
  'low-carb': 78,
  plait: 86,
  flatbread: 26,
  rolls: 58,
};

/** The range is cooler than it says: bread is in it an eighth longer. */
const coolOven = 1.12;

function bakedFor(formula: Formula, events: readonly BakeEvent[], looking: Draws): number {
  const { baking } = styles[formula.style];
  const grams = sumGrams(mixedLines(formula, bakeState(events)));
  const piece = grams / 1000 / (bakeState(events).divided?.pieces ?? formula.pieces ?? 1);
  return Math.round(ovenMinutes(baking, piece) * coolOven * Math.exp(0.08 * looking.normal()));
}

/** What is true of the leavens and nobody knows. */
interface Rising {
  readonly draws: Draws;
  readonly paces: { readonly yeast: number; readonly starter: number };
  readonly kneading: Draws;
}

/** What kneading puts into a dough here, °C: the kitchen’s hands are warm, the borrowed mixer fast. */
const trueFriction: Readonly<Partial<Record<KneadingId, number>>> = { hand: 2.4, mixer: 6.5 };

/** How warm the water was that brought a dough to that, as it was read off; nobody read it every time. */
function waterRead(
  lines: readonly ResolvedLine[],
  { room }: Household,
  method: DeviceId,
  desired: number,
  draws: Draws,
): number | undefined {
  const friction = trueFriction[kneadingOf(method)];
  // The machine brings everything to one warmth first.
  if (friction === undefined) return undefined;
  const rise = friction + draws.normal();
  const water = waterTemperature(lines, { desired, room: room.celsius!, rise });
  const read = draws.uniform() < 0.6;
  return read && water && !water.beyond ? Math.round(water.celsius) : undefined;
}

/**
 * Its rises as they were noted: looked at every ten minutes or so, now and then too early.
 *
 * @returns the minute at which it went into the oven
 */
function noteRises(
  formula: Formula,
  events: readonly BakeEvent[],
  household: Household,
  method: DeviceId,
  { draws, paces, kneading }: Rising,
  add: (minute: number, event: { kind: BakeEvent['kind']; data: unknown }) => void,
  [least, most]: readonly [number, number] = [24, 27],
): number {
  let minute = 40;
  const celsius = Math.round(10 * (least + (most - least) * draws.uniform())) / 10;
  const air = household.room.celsius! + 2 * draws.uniform();
  add(minute - 1, { kind: 'warmth', data: { of: 'dough', celsius } });
  add(minute - 1, { kind: 'warmth', data: { of: 'air', celsius: Math.round(air) } });
  const lines = mixedLines(formula, bakeState(events), pantryIn(household));
  const water = waterRead(lines, household, method, celsius, kneading);
  if (water !== undefined)
    add(minute - 25, { kind: 'warmth', data: { of: 'water', celsius: water } });
  const state = { ...bakeState(events), warmth: { dough: celsius, air } };
  const rises = bakeRises(
    { formula, lines, state, household, device: method },
    {
      ...nothingLearned,
      paces: Object.fromEntries(
        Object.entries(leavenKeys(lines, formula)).map(([leaven, key]) => [
          key,
          { mean: paces[leaven as keyof typeof paces], sd: 0.01, rises: 0 },
        ]),
      ),
    },
  );
  for (const { id, forecast } of rises) {
    if (!isForecast(forecast)) continue;
    const hours = forecast.middle * Math.exp(forecast.passing * draws.normal());
    const there = minute + Math.max(10, Math.round((hours * 60) / 5) * 5);
    add(minute, { kind: 'rise', data: { rise: id, sense: 'begun' } });
    if (draws.uniform() < 0.3) {
      const early = minute + Math.round((there - minute) * 0.7);
      add(early, { kind: 'rise', data: { rise: id, sense: 'not-yet' } });
    }
    add(there, { kind: 'rise', data: { rise: id, sense: 'there' } });
    minute = there + 15;
  }
  return Math.max(150, minute);
}

const notes = {
  tight: [
    'A bit heavy; nobody left any, though.',
    'Tore along the side.',
    'Close crumb, good toast.',
  ],
  right: ['Just as it should be.', 'Best of the month.', 'Sliced clean the next morning.', ''],
  loose: ['Spread more than it rose.', 'Big holes under the crust.', 'Stuck to the tin a little.'],
};

function judged(off: number, draws: Draws): Outcome {
  const side = off < -0.8 ? 'tight' : off > 0.8 ? 'loose' : 'right';
  const words: Record<typeof side, OutcomeWord[]> = {
    tight: ['dense'],
    right: ['just right'],
    loose: ['spread flat'],
  };
  const stars = Math.max(
    1,
    Math.min(5, Math.round(5 - Math.abs(off) / 1.5 - 0.5 * draws.uniform())),
  );
  return { stars, words: words[side], note: draws.pick(notes[side]) };
}
