import type { ResolvedLine } from '../formula/resolve.ts';

const chemical = /^(?:baking-powder|baking-soda|ammonium|self-raising)/;

/** Whether a line raises a dough without being yeast: powders, and flour that has them in it. */
export const isRaisingAgent = ({ ingredient }: Pick<ResolvedLine, 'ingredient'>): boolean =>
  chemical.test(ingredient);
