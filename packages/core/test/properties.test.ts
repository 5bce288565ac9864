import { expect } from 'chai';
import fc from 'fast-check';
import type { Correction } from '@tender-crumb/core/correct';
import { evaluate } from '@tender-crumb/core/evaluate';
import {
  giveBackCorrection,
  percentOf,
  resolve,
  scaleBy,
  scaleTo,
  setGrams,
  takeCorrection,
  totals,
  type Formula,
  type Line,
} from '@tender-crumb/core/formula';
import { nothingLearned } from '@tender-crumb/core/belief';
import { defaultHousehold, type Household } from '@tender-crumb/core/household';
import { catalogue } from '@tender-crumb/core/ingredient';
import {
  massUnits,
  toGrams,
  toMillilitres,
  volumeUnits,
  defaultMeasures,
  type MassUnit,
} from '@tender-crumb/core/quantity';
import { styleIds } from '@tender-crumb/core/style';
import { judge } from './build.ts';

const flourIds = catalogue.filter((i) => i.role === 'flour').map((i) => i.id);
const otherIds = catalogue.filter((i) => i.role !== 'flour' && i.id !== 'water').map((i) => i.id);
const tenths = (low: number, high: number) =>
  fc.integer({ min: low * 10, max: high * 10 }).map((n) => n / 10);

/** Sane formulas: 100 g to 2 kg of flours, water, up to eight other things, perhaps a starter. */
const formulas: fc.Arbitrary<Formula> = fc
  .record({
    style: fc.constantFrom(...styleIds),
    flours: fc.array(fc.tuple(fc.constantFrom(...flourIds), tenths(100, 700)), {
      minLength: 1,
      maxLength: 3,
    }),
    water: tenths(0, 900),
    others: fc.array(fc.tuple(fc.constantFrom(...otherIds), tenths(0, 60)), { maxLength: 8 }),
    starter: fc.option(tenths(10, 150)),
    measured: fc.constantFrom('scale', 'volume'),
  })
  .map(({ style, flours, water, others, starter, measured }) => {
    let n = 0;
    const line = (ingredient: string, grams: number): Line => ({
      id: `l${++n}`,
      ingredient,
      grams,
      measured: measured as Line['measured'],
    });
    return {
      format: 'tender-crumb/formula-2',
      name: 'Any',
      style,
      stages: [
        ...(starter === null
          ? []
          : [
              {
                id: 's0',
                kind: 'starter' as const,
                name: 'Starter',
                lines: [line('bread-flour', starter), line('water', starter)],
              },
            ]),
        {
          id: 's1',
          kind: 'dough' as const,
          name: 'Dough',
          lines: [...flours, ['water', water] as const, ...others].map(([i, g]) => line(i, g)),
        },
      ],
      taken: [],
      left: [],
    };
  });

const waterLine = (formula: Formula): Line =>
  formula.stages.at(-1)!.lines.find((l) => l.ingredient === 'water')!;

const take = (formula: Formula, correction: Correction): Formula =>
  takeCorrection(formula, { ...correction, correction: correction.key });

describe('properties of the level', () => {
  it('more water never tightens', () => {
    fc.assert(
      fc.property(formulas, tenths(1, 200), (formula, more) => {
        const wetter = setGrams(formula, waterLine(formula).id, waterLine(formula).grams + more);
        expect(judge(wetter).level.points).to.be.at.least(judge(formula).level.points);
      }),
    );
  });

  it('more flour never loosens where the level is above −50', () => {
    fc.assert(
      fc.property(formulas, tenths(1, 200), (formula, more) => {
        const before = judge(formula).level.points;
        fc.pre(before > -50);
        const line = formula.stages.at(-1)!.lines[0]!;
        const after = judge(setGrams(formula, line.id, line.grams + more)).level.points;
        expect(after).to.be.at.most(before + 1e-9);
      }),
    );
  });

  it('wider measuring error never narrows the bubble', () => {
    fc.assert(
      fc.property(
        formulas,
        fc.integer({ min: 2, max: 20 }),
        fc.float({ min: 0, max: 0.5, noNaN: true }),
        (formula, step, spread) => {
          const width = (f: Formula, h: Household) => judge(f, h).level.sd;
          const coarse: Household = { ...defaultHousehold, scaleStep: step };
          expect(width(formula, coarse)).to.be.at.least(width(formula, defaultHousehold) - 1e-12);
          const vague: Formula = {
            ...formula,
            stages: formula.stages.map((s) => ({
              ...s,
              lines: s.lines.map((l) => ({ ...l, spread })),
            })),
          };
          expect(width(vague, defaultHousehold)).to.be.at.least(
            width(formula, defaultHousehold) - 1e-12,
          );
        },
      ),
    );
  });

  it('a correction for water brings the middle of the bubble into the window', () => {
    fc.assert(
      fc.property(formulas, (formula) => {
        const { corrections, window, level } = judge(formula);
        const correction = corrections.find((s) => s.kind === 'water');
        if (!correction) return;
        const after = judge(takeCorrection(formula, { ...correction, correction: correction.key }))
          .level.points;
        const step = 100 / level.baseGrams;
        expect(after).to.be.within(window[0] - 1e-6, window[1] + step);
      }),
    );
  });

  it('a correction for gluten leaves the level where it is, within a gram of water', () => {
    fc.assert(
      fc.property(formulas, (formula) => {
        const before = judge(formula);
        const correction = before.corrections.find((s) => s.kind === 'gluten' && s.grams > 0);
        if (!correction) return;
        const after = judge(takeCorrection(formula, { ...correction, correction: correction.key }))
          .level.points;
        expect(after).to.be.closeTo(before.level.points, 100 / before.level.baseGrams);
      }),
    );
  });
});

describe('properties of edits', () => {
  it('all offered corrections taken leave nothing to correct', () => {
    fc.assert(
      fc.property(formulas, (formula) => {
        const { corrections, level } = judge(formula);
        fc.pre(Math.abs(level.points) < 30);
        const taken = corrections.reduce(take, formula);
        expect(judge(taken).corrections.map((c) => [c.key, c.grams])).to.deep.equal([]);
      }),
      { seed: 11, numRuns: 400 },
    );
  });

  it('taking corrections and giving them back, in any order, restores the formula bit for bit', () => {
    fc.assert(
      fc.property(formulas, fc.nat(), (formula, turn) => {
        const { corrections } = judge(formula);
        const taken = corrections.reduce(
          (f, s) => takeCorrection(f, { ...s, correction: s.key }),
          formula,
        );
        const ids = taken.taken.map((t) => t.id);
        const order = ids.map((_, i) => ids[(i + turn) % ids.length]!);
        expect(taken.taken).to.have.length(corrections.length);
        const back = order.reduce(giveBackCorrection, taken);
        expect(JSON.stringify(back)).to.equal(JSON.stringify(formula));
      }),
    );
  });

  it('scaling with no held line leaves percentages and level unchanged', () => {
    fc.assert(
      fc.property(formulas, fc.double({ min: 0.1, max: 10, noNaN: true }), (formula, factor) => {
        const [a, b] = [formula, scaleBy(formula, factor)].map((f) => judge(f));
        expect(b!.level.points).to.be.closeTo(a!.level.points, 1e-6);
        a!.lines.forEach((l, i) => {
          expect(percentOf(b!.lines[i]!.grams, b!.totals, 'total')).to.be.closeTo(
            percentOf(l.grams, a!.totals, 'total'),
            1e-6,
          );
        });
      }),
    );
  });

  it('scaling to a weight reaches it, held lines kept', () => {
    fc.assert(
      fc.property(formulas, tenths(500, 4000), (formula, grams) => {
        const held: Formula = {
          ...formula,
          stages: formula.stages.map((s) => ({
            ...s,
            lines: s.lines.map((l, i) => (i === 1 ? { ...l, held: true } : l)),
          })),
        };
        const scaled = scaleTo(held, 'dough', grams);
        if (!scaled) return;
        expect(totals(resolve(scaled))!.doughGrams).to.be.closeTo(grams, 1e-6);
        const keep = (f: Formula) => f.stages.flatMap((s) => s.lines).filter((l) => l.held);
        expect(keep(scaled)).to.deep.equal(keep(held));
      }),
    );
  });

  it('unit round trips are exact to 1e-9', () => {
    fc.assert(
      fc.property(fc.double({ min: 1e-3, max: 1e6, noNaN: true }), (amount) => {
        for (const unit of Object.keys(massUnits) as MassUnit[]) {
          expect(toGrams(amount, unit) / massUnits[unit] / amount).to.be.closeTo(1, 1e-9);
        }
        for (const unit of volumeUnits) {
          const there = toMillilitres(amount, unit, defaultMeasures);
          const one = toMillilitres(1, unit, defaultMeasures);
          expect(there / one / amount).to.be.closeTo(1, 1e-9);
        }
      }),
    );
  });

  it('evaluation never gives a NaN, an infinity or a negative mass', () => {
    fc.assert(
      fc.property(
        formulas,
        fc.double({ min: -30, max: 60, noNaN: true }),
        fc.double({ min: 0, max: 1, noNaN: true }),
        (formula, celsius, humidity) => {
          const result = evaluate(
            formula,
            { ...defaultHousehold, room: { celsius, humidity } },
            nothingLearned,
          )!;
          const numbers = [
            ...Object.values(result.totals).filter((v) => typeof v === 'number'),
            ...[result.level.points, result.level.low, result.level.high],
            ...result.corrections.flatMap((s) => [s.grams, s.certainty]),
          ];
          for (const n of numbers) expect(Number.isFinite(n)).to.equal(true);
          for (const l of result.lines) expect(l.grams).to.be.at.least(0);
        },
      ),
    );
  });
});
