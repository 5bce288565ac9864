import { mainStage, type Formula } from '../formula/formula.ts';
import type { Method } from './method-in.ts';
import type { StepKindId } from './step-kind.ts';

const rises: readonly StepKindId[] = ['first-rise', 'final-proof'];

/**
 * Whether a method that goes as far as the oven has one rise and no more: shaped before it, or poured into its pan. One that is
 * shaped after its only written rise is let rise again, whether or not anybody wrote so.
 */
function hasOneRise({ steps, sentences, folds, pieces }: Method): boolean {
  const written = rises.filter((kind) => steps[kind]);
  const [rise] = written;
  if (written.length !== 1 || !rise || folds || !steps.bake) return false;
  if (rise === 'final-proof') return true;
  if (steps[rise]!.process.place === 'fridge') return false;
  const at = sentences.findIndex((s) => s.about.includes(rise));
  return pieces === undefined && !sentences.slice(at + 1).some((s) => s.about.includes('shape'));
}

/**
 * The kind of the step at which something of a rise is wanted: a bread with one rise has it by either name.
 *
 * @param led whether a step of a kind is led
 * @example ledAs('final-proof', (kind) => kind === 'first-rise') // 'first-rise'
 */
export const ledAs = (kind: StepKindId, led: (kind: StepKindId) => boolean): StepKindId =>
  rises.includes(kind) && !led(kind) ? (rises.find(led) ?? kind) : kind;

/**
 * Whether a bread rises once by its recipe, and not in its bowl and again when it is shaped.
 *
 * @param method as `methodOf` reads the formula's steps
 * @example risesOnce(formula, methodIn([{says: 'Knead, shape, let it rise for 1 hour and bake for 35 minutes.'}])) // true
 */
export const risesOnce = (formula: Formula, method: Method): boolean =>
  hasOneRise(method) && mainStage(formula).process === undefined;
