import type { Machine } from './machine.ts';
import type { MachineStage, MachineStageKindId, Programme, ProgrammeUse } from './programme.ts';

type Stages = ReadonlyArray<readonly [MachineStageKindId, minutes: number, celsius?: number]>;

const programme = (
  id: string,
  label: string,
  use: ProgrammeUse,
  stages: Stages,
  signal?: number,
  delays = true,
): Programme => ({
  id,
  label,
  use,
  stages: stages.map(([kind, minutes, celsius]): MachineStage => ({
    kind,
    minutes,
    ...(celsius === undefined ? {} : { celsius }),
  })),
  ...(signal === undefined ? {} : { signal }),
  delays,
});

/** Of a machine's baking, °C at the pan. From memory. */
const oven = 150;

/** One row a machine. Invented: their programmes are as such machines have them (handbook section 10), no maker's. */
export const machines = {
  /** An old one with two paddles, that warms everything before it begins. */
  'two-paddle': {
    label: 'Two paddles, long pan',
    loading: 'liquids-first',
    paddles: 2,
    sizes: ['1.5lb', '2lb', '1kg'],
    crusts: ['light', 'medium', 'dark'],
    mostDelay: 12,
    coatedPan: true,
    programmes: [
      programme(
        'plain',
        'White',
        'plain',
        [
          ['rest', 25, 28],
          ['knead', 22, 28],
          ['rise', 45, 30],
          ['knock-down', 1],
          ['rise', 25, 30],
          ['knock-down', 1],
          ['proof', 45, 32],
          ['bake', 50, oven],
          ['warm', 60, 70],
        ],
        42,
      ),
      programme(
        'whole',
        'Whole grain',
        'whole',
        [
          ['rest', 30, 28],
          ['knead', 25, 28],
          ['rise', 55, 30],
          ['knock-down', 1],
          ['rise', 30, 30],
          ['knock-down', 1],
          ['proof', 60, 32],
          ['bake', 50, oven],
          ['warm', 60, 70],
        ],
        50,
      ),
      programme('dough', 'Dough', 'dough', [
        ['knead', 22, 27],
        ['rise', 68, 29],
      ]),
      programme('short', 'Without wheat', 'short', [
        ['knead', 14, 28],
        ['proof', 50, 32],
        ['bake', 55, oven],
        ['warm', 60, 70],
      ]),
      programme('bake', 'Bake only', 'bake', [['bake', 60, oven]], undefined, false),
    ],
  },
  upright: {
    label: 'One paddle, upright pan',
    loading: 'dry-first',
    paddles: 1,
    sizes: ['500g', '750g', '1kg'],
    crusts: ['light', 'medium', 'dark'],
    mostDelay: 13,
    coatedPan: true,
    programmes: [
      programme(
        'plain',
        'Everyday',
        'plain',
        [
          ['knead', 10],
          ['rest', 5],
          ['knead', 15, 27],
          ['rise', 40, 30],
          ['knock-down', 1],
          ['rise', 25, 30],
          ['knock-down', 1],
          ['proof', 50, 32],
          ['bake', 53, oven],
          ['warm', 60, 70],
        ],
        27,
      ),
      programme(
        'whole',
        'Whole wheat',
        'whole',
        [
          ['rest', 20, 28],
          ['knead', 10],
          ['rest', 5],
          ['knead', 15, 27],
          ['rise', 50, 30],
          ['knock-down', 1],
          ['rise', 30, 30],
          ['knock-down', 1],
          ['proof', 55, 32],
          ['bake', 55, oven],
          ['warm', 60, 70],
        ],
        47,
      ),
      programme(
        'sweet',
        'Sweet',
        'sweet',
        [
          ['knead', 10],
          ['rest', 5],
          ['knead', 20, 27],
          ['rise', 45, 30],
          ['knock-down', 1],
          ['proof', 55, 32],
          ['bake', 48, 140],
          ['warm', 60, 70],
        ],
        32,
      ),
      programme('short', 'Gluten-free', 'short', [
        ['knead', 18, 28],
        ['proof', 45, 32],
        ['bake', 60, oven],
        ['warm', 60, 70],
      ]),
      programme('dough', 'Dough', 'dough', [
        ['knead', 10],
        ['rest', 5],
        ['knead', 15, 27],
        ['rise', 60, 29],
      ]),
      programme('bake', 'Bake only', 'bake', [['bake', 45, oven]], undefined, false),
    ],
  },
  /** One that lets each stage run alone. */
  stages: {
    label: 'One paddle, each stage by itself',
    loading: 'liquids-first',
    paddles: 1,
    sizes: ['1lb', '1.5lb', '2lb'],
    crusts: ['light', 'medium', 'dark'],
    mostDelay: 15,
    coatedPan: true,
    programmes: [
      programme(
        'plain',
        'Classic',
        'plain',
        [
          ['rest', 10, 27],
          ['knead', 25, 27],
          ['rise', 50, 29],
          ['knock-down', 1],
          ['rise', 25, 30],
          ['knock-down', 1],
          ['proof', 45, 32],
          ['bake', 55, oven],
          ['warm', 60, 70],
        ],
        28,
      ),
      programme(
        'whole',
        'Wholemeal',
        'whole',
        [
          ['rest', 30, 28],
          ['knead', 25, 27],
          ['rise', 60, 29],
          ['knock-down', 1],
          ['rise', 30, 30],
          ['knock-down', 1],
          ['proof', 55, 32],
          ['bake', 58, oven],
          ['warm', 60, 70],
        ],
        48,
      ),
      programme('short', 'Quick, without wheat', 'short', [
        ['knead', 12, 28],
        ['proof', 40, 32],
        ['bake', 55, oven],
      ]),
      programme('dough', 'Dough', 'dough', [
        ['knead', 25, 27],
        ['rise', 65, 29],
      ]),
      programme('knead', 'Knead', 'knead', [['knead', 20]], undefined, false),
      programme('bake', 'Bake', 'bake', [['bake', 70, oven]], undefined, false),
    ],
  },
} as const satisfies Record<string, Machine>;

export type MachineRowId = keyof typeof machines;
export const machineRowIds = Object.keys(machines) as MachineRowId[];
