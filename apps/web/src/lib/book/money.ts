import type { Money } from '@tender-crumb/core/household';

/** An amount in the household's money, as people write it. */
export const asMoney = (amount: number, { currency }: Money): string =>
  new Intl.NumberFormat('en-GB', { style: 'currency', currency }).format(amount);
