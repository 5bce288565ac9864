import { level } from '../dough/level.ts';
import { baseOf, isFlour } from '../formula/base.ts';
import type { Formula } from '../formula/formula.ts';
import { resolve, type ResolvedLine } from '../formula/resolve.ts';
import type { Belief } from '../belief/belief.ts';
import { pantryIn, type Household } from '../household/household.ts';
import { kitchenOf } from '../belief/kitchen.ts';
import { isRaisingAgent } from '../ferment/raising-agent.ts';
import { roles } from '../ingredient/role.ts';
import type { StyleId } from '../style/style.ts';

/** The style that a formula most likely is of, and what says so. */
export interface LikelyStyle {
  readonly style: StyleId;
  /** As it stands in a sentence: "it is taken for pizza, by its name". */
  readonly because: string;
}

/** What of a formula tells one bread from another. Shares and percentages are of all flour. */
interface Traits {
  readonly name: string;
  readonly dryness: number;
  readonly gluten: number;
  readonly rye: number;
  readonly whole: number;
  readonly fat: number;
  readonly sugar: number;
  readonly egg: number;
  readonly fruit: number;
  readonly sourdough: boolean;
  readonly raised: boolean;
  readonly pieces: number;
  readonly level: number;
}

function traitsOf(formula: Formula, lines: readonly ResolvedLine[], level: number): Traits {
  const base = baseOf(lines);
  const flours = lines.filter(isFlour);
  const flour = flours.reduce((sum, l) => sum + l.grams, 0);
  const share = (of: (line: ResolvedLine) => number) =>
    flour > 0 ? flours.reduce((sum, l) => sum + l.grams * of(l), 0) / flour : 0;
  const percent = (of: (line: ResolvedLine) => number) =>
    (100 * lines.reduce((sum, l) => sum + l.grams * of(l), 0)) / (base.grams || 1);
  const soft = (of: ResolvedLine) => roles[of.of.role].softens;
  const yeast = lines.some((l) => l.of.yeast && l.grams > 0);
  return {
    name: formula.name.toLowerCase(),
    dryness: base.dryness,
    gluten: share((l) => (l.of.allergens.includes('gluten') ? 1 : 0)),
    rye: share((l) => (/\brye\b/.test(l.of.name.toLowerCase()) ? 1 : 0)),
    whole: share((l) => l.of.whole ?? 0),
    fat: percent((l) => (soft(l) ? l.of.composition.fat / 100 : 0)),
    sugar: percent((l) => (l.of.role === 'sugar' ? l.of.composition.sugars / 100 : 0)),
    egg: percent((l) => (l.of.role === 'egg' ? 1 : 0)),
    fruit: percent((l) => (l.of.role === 'addIn' && l.of.composition.sugars > 20 ? 1 : 0)),
    sourdough: !yeast && lines.some((l) => l.stageKind === 'starter'),
    raised: yeast || lines.some((l) => l.stageKind === 'starter' || isRaisingAgent(l)),
    pieces: formula.pieces ?? 1,
    level,
  };
}

/** Words that a bread's name says its style by, the telling ones first. Common practice, no source. */
const byName: ReadonlyArray<readonly [RegExp, StyleId]> = [
  [/\b(?:griddle|crumpets?|muffins? \(griddle\)|pikelets?|flapjacks?)\b/, 'griddle'],
  [/\b(?:deep|pan|sheet|tray|grandma)[- ]?(?:dish )?pizza\b/, 'slack'],
  [/\b(?:focaccia|ciabatta|schiacciata|pinsa)\b/, 'slack'],
  [/\bpizza\b/, 'pizza'],
  [/\b(?:croissants?|laminated|danish|puff|kouign)\b/, 'laminated'],
  [/\b(?:stollen|panettone|fruit (?:bread|loaf|cake)|christmas (?:bread|loaf))\b/, 'fruit-rich'],
  [/\b(?:brioche|babka|kugelhopf|gugelhupf)\b/, 'rich'],
  [/\b(?:bagels?|pretzels?|bialys?)\b/, 'bagel'],
  [
    /\b(?:crispbread|crackers?|tortillas?|chapatt?is?|rotis?|lavash|grissini|bread ?sticks?|sticks|matzah?)\b/,
    'rolled-thin',
  ],
  [/\b(?:flat ?breads?|naan|pitt?as?|lepinja)\b/, 'flatbread'],
  [/\b(?:challah|plait(?:ed)?|braid(?:ed)?|zopf|milk bread|tsoureki)\b/, 'plait'],
  [/\b(?:buns?|rolls?|doughnuts?|donuts?|baps?|sliders?)\b/, 'rolls'],
];

interface Row {
  readonly style: StyleId;
  readonly when: (of: Traits) => boolean;
  readonly because: string;
}

/** What a thing is made of overrules its name: a low-carb roll is no roll to the level. */
const overruling: readonly Row[] = [
  {
    style: 'low-carb',
    when: (t) => t.dryness > 0.5,
    because: 'as it stands on gluten, fibre and meals more than on flour',
  },
  {
    style: 'gluten-free',
    when: (t) => t.gluten < 0.3,
    because: 'as most of its flour is of grains without gluten',
  },
  { style: 'rye', when: (t) => t.rye >= 0.5, because: 'as half of its flour or more is rye' },
];

/** Where its name says nothing: the first row that holds. Thresholds are own choices, no source. */
const byMakeUp: readonly Row[] = [
  {
    style: 'fruit-rich',
    when: (t) => t.fruit >= 40 && t.fat >= 15,
    because: 'as it is full of fruit and butter',
  },
  {
    style: 'rich',
    when: (t) => t.fat >= 18 && t.egg >= 20,
    because: 'as it is rich in butter and egg',
  },
  {
    style: 'laminated',
    when: (t) => t.fat >= 3 && t.sugar >= 8 && t.egg < 5 && t.level < -5.5,
    because: 'as it is firm and sweet, for butter to be rolled into',
  },
  {
    style: 'rolls',
    when: (t) => t.pieces >= 6,
    because: 'as it makes so many pieces',
  },
  {
    style: 'plait',
    when: (t) => t.egg >= 8 && t.fat >= 6,
    because: 'as egg and fat make it an enriched one',
  },
  {
    style: 'rolled-thin',
    when: (t) => !t.raised && t.level < 1,
    because: 'as nothing raises it and it is firm',
  },
  { style: 'flatbread', when: (t) => !t.raised, because: 'as nothing raises it' },
  {
    style: 'bagel',
    when: (t) => t.fat < 4 && t.whole < 0.5 && t.level < -4.5,
    because: 'as it is lean and very firm',
  },
  {
    style: 'hearth-wholegrain',
    when: (t) => t.sourdough && t.whole > 0.5,
    because: 'as a starter raises it and most of it is whole grain',
  },
  {
    style: 'hearth-white',
    when: (t) => t.sourdough && t.fat + t.sugar < 5,
    because: 'as a starter raises it and it is lean',
  },
  {
    style: 'slack',
    when: (t) => t.level >= 8.5 && t.sugar < 4,
    because: 'as it is slack',
  },
  {
    style: 'hearth-yeast',
    when: (t) => t.fat < 1 && t.sugar < 1 && t.whole <= 0.5,
    because: 'as it is lean',
  },
  {
    style: 'wholegrain-pan',
    when: (t) => t.whole > 0.5,
    because: 'as most of its flour is whole grain',
  },
  { style: 'pan', when: () => true, because: 'as most breads like it are baked in a tin' },
];

/**
 * The style that a formula most likely is of, where nobody said one: by what it stands on, by its name,
 * by its make-up. A proposal: which window a dough is judged by is the baker's to say.
 *
 * @param lines of the formula, resolved
 * @param points where it stands
 * @example likelyStyle(formula called "Friday pizza", lines, 3).because // 'by its name'
 */
function likelyStyle(
  formula: Formula,
  lines: readonly ResolvedLine[],
  points: number,
): LikelyStyle {
  const traits = traitsOf(formula, lines, points);
  const holds = ({ when }: Row) => when(traits);
  const named = byName.find(([words]) => words.test(traits.name));
  const { style, because } =
    overruling.find(holds) ??
    (named && { style: named[1], because: 'by its name' }) ??
    byMakeUp.find(holds)!;
  return { style, because };
}

/**
 * A formula of which nobody said what bread it is, as the likeliest.
 *
 * @returns undefined where it has no level, so that nothing can be told of it
 * @example asLikely(formula called "Friday pizza", household, belief)?.formula.style // 'pizza'
 */
export function asLikely(
  formula: Formula,
  household: Household,
  belief: Belief,
): { readonly formula: Formula; readonly likely: LikelyStyle } | undefined {
  const lines = resolve(formula, pantryIn(household));
  const at = level(lines, kitchenOf(household, belief));
  if (!at) return undefined;
  const likely = likelyStyle(formula, lines, at.points);
  return { formula: { ...formula, style: likely.style }, likely };
}
