import { id, maybe, meaning, object, text, type DataOf } from '../quantity/shape.ts';
import { processField } from './process.ts';

/** One step of the work as a recipe has it. */
const stepShape = {
  says: meaning(text(2000, 1), 'as it was written'),
  stage: maybe(meaning(id, 'the stage that it works on')),
  process: maybe(processField),
} as const;
export type Step = DataOf<typeof stepShape>;

export const stepField = object(stepShape);
