import { type Simulation, type Surer, simulateLevel, whatToWeigh } from '@tender-crumb/core/dough';
import { evaluate } from '@tender-crumb/core/evaluate';
import type { Formula } from '@tender-crumb/core/formula';
import { type Belief, kitchenOf } from '@tender-crumb/core/belief';
import { type Household } from '@tender-crumb/core/household';
import { seededRandom } from '@tender-crumb/core/quantity';
import { expose } from 'comlink';

/** A level drawn many times over, and what would make it surer. */
export interface Drawn {
  readonly simulation: Simulation;
  readonly surer: readonly Surer[];
}

let current = 0;
const breathe = () => new Promise<void>((resolve) => setTimeout(resolve));

const simulator = {
  /** Draws; a later call, or {@link cancel}, ends an earlier one with nothing. */
  async draw(
    formula: Formula,
    household: Household,
    belief: Belief,
    draws: number,
    tell: (share: number) => void,
  ): Promise<Drawn | undefined> {
    const mine = (current += 1);
    const evaluation = evaluate(formula, household, belief);
    if (!evaluation) return undefined;
    const kitchen = kitchenOf(household, belief);
    const { lines, window } = evaluation;
    const drawing = simulateLevel(lines, kitchen, window, { draws, random: seededRandom(draws) });
    for (let step = drawing.next(); ; step = drawing.next()) {
      if (step.done) {
        return (
          step.value && { simulation: step.value, surer: whatToWeigh(step.value, lines, kitchen) }
        );
      }
      tell(step.value);
      await breathe();
      if (mine !== current) return undefined;
    }
  },
  cancel(): void {
    current += 1;
  },
};

export type Simulator = typeof simulator;
expose(simulator);
