import { isForecast } from '../ferment/rise-doubt.ts';
import { mainStage, type Change, type Formula } from '../formula/formula.ts';
import { resolve, type ResolvedLine } from '../formula/resolve.ts';
import { totals, type Totals } from '../formula/totals.ts';
import { level } from '../dough/level.ts';
import type { Belief } from '../belief/belief.ts';
import type { Poke } from '../bake/event-kinds.ts';
import { householdOn } from '../bake/circumstances.ts';
import { coolingOf } from '../style/cooling.ts';
import { windowIn } from '../dough/own-window.ts';
import { pantryIn, type Household } from '../household/household.ts';
import { feelOf } from '../belief/hands.ts';
import { kitchenOf } from '../belief/kitchen.ts';
import { ovenIn, ovenPace } from '../belief/oven.ts';
import { bakeRises } from '../learn/rises.ts';
import { normalBelow } from '../quantity/normal.ts';
import { gramsText, pointsText } from '../quantity/number.ts';
import { hoursText } from '../quantity/duration.ts';
import { ranked, type Cause } from '../rescue/cause.ts';
import { coreAt } from '../style/baking.ts';
import { styles } from '../style/style.ts';
import { measures } from './measures.ts';
import { pieceKilograms } from '../ferment/shaped-in.ts';
import { saltWord } from '../household/salt-word.ts';
import { styleIn } from '../style/style-figures.ts';
import { asMade, type BakeRecord } from './record.ts';

/** What is seen of a loaf that did not come out. */
export const faults = {
  dense: 'Dense and heavy',
  collapsed: 'Sunk in the middle',
  wrinkled: 'Wrinkled crust',
  gummy: 'Gummy crumb',
  raw: 'Raw inside',
  'holes-above': 'Big bubbles above, dense below',
  spread: 'Spread flat',
  pale: 'Pale crust',
  hole: 'A hole under the crust',
  dark: 'Too dark outside',
} as const;
export type FaultId = keyof typeof faults;
export const faultIds = Object.keys(faults) as FaultId[];

/** What the next bake does otherwise. */
interface Fix {
  readonly says: string;
  /** As a correction of the formula. */
  readonly changes?: readonly Change[];
  /** As a note that stands at its step next time. */
  readonly note?: { readonly step: string; readonly text: string };
}

/** A cause with what this bake says of it, and what to do. */
export interface FoundCause extends Cause {
  /** What of this bake's record speaks for it, or against; that nothing was noted, where nothing was. */
  readonly evidence: string;
  /** How likely this very bake had it, by what was noted; absent where nothing was. */
  readonly chance?: number;
  readonly fix: Fix;
}

/** What is asked of a bake: how likely a cause was at work in it, and by what that is told. */
interface Told {
  /** 0 to 1. */
  readonly chance: number;
  readonly evidence: string;
}

/** A bake with what the model makes of it. */
interface Case {
  readonly record: BakeRecord;
  readonly household: Household;
  readonly belief: Belief;
  readonly window: readonly [low: number, high: number];
  readonly felt?: number;
  /** The formula as it stands, and where the book takes it to come out by now; absent where that cannot be told. */
  readonly now: Formula;
  readonly lines: readonly ResolvedLine[];
  readonly sums?: Totals;
  readonly expected?: number;
  readonly feel: number;
  /** Flour of it, g: by a hundredth of it in water the level moves by a point. */
  readonly base: number;
  readonly rises: Readonly<Partial<Record<'first' | 'final', RiseSeen>>>;
}

/** A rise as it was noted, beside its forecast. */
interface RiseSeen {
  readonly hours: number;
  readonly middle: number;
  readonly sd: number;
}

interface CauseRow {
  readonly says: string;
  /** How likely it is in a bake of which nothing was noted. Common practice, no source. */
  readonly usual: number;
  told(of: Case): Told | undefined;
  fix(of: Case): Fix;
}

/** Needed a seventh longer than it was given, a rise was short; a quarter less, it was long. Common practice, no source. */
const limits = { short: 1.15, long: 0.75 } as const;

/** A rise's chance of having been too short, or too long: what it needed is its forecast, give or take. */
function riseTold(of: Case, id: 'first' | 'final', too: 'short' | 'long'): Told | undefined {
  const seen = of.rises[id];
  if (!seen) return undefined;
  const below = normalBelow(Math.log((seen.hours * limits[too]) / seen.middle) / seen.sd);
  return {
    chance: too === 'short' ? 1 - below : below,
    evidence: `${id === 'first' ? 'the first rise' : 'the final proof'} took ${hoursText(seen.hours)}, about ${hoursText(seen.middle)} was forecast`,
  };
}

/** What a poke before the oven says: chances of a proof too short, and too long. Common practice, no source. */
const pokeTold: Readonly<Record<Poke, { said: string; short: number; long: number }>> = {
  'at-once': { said: 'the poke sprang back at once', short: 0.85, long: 0.03 },
  slowly: { said: 'the poke came back slowly', short: 0.08, long: 0.08 },
  stays: { said: 'the poke stayed', short: 0.03, long: 0.85 },
};

function proofTold(of: Case, too: 'short' | 'long'): Told | undefined {
  const poke = of.record.state.pokes.findLast((p) => p.rise === 'final');
  const by = riseTold(of, 'final', too) ?? riseTold(of, 'first', too);
  if (!poke) return by;
  const { said, [too]: chance } = pokeTold[poke.answer];
  return { chance, evidence: by ? `${said}; ${by.evidence}` : said };
}

function levelTold({ felt, feel, window: [low, high] }: Case, side: 'tight' | 'loose') {
  if (felt === undefined) return undefined;
  const chance =
    side === 'tight' ? normalBelow((low - felt) / feel) : normalBelow((felt - high) / feel);
  return {
    chance,
    evidence: `it felt ${pointsText(felt)}, where ${pointsText(low)} to ${pointsText(high)} is right`,
  };
}

const atStep = (step: string, text: string): Fix => ({ says: text, note: { step, text } });

/**
 * Water, more or less, that brings the formula as it stands to the middle of its window. It goes by what the book makes
 * of the formula after that bake, not by the bake alone: of one that was poured amiss the formula is as right as before.
 */
function waterFix({ expected, window, base, now }: Case, sign: 1 | -1): Fix {
  const [low, high] = window;
  const isSo = expected !== undefined && (sign > 0 ? expected < low : expected > high);
  if (!isSo)
    return atStep(
      'weigh',
      expected === undefined
        ? 'Next time look early: a spoon of water or flour, then wait.'
        : `Weigh with care next time: as written it comes to ${pointsText(expected)}, where ${pointsText(low)} to ${pointsText(high)} is right.`,
    );
  const grams = Math.round((((low + high) / 2 - expected) * base) / 100);
  return {
    says: `${gramsText(Math.abs(grams))} ${grams > 0 ? 'more' : 'less'} water next time.`,
    changes: [{ stage: mainStage(now).id, ingredient: 'water', grams }],
  };
}

/** A fifth of the yeast more or less: what a rise of a quarter longer or shorter wants. Common practice, no source. */
function yeastFix({ lines }: Case, share: number): Fix | undefined {
  const yeast = lines.find((l) => l.of.yeast && l.grams > 0);
  if (!yeast) return undefined;
  const grams = Math.round(yeast.grams * share * 100) / 100;
  if (grams === 0) return undefined;
  return {
    says: `${gramsText(Math.abs(grams))} ${grams > 0 ? 'more' : 'less'} ${yeast.of.name} next time.`,
    changes: [{ stage: yeast.stage, ingredient: yeast.ingredient, grams }],
  };
}

/** An oven's minutes beyond this, either way, are a fault of its thermostat. Own choice, no source. */
const ovenOff = 0.12;

/** Whether the oven is cooler (1) or hotter (−1) than it says, by the minutes that this household's bakes took. */
function ovenTold({ belief, household, record }: Case, sign: 1 | -1): Told | undefined {
  const { mean, sd, bakes } = ovenPace(ovenIn(household, record.state.oven), belief);
  if (bakes < 2) return undefined;
  return {
    chance: normalBelow((sign * mean - ovenOff) / Math.max(0.03, sd)),
    evidence: `your last ${bakes} bakes took ${Math.round(100 * Math.exp(mean))} % of the usual minutes`,
  };
}

/** Grams of one piece of a bake. */
const pieceGrams = ({ meant, made, state }: BakeRecord): number =>
  1000 * pieceKilograms(meant, made, state.divided);

/** What the household says of salt in this bread. */
const saltOf = ({ now, household, belief }: Case) =>
  saltWord(now.style, kitchenOf(household, belief), household);

/** Salt that brings a dough to what the household has in it. */
const saltShort = (of: Case): number =>
  Math.round((of.base * (saltOf(of).usual - (of.sums?.saltPercent ?? 0))) / 100);

/** Shares of the usual salt under which there was far too little, and too little. Common practice, no source. */
const saltless = 0.55;
const saltPoor = 0.78;

/** One row a cause. */
const causes = {
  tight: {
    says: 'The dough was too tight.',
    usual: 0.2,
    told: (of) => levelTold(of, 'tight'),
    fix: (of) => waterFix(of, 1),
  },
  loose: {
    says: 'The dough was too loose.',
    usual: 0.2,
    told: (of) => levelTold(of, 'loose'),
    fix: (of) => waterFix(of, -1),
  },
  'under-proofed': {
    says: 'It went into the oven too early.',
    usual: 0.3,
    told: (of) => proofTold(of, 'short'),
    fix: () => atStep('final-proof', 'Wait longer: bake when a poke comes back slowly.'),
  },
  'over-proofed': {
    says: 'It rose too long and lost its strength.',
    usual: 0.25,
    told: (of) => proofTold(of, 'long'),
    fix: (of) =>
      (of.rises.final && of.rises.final.hours < 0.75 ? yeastFix(of, -0.2) : undefined) ??
      atStep('final-proof', 'Bake earlier than last time: look 15 minutes before.'),
  },
  'too-much-yeast': {
    says: 'It rose too fast.',
    usual: 0.08,
    told({ record, rises }) {
      const yeast = measures.yeast.of(record);
      if (yeast === undefined) return undefined;
      const fast = rises.first !== undefined && rises.first.hours < 0.6 * rises.first.middle;
      return {
        chance: yeast > 2.5 ? 0.5 : fast ? 0.3 : 0.03,
        evidence: `${Math.round(yeast * 10) / 10} % yeast${fast ? ', and it rose much faster than forecast' : ''}`,
      };
    },
    fix: (of) => yeastFix(of, -0.2) ?? atStep('first-rise', 'Keep it cooler next time.'),
  },
  'tired-leaven': {
    says: 'The yeast or the starter was tired.',
    usual: 0.1,
    told({ rises }) {
      const seen = rises.first ?? rises.final;
      if (!seen) return undefined;
      const slow = seen.hours / seen.middle;
      return {
        chance: normalBelow((Math.log(slow) - 0.35) / 0.15),
        evidence:
          slow >= 1
            ? `it took ${Math.round(slow * 10) / 10} times as long as forecast`
            : 'it rose no slower than forecast',
      };
    },
    fix: () => atStep('weigh', 'Test the yeast in warm water, or feed the starter twice first.'),
  },
  'under-baked': {
    says: 'It came out of the oven too early.',
    usual: 0.2,
    told({ record, household }) {
      const core = record.state.core.at(-1);
      const [least] = coreAt(styles[record.formula.style].baking, household.altitude);
      if (!core) return undefined;
      return {
        chance: normalBelow((least - core.celsius) / 1.5),
        evidence: `${Math.round(core.celsius)} °C in the middle, where ${least} °C is done`,
      };
    },
    fix: ({ record, household }) => {
      const [least] = coreAt(styles[record.formula.style].baking, household.altitude);
      return atStep('bake', `Use the probe: wait for ${least} °C in the middle.`);
    },
  },
  'cool-oven': {
    says: 'The oven was cooler than it says.',
    usual: 0.12,
    told: (of) => ovenTold(of, 1),
    fix: () => atStep('heat', 'Set it ten degrees higher, or heat it 15 minutes longer.'),
  },
  'hot-oven': {
    says: 'The oven was hotter than it says.',
    usual: 0.12,
    told: (of) => ovenTold(of, -1),
    fix: () =>
      atStep('heat', 'Set it ten degrees lower, or cover with foil after two thirds of the time.'),
  },
  'cut-early': {
    says: 'It was cut or wrapped while warm.',
    usual: 0.15,
    told({ record }) {
      const { state, formula } = record;
      const { doneAt } = state.steps.bake ?? {};
      const cut = state.steps.cool?.doneAt;
      if (doneAt === undefined || cut === undefined) return undefined;
      const wanted = coolingOf(formula.style, pieceGrams(record)).cut;
      const passed = (Date.parse(cut) - Date.parse(doneAt)) / 60_000;
      return {
        chance: passed < 0.6 * wanted ? 0.8 : passed < wanted ? 0.3 : 0.04,
        evidence: `it cooled ${Math.round(passed)} minutes, where ${wanted} are usual`,
      };
    },
    fix: ({ record }) =>
      atStep(
        'cool',
        `Not cut before ${coolingOf(record.formula.style, pieceGrams(record)).cut} minutes.`,
      ),
  },
  'weak-flour': {
    says: 'Its flour holds too little gas.',
    usual: 0.15,
    told({ record: { totals, formula }, household }) {
      if (!totals || totals.dryBase) return undefined;
      const [least] = styleIn(formula.style, household.figures).protein;
      return {
        chance: normalBelow((least - totals.proteinPercent) / 0.6) * 0.6,
        evidence: `${Math.round(totals.proteinPercent * 10) / 10} % protein, where ${least} % is wanted`,
      };
    },
    fix: ({ now, base }) => ({
      says: `A hundredth of gluten to the flour: ${gramsText(Math.round(base / 100))}.`,
      changes: [
        {
          stage: mainStage(now).id,
          ingredient: 'vital-gluten',
          grams: Math.max(1, Math.round(base / 100)),
        },
      ],
    }),
  },
  'little-salt': {
    says: 'Too little salt to hold the yeast.',
    usual: 0.05,
    told: (of) => {
      const { totals } = of.record;
      if (!totals) return undefined;
      const share = totals.saltPercent / saltOf(of).usual;
      return {
        chance: share < saltless ? 0.5 : share < saltPoor ? 0.15 : 0.02,
        evidence: `${Math.round(totals.saltPercent * 100) / 100} % salt`,
      };
    },
    fix: (of) =>
      saltShort(of) < 1
        ? atStep('weigh', 'Weigh the salt with care: the recipe has enough.')
        : {
            says: `Salt to ${Math.round(saltOf(of).usual * 10) / 10} % of the flour: ${gramsText(saltShort(of))} more.`,
            changes: [{ stage: mainStage(of.now).id, ingredient: 'salt', grams: saltShort(of) }],
          },
  },
  shaping: {
    says: 'It was shaped too loosely.',
    usual: 0.2,
    told: () => undefined,
    fix: () => atStep('shape', 'Press the bubbles out, then roll it up tight.'),
  },
} as const satisfies Record<string, CauseRow>;

type WrongId = keyof typeof causes;

/** How strongly a fault points to a cause, beside its other causes. Common practice, no source. */
const pointsTo: Readonly<Record<FaultId, Readonly<Partial<Record<WrongId, number>>>>> = {
  dense: {
    tight: 1,
    'under-proofed': 1,
    'tired-leaven': 0.9,
    'weak-flour': 0.5,
    'under-baked': 0.2,
  },
  collapsed: {
    'over-proofed': 1,
    loose: 0.8,
    'too-much-yeast': 0.8,
    'little-salt': 0.7,
    'under-baked': 0.5,
    'weak-flour': 0.3,
  },
  wrinkled: { 'under-baked': 0.9, 'over-proofed': 0.7, loose: 0.5, 'cut-early': 0.4 },
  gummy: { 'under-baked': 1, 'cut-early': 1, loose: 0.7, 'under-proofed': 0.3 },
  raw: { 'under-baked': 1, 'cool-oven': 0.8, 'hot-oven': 0.5, loose: 0.3 },
  'holes-above': { 'under-proofed': 1, shaping: 0.7, 'tired-leaven': 0.4, 'hot-oven': 0.2 },
  spread: { loose: 1, 'over-proofed': 0.9, 'weak-flour': 0.6, shaping: 0.4, 'little-salt': 0.3 },
  pale: { 'cool-oven': 1, 'over-proofed': 0.5, 'under-baked': 0.5, 'little-salt': 0.1 },
  hole: { shaping: 1, 'over-proofed': 0.4, 'hot-oven': 0.3, 'under-proofed': 0.4 },
  dark: { 'hot-oven': 1, 'under-proofed': 0.1 },
};

/** What the model makes of a bake. */
function caseOf(record: BakeRecord, household: Household, belief: Belief, now: Formula): Case {
  const then = householdOn(household, record.circumstances);
  const kitchen = kitchenOf(then, belief);
  const { lesson, formula } = record;
  const pantry = pantryIn(household);
  const lines = resolve(now, pantry);
  const sums = totals(lines);
  const expected = level(lines, kitchenOf(household, belief))?.points;
  const { window } = windowIn(
    formula.style,
    lesson?.dryness ?? record.totals?.dryness ?? 0,
    kitchen,
  );
  const rises = bakeRises(asMade(record, then), belief).flatMap((rise) => {
    const hours = measures[rise.id === 'first' ? 'firstRise' : 'finalProof'].of(record);
    const { forecast } = rise;
    if (hours === undefined || !isForecast(forecast)) return [];
    return [[rise.id, { hours, middle: forecast.middle, sd: Math.max(0.1, forecast.sd) }] as const];
  });
  return {
    record,
    household: then,
    belief,
    window,
    ...(lesson?.felt === undefined ? {} : { felt: lesson.felt }),
    feel: feelOf(kitchen),
    now,
    lines,
    ...(sums ? { sums } : {}),
    ...(expected === undefined ? {} : { expected }),
    base: sums?.flourGrams ?? 500,
    rises: Object.fromEntries(rises),
  };
}

/** So likely by its record, and so much of the whole, that a cause is named whatever else was at work. Own choices, no source. */
const [namedChance, namedShare] = [0.6, 0.12];

/**
 * The causes that a bake had, by its own record: one loaf may have stood too long and been too wet as well. Where
 * nothing of it was noted, the likeliest alone.
 *
 * @param causes of `wentWrong`
 * @example atWork(wentWrong(tightAndShort, ['dense'], household, belief)).map((c) => c.id) // ['tight', 'under-proofed']
 */
export function atWork(causes: readonly FoundCause[]): readonly FoundCause[] {
  const spoken = causes.filter(
    ({ chance = 0, share }) => chance >= namedChance && share >= namedShare,
  );
  return spoken.length > 0 ? spoken : causes.slice(0, 1);
}

/** A cause that nothing speaks for is not ruled out by it. Own choice, no source. */
const never = 0.02;

/**
 * What probably went wrong with a loaf: for each cause of what was seen, how likely this very bake had it, by its
 * touch, its rises, its poke, its probe and its clock; where nothing was noted, as likely as it is in any bake.
 *
 * @param seen what was seen of the loaf
 * @param belief forBread of its bread
 * @param now its formula as it stands, which a fix goes to; absent where it is as it was baked
 * @returns the likeliest first; their shares sum to 1
 * @example wentWrong(record, ['dense'], household, belief)[0].id // 'tight'
 */
export function wentWrong(
  record: BakeRecord,
  seen: readonly FaultId[],
  household: Household,
  belief: Belief,
  now: Formula = record.formula,
): FoundCause[] {
  if (seen.length === 0) return [];
  const of = caseOf(record, household, belief, now);
  const rows = (Object.keys(causes) as WrongId[]).flatMap((id) => {
    // Of several faults together a cause explains all, or is the less likely.
    const fits = seen.reduce((product, fault) => product * (pointsTo[fault][id] ?? 0.05), 1);
    if (seen.every((fault) => pointsTo[fault][id] === undefined)) return [];
    const row: CauseRow = causes[id];
    const told = row.told(of);
    return [
      {
        id,
        says: row.says,
        weight: fits * Math.max(never, told?.chance ?? row.usual),
        told,
        row,
      },
    ];
  });
  return ranked(rows).map((cause) => {
    const { told, row, ...rest } = cause as typeof cause & (typeof rows)[number];
    const { id, says, share } = rest;
    return {
      id,
      says,
      share,
      evidence: told?.evidence ?? 'nothing was noted of it',
      ...(told ? { chance: told.chance } : {}),
      fix: row.fix(of),
    };
  });
}
