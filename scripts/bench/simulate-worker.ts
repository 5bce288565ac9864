import { parentPort } from 'node:worker_threads';
import { resolve, type Formula } from '@tender-crumb/core/formula';
import { kitchenOf } from '@tender-crumb/core/belief';
import { type Household } from '@tender-crumb/core/household';
import { seededRandom } from '@tender-crumb/core/quantity';
import { simulateLevel } from '@tender-crumb/core/dough';

/** Draws as the browser's worker does: a step, a word of progress, a breath. */
parentPort!.on('message', async ([formula, household]: [Formula, Household]) => {
  const drawing = simulateLevel(resolve(formula), kitchenOf(household), [-3, 4], {
    draws: 20_000,
    random: seededRandom(1),
  });
  let step = drawing.next();
  for (; !step.done; step = drawing.next()) {
    parentPort!.postMessage(step.value);
    await new Promise((resolve) => setImmediate(resolve));
  }
  parentPort!.postMessage(step.value);
});
