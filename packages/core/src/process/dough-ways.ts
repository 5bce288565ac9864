import { editStage } from '../formula/stages.ts';
import { mainStage, type Formula, type Stage } from '../formula/formula.ts';
import type { Step } from '../formula/step.ts';

/** Something that is done with a dough beyond mixing and letting it rise, put into a formula or taken out in one gesture. */
interface DoughWay {
  readonly label: string;
  readonly says: string;
  readonly in: (formula: Formula) => boolean;
  readonly put: (formula: Formula, on: boolean) => Formula;
}

const hasStep = ({ steps = [] }: Formula, says: string): boolean =>
  steps.some((s) => s.says === says);

/** A step of its own before the others, so that it is the first that speaks of its matter. */
function withStep(formula: Formula, says: string, on: boolean): Formula {
  const rest = (formula.steps ?? []).filter((s) => s.says !== says);
  const steps: Step[] = on ? [{ says }, ...rest] : rest;
  const { steps: before, ...without } = formula;
  void before;
  return steps.length > 0 ? { ...without, steps } : without;
}

const stepWay = (label: string, says: string, sentence: string): DoughWay => ({
  label,
  says,
  in: (formula) => hasStep(formula, sentence),
  put: (formula, on) => withStep(formula, sentence, on),
});

/** One row a way. A plan and a bake go by them. */
export const doughWays = {
  autolyse: stepWay(
    'Autolyse',
    'flour and water rest first: less kneading, and whole grain takes up water',
    'Stir flour and water together and let them rest for 30 minutes; salt and leaven come later.',
  ),
  'cold-first': {
    label: 'First rise in the fridge',
    says: 'after an hour in the room; shaped cold',
    in: (formula: Formula) => mainStage(formula).process?.place === 'fridge',
    put(formula: Formula, on: boolean): Formula {
      const main = mainStage(formula);
      const { place, ...process } = main.process ?? {};
      void place;
      if (on) return editStage(formula, main.id, { process: { ...process, place: 'fridge' } });
      const { process: before, ...rest } = main;
      void before;
      const kept: Stage = Object.keys(process).length > 0 ? { ...rest, process } : rest;
      return {
        ...formula,
        stages: formula.stages.map((s) => (s.id === main.id ? kept : s)),
      };
    },
  },
  'cold-proof': stepWay(
    'Shaped into the fridge',
    'overnight, and baked from there',
    'Final proof overnight in the fridge.',
  ),
} as const satisfies Record<string, DoughWay>;

export type DoughWayId = keyof typeof doughWays;
export const doughWayIds = Object.keys(doughWays) as DoughWayId[];
