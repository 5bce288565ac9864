import { isFlour } from '../formula/base.ts';
import type { ResolvedLine } from '../formula/resolve.ts';
import { growthRate } from '../ferment/growth-rate.ts';
import { osmoticBrake } from '../ferment/osmotic-brake.ts';
import { ripeEnd } from '../ferment/ripe-end.ts';
import { riseUntil } from '../ferment/rise-until.ts';
import { risingDough, sugarIn } from '../ferment/rising-dough.ts';
import { hoursText } from '../quantity/duration.ts';
import { isRaisingAgent } from '../ferment/raising-agent.ts';
import { convertYeast } from '../ingredient/yeast.ts';
import { riseModelOf } from '../ferment/rise-model.ts';
import { leavenAmount } from '../ferment/leaven-for.ts';
import type { RisingDough } from '../ferment/rise.ts';
import { commonPractice, figure } from '../figure/figure.ts';
import { gramsText } from '../quantity/number.ts';
import { styles } from '../style/style.ts';
import { makeCorrection, ofFlour, type Correction, type CorrectionContext } from './correction.ts';
import { tenth } from '../quantity/tenth.ts';

const sumOf = ({ lines }: CorrectionContext, of: (line: ResolvedLine) => number): number =>
  lines.reduce((total, l) => total + of(l), 0);

/** All yeast as its weight in instant. */
const asInstant = (context: CorrectionContext): number =>
  sumOf(context, ({ of, grams }) =>
    of.yeast ? convertYeast(grams, of.yeast, 'instant', context.pantry.yeastWork) : 0,
  );

/** The household keeps one kind of yeast and the recipe asks for another: the same work of its own. */
export function yeastKindCorrection(context: CorrectionContext): Correction | undefined {
  const kept = context.yeastKept;
  const to = kept && context.pantry.ingredient(kept).yeast;
  if (!to) return undefined;
  const line = context.lines.find((l) => l.of.yeast && l.of.yeast !== to && l.grams > 0);
  const from = line?.of.yeast;
  if (!line || !from) return undefined;
  const grams = tenth(convertYeast(line.grams, from, to, context.pantry.yeastWork));
  const { name } = context.pantry.ingredient(kept);
  return makeCorrection(context, {
    kind: 'yeast',
    reason: `You keep ${name}: ${gramsText(grams)} of it does the work of ${gramsText(line.grams)} of ${line.of.name}.`,
    basis: 'trade handbooks, from memory; the schools differ by about a tenth',
    certainty: 0.9,
    ifLeft:
      'By the spoon, one kind for another comes out up to three times too strong or too weak.',
    changes: [
      { stage: line.stage, ingredient: kept, grams },
      { stage: line.stage, ingredient: line.ingredient, grams: -line.grams },
    ],
  });
}

/** Yeast of a dough beside what it wants: percentages are of flour, as instant yeast. */
interface YeastFacts {
  readonly context: CorrectionContext;
  readonly present: number;
  readonly room: number;
  /** Times the usual yeast that a room so warm wants, and "at 18 °C" where the room was told. */
  readonly warmth: number;
  readonly inRoom: string;
  /** What goes in, and where. */
  readonly place: { readonly stage: string; readonly ingredient: string };
  readonly name: string;
  /** Sugar, and the pace that it leaves to yeast. */
  readonly sugar: number;
  readonly slowed: number;
  /** What a dough so sweet wants: a cold kitchen is no reason for more. */
  readonly sweetened: number;
  /** Grams of the household's kind that bring it from what it has to that. */
  readonly change: (percent: number) => number;
  /** What the room wants in place of a usual share, under the ceiling. */
  readonly wanted: (usual: number) => number;
}

function yeastFacts(context: CorrectionContext): YeastFacts {
  const { totals, lines, stage, kitchen, pantry } = context;
  const { yeastUsualLow, yeastCeiling, usualRoom } = kitchen.coefficients;
  const room = kitchen.room.celsius ?? usualRoom.value;
  const pace = growthRate(room) / growthRate(usualRoom.value);
  const warmth = pace > 0.2 ? 1 / pace : 1;
  const present = (100 * asInstant(context)) / totals.flourGrams;
  const line = lines.find((l) => l.of.yeast && l.grams > 0);
  const of = line?.ingredient ?? context.yeastKept ?? 'instant-yeast';
  const { name, yeast: kind = 'instant' } = pantry.ingredient(of);
  const sugar = (100 * sumOf(context, sugarIn)) / totals.flourGrams;
  const slowed = totals.dryBase ? 1 : sugarLeaves(sugar, kind === 'osmotolerant', context);
  const grams = (percent: number) => (percent * totals.flourGrams) / 100;
  return {
    context,
    present,
    room,
    warmth,
    inRoom: kitchen.room.celsius === undefined ? '' : ` at ${Math.round(room)} °C`,
    place: { stage: line?.stage ?? stage, ingredient: of },
    name,
    sugar,
    slowed,
    sweetened: Math.min(yeastUsualLow.value / slowed, yeastCeiling.value),
    change: (percent) =>
      tenth(convertYeast(grams(percent - present), 'instant', kind, pantry.yeastWork)),
    wanted: (usual) => Math.min(usual * warmth, Math.max(usual, yeastCeiling.value)),
  };
}

/** Nothing raises it. */
function without(facts: YeastFacts): Correction {
  const { context, room, warmth, inRoom, place, name, sweetened, change, wanted } = facts;
  const { yeastUsualLow, yeastCeiling, yeastFood } = context.kitchen.coefficients;
  const asked = forUsualRise(room, context);
  const usual =
    asked === undefined
      ? Math.max(wanted(yeastUsualLow.value), sweetened)
      : Math.min(asked, yeastCeiling.value);
  // What is put in must not be asked for more of once it is in.
  const percent = isSlowed(facts, usual) ? sweetened : usual;
  const grams = change(percent);
  const time = doubles(percent, room, context);
  // A cold kitchen is not answered with ever more yeast: warm water, or time, does it better.
  const cold =
    (asked ?? yeastUsualLow.value * warmth) > percent
      ? ' More yeast is no cure for a cold kitchen: warm the water, or give it that time.'
      : '';
  const hungry = starves(context);
  const food = hungry
    ? `, with ${gramsText(yeastFood.value)} of sugar, as there is no starch here for it to live on`
    : '';
  return makeCorrection(context, {
    kind: 'yeast',
    reason: `Nothing in it makes it rise: ${gramsText(grams)} of ${name} raises it in ${time}${inRoom}${food}.${cold}`,
    basis: `${commonPractice}; amount and time by the rise model, calibrated on customary rises`,
    certainty: 0.95,
    ifLeft: 'It stays flat, unless a starter or a raising agent goes in that is not written here.',
    changes: [
      { ...place, grams },
      ...(hungry ? [{ stage: context.stage, ingredient: 'sugar', grams: yeastFood.value }] : []),
    ],
  });
}

/** The most that a dough so has where it is as warm as usual, % of flour. */
const mostOf = ({ context: { totals, kitchen } }: YeastFacts): number =>
  (totals.dryBase ? kitchen.coefficients.yeastMostDry : kitchen.coefficients.yeastMost).value;

/** It has too much: every kind gives way by the same share; not where the room or sugar wants it all. */
function tooMuch(facts: YeastFacts): Correction | undefined {
  const { context, present, inRoom, sweetened, wanted } = facts;
  const { yeastUsualHigh } = context.kitchen.coefficients;
  const { dryBase } = context.totals;
  const most = mostOf(facts);
  const aim = dryBase ? most : Math.max(wanted(yeastUsualHigh.value), sweetened);
  const changes = context.lines
    .filter((l) => l.of.yeast && l.grams > 0)
    .map((l) => ({
      stage: l.stage,
      ingredient: l.ingredient,
      grams: -Math.min(l.grams, tenth(l.grams * (1 - aim / present))),
    }))
    .filter((c) => c.grams < 0);
  if (changes.length === 0) return undefined;
  const grams = changes.reduce((sum, c) => sum + c.grams, 0);
  return makeCorrection(context, {
    kind: 'yeast',
    reason: `Yeast is ${ofFlour(present, context)}, counted as instant; hold back ${gramsText(-grams)} to come to ${ofFlour(aim, context)}${inRoom}.`,
    basis: inRoom ? `${commonPractice}; growth rate after Rosso 1993` : commonPractice,
    certainty: 0.8,
    ifLeft: 'It rises very fast, collapses easily and tastes of yeast.',
    changes,
  });
}

/** Less than this is not worth a line, grams. Own choice, no source. */
const leastMore = 0.5;

/** Whether so much yeast is as strong as a lean dough wants it, and too weak for so sweet a one. */
function isSlowed({ context, sweetened }: YeastFacts, percent: number): boolean {
  const { value: usual, sd: tolerance } = context.kitchen.coefficients.yeastUsualLow;
  return (
    sweetened - usual > tolerance && percent >= usual - tolerance && percent < sweetened - tolerance
  );
}

/** Sugar that slows it beyond what the usual differs by. */
function slowedBySugar(facts: YeastFacts): Correction | undefined {
  const { context, present, place, sugar, slowed, sweetened, change } = facts;
  const { value: usual } = context.kitchen.coefficients.yeastUsualLow;
  if (!isSlowed(facts, present)) return undefined;
  const grams = change(sweetened);
  if (grams < leastMore) return undefined;
  const far =
    sweetened < usual / slowed ? ' as far as more yeast can; past that it takes longer' : '';
  return makeCorrection(context, {
    kind: 'yeast',
    reason: `Sugar is ${ofFlour(sugar, context)} and leaves yeast about ${Math.round(100 * slowed)} % of its pace: ${gramsText(grams)} more keeps the rise to its usual time${far}.`,
    basis: commonPractice,
    certainty: 0.7,
    ifLeft: 'It rises all the same, more slowly: go by the eye, not the clock.',
    changes: [{ ...place, grams }],
  });
}

/**
 * Yeast to add or hold back for a dough of 1½ to 2 hours in this room: warm rooms want less, sweet
 * doughs more. Long doughs with little yeast, and doughs with a starter, are left alone.
 */
export function yeastAmountCorrection(context: CorrectionContext): Correction | undefined {
  const { lines, formula } = context;
  if (lines.some((l) => l.stageKind === 'starter' || l.stageKind === 'preferment'))
    return undefined;
  const facts = yeastFacts(context);
  if (facts.present > mostOf(facts) * facts.warmth) return tooMuch(facts);
  if (facts.present > 0) return slowedBySugar(facts);
  // A flatbread needs none, and baking powder or soda raises too.
  const raised = lines.some((l) => l.grams > 0 && isRaisingAgent(l));
  return raised || !styles[formula.style].rises ? undefined : without(facts);
}

/** A dough with less water than this, % of flour, is not one yet. Own choice. */
const leastWater = 50;

/** Pace that sugar leaves to a dough of usual salt, beside the same dough without it. */
function sugarLeaves(
  sugar: number,
  tolerant: boolean,
  { totals, kitchen }: CorrectionContext,
): number {
  const salt = kitchen.coefficients.saltUsualLow.value;
  const water = Math.max(totals.effectiveHydration, leastWater);
  const pace = (of: number) =>
    osmoticBrake({ salt, sugar: of, water }, kitchen.coefficients, tolerant);
  return pace(sugar) / (pace(0) || 1);
}

/** Share of the base in flour that feeds the yeast by its starch. Own estimate, no source. */
const starchToLiveOn = 0.05;

/** Dough is mixed about so much warmer than a cool room, °C, and not above what is usual. Common practice. */
const mixedWarmer = 3;

/** A first rise of an ordinary day: 1 % instant has it doubled in 60 to 90 minutes at 26 °C. */
const usualRise = figure(1.25, 'h', 0.25, commonPractice);
/** Less yeast than this is for a night, % instant. Own choice, no source. */
const leastByDay = 0.3;

/** The dough where it stands, as the rise model takes it; none on its dry base. */
function standing(
  room: number,
  { lines, pantry, kitchen }: CorrectionContext,
): RisingDough | undefined {
  const celsius = Math.min(Math.max(room, 26), room + mixedWarmer);
  const air = [{ hours: 1, celsius: room }];
  return risingDough(
    lines,
    { celsius, air, vessel: 'bowl' },
    pantry.yeastWork,
    riseModelOf(kitchen),
  );
}

/** Instant yeast, %, that has it risen in the usual time; past every sense where the room is too cold for that. */
function forUsualRise(room: number, context: CorrectionContext): number | undefined {
  const dough = standing(room, context);
  if (!dough) return undefined;
  const model = riseModelOf(context.kitchen);
  const end = ripeEnd({ ...dough, yeast: 1 }, model);
  const found = leavenAmount(dough, 'yeast', usualRise.value, end, {}, model);
  return Math.max(leastByDay, found ?? Infinity);
}

/** How long a first rise with that much instant yeast takes where the dough stands, in words. */
function doubles(percent: number, room: number, context: CorrectionContext): string {
  const dough = standing(room, context);
  const raised = dough && { ...dough, yeast: percent };
  const model = riseModelOf(context.kitchen);
  const hours = raised && riseUntil(raised, ripeEnd(raised, model), model).hours;
  return hours === undefined ? '1½ to 2 hours' : `about ${hoursText(hours)}`;
}

/** Whether a dough has neither starch nor sugar for yeast to eat. */
function starves(context: CorrectionContext): boolean {
  const { totals, kitchen } = context;
  const starch = sumOf(context, (l) => (isFlour(l) ? l.grams : 0));
  if (!totals.dryBase || starch > starchToLiveOn * totals.flourGrams) return false;
  const added = sumOf(context, (l) => (l.of.role === 'sugar' ? sugarIn(l) : 0));
  return added < kitchen.coefficients.yeastFood.value * 0.75;
}

/** A dough without starch and without sugar starves its yeast: a teaspoon of sugar feeds it. */
export function yeastFoodCorrection(context: CorrectionContext): Correction | undefined {
  const { yeastFood } = context.kitchen.coefficients;
  if (asInstant(context) === 0 || !starves(context)) return undefined;
  return makeCorrection(context, {
    kind: 'yeast',
    reason: `There is no starch here for the yeast to live on: ${gramsText(yeastFood.value)} of sugar feeds it, and the yeast eats nearly all of that.`,
    basis: commonPractice,
    certainty: 0.8,
    ifLeft: 'A weak rise and a dense slice. Sweeteners do not feed yeast.',
    changes: [{ stage: context.stage, ingredient: 'sugar', grams: yeastFood.value }],
  });
}
