import { expect } from 'chai';
import type { Formula } from '@tender-crumb/core/formula';
import { nothingLearned } from '@tender-crumb/core/belief';
import { defaultHousehold } from '@tender-crumb/core/household';
import { doughWayIds, doughWays, writtenSteps, type DoughWayId } from '@tender-crumb/core/process';
import { writtenWay, breadOf } from '@tender-crumb/core/schedule';
import { build } from '../build.ts';

const loaf = build({ 'bread-flour': 500, water: 320, salt: 10, 'instant-yeast': 5 });
const told: Formula = {
  ...loaf,
  steps: [{ says: 'Let it rise for 1 hour.' }, { says: 'Shape it. Proof for 45 minutes.' }],
};
const way = (formula: Formula) =>
  writtenWay(breadOf({ id: 'a', formula }, defaultHousehold, nothingLearned));
const put = (formula: Formula, id: DoughWayId) => doughWays[id].put(formula, true);

describe('ways of a dough, put into a formula in one gesture', () => {
  it('each is in it then, and taken out again leaves the formula as it was', () => {
    for (const formula of [loaf, told])
      for (const id of doughWayIds) {
        expect(doughWays[id].in(formula), id).to.equal(false);
        const on = put(formula, id);
        expect(doughWays[id].in(on), id).to.equal(true);
        expect(doughWays[id].put(on, false), id).to.deep.equal(formula);
        // Twice is once.
        expect(put(on, id), id).to.deep.equal(on);
      }
  });

  it('a plan goes by them, whatever else the recipe says', () => {
    for (const formula of [loaf, told]) {
      expect(way(formula)).to.equal('as-it-is');
      expect(way(put(formula, 'cold-first'))).to.equal('cold-first');
      expect(way(put(formula, 'cold-proof'))).to.equal('cold-proof');
    }
    expect(writtenSteps(put(told, 'autolyse')).autolyse?.process.minutes).to.equal(30);
    expect(writtenSteps(put(told, 'autolyse'))['first-rise']?.process.minutes).to.equal(60);
  });

  it('what else is known of the stage stays', () => {
    const [stage] = loaf.stages;
    const warm: Formula = {
      ...loaf,
      stages: [{ ...stage!, process: { minutes: 60, place: 'room' } }],
    };
    const back = doughWays['cold-first'].put(put(warm, 'cold-first'), false);
    expect(back.stages[0]!.process).to.deep.equal({ minutes: 60 });
  });
});
