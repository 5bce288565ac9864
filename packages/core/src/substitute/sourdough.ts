import { sumGrams } from '../quantity/sum-grams.ts';
import { pouredWater } from '../formula/poured-water.ts';
import type { Change } from '../formula/formula.ts';
import type { ResolvedLine } from '../formula/resolve.ts';
import { isFlour } from '../formula/base.ts';
import { refuse } from '../quantity/refusal.ts';
import { commonPractice, figure } from '../figure/figure.ts';
import type { Candidate, Rule, SwapContext } from './rule.ts';

/** Starter of added flour: 20 to 30 %. */
const starterShare = figure(0.25, 'g starter per g added flour', 0.05, commonPractice);
/** Fed with equal weights. */
const starterHydration = figure(100, '% of its flour', 0, 'by definition of equal weights');
/** Instant yeast of all flour when a sourdough is made a yeasted dough. */
const yeastOfFlour = figure(0.01, 'g instant per g flour', 0.003, commonPractice);

const starterStage = { id: 'starter', kind: 'starter', name: 'Starter' } as const;

/** Flour and water of the dough that move into a starter; the rest of the formula stays as it is. */
function intoStarter({
  lines,
  main,
}: SwapContext): { flour: ResolvedLine; grams: number } | undefined {
  const flours = lines.filter((l) => l.stage === main && isFlour(l) && l.grams > 0);
  const all = sumGrams(flours);
  const h = starterHydration.value / 100;
  // s = share × (all − s / (1 + h)): the starter is a share of the flour that is then still added.
  const starter = (starterShare.value * all) / (1 + starterShare.value / (1 + h));
  const flour = [...flours].sort((a, b) => b.grams - a.grams)[0];
  return flour && { flour, grams: starter / (1 + h) };
}

const yeastToStarter: Candidate = {
  id: 'starter',
  label: 'sourdough starter',
  whole: true,
  make: (_, context) => {
    const { lines, main, totals } = context;
    if (totals.dryBase) {
      return refuse('no-flour', 'There is no flour here for a starter to live on.');
    }
    const moved = intoStarter(context);
    const water = pouredWater(lines, main);
    if (!moved || moved.grams > moved.flour.grams) {
      return refuse(
        'too-little-flour',
        'There is not enough flour in the dough to make a starter of.',
      );
    }
    const wet = (moved.grams * starterHydration.value) / 100;
    if (wet > water) {
      return refuse(
        'too-little-water',
        'A starter needs water, and the dough pours too little of it: it is wetted by milk or egg.',
      );
    }
    const yeasts = lines.filter((l) => l.of.yeast && l.grams > 0);
    const { stage, ingredient } = moved.flour;
    const changes: Change[] = [
      { stage: starterStage.id, ingredient, grams: moved.grams },
      { stage: starterStage.id, ingredient: 'water', grams: wet },
      { stage, ingredient, grams: -moved.grams },
      { stage: main, ingredient: 'water', grams: -wet },
      ...yeasts.map((y) => ({ stage: y.stage, ingredient: y.ingredient, grams: -y.grams })),
    ];
    return {
      changes,
      stages: [starterStage],
      held: [],
      notes: [
        `Total flour, overall hydration and salt stay as they were: ${Math.round(moved.grams + wet)} g of ripe starter brings flour and water that the dough then does without.`,
        'First rise 3 to 6 hours by the dough’s warmth, final proof 1 to 2 hours and more when cold: go by the eye. A machine’s yeast programme is too short for it.',
      ],
      basis: `starter 20 to 30 % of added flour, ${commonPractice}`,
    };
  },
};

/** Yeast to a starter: flour and water move into it, and nothing else changes. */
export const toStarterRule: Rule = (line, { lines }) =>
  line.of.yeast && !lines.some((l) => l.stageKind === 'starter') ? [yeastToStarter] : [];

/** A starter's flour or water to yeast: both go back into the dough. */
export const fromStarterRule: Rule = (line) =>
  line.stageKind === 'starter'
    ? [
        {
          id: 'instant-yeast',
          label: 'instant yeast instead of the starter',
          whole: true,
          make: (l, { lines, main, totals }) => {
            if (l.stage === starterStage.id && l.typedGrams === 0) {
              return {
                givesBack: starterStage.id,
                notes: ['The formula is again what it was before the starter, yeast and all.'],
              };
            }
            const starter = lines.filter((s) => s.stage === l.stage && s.grams > 0);
            const yeast = totals.flourGrams * yeastOfFlour.value;
            return {
              changes: [
                { stage: main, ingredient: 'instant-yeast', grams: yeast },
                ...starter.flatMap((s) => [
                  { stage: s.stage, ingredient: s.ingredient, grams: -s.grams },
                  { stage: main, ingredient: s.ingredient, grams: s.grams },
                ]),
              ],
              held: [],
              notes: [
                'Total flour, overall hydration and salt stay as they were. It rises in 1½ to 2 hours and tastes milder.',
              ],
              basis: commonPractice,
            };
          },
        },
      ]
    : [];
