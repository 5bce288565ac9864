import type { Formula } from '../formula/formula.ts';
import type { StyleId } from '../style/style.ts';
import { completeFormula } from './formula-json.ts';

type Amounts = ReadonlyArray<readonly [ingredient: string, grams: number]>;

interface FirstLoaf {
  readonly name: string;
  readonly style: StyleId;
  readonly notes: string;
  /** Loaves, rolls, flatbreads: one where absent. */
  readonly pieces?: number;
  /** How it is made, where that is not the usual of its kind. */
  readonly steps?: readonly string[];
  readonly starter?: Amounts;
  readonly dough: Amounts;
}

/** Breads of our own to begin with, one for each of the ways in which people begin. */
const loaves: readonly FirstLoaf[] = [
  {
    name: 'White tin loaf',
    style: 'pan',
    notes: 'Knead 10 minutes, rise till doubled, shape, rise again, bake at 190 °C for 35 minutes.',
    dough: [
      ['bread-flour', 500],
      ['water', 310],
      ['salt', 9],
      ['instant-yeast', 6],
      ['oil', 15],
    ],
  },
  {
    name: 'Half and half tin loaf',
    style: 'pan',
    notes: 'Whole grain takes up water for half an hour: wait before you judge the dough.',
    dough: [
      ['bread-flour', 250],
      ['whole-wheat', 250],
      ['water', 335],
      ['salt', 9],
      ['instant-yeast', 6],
      ['honey', 15],
    ],
  },
  {
    name: 'Fresh-milled loaf',
    style: 'wholegrain-pan',
    notes: 'Mill 440 g of hard wheat fine; cold water, as the flour is warm.',
    dough: [
      ['fresh-hard-wheat', 440],
      ['water', 350],
      ['salt', 8],
      ['instant-yeast', 6],
      ['honey', 15],
      ['oil', 20],
      ['vital-gluten', 12],
    ],
  },
  {
    name: 'Plain rolls',
    style: 'rolls',
    notes: 'Eight rolls of about 100 g.',
    pieces: 8,
    steps: [
      'Knead for 10 minutes.',
      'Let it rise until doubled.',
      'Divide into 8 pieces and shape them into rolls.',
      'Proof until puffy.',
      'Bake at 220 °C for 15 minutes.',
    ],
    dough: [
      ['plain-flour', 500],
      ['milk', 150],
      ['water', 145],
      ['salt', 9],
      ['instant-yeast', 6],
    ],
  },
  {
    name: 'Soft enriched plait',
    style: 'plait',
    notes: 'Three strands; bake at 175 to 180 °C.',
    dough: [
      ['bread-flour', 500],
      ['milk', 190],
      ['egg', 100],
      ['butter', 50],
      ['sugar', 45],
      ['salt', 8],
      ['instant-yeast', 9],
    ],
  },
  {
    name: 'Hearth loaf without kneading',
    style: 'hearth-white',
    notes: 'Time does the kneading. Start in the morning, and it is baked by evening.',
    steps: [
      'Stir everything together without kneading.',
      'Let it rise at room temperature until doubled.',
      'Fold it over itself and shape it into a ball.',
      'Proof until puffy.',
      'Bake in a hot lidded pot.',
    ],
    dough: [
      ['bread-flour', 450],
      ['water', 325],
      ['salt', 9],
      ['instant-yeast', 1],
    ],
  },
  {
    name: 'First sourdough',
    style: 'hearth-white',
    notes: 'First rise 3 to 6 hours by the dough’s warmth; the fridge overnight is a help.',
    starter: [
      ['bread-flour', 50],
      ['water', 50],
    ],
    dough: [
      ['bread-flour', 450],
      ['water', 305],
      ['salt', 10],
    ],
  },
  {
    name: 'Soft flatbreads',
    style: 'flatbread',
    pieces: 8,
    notes: 'Eight pieces, rested, rolled, two minutes a side in a hot pan.',
    dough: [
      ['plain-flour', 400],
      ['water', 235],
      ['oil', 20],
      ['salt', 8],
      ['instant-yeast', 4],
    ],
  },
  {
    name: 'Low-carb loaf',
    style: 'low-carb',
    notes: 'The teaspoon of sugar feeds the yeast. One short knead, one rise.',
    dough: [
      ['vital-gluten', 165],
      ['oat-fibre', 50],
      ['flax-meal', 80],
      ['water', 237],
      ['egg', 100],
      ['sugar', 4],
      ['butter', 20],
      ['salt', 5],
      ['instant-yeast', 7],
    ],
  },
  {
    name: 'Delay-timer loaf with milk powder',
    style: 'pan',
    notes: 'Nothing in it spoils in a night: the powder stays dry on top of the flour.',
    dough: [
      ['bread-flour', 400],
      ['water', 240],
      ['milk-powder', 11],
      ['oil', 20],
      ['sugar', 12],
      ['salt', 7.5],
      ['instant-yeast', 5],
    ],
  },
];

const lines = (amounts: Amounts) => amounts.map(([ingredient, grams]) => ({ ingredient, grams }));

/**
 * Ten breads to put on an empty shelf.
 *
 * @example firstLoaves.length // 10
 */
export const firstLoaves: readonly Formula[] = loaves.map(
  ({ name, style, notes, pieces, steps, starter, dough }) =>
    completeFormula({
      name,
      style,
      notes,
      ...(pieces === undefined ? {} : { pieces }),
      ...(steps ? { steps: steps.map((says) => ({ says })) } : {}),
      stages: [
        ...(starter
          ? [{ id: 's1', kind: 'starter' as const, name: 'Starter', lines: lines(starter) }]
          : []),
        { id: 's2', kind: 'dough', name: 'Dough', lines: lines(dough) },
      ],
    }),
);
