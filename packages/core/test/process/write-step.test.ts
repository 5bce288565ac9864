import { expect } from 'chai';
import { methodIn } from '../../src/process/method-in.ts';
import { stepFields, writeStep, type StepSaid } from '../../src/process/write-step.ts';
import type { StepKindId } from '../../src/process/step-kind.ts';
import { isRefused } from '../../src/quantity/refusal.ts';
import { methods } from './methods/written.ts';

const of = (...says: string[]) => says.map((s) => ({ says: s }));
const words = (answer: ReturnType<typeof writeStep>): string[] =>
  isRefused(answer as object) ? ['refused'] : (answer as ReturnType<typeof of>).map((s) => s.says);

describe('a step written by its fields', () => {
  const loaf = of(
    'Knead for 8 minutes.',
    'Let it rise until doubled.',
    'Bake at 220 °C for 35 to 40 minutes.',
  );

  it('keeps the recipe’s own words and exchanges its figures', () => {
    expect(words(writeStep(loaf, 'bake', { minutes: 45 }))[2]).to.equal(
      'Bake at 220 °C for 45 minutes.',
    );
    expect(words(writeStep(loaf, 'bake', { celsius: 200 }))[2]).to.equal(
      'Bake at 200 °C for 35 to 40 minutes.',
    );
    expect(words(writeStep(loaf, 'mix', { minutes: 12 }))[0]).to.equal('Knead for 12 minutes.');
  });

  it('puts what the recipe does not say where it belongs', () => {
    expect(words(writeStep(loaf, 'cool', { minutes: 60 }))).to.deep.equal([
      ...loaf.map((s) => s.says),
      'Let it cool for 60 minutes.',
    ]);
    const rested = words(writeStep(loaf, 'autolyse', { minutes: 30 }));
    expect(rested[0]).to.match(/rest for 30 minutes/);
    expect(rested).to.have.length(4);
  });

  it('one sentence of two steps keeps the other', () => {
    const both = of('Shape it, proof for 45 minutes and bake at 230 °C for 30 minutes.');
    const next = writeStep(both, 'bake', { minutes: 33 });
    if (isRefused(next as object)) throw new Error('it can');
    const read = methodIn(next as typeof both).steps;
    expect(read.bake?.process).to.include({ minutes: 33, celsius: 230 });
    expect(read['final-proof']?.process.minutes).to.equal(45);
  });

  it('a bake in two parts is not made one: that is edited in its words', () => {
    const parts = of(
      'Bake at 240 °C with the lid on for 20 minutes, then at 210 °C with the lid off for 20 minutes.',
    );
    expect(words(writeStep(parts, 'bake', { minutes: 50 }))).to.satisfy(
      (w: string[]) =>
        w[0] === 'refused' || methodIn(w.map((says) => ({ says }))).steps.bake!.phases.length === 2,
    );
  });

  it('of methods as people write them: what is written is read, and nothing else changes (or it is refused)', () => {
    let written = 0;
    let refused = 0;
    for (const [says] of methods) {
      const steps = of(...says.split('\n'));
      for (const [kind, fields] of Object.entries(stepFields) as Array<
        [StepKindId, ReadonlyArray<keyof StepSaid>]
      >)
        for (const field of fields) {
          const value = { minutes: 37, celsius: 205, place: 'fridge' as const }[field];
          const next = writeStep(steps, kind, { [field]: value });
          if (isRefused(next as object)) {
            refused += 1;
            continue;
          }
          written += 1;
          expect(
            methodIn(next as typeof steps).steps[kind]?.process[field],
            `${kind} of ${says}`,
          ).to.equal(value);
        }
    }
    console.info(`        written ${written}, refused ${refused}`);
    expect(refused / (written + refused)).to.be.below(0.2);
  });
});
