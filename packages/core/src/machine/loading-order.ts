import type { Role } from '../ingredient/role.ts';

export interface LoadingOrder {
  /** What it comes to, in a sentence. */
  readonly says: string;
  /** The same where nothing raises it that wants a place of its own. */
  readonly saysWithoutYeast: string;
  /** Place of each role in the order. */
  readonly ranks: Readonly<Record<Role, number>>;
  /** What is said beside a thing by its role; of fat that is an oil, by that. */
  readonly hints: Readonly<Partial<Record<Role | 'oil', string>>>;
}

const places = (order: readonly Role[]): Record<Role, number> =>
  Object.fromEntries(order.map((role, i) => [role, i])) as Record<Role, number>;

/** The orders in which a dough goes together: both machine schools, and a bowl. Common practice, no source. */
export const loadingOrders = {
  'liquids-first': {
    says: 'Water first, yeast last in a dent, away from the water. Do not mix.',
    saysWithoutYeast: 'Water first, flour on top. Do not mix.',
    ranks: places([
      'liquid',
      'egg',
      'salt',
      'improver',
      'fat',
      'sugar',
      'sweetener',
      'gluten',
      'flour',
      'bran',
      'meal',
      'fibre',
      'grain',
      'powder',
      'leaven',
      'addIn',
    ]),
    hints: {
      salt: 'into the water, away from the yeast',
      oil: 'before honey in the same spoon',
      fat: 'soft, in bits round the edge',
      gluten: 'whisked through the flour',
      flour: 'cover all the water',
      powder: 'on top of the flour, kept dry',
      leaven: 'in a dent on top, away from the water',
      addIn: 'only at the signal',
    },
  },
  'dry-first': {
    says: 'Yeast first under the flour, liquids last on top. Do not mix.',
    saysWithoutYeast: 'Flour first, liquids last on top. Do not mix.',
    ranks: places([
      'leaven',
      'gluten',
      'flour',
      'bran',
      'meal',
      'fibre',
      'grain',
      'powder',
      'improver',
      'salt',
      'sugar',
      'sweetener',
      'fat',
      'egg',
      'liquid',
      'addIn',
    ]),
    hints: {
      leaven: 'at the bottom, under the flour',
      gluten: 'whisked through the flour',
      salt: 'in a corner, away from the yeast',
      liquid: 'last, on top',
      addIn: 'only at the signal',
    },
  },
  bowl: {
    says: 'Salt on one side, yeast on the other, flour between them; then the liquids.',
    saysWithoutYeast: 'Everything dry first, then the liquids.',
    ranks: places([
      'flour',
      'gluten',
      'bran',
      'meal',
      'fibre',
      'grain',
      'powder',
      'improver',
      'salt',
      'leaven',
      'sugar',
      'sweetener',
      'liquid',
      'egg',
      'fat',
      'addIn',
    ]),
    hints: {
      gluten: 'whisked through the flour',
      salt: 'on one side of the bowl',
      leaven: 'on the other side',
      oil: 'with the liquids',
      fat: 'soft, once the dough has come together',
      addIn: 'folded in at the end',
    },
  },
} as const satisfies Record<string, LoadingOrder>;
