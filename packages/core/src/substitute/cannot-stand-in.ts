import type { Ingredient } from '../ingredient/ingredient.ts';
import type { Refusal } from '../quantity/refusal.ts';

/** Why one flour cannot take another's place. */
interface RefusalRow extends Refusal {
  readonly when: (from: Ingredient, to: Ingredient, context: RefusalContext) => boolean;
}

export interface RefusalContext {
  /** Share of all flour that the line is. */
  readonly share: number;
  readonly glutenFreeHouse: boolean;
}

const hasGluten = (i: Ingredient): boolean => i.allergens.includes('gluten');
const builds = (i: Ingredient): boolean => i.strength === 'strong' || i.strength === 'weak';

/** Share of a dough's flour that may do without gluten that builds. Common practice, no source. */
const mostWithout = 0.3;

/** First row that holds is the reason. Source: common practice, no source. */
const rows: readonly RefusalRow[] = [
  {
    code: 'gluten-here',
    when: (from, to, c) => c.glutenFreeHouse && hasGluten(to) && !hasGluten(from),
    says: 'Somebody here must not eat gluten, and this holds it.',
  },
  {
    code: 'no-gluten',
    when: (from, to, c) => builds(from) && !hasGluten(to) && c.share > mostWithout,
    says: 'It has no gluten: in a wheat dough nothing would hold the gas. A bread without gluten is another formula, not a swap.',
  },
  {
    code: 'builds-nothing',
    when: (from, to, c) => builds(from) && to.strength === 'none' && c.share > 2 * mostWithout,
    says: 'Its proteins build nothing: a dough that is mostly this is a dense sour loaf, worked quite otherwise. Up to a third of the flour can be it.',
  },
  {
    code: 'soft-for-hard',
    when: (from, to, c) =>
      from.strength === 'strong' && to.strength === 'soft' && c.share > mostWithout,
    says: 'Soft wheat cannot stand in for hard: it tears and spreads, and gluten is no cure for it. Up to a third of the flour can be it.',
  },
];

/** Why a flour cannot take another's place; undefined where it can. */
export function cannotStandIn(
  from: Ingredient,
  to: Ingredient,
  context: RefusalContext,
): Refusal | undefined {
  const row = rows.find((r) => r.when(from, to, context));
  return row && { code: row.code, says: row.says };
}
