import { completeFormula, type FormulaJson } from '@tender-crumb/core/exchange';
import type { Formula } from '@tender-crumb/core/formula';
import type { StyleId } from '@tender-crumb/core/style';

type Amounts = ReadonlyArray<readonly [ingredient: string, grams: number]>;

interface Stages {
  readonly starter?: Amounts;
  readonly preferment?: Amounts;
  readonly soaker?: Amounts;
  readonly dough: Amounts;
}

/** A bread of the invented household, and how often it is baked. */
export interface DemoBread {
  readonly id: string;
  readonly formula: Formula;
  /** Bakes a month. */
  readonly monthly: number;
  readonly method: 'liquids-first' | 'hand';
}

const stageNames = { starter: 'Starter', preferment: 'Poolish', soaker: 'Soaker', dough: 'Dough' };

function bread(
  id: string,
  name: string,
  style: StyleId,
  monthly: number,
  stages: Stages,
  {
    byCup = false,
    pieces,
    method = 'hand' as DemoBread['method'],
  }: { byCup?: boolean; pieces?: number; method?: DemoBread['method'] } = {},
): DemoBread {
  const json: FormulaJson = {
    name,
    style,
    ...(pieces ? { pieces } : {}),
    stages: (['starter', 'preferment', 'soaker', 'dough'] as const)
      .filter((kind) => stages[kind])
      .map((kind) => ({
        kind,
        name: stageNames[kind],
        lines: stages[kind]!.map(([ingredient, grams]) => ({
          ingredient,
          grams,
          measured: ingredient === 'egg' ? 'count' : byCup ? 'volume' : 'scale',
        })),
      })),
  };
  return { id, formula: completeFormula(json), monthly, method };
}

/** The breads of Number 9, Heron Lock. Invented. */
export const demoBreads: readonly DemoBread[] = [
  bread(
    'lockside-white',
    'Lockside tin loaf, white',
    'pan',
    2,
    {
      dough: [
        ['bread-flour', 420],
        ['water', 245],
        ['oil', 20],
        ['sugar', 14],
        ['milk-powder', 12],
        ['salt', 8],
        ['instant-yeast', 5],
      ],
    },
    { method: 'liquids-first' },
  ),
  bread(
    'lockside-whole',
    'Lockside tin loaf, whole wheat',
    'wholegrain-pan',
    1.5,
    {
      dough: [
        ['whole-wheat', 400],
        ['water', 275],
        ['oil', 20],
        ['honey', 18],
        ['vital-gluten', 8],
        ['salt', 7],
        ['instant-yeast', 5],
      ],
    },
    { method: 'liquids-first' },
  ),
  bread('wash-house-hundred', 'Wash-house hundred', 'wholegrain-pan', 2.2, {
    dough: [
      ['fresh-hard-wheat', 450],
      ['water', 350],
      ['oil', 25],
      ['honey', 20],
      ['vital-gluten', 12],
      ['salt', 8],
      ['instant-yeast', 5.5],
    ],
  }),
  bread('towpath-sourdough', 'Towpath rye and barley sourdough', 'hearth-wholegrain', 1.8, {
    starter: [
      ['rye-whole', 60],
      ['water', 60],
    ],
    dough: [
      ['bread-flour', 280],
      ['rye-whole', 90],
      ['barley-whole', 80],
      ['water', 325],
      ['salt', 10],
    ],
  }),
  bread('thin-slice-seed', 'Thin-slice seed loaf', 'low-carb', 1.5, {
    dough: [
      ['vital-gluten', 160],
      ['flax-meal', 85],
      ['oat-fibre', 48],
      ['egg', 100],
      ['water', 235],
      ['oil', 15],
      ['honey', 7],
      ['salt', 6],
      ['xanthan', 1],
      ['instant-yeast', 6],
    ],
  }),
  bread('sluice-gate-plait', 'Sluice-gate cardamom plait', 'plait', 1.4, {
    dough: [
      ['plain-flour', 500],
      ['milk', 210],
      ['egg', 50],
      ['butter', 70],
      ['sugar', 60],
      ['spice', 4],
      ['salt', 7],
      ['instant-yeast', 7],
    ],
  }),
  bread('overnight-flatbread', 'Overnight onion flatbread', 'flatbread', 1.4, {
    preferment: [
      ['plain-flour', 150],
      ['water', 150],
      ['instant-yeast', 0.3],
    ],
    dough: [
      ['plain-flour', 250],
      ['water', 95],
      ['oil', 18],
      ['onion', 140],
      ['salt', 7],
    ],
  }),
  bread(
    'porridge-rolls',
    'Porridge-oat rolls',
    'rolls',
    1.1,
    {
      soaker: [
        ['rolled-oats', 80],
        ['water', 150],
      ],
      dough: [
        ['bread-flour', 400],
        ['milk', 210],
        ['butter', 25],
        ['honey', 15],
        ['salt', 8],
        ['instant-yeast', 5],
      ],
    },
    { byCup: true, pieces: 8 },
  ),
];
