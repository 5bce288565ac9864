import { Worker } from 'node:worker_threads';
import { evaluate } from '@tender-crumb/core/evaluate';
import { type CandidateStuff, findBread } from '@tender-crumb/core/goal';
import { nothingLearned, kitchenOf } from '@tender-crumb/core/belief';
import { defaultHousehold, type Household } from '@tender-crumb/core/household';
import { catalogue, ingredient } from '@tender-crumb/core/ingredient';
import { defaultMeasures } from '@tender-crumb/core/quantity';
import { readRecipe } from '@tender-crumb/core/reader';
import { demoBreads } from '../../demo/formulas.ts';
import { many, print, time } from './measure.ts';

/** Twenty lines, by the cup, as a worried baker would ask about. */
const others = catalogue.filter((i) => i.role !== 'flour' && i.id !== 'water' && i.cup);
const { formula } = readRecipe(
  [
    '2 cups bread flour',
    '1 cup whole wheat flour',
    '1/2 cup rye flour',
    '1 1/4 cups water',
    ...others.slice(0, 16).map((i) => `1 tsp ${i.aliases[0]}`),
  ].join('\n'),
  { measures: defaultMeasures },
);

const worker = new Worker(new URL('./simulate-worker.mjs', import.meta.url));
/** One simulation, and the longest that this thread was held meanwhile. */
async function draw(): Promise<{ took: number; held: number }> {
  const begun = performance.now();
  let last = begun;
  let held = 0;
  let done = false;
  const finished = new Promise<void>((resolve) => {
    const hear = (told: unknown) => {
      if (typeof told !== 'object') return;
      worker.off('message', hear);
      done = true;
      resolve();
    };
    worker.on('message', hear);
  });
  worker.postMessage([formula, defaultHousehold]);
  while (!done) {
    await new Promise((resolve) => setTimeout(resolve, 1));
    held = Math.max(held, performance.now() - last);
    last = performance.now();
  }
  await finished;
  return { took: performance.now() - begun, held };
}
for (let i = 0; i < many(3, 0); i += 1) await draw();
const runs = [];
for (let i = 0; i < many(15, 1); i += 1) runs.push(await draw());
await worker.terminate();
const median = (of: number[]) => of.sort((a, b) => a - b)[Math.floor(of.length / 2)]!;
print({
  measure: '20,000 draws of a 20-line formula in a worker',
  median: Math.round(median(runs.map((r) => r.took))),
  unit: 'ms',
  aim: '< 250',
  mainThreadHeldAtMost: Number(Math.max(...runs.map((r) => r.held)).toFixed(1)),
  aimHeld: '< 20',
});

/** The demo's low-carb bread and enough beside it to make forty candidates, all priced. */
const bread: ReadonlyArray<readonly [string, number]> = [
  ['vital-gluten', 160],
  ['flax-meal', 85],
  ['oat-fibre', 48],
  ['egg', 100],
  ['water', 235],
  ['oil', 15],
  ['honey', 7],
  ['salt', 6],
  ['instant-yeast', 6],
];
const priced = (id: string, now: number): CandidateStuff => ({
  of: { ...ingredient(id), pricePerKilo: 2 + (id.length % 9) },
  now,
});
const rest = catalogue
  .filter((i) => !bread.some(([id]) => id === i.id) && !i.yeast && i.role !== 'flour')
  .slice(0, 40 - bread.length);
const candidates = [
  ...bread.map(([id, now]) => priced(id, now)),
  ...rest.map((i) => priced(i.id, 0)),
];
const kitchen = kitchenOf(defaultHousehold);
for (const prefer of ['fewest', 'cheapest'] as const) {
  const solve = () =>
    findBread(
      candidates,
      {
        netCarbs: 1.5,
        protein: 22,
        portions: 16,
        school: 'eu',
        window: [-6, 6],
        loss: 0.12,
        prefer,
      },
      kitchen,
      's1',
    );
  print({
    measure: `goal solver, ${candidates.length} candidates, ${prefer}`,
    ...(await time(solve, { runs: 30, warm: 5 })),
    unit: 'ms',
    aim: '< 150',
    answer: solve().kind,
  });
}

const shelf = Array.from({ length: 200 }, (_, i) => demoBreads[i % demoBreads.length]!.formula);
let step = 0;
/** A settings change makes a household value of its own: nothing that was worked out before serves. */
const changed = (): Household => ({
  ...defaultHousehold,
  figures: { softening: 0.2 + (step++ % 50) / 500 },
});
const all = () => {
  const household = changed();
  return shelf.map((f) => evaluate(f, household, nothingLearned));
};
print({
  measure: 're-evaluation of a shelf of 200 formulas after a settings change',
  ...(await time(all, { runs: 40, warm: 10 })),
  unit: 'ms',
  aim: '< 200',
});
