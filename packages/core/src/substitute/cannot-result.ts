import { isFlour } from '../formula/base.ts';
import type { ResolvedLine } from '../formula/resolve.ts';
import type { Totals } from '../formula/totals.ts';
import type { Ingredient } from '../ingredient/ingredient.ts';
import { mostWithout } from '../dough/strength.ts';
import type { Refusal } from '../quantity/refusal.ts';

/** A formula before or after something took a line's place. */
interface MadeOf {
  readonly lines: readonly ResolvedLine[];
  readonly totals: Totals;
}

/** Why a formula cannot become what it would be. */
interface RefusalRow extends Refusal {
  readonly when: (before: MadeOf, after: MadeOf, house: { glutenFree: boolean }) => boolean;
}

const hasGluten = (i: Ingredient): boolean => i.allergens.includes('gluten');
const builds = (i: Ingredient): boolean => i.strength === 'strong' || i.strength === 'weak';
/** Holds no gas by itself. */
const idle = (i: Ingredient): boolean => i.strength === 'none';
const isRye = (i: Ingredient): boolean => /\brye\b/i.test(i.name);

/** Share of the flour that something holds of. */
function share({ lines }: MadeOf, holds: (of: Ingredient) => boolean): number {
  let [some, all] = [0, 0];
  for (const line of lines) {
    if (!isFlour(line)) continue;
    all += line.grams;
    if (holds(line.of)) some += line.grams;
  }
  return all > 0 ? some / all : 0;
}

/** Grams of what something holds of, for each 100 g of flour or dry base. */
const percent = ({ lines, totals }: MadeOf, holds: (of: Ingredient) => boolean): number =>
  (100 * lines.reduce((sum, l) => (holds(l.of) ? sum + l.grams : sum), 0)) / totals.flourGrams;

/** Whether it is a dough that gluten holds together. */
const isBuilt = (of: MadeOf): boolean => !of.totals.dryBase && share(of, builds) >= 0.5;

/** The same of flours that hold gluten and build nothing with it. Common practice, no source. */
const mostIdle = 0.6;
/** More rye than this wants acid. Common practice, no source. */
const mostSweetRye = 0.5;
/** Egg that lecithin and water may stand in for, g to 100 g of flour. Common practice, no source. */
const mostEgg = 15;

/** More of it than may be, and more than there was. */
const passes = (before: number, after: number, most: number): boolean =>
  after > most + 1e-9 && after > before + 1e-9;

/** First row that holds is the reason. Source: common practice, no source. */
const rows: readonly RefusalRow[] = [
  {
    code: 'gluten-here',
    when: (before, after, house) =>
      house.glutenFree && percent(after, hasGluten) > percent(before, hasGluten) + 1e-9,
    says: 'Somebody here must not eat gluten, and this holds it.',
  },
  {
    code: 'no-gluten',
    when: (before, after) =>
      isBuilt(before) &&
      passes(
        share(before, (i) => !hasGluten(i)),
        share(after, (i) => !hasGluten(i)),
        mostWithout,
      ),
    says: 'It has no gluten: with more than a third of that in a wheat dough nothing would hold the gas. A bread without gluten is another formula, not a swap.',
  },
  {
    code: 'builds-nothing',
    when: (before, after) =>
      isBuilt(before) && passes(share(before, idle), share(after, idle), mostIdle),
    says: 'Its proteins build nothing: a dough that is mostly this is a dense sour loaf, worked quite otherwise. Up to a third of the flour can be it.',
  },
  {
    code: 'rye-without-acid',
    when: (before, after) =>
      passes(share(before, isRye), share(after, isRye), mostSweetRye) &&
      !after.lines.some((l) => l.stageKind === 'starter' && l.grams > 0),
    says: 'More than half of the flour would be rye, and nothing sours it: its starch would turn to gum in the oven. Raise it with a starter first.',
  },
  {
    code: 'soft-for-hard',
    when: (before, after) =>
      isBuilt(before) &&
      passes(
        share(before, (i) => i.strength === 'soft'),
        share(after, (i) => i.strength === 'soft'),
        mostWithout,
      ),
    says: 'Soft wheat cannot stand in for hard: it tears and spreads, and gluten is no cure for it. Up to a third of the flour can be it.',
  },
  {
    code: 'too-much-egg',
    when: (before, after) =>
      percent(after, (i) => i.id === 'lecithin') > percent(before, (i) => i.id === 'lecithin') &&
      percent(before, (i) => i.role === 'egg') - percent(after, (i) => i.role === 'egg') >
        mostEgg + 1e-9,
    says: 'So much egg carries the crumb itself, and lecithin does not: up to about 15 g for each 100 g of flour can give way to it.',
  },
];

/**
 * Why a formula cannot become another, by what that would be: two swaps that each pass are refused together
 * where the dough could not stand.
 *
 * @example cannotResult(wheat loaf, the same of rice, {glutenFree: false})?.code // 'no-gluten'
 */
export function cannotResult(
  before: MadeOf,
  after: MadeOf,
  house: { readonly glutenFree: boolean },
): Refusal | undefined {
  const row = rows.find((r) => r.when(before, after, house));
  return row && { code: row.code, says: row.says };
}
