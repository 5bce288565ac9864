import type { OutsideUse } from '../formula/beside.ts';
import type { Formula } from '../formula/formula.ts';
import { styles } from '../style/style.ts';

/** What stands round a formula's lines, in words that the reader reads back. */
export interface Around {
  /** "Style: loaf in a tin". */
  readonly style: string;
  /** "9 rolls of 76 g"; none where nobody said. */
  readonly makes: string | undefined;
  readonly size: string | undefined;
  /** What is outside the dough, by the heading that it stands under. */
  readonly outside: ReadonlyArray<{ readonly heading: string; readonly says: readonly string[] }>;
  readonly steps: readonly string[];
}

const headings: Readonly<Record<OutsideUse, string>> = {
  glaze: 'Glaze',
  filling: 'Filling',
  topping: 'Topping',
  dusting: 'For dusting',
  boil: 'For boiling',
};
const several: Readonly<Record<NonNullable<NonNullable<Formula['piece']>['kind']>, string>> = {
  loaf: 'loaves',
  roll: 'rolls',
  ball: 'balls',
  ring: 'rings',
  plait: 'plaits',
  stick: 'sticks',
  flatbread: 'flatbreads',
};

/** How the yield is said. */
function makesOf({ pieces, piece, slices }: Formula): string | undefined {
  if (pieces === undefined) return slices === undefined ? undefined : `${slices} slices`;
  const of = piece?.grams === undefined ? '' : ` of ${Math.round(piece.grams)} g`;
  return `${pieces} ${piece?.kind ? several[piece.kind] : 'pieces'}${of}`;
}

/**
 * What stands round a formula's lines: its style, what it makes, what is outside the dough, its method.
 *
 * @example aroundOf(formula).style // 'Style: machine or tin loaf'
 */
export function aroundOf(formula: Formula): Around {
  const { style, size, outside = [], steps = [] } = formula;
  const uses = [...new Set(outside.map((o) => o.use))];
  return {
    style: `Style: ${styles[style].name}`,
    makes: makesOf(formula),
    size,
    outside: uses.map((use) => ({
      heading: headings[use],
      says: outside.filter((o) => o.use === use).map((o) => o.says),
    })),
    steps: steps.map((s) => s.says),
  };
}
