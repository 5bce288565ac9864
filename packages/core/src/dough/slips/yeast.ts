import { growthRate } from '../../ferment/growth-rate.ts';
import { ingredient } from '../../ingredient/catalogue.ts';
import { roles } from '../../ingredient/role.ts';
import { convertYeast } from '../../ingredient/yeast.ts';
import { commonPractice, figure } from '../../quantity/figure.ts';
import { gramsText, percentText } from '../../quantity/number.ts';
import { makeSlip, type Slip, type SlipContext } from './slip.ts';

/** Instant yeast as a percentage of flour in a dough of 1½ to 2 h, at 26 °C. */
export const yeasting = {
  usualLow: figure(1, '% instant', 0.2, commonPractice),
  usualHigh: figure(1.5, '% instant', 0.2, commonPractice),
  most: figure(2.5, '% instant', 0.3, commonPractice),
  /** Sugar above this share of the flour slows yeast. */
  slowingSugar: figure(10, '% of flour', 1, commonPractice),
  /** Temperature that the usual amounts are meant for. */
  usualRoom: figure(26, '°C', 1, commonPractice),
  /** A teaspoon of sugar for a dough that has neither sugar nor starch. */
  food: figure(4, 'g', 1, commonPractice),
};

const tenth = (grams: number): number => Math.round(grams * 10) / 10;

const sumOf = ({ lines }: SlipContext, of: (id: string, grams: number) => number): number =>
  lines.reduce((total, l) => total + of(l.ingredient, l.grams), 0);

/** All yeast as its weight in instant. */
const asInstant = (context: SlipContext): number =>
  sumOf(context, (id, grams) => {
    const kind = ingredient(id).yeast;
    return kind ? convertYeast(grams, kind, 'instant') : 0;
  });

/** The household keeps one kind of yeast and the recipe asks for another: the same work of its own. */
export function yeastKindSlip(context: SlipContext): Slip | undefined {
  const kept = context.yeastKept;
  const to = kept && ingredient(kept).yeast;
  if (!to) return undefined;
  const line = context.lines.find((l) => {
    const from = ingredient(l.ingredient).yeast;
    return from && from !== to && l.grams > 0;
  });
  const from = line && ingredient(line.ingredient).yeast;
  if (!line || !from) return undefined;
  const grams = tenth(convertYeast(line.grams, from, to));
  const name = ingredient(kept).name;
  return makeSlip(context, {
    kind: 'yeast',
    reason: `You keep ${name}: ${gramsText(grams)} of it does the work of ${gramsText(line.grams)} of ${ingredient(line.ingredient).name}.`,
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
export function yeastAmountSlip(context: SlipContext): Slip | undefined {
  const { totals, lines, formula, stage, kitchen } = context;
  const prefermented = lines.some((l) => l.stageKind === 'starter' || l.stageKind === 'preferment');
  const instant = asInstant(context);
  if (prefermented || (instant === 0 && formula.style === 'flatbread')) return undefined;

  const room = kitchen.room.celsius ?? yeasting.usualRoom.value;
  const pace = growthRate(room) / growthRate(yeasting.usualRoom.value);
  const warmth = pace > 0.2 ? 1 / pace : 1;
  const present = (100 * instant) / totals.flourGrams;
  const line = lines.find((l) => ingredient(l.ingredient).yeast && l.grams > 0);
  const of = line?.ingredient ?? context.yeastKept ?? 'instant-yeast';
  const kind = ingredient(of).yeast ?? 'instant';
  const change = (percent: number) =>
    tenth(convertYeast(((percent - present) * totals.flourGrams) / 100, 'instant', kind));
  const sugar = (100 * sumOf(context, sugars)) / totals.flourGrams;
  const sweet = !totals.dryBase && sugar > yeasting.slowingSugar.value;
  const place = { stage: line?.stage ?? stage, ingredient: of };
  const inRoom = kitchen.room.celsius === undefined ? '' : ` at ${Math.round(room)} °C`;

  if (instant === 0) {
    const grams = change(yeasting.usualLow.value * warmth);
    return makeSlip(context, {
      kind: 'yeast',
      reason: `Nothing in it makes it rise: ${gramsText(grams)} of ${ingredient(of).name} raises it in 1½ to 2 hours${inRoom}.`,
      basis: commonPractice,
      certainty: 0.95,
      ifLeft:
        'It stays flat, unless a starter or a raising agent goes in that is not written here.',
      changes: [{ ...place, grams }],
    });
  }
  if (present > yeasting.most.value * warmth) {
    const grams = change(yeasting.usualHigh.value * warmth);
    return makeSlip(context, {
      kind: 'yeast',
      reason: `Yeast is ${percentText(present)} of the flour, counted as instant; hold back ${gramsText(-grams)} to come to ${percentText(yeasting.usualHigh.value * warmth)}${inRoom}.`,
      basis: inRoom ? `${commonPractice}; growth rate after Rosso 1993` : commonPractice,
      certainty: 0.8,
      ifLeft: 'It rises very fast, collapses easily and tastes of yeast.',
      changes: [{ ...place, grams }],
    });
  }
  if (sweet && present >= 0.3 && present < yeasting.usualHigh.value * warmth) {
    const grams = change(yeasting.usualHigh.value * warmth);
    if (grams < 0.5) return undefined;
    return makeSlip(context, {
      kind: 'yeast',
      reason: `Sugar is ${percentText(sugar)} of the flour and slows yeast: ${gramsText(grams)} more keeps the rise to its usual time.`,
      basis: commonPractice,
      certainty: 0.7,
      ifLeft: 'It rises all the same, more slowly: go by the eye, not the clock.',
      changes: [{ ...place, grams }],
    });
  }
  return undefined;
}

const sugars = (id: string, grams: number): number =>
  roles[ingredient(id).role].softens ? (grams * ingredient(id).composition.sugars) / 100 : 0;

/** A dough without starch and without sugar starves its yeast: a teaspoon of sugar feeds it. */
export function yeastFoodSlip(context: SlipContext): Slip | undefined {
  const { totals, stage } = context;
  if (!totals.dryBase || asInstant(context) === 0) return undefined;
  const added = sumOf(context, (id, grams) =>
    ingredient(id).role === 'sugar' ? sugars(id, grams) : 0,
  );
  if (added >= yeasting.food.value * 0.75) return undefined;
  return makeSlip(context, {
    kind: 'yeast',
    reason: `There is no starch here for the yeast to live on: ${gramsText(yeasting.food.value)} of sugar feeds it, and it eats nearly all of it.`,
    basis: commonPractice,
    certainty: 0.8,
    ifLeft: 'A weak rise and a dense slice. Sweeteners do not feed yeast.',
    changes: [{ stage, ingredient: 'sugar', grams: yeasting.food.value }],
  });
}
