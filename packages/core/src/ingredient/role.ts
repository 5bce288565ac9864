/** What an ingredient does in a dough. One row a role; nothing else in the core switches on a role. */
interface RoleTraits {
  /** One letter that stands beside the colour wherever a role is drawn. */
  readonly letter: string;
  readonly label: string;
  /** Its own water is free for the dough to drink (liquids, egg, butter, syrups, purée). */
  readonly bringsWater: boolean;
  /** Its sugars and fat soften the dough as if they were some water. */
  readonly softens: boolean;
  /** Counts as flour, unless the baker says otherwise on the line. */
  readonly flour: boolean;
  /** Is the base, the 100 %, of a bread that has no cereal flour. */
  readonly dryBase: boolean;
  /** Goes in at the signal, once the dough has been felt: it drinks nothing of what the touch finds. */
  readonly atSignal: boolean;
}

const traits = (
  letter: string,
  label: string,
  on: Partial<Omit<RoleTraits, 'letter' | 'label'>> = {},
): RoleTraits => ({
  letter,
  label,
  bringsWater: false,
  softens: false,
  flour: false,
  dryBase: false,
  atSignal: false,
  ...on,
});

export const roles = {
  flour: traits('F', 'flour', { flour: true }),
  gluten: traits('G', 'gluten', { dryBase: true }),
  bran: traits('B', 'bran', { dryBase: true }),
  meal: traits('M', 'seed or nut meal', { dryBase: true }),
  fibre: traits('R', 'fibre', { dryBase: true }),
  liquid: traits('W', 'liquid', { bringsWater: true, softens: true }),
  egg: traits('E', 'egg', { bringsWater: true, softens: true }),
  fat: traits('O', 'fat', { bringsWater: true, softens: true }),
  sugar: traits('S', 'sugar', { bringsWater: true, softens: true }),
  sweetener: traits('X', 'sweetener', { softens: true }),
  salt: traits('N', 'salt'),
  leaven: traits('Y', 'yeast'),
  powder: traits('P', 'milk powder'),
  grain: traits('D', 'grain or seed that absorbs water'),
  addIn: traits('A', 'add-in', { atSignal: true }),
  improver: traits('I', 'improver'),
} as const satisfies Record<string, RoleTraits>;

export type Role = keyof typeof roles;
