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

/**
 * Yeast to add or hold back for a dough of 1½ to 2 hours in this room: warm rooms want less, sweet
 * doughs more. Long doughs with little yeast, and doughs with a starter, are left alone.
 */
export function yeastAmountCorrection(context: CorrectionContext): Correction | undefined {
  const { totals, lines, formula, stage, kitchen, pantry } = context;
  const {
    yeastUsualLow,
    yeastUsualHigh,
    yeastMost,
    yeastMostDry,
    yeastCeiling,
    yeastFood,
    usualRoom,
  } = kitchen.coefficients;
  const prefermented = lines.some((l) => l.stageKind === 'starter' || l.stageKind === 'preferment');
  const instant = asInstant(context);
  // A flatbread needs none, and baking powder or soda raises too.
  const raised = lines.some((l) => l.grams > 0 && isRaisingAgent(l));
  if (prefermented || (instant === 0 && (raised || !styles[formula.style].rises))) return undefined;

  const room = kitchen.room.celsius ?? usualRoom.value;
  const pace = growthRate(room) / growthRate(usualRoom.value);
  const warmth = pace > 0.2 ? 1 / pace : 1;
  const present = (100 * instant) / totals.flourGrams;
  const line = lines.find((l) => l.of.yeast && l.grams > 0);
  const of = line?.ingredient ?? context.yeastKept ?? 'instant-yeast';
  const { name, yeast: kind = 'instant' } = pantry.ingredient(of);
  const change = (percent: number) =>
    tenth(
      convertYeast(
        ((percent - present) * totals.flourGrams) / 100,
        'instant',
        kind,
        pantry.yeastWork,
      ),
    );
  const sugar = (100 * sumOf(context, sugarIn)) / totals.flourGrams;
  const place = { stage: line?.stage ?? stage, ingredient: of };
  const inRoom = kitchen.room.celsius === undefined ? '' : ` at ${Math.round(room)} °C`;
  const wanted = (usual: number) => Math.min(usual * warmth, Math.max(usual, yeastCeiling.value));
  const tolerance = yeastUsualLow.sd;
  const slowed = totals.dryBase ? 1 : sugarLeaves(sugar, kind === 'osmotolerant', context);
  // Of the sugar alone: a cold kitchen is no reason for more.
  const sweetened = Math.min(yeastUsualLow.value / slowed, yeastCeiling.value);

  if (instant === 0) {
    const asked = forUsualRise(room, context);
    const percent =
      asked === undefined
        ? Math.max(wanted(yeastUsualLow.value), sweetened)
        : Math.min(asked, yeastCeiling.value);
    const grams = change(percent);
    const time = doubles(percent, room, context);
    // A cold kitchen is not answered with ever more yeast: warm water, or time, does it better.
    const cold =
      (asked ?? yeastUsualLow.value * warmth) > percent
        ? ' More yeast is no cure for a cold kitchen: warm the water, or give it that time.'
        : '';
    return makeCorrection(context, {
      kind: 'yeast',
      reason: `Nothing in it makes it rise: ${gramsText(grams)} of ${name} raises it in ${time}${inRoom}${starves(context) ? `, with ${gramsText(yeastFood.value)} of sugar, as there is no starch here for it to live on` : ''}.${cold}`,
      basis: `${commonPractice}; amount and time by the rise model, calibrated on customary rises`,
      certainty: 0.95,
      ifLeft:
        'It stays flat, unless a starter or a raising agent goes in that is not written here.',
      changes: [
        { ...place, grams },
        ...(starves(context) ? [{ stage, ingredient: 'sugar', grams: yeastFood.value }] : []),
      ],
    });
  }
  const most = totals.dryBase ? yeastMostDry.value : yeastMost.value;
  if (present > most * warmth) {
    const aim = totals.dryBase ? most : Math.max(wanted(yeastUsualHigh.value), sweetened);
    // Every kind gives way by the same share.
    const changes = lines
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
  // Sugar that slows it beyond what the usual differs by; as strong as a lean dough wants it, and too weak here.
  if (
    sweetened - yeastUsualLow.value > tolerance &&
    present >= yeastUsualLow.value - tolerance &&
    present < sweetened - tolerance
  ) {
    const grams = change(sweetened);
    if (grams < 0.5) return undefined;
    return makeCorrection(context, {
      kind: 'yeast',
      reason: `Sugar is ${ofFlour(sugar, context)} and leaves yeast about ${Math.round(100 * slowed)} % of its pace: ${gramsText(grams)} more keeps the rise to its usual time${sweetened < yeastUsualLow.value / slowed ? ' as far as more yeast can; past that it takes longer' : ''}.`,
      basis: commonPractice,
      certainty: 0.7,
      ifLeft: 'It rises all the same, more slowly: go by the eye, not the clock.',
      changes: [{ ...place, grams }],
    });
  }
  return undefined;
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
    reason: `There is no starch here for the yeast to live on: ${gramsText(yeastFood.value)} of sugar feeds it, and it eats nearly all of it.`,
    basis: commonPractice,
    certainty: 0.8,
    ifLeft: 'A weak rise and a dense slice. Sweeteners do not feed yeast.',
    changes: [{ stage: context.stage, ingredient: 'sugar', grams: yeastFood.value }],
  });
}
