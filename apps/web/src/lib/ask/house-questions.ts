import type { HouseQuestionId, Settings } from '@tender-crumb/core/household';
import { machineRowIds, machines, withMachine, type DeviceId } from '@tender-crumb/core/machine';
import { nanoid } from 'nanoid';
import { cups, scaleSteps, type Choice } from '../pantry/choice.ts';

/** One answer: what the household settles with it. */
export interface HouseAnswer {
  readonly says: string;
  change(settings: Settings): Partial<Settings>;
  /** What the dough that is asked of is made with from here on. */
  readonly makes?: DeviceId;
  /** Where the rest of it is told. */
  readonly path?: string;
}

interface HouseQuestion {
  readonly asks: string;
  readonly answers: readonly HouseAnswer[];
}

const each = (
  choices: readonly Choice[],
  change: (value: string, settings: Settings) => object,
): HouseAnswer[] =>
  choices.map(([value, says]) => ({
    says,
    change: (settings) => change(value, settings) as Partial<Settings>,
  }));

/** What the kitchen is asked of itself when that is needed for the first time: one row a question. */
export const houseQuestions: { readonly [K in HouseQuestionId]: HouseQuestion } = {
  machine: {
    asks: 'Which bread machine is most like yours?',
    answers: machineRowIds.map((id) => {
      const machine = machines[id];
      return {
        says: machine.label,
        change: ({ appliances }) => ({ appliances: withMachine(appliances, machine, nanoid()) }),
        makes: machine.loading,
      };
    }),
  },
  degrees: {
    asks: 'What does your oven show?',
    answers: each(
      [
        ['C', '°C'],
        ['F', '°F'],
      ],
      (temperature, { writing }) => ({ writing: { ...writing, temperature } }),
    ),
  },
  scale: {
    asks: 'How fine is your scale?',
    answers: each(scaleSteps, (step) => ({ scaleStep: Number(step) })),
  },
  cup: {
    asks: 'How big is your cup?',
    answers: each(cups, (cup, { measures }) => ({ measures: { ...measures, cup } })),
  },
  bakers: {
    asks: 'Does anyone else bake here? Hands feel a dough differently.',
    answers: [
      { says: 'Only me', change: () => ({}) },
      { says: 'Yes, say who', change: () => ({}), path: '/pantry/kitchen#bakers' },
    ],
  },
};
