import type { Formula } from '../formula/formula.ts';
import { catalogue } from '../ingredient/catalogue.ts';
import type { Ingredient } from '../ingredient/ingredient.ts';
import { toGrams, type MassUnit } from '../quantity/mass.ts';
import { sumGrams } from '../quantity/sum-grams.ts';

/** A figure that a recipe says of itself, and what its rows add up to. */
export interface Disagreement {
  readonly what: 'hydration' | 'dough' | 'flour' | 'pieces';
  readonly said: number;
  readonly read: number;
  readonly unit: '%' | 'g';
}

/** Figures that lie no further apart are rounded, and no disagreement: as a share. Own choice, no source. */
const rounded = 0.04;

const mass = String.raw`(\d+(?:[.,]\d+)?)\s*(kg|g|grams?|oz|lb)\b`;
const hydration =
  /(?:\b(?:dough |total |overall |final )?hydration\s*(?:of|is|:|=|at|about|around|~)?\s*(\d{2,3}(?:[.,]\d)?)\s*%)|(?<![\d.])(\d{2,3}(?:[.,]\d)?)\s*%\s*(?:total |dough |overall )?hydration\b/i;
const ofDough = new RegExp(
  String.raw`\b(?:total dough(?: weight)?|dough weight|total weight|weight of (?:the )?dough|total)\s*(?:of|is|:|=|about|\t|\|)*\s*${mass}`,
  'i',
);
const ofFlour = new RegExp(
  String.raw`\b(?:total flour(?: weight)?|flour in all|all flour)\s*(?:of|is|:|=|\t|\|)*\s*${mass}`,
  'i',
);

const grams = (amount: string, unit: string): number =>
  toGrams(
    Number(amount.replace(',', '.')),
    (/^g/i.test(unit) ? 'g' : unit.toLowerCase()) as MassUnit,
  );

/** Flour, and water of liquids, of what was read; starters count with what is in them. */
function sums(formula: Formula, all: readonly Ingredient[]) {
  const byId = new Map(all.map((i) => [i.id, i]));
  const lines = formula.stages.flatMap((s) => s.lines);
  const flour = sumGrams(lines.filter((l) => byId.get(l.ingredient)?.role === 'flour'));
  const water = lines.reduce((sum, l) => {
    const of = byId.get(l.ingredient);
    return of?.role === 'liquid' ? sum + (l.grams * of.composition.water) / 100 : sum;
  }, 0);
  const poured = sumGrams(lines.filter((l) => byId.get(l.ingredient)?.role === 'liquid'));
  return { flour, water, poured, dough: sumGrams(lines) };
}

/**
 * What a recipe says of itself that its rows do not bear out: hydration, the weight of its dough, of its flour, of its
 * pieces. Said with both figures: a row may have been misread, or the recipe is wrong.
 *
 * @param text its rows that are no part of another recipe, without those that name a starter's own hydration
 * @example disagreementsOf('Hydration 70 %', formulaOf80) // [{what: 'hydration', said: 70, read: 80, unit: '%'}]
 */
export function disagreementsOf(
  text: string,
  formula: Formula,
  all: readonly Ingredient[] = catalogue,
): Disagreement[] {
  const { flour, water, poured, dough } = sums(formula, all);
  if (flour <= 0) return [];
  const found: Disagreement[] = [];
  const hold = (what: Disagreement['what'], said: number, read: number, unit: '%' | 'g') => {
    if (said > 0 && Math.abs(read / said - 1) > rounded) found.push({ what, said, read, unit });
  };
  const rows = text
    .split('\n')
    .filter((row) => !/\b(?:starter|levain|leaven|poolish|biga|sponge)\b/i.test(row));
  const bare = rows.join('\n');
  const wet = hydration.exec(bare);
  // Some count milk as the water that is in it, some as all that is poured: either may be meant.
  const said = wet ? Number((wet[1] ?? wet[2])!.replace(',', '.')) : 0;
  const [nearest] = [water, poured]
    .map((of) => Math.round((100 * of) / flour))
    .sort((a, b) => Math.abs(a - said) - Math.abs(b - said));
  hold('hydration', said, nearest!, '%');
  const weight = ofDough.exec(bare);
  if (weight) hold('dough', grams(weight[1]!, weight[2]!), Math.round(dough), 'g');
  const flours = ofFlour.exec(bare);
  if (flours) hold('flour', grams(flours[1]!, flours[2]!), Math.round(flour), 'g');
  const { pieces, piece } = formula;
  if (!weight && pieces && piece?.grams)
    hold('pieces', pieces * piece.grams, Math.round(dough), 'g');
  return found;
}
