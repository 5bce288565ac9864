import { judgements } from '@tender-crumb/core/bake';
import type { MeasureId } from '@tender-crumb/core/book';
import { expect } from 'chai';
import { scaleLinear, type ScaleLinear } from 'd3-scale';
import { measureMarks } from '../src/lib/book/measure-marks.ts';
import { hourMarks } from '../src/lib/ui/chart/hour-marks.ts';

type Scale = ScaleLinear<number, number>;

describe('what is written at the axes of a chart', () => {
  it('hours stand as a clock has them', () => {
    expect(hourMarks([0, 2], 5)).to.deep.equal([0, 0.5, 1, 1.5, 2]);
    // One mark more than there is room for: the next coarser.
    expect(hourMarks([0, 2], 4)).to.deep.equal([0, 1, 2]);
    expect(hourMarks([1.1, 1.9], 6)).to.deep.equal([1.25, 1.5, 1.75]);
    expect(hourMarks([7, 30], 3)).to.deep.equal([12, 24]);
    expect(hourMarks([0, 200], 3)).to.have.length(9);
  });

  it('are never more than there is room for, and never outside, within two days', () => {
    for (let from = 0; from < 20; from += 0.37)
      for (const wide of [0.3, 1, 2.4, 7, 19, 28])
        for (const most of [2, 3, 6, 9]) {
          const marks = hourMarks([from, from + wide], most);
          expect(marks.length, `${from} ${wide} ${most}`).to.be.at.most(most);
          for (const mark of marks) expect(mark).to.be.within(from - 1e-6, from + wide + 1e-6);
        }
  });

  it('a measure’s marks say what a baker says: hours, judgements, and the sign of a point', () => {
    const at = (ends: readonly [number, number]) => scaleLinear().domain(ends).range([0, 100]);
    const says = (of: MeasureId, scale: Scale, most: number) =>
      measureMarks(of, scale, most, (text) => text).map((m) => m.says.replaceAll(/\s/g, ' '));
    expect(says('firstRise', at([1, 2]), 3)).to.deep.equal(['1 h', '1 h 30 min', '2 h']);
    expect(says('stars', at([3.9, 5.1]), 6)).to.deep.equal(judgements.slice(3));
    expect(says('felt', at([-2, 2]), 4)).to.deep.equal(['−2', '−1', '0', '1', '2']);
    expect(says('doughWarmth', at([24, 25]), 2)).to.deep.equal(['24', '24.5', '25']);
    // As the household writes decimals.
    const comma = measureMarks('doughWarmth', at([24, 25]), 2, (text) => text.replace('.', ','));
    expect(comma[1]!.says).to.equal('24,5');
    expect(measureMarks('felt', at([-2, 2]), 4, (text) => text)[1]!.at).to.equal(25);
  });
});
