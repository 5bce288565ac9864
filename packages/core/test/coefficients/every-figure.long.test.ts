import { expect } from 'chai';
import { checkDough } from '@tender-crumb/core/hands';
import { certaintyWords, chanceInWindow, saltLadder, verdict } from '@tender-crumb/core/correct';
import { evaluate } from '@tender-crumb/core/evaluate';
import {
  prefermentDough,
  riseFor,
  riseModelIn,
  ripeEnd,
  risesOf,
} from '@tender-crumb/core/ferment';
import { resolve, type Formula } from '@tender-crumb/core/formula';
import { programmeOf, candidatesOf } from '@tender-crumb/core/goal';
import { nothingLearned, kitchenOf } from '@tender-crumb/core/belief';
import { coefficientsWith, figureGroups, riseFigures } from '@tender-crumb/core/coefficients';
import { defaultHousehold, pantryIn, type Household } from '@tender-crumb/core/household';
import { catalogue, massPerWork } from '@tender-crumb/core/ingredient';
import { learnFromBake } from '@tender-crumb/core/learn';
import { doughFor } from '@tender-crumb/core/nutrition';
import { defaultMeasures } from '@tender-crumb/core/quantity';
import { readRecipe } from '@tender-crumb/core/reader';
import { styleIn, styleIds, styles, type StyleId } from '@tender-crumb/core/style';
import { build } from '../build.ts';

/**
 * A figure that a household may set moves something that it sees: at both ends of its range.
 */
const usual = {
  'bread-flour': 350,
  'whole-wheat': 150,
  'wheat-bran': 20,
  'rolled-oats': 30,
  water: 330,
  oil: 20,
  sugar: 60,
};
const breads: ReadonlyArray<readonly [Record<string, number>, StyleId]> = [
  [{ ...usual, salt: 2, 'instant-yeast': 1 }, 'pan'],
  [{ ...usual, salt: 9.5, 'instant-yeast': 6 }, 'wholegrain-pan'],
  [{ ...usual, salt: 16, 'instant-yeast': 20, 'vital-gluten': 40 }, 'rolls'],
  [{ 'plain-flour': 500, water: 300, salt: 9 }, 'hearth-white'],
  [{ 'bread-flour': 400, water: 310 }, 'pan'],
  [{ 'bread-flour': 500, water: 290, sugar: 90, salt: 9, 'osmotolerant-yeast': 5 }, 'plait'],
  [{ 'plain-flour': 350, 'whole-wheat': 150, water: 310, sugar: 25, 'instant-yeast': 6 }, 'pan'],
  [
    { 'vital-gluten': 165, 'oat-fibre': 50, 'flax-meal': 80, water: 237, 'instant-yeast': 6 },
    'low-carb',
  ],
];
const lowSalt: Household = { ...defaultHousehold, lowSodium: true };

/** All that this household sees of a bread. */
function seen(formula: Formula, given: Household): unknown {
  const household = { ...given, room: { celsius: 24, humidity: 0.75 } };
  const evaluation = evaluate(formula, household, nothingLearned)!;
  const kitchen = kitchenOf(household);
  const lines = resolve(formula, pantryIn(household));
  const { level, window, corrections, cautions } = evaluation;
  return [
    [level.points, level.early, level.sd, window, chanceInWindow(level, window)],
    corrections.map((s) => [
      s.key,
      s.grams,
      s.reason,
      certaintyWords(s.certainty, kitchen.coefficients),
    ]),
    // What the panel of strength and that of portions say.
    styleIn(formula.style, household.figures).protein,
    doughFor(800, styleIn(formula.style, household.figures).loss.value),
    cautions,
    verdict(evaluation, formula.style),
    checkDough(-6, window, lines, level.baseGrams, household.measures),
    saltLadder(lines, evaluation.totals, kitchen, 10),
  ];
}

/** How sure a household is of its flour a month after a bake. */
function aged(household: Household): number {
  const loaf = build({ 'bread-flour': 500, water: 310 });
  const { belief } = learnFromBake(
    loaf,
    [{ id: 'f', at: '2026-01-01T08:00:00Z', kind: 'felt', data: { points: -5 } }],
    { ...household, today: '2026-01-01' },
    nothingLearned,
  )!;
  return evaluate(loaf, { ...household, today: '2026-02-01' }, belief)!.level.sd;
}

function everything(
  figures: Record<string, number>,
  extra: readonly Formula[],
  rises = false,
): string {
  const household = { ...defaultHousehold, figures };
  const by = (measured: 'scale' | 'volume' | 'about' | 'heaping') =>
    build({ ...usual, salt: 9 }, 'pan', undefined, { measured });
  const bagged = {
    ...household,
    today: '2026-05-30',
    bags: [
      { id: 'b', name: 'Bag', ingredient: 'bread-flour', moisture: 12, openedOn: '2026-05-20' },
    ],
  };
  const stuff = catalogue.filter(
    (i) =>
      [
        'sugar',
        'psyllium',
        'chia-seeds',
        'lupin-flour',
        'xanthan',
        'milk-powder',
        'walnuts',
      ].includes(i.id) ||
      ['fibre', 'meal', 'bran', 'egg', 'fat', 'sweetener', 'grain', 'addIn', 'improver'].includes(
        i.role,
      ),
  );
  const goal = {
    window: [-6, 6] as const,
    netCarbs: 2,
    portions: 16,
    loss: 0.12,
    school: 'eu' as const,
    prefer: 'fewest' as const,
  };
  const programmes = (['low-carb', 'pan'] as const).map((style) =>
    programmeOf(
      candidatesOf(resolve(build(breads.at(style === 'pan' ? 2 : -1)![0], style)), stuff, 's1'),
      goal,
      kitchenOf(household),
    ),
  );
  return JSON.stringify([
    breads.map(([amounts, style]) => seen(build(amounts, style), household)),
    seen(build(breads[1]![0], 'pan'), { ...lowSalt, figures }),
    seen(build({ 'bread-flour': 500, water: 310 }, 'pan', undefined, { bag: 'b' }), bagged),
    // A cold kitchen that has no yeast in it yet, and a dough without flour that has too much.
    evaluate(
      build({ 'bread-flour': 500, water: 310 }, 'pan'),
      { ...household, room: { celsius: 12 } },
      nothingLearned,
    )!.corrections,
    seen(build({ ...breads.at(-1)![0], 'instant-yeast': 40 }, 'low-carb'), household),
    // A flour that no customary bread speaks of: its spread is its table's and its bag's.
    seen(build({ 'teff-flour': 500, water: 350 }, 'pan'), household),
    (['volume', 'about', 'heaping'] as const).map((m) => seen(by(m), household)),
    ['fresh-yeast', 'active-dry-yeast', 'osmotolerant-yeast'].map((kept) =>
      seen(build(breads[1]![0], 'pan'), { ...household, yeastKept: kept }),
    ),
    learnFromBake(
      build({ 'bread-flour': 500, water: 310 }),
      [{ id: 'f', at: '2026-01-01T08:00:00Z', kind: 'felt', data: { points: -5 } }],
      household,
      nothingLearned,
    )!.belief.mean,
    aged(household),
    readRecipe('2 heaping cups bread flour', { measures: defaultMeasures, figures }).formula.stages,
    programmes.map((p) => p.rows.map((r) => [r.id, r.least, r.most, [...r.coefficients]])),
    extra.map((f) => seen(f, household)),
    ...(rises ? [rising(household)] : []),
  ]);
}

/** How doughs of every kind of leaven rise in a household, warm and cold. */
function rising(household: Household) {
  const model = riseModelIn(household);
  const doughs = [
    build({ 'bread-flour': 500, water: 320, salt: 9, 'instant-yeast': 1 }),
    build({ 'whole-wheat': 450, water: 320, salt: 9, 'instant-yeast': 4 }, 'rolls', {
      'bread-flour': 50,
      water: 50,
    }),
  ];
  return [
    doughs.flatMap((f) =>
      ([24, 5] as const).map((celsius) =>
        risesOf(
          resolve(f),
          { celsius: 24, air: [{ hours: 1, celsius }], vessel: 'bowl' },
          'rolls',
          {},
          massPerWork,
          model,
        ).map((r) => [
          riseFor(r.dough, 16, model),
          riseFor({ ...r.dough, yeast: 0, awake: true }, 16, model),
        ]),
      ),
    ),
    [0.1, 0].map((yeast) => {
      const dough = {
        ...prefermentDough(resolve(doughs[0]!), 20)!,
        yeast,
        starter: yeast ? 0 : 20,
      };
      return [
        ripeEnd({ ...dough, liquid: true }, model),
        riseFor({ ...dough, liquid: true }, 9, model),
      ];
    }),
  ];
}

describe('every figure that can be set', () => {
  /** What is seen where nothing is set, with rises and without. */
  const unset: Record<string, string> = {};
  for (const { title, rows } of figureGroups(catalogue, {})) {
    it(`${title.toLowerCase()}: moves something at both ends of its range`, () => {
      const still = rows.flatMap(({ key, least, most, value }) => {
        const [kind, of] = key.split(':') as [string, string?];
        const extra =
          kind === 'thirst'
            ? [build({ 'bread-flour': 500, water: 320, [of!]: 30 })]
            : kind === 'window' || kind === 'protein' || kind === 'loss'
              ? [build({ 'bread-flour': 500, water: 320 }, of as StyleId)]
              : [];
        // Only figures of the model itself move a rise, and a rise is slow to follow.
        const rises = key in riseFigures;
        const before =
          extra.length > 0
            ? everything({}, extra, rises)
            : (unset[String(rises)] ??= everything({}, [], rises));
        // The ends of a span do not change places: each goes as far as the other.
        const isSpan = kind === 'window' || kind === 'protein';
        const [low, high] = isSpan ? styles[of as StyleId][kind] : [least, most];
        const ends = !isSpan
          ? [least, most]
          : key.endsWith(':low')
            ? [least, high - 0.1]
            : [low + 0.1, most];
        return ends
          .filter((end) => end !== value && everything({ [key]: end }, extra, rises) === before)
          .map((end) => `${key} at ${end}`);
      });
      expect(still).to.deep.equal([]);
    });
  }

  it('out of its range it moves nothing', () => {
    expect(coefficientsWith({ softening: 1.01 }).softening.value).to.equal(0.3);
    expect(coefficientsWith({ softening: 1 }).softening.value).to.equal(1);
    expect(styleIds.length).to.be.above(5);
  });
});
