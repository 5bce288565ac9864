import { level } from '../dough/level.ts';
import { touchEnds } from '../dough/past-touch.ts';
import { baseOf, isFlour } from '../formula/base.ts';
import type { Formula } from '../formula/formula.ts';
import { resolve, type ResolvedLine } from '../formula/resolve.ts';
import type { Belief } from '../belief/belief.ts';
import { pantryIn, type Household } from '../household/household.ts';
import { kitchenOf } from '../belief/kitchen.ts';
import { isRaisingAgent } from '../ferment/raising-agent.ts';
import { roles } from '../ingredient/role.ts';
import { styleIds, usualStyle, type StyleId } from '../style/style.ts';
import { isUnkneaded } from '../process/unkneaded.ts';
import type { PossibleStyle } from '../style/possible-style.ts';

/** The style that a formula most likely is of, and what says so. */
export interface LikelyStyle extends PossibleStyle {
  /** As it stands in a sentence: "it is taken for pizza, by its name". */
  readonly because: string;
  /** What else it may be, the likeliest first: all that are not next to impossible. */
  readonly others: readonly PossibleStyle[];
  /** Every style there is, the likeliest first. */
  readonly all: readonly PossibleStyle[];
}

/** Less sure than this, and the baker is asked. Own choice, no source. */
export const sureOfStyle = 0.8;
/** So much less likely, in logarithms, is a style that nothing speaks for. Own choice, no source. */
const unspoken = 1.5;
/** A style less likely than this is not told of. Own choice, no source. */
const leastTold = 0.02;

/** What of a formula tells one bread from another. Shares and percentages are of all flour. */
interface Traits {
  readonly name: string;
  /** Its size, its method, what it is brushed with, in lower case. */
  readonly words: string;
  readonly dryness: number;
  readonly gluten: number;
  readonly rye: number;
  readonly whole: number;
  readonly fat: number;
  readonly sugar: number;
  readonly egg: number;
  readonly fruit: number;
  readonly sourdough: boolean;
  readonly yeast: boolean;
  /** Yeast or a starter. */
  readonly leaven: boolean;
  /** Soda, baking powder, flour that has them in it. */
  readonly powder: boolean;
  readonly unkneaded: boolean;
  /** Its method speaks of an oven. */
  readonly hasOven: boolean;
  readonly raised: boolean;
  readonly pieces: number;
  readonly piece: string | undefined;
  readonly boiled: boolean;
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
  // What is still asked about is in it all the same.
  const asked = (formula.unread ?? []).map((u) => u.text).join('\n');
  const yeast = lines.some((l) => l.of.yeast && l.grams > 0) || /\byeast\b/i.test(asked);
  const words = [
    formula.size,
    ...(formula.steps ?? []).map((step) => step.says),
    ...(formula.notes ? [formula.notes.slice(0, 2000)] : []),
  ]
    .filter(Boolean)
    .join(' ')
    .toLowerCase();
  return {
    name: formula.name.toLowerCase(),
    words,
    dryness: base.dryness,
    gluten: share((l) => (l.of.allergens.includes('gluten') ? 1 : 0)),
    rye: share((l) => (/\brye\b/.test(l.of.name.toLowerCase()) ? 1 : 0)),
    whole: share((l) => l.of.whole ?? 0),
    fat: percent((l) => (soft(l) ? l.of.composition.fat / 100 : 0)),
    sugar: percent((l) => (l.of.role === 'sugar' ? l.of.composition.sugars / 100 : 0)),
    egg: percent((l) => (l.of.role === 'egg' ? 1 : 0)),
    fruit: percent((l) => (l.of.role === 'addIn' && l.of.composition.sugars > 20 ? 1 : 0)),
    yeast,
    leaven: yeast || lines.some((l) => l.stageKind === 'starter'),
    powder:
      lines.some((l) => isRaisingAgent(l) && l.grams > 0) ||
      /\b(?:baking powder|baking soda|bicarbonate)\b/i.test(asked),
    unkneaded:
      isUnkneaded({ ...formula, style: usualStyle }) ||
      /\bstirred\b/i.test(formula.name) ||
      (/\bstir\b/.test(words) && !/\bknead/.test(words)),
    hasOven: /\b(?:oven|bake)\b/.test(words),
    sourdough: !yeast && lines.some((l) => l.stageKind === 'starter'),
    raised:
      yeast ||
      lines.some((l) => l.stageKind === 'starter' || isRaisingAgent(l)) ||
      /\b(?:starter|levain|sourdough|baking|bicarbonate|soda)\b/i.test(asked),
    pieces: formula.pieces ?? 1,
    piece: formula.piece?.kind,
    boiled: formula.outside?.some((o) => o.use === 'boil') ?? false,
    // How firm it is, says nothing while some of its water is not read: no comparison holds.
    level: /\b(?:water|milk|eggs?|buttermilk|yogh?urt|juice|beer|oil)\b/i.test(asked) ? NaN : level,
  };
}

/**
 * Something that speaks for styles, and how strongly: natural logarithms of the odds that it gives them over all others.
 * Own choices, held against the customary breads (scripts/fit/breads.json) and breads called otherwise than they are.
 */
interface Evidence {
  readonly when: (of: Traits) => boolean;
  readonly for: Readonly<Partial<Record<StyleId, number>>>;
  readonly because: string;
}

/** How strongly a name speaks that is said of one style alone. */
const named = 6;
const byName = (words: RegExp, style: StyleId, how = named): Evidence => ({
  when: ({ name }) => words.test(name),
  for: { [style]: how },
  because: 'by its name',
});

/** What speaks against styles by what is not there: it is never what a style is taken for. */
const lacking = (when: Evidence['when'], against: Evidence['for']): Evidence => ({
  when,
  for: against,
  because: '',
});

/** A tin, a sandwich loaf, a machine: the words of breads that stand between walls. */
const tin =
  /\b(?:tins?|loaf pans?|bread pans?|pullman|sandwich|toast|\d+(?:\.\d+)?\s?x\s?\d+(?:\.\d+)?|lb loaf|pan loaf|pain de mie)\b/;
const machine = /\b(?:bread ?(?:machine|maker)|machine loaf|basic programme)\b/;
const hearth =
  /\b(?:banneton|proofing basket|dutch oven|pot|hearth|boule|batard|stone(?![- ]?ground)|baguettes?|score)\b/;

const evidence: readonly Evidence[] = [
  // What a thing is made of overrules its name: a low-carb roll is no roll to the level.
  {
    when: (t) => t.dryness > 0.5,
    for: { 'low-carb': 12 },
    because: 'as it has more gluten, fibre and meal than flour',
  },
  {
    when: (t) => t.dryness <= 0.5 && t.gluten < 0.3,
    for: { 'gluten-free': 12 },
    because: 'as most of its flour has no gluten',
  },
  {
    when: (t) => t.dryness <= 0.5 && t.gluten >= 0.3 && t.rye >= 0.5,
    for: { rye: 12 },
    because: 'as half of its flour or more is rye',
  },
  {
    when: (t) => t.dryness <= 0.5 && t.powder && !t.leaven,
    for: { quick: 9, flatbread: 3, griddle: 3 },
    because: 'as soda or powder raises it',
  },
  byName(/\b(?:steamed|steamer)\b/, 'steamed', 8),
  {
    when: (t) => /\bsteam(?:er|ed)?\b.{0,40}\b(?:min|basket|over|lid)/.test(t.words) && !t.hasOven,
    for: { steamed: 6 },
    because: 'as it is steamed',
  },
  {
    when: (t) => t.unkneaded && t.level > 7.5 && tin.test(`${t.name} ${t.words}`),
    for: { 'stirred-tin': 8 },
    because: 'as it is stirred, not kneaded, and goes into a tin',
  },
  {
    when: (t) => /\b(?:rolled|crisp|thin)\b/.test(t.name) && /\bpizza\b/.test(t.name),
    for: { 'rolled-thin': 9 },
    because: 'by its name',
  },
  byName(/\b(?:griddle|crumpets?|muffins? \(griddle\)|pikelets?|flapjacks?)\b/, 'griddle'),
  byName(/\b(?:deep|pan|sheet|tray|grandma)[- ]?(?:dish )?pizza\b/, 'slack', 9),
  byName(/\b(?:focaccia|ciabatta|schiacciata|pinsa)\b/, 'slack'),
  byName(/\bpizza\b/, 'pizza'),
  byName(/\b(?:croissants?|laminated|danish|puff|kouign)\b/, 'laminated'),
  byName(/\b(?:stollen|christmas (?:bread|loaf))\b/, 'fruit-rich'),
  byName(/\b(?:panettone|pandoro|colomba|easter (?:bread|loaf))\b/, 'rich'),
  byName(/\b(?:brioche|babka|kugelhopf|gugelhupf)\b/, 'rich'),
  byName(/\b(?:bagels?|pretzels?|bialys?)\b/, 'bagel'),
  byName(
    /\b(?:crispbread|crackers?|tortillas?|chapatt?is?|rotis?|lavash|grissini|bread ?sticks?|sticks|matzah?)\b/,
    'rolled-thin',
  ),
  byName(/\b(?:flat ?breads?|naan|pitt?as?|lepinja)\b/, 'flatbread'),
  byName(/\b(?:challah|plait(?:ed)?|braid(?:ed)?|zopf|milk bread|tsoureki)\b/, 'plait', 4.5),
  byName(/\b(?:buns?|rolls?|doughnuts?|donuts?|baps?|sliders?)\b/, 'rolls'),
  {
    when: (t) => tin.test(t.name),
    for: { pan: 5, 'wholegrain-pan': 4.5 },
    because: 'by its name',
  },
  {
    when: (t) => !tin.test(t.name) && tin.test(t.words),
    for: { pan: 3, 'wholegrain-pan': 3 },
    because: 'as it goes into a tin',
  },
  {
    when: (t) => machine.test(`${t.name} ${t.words}`),
    for: { pan: 3, 'wholegrain-pan': 2.5 },
    because: 'as it is made in a machine',
  },
  {
    when: (t) => hearth.test(`${t.name} ${t.words}`) && !tin.test(t.name),
    for: { 'hearth-yeast': 2, 'hearth-white': 2, 'hearth-wholegrain': 2 },
    because: 'as it stands free, in a pot or on a stone',
  },
  {
    when: (t) =>
      t.boiled ||
      /\b(?:boil|poach) (?:the |each |them )?(?:bagels?|rings?|pretzels?)/.test(t.words),
    for: { bagel: 4 },
    because: 'as it is boiled before it is baked',
  },
  {
    when: (t) => t.piece === 'plait' || /\b(?:plait|braid|strands)\b/.test(t.words),
    for: { plait: 3.5 },
    because: 'as it is plaited',
  },
  {
    when: (t) => t.piece === 'flatbread',
    for: { flatbread: 3, 'rolled-thin': 2 },
    because: 'by its pieces',
  },
  { when: (t) => t.piece === 'ring', for: { bagel: 2 }, because: 'by its pieces' },
  {
    when: (t) => t.piece === 'roll' || t.pieces >= 6,
    for: { rolls: 4 },
    because: 'as it makes so many pieces',
  },
  {
    when: (t) => t.fruit >= 40 && t.fat >= 15,
    for: { 'fruit-rich': 5 },
    because: 'as it is full of fruit and butter',
  },
  {
    when: (t) => /\bfruit\b/.test(t.name) && t.fruit >= 20,
    for: { 'fruit-rich': 3 },
    because: 'by its name',
  },
  {
    when: (t) => t.fat >= 18 && t.egg >= 20,
    for: { rich: 5 },
    because: 'as it is rich in butter and egg',
  },
  {
    when: (t) => t.fat >= 3 && t.sugar >= 8 && t.egg < 5 && t.level < -5.5,
    for: { laminated: 4 },
    because: 'as it is firm and sweet, for butter to be rolled into',
  },
  {
    when: (t) => t.egg >= 8 && t.fat >= 6,
    for: { plait: 3 },
    because: 'as egg and fat make it an enriched one',
  },
  {
    when: (t) => !t.raised && t.level < 1,
    for: { 'rolled-thin': 6, flatbread: 4 },
    because: 'as nothing raises it and it is firm',
  },
  {
    when: (t) => !t.raised && t.level >= 1,
    for: { flatbread: 6, 'rolled-thin': 4 },
    because: 'as nothing raises it',
  },
  {
    when: (t) => t.raised && t.fat < 4 && t.whole < 0.5 && t.level < -4.5,
    for: { bagel: 3.5 },
    because: 'as it is lean and very firm',
  },
  {
    when: (t) => t.sourdough && t.whole > 0.5,
    for: { 'hearth-wholegrain': 3.5, 'hearth-white': -2 },
    because: 'as a starter raises it and most of it is whole grain',
  },
  {
    when: (t) => t.sourdough && t.whole <= 0.5 && t.fat + t.sugar < 5,
    for: { 'hearth-white': 3.5, 'hearth-wholegrain': 0.5 },
    because: 'as a starter raises it and it is lean',
  },
  {
    when: (t) => t.level >= 8.5 && t.sugar < 4 && !t.sourdough,
    for: { slack: 3 },
    because: 'as it is slack',
  },
  {
    when: (t) => t.level >= touchEnds && t.leaven,
    for: { slack: 1.5, 'stirred-tin': 3.5 },
    because: 'as it is too wet to knead',
  },
  {
    when: (t) => t.yeast && t.fat < 1 && t.sugar < 1 && t.whole <= 0.5,
    for: { 'hearth-yeast': 2.5 },
    because: 'as it is lean',
  },
  {
    when: (t) => t.whole > 0.5,
    for: { 'wholegrain-pan': 3, pan: -2.5 },
    because: 'as most of its flour is whole grain',
  },
  {
    when: (t) => t.whole <= 0.5,
    for: { 'wholegrain-pan': -3 },
    because: 'as most of its flour is white',
  },
  {
    when: () => true,
    for: { pan: 2, rolls: 0.3, 'hearth-yeast': 0.3 },
    because: 'as most breads like it are baked in a tin',
  },
  // What speaks against a style: what it stands on is not there.
  lacking((t) => t.dryness < 0.1, { 'low-carb': -6 }),
  lacking((t) => t.gluten >= 0.3, { 'gluten-free': -6 }),
  lacking((t) => t.rye < 0.5, { rye: -6 }),
  lacking((t) => t.leaven || !t.powder, { quick: -6 }),
  lacking((t) => t.fat < 10, { rich: -4 }),
  lacking((t) => t.fat < 10 || t.fruit < 15, { 'fruit-rich': -3 }),
  lacking((t) => !t.sourdough, { 'hearth-white': -2, 'hearth-wholegrain': -2 }),
  // Rarely made, and then called so.
  lacking(() => true, { steamed: -1.5, griddle: -1.5, laminated: -1.5, 'stirred-tin': -1.5 }),
];

/**
 * The style that a formula most likely is of, where nobody said one, and how sure that is: by what it stands on, its name,
 * its tin, its pieces, its method, its make-up. A proposal: which window a dough is judged by is the baker's to say.
 *
 * @param lines of the formula, resolved
 * @param points where it stands
 * @example likelyStyle(formula called "Friday pizza", lines, 3).because // 'by its name'
 */
export function likelyStyle(
  formula: Formula,
  lines: readonly ResolvedLine[],
  points: number,
): LikelyStyle {
  const traits = traitsOf(formula, lines, points);
  const held = evidence.filter(({ when }) => when(traits));
  const odds = styleIds.map((style) => ({
    style,
    weight: Math.exp(
      held.reduce((sum, e) => sum + (e.for[style] ?? 0), 0) -
        (held.some((e) => (e.for[style] ?? 0) > 0) ? 0 : unspoken),
    ),
  }));
  const sum = odds.reduce((total, o) => total + o.weight, 0);
  const sorted = odds
    .map(({ style, weight }) => ({ style, probability: weight / sum }))
    .sort((a, b) => b.probability - a.probability);
  const [first, ...others] = sorted;
  const strongest = held.reduce((a, b) =>
    (b.for[first!.style] ?? 0) > (a.for[first!.style] ?? 0) ? b : a,
  );
  return {
    ...first!,
    because: strongest.because,
    others: others.filter((o) => o.probability >= leastTold),
    all: sorted,
  };
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
  return { formula: { ...formula, style: likely.style, styleGuessed: true }, likely };
}
