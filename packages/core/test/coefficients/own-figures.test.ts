import { expect } from 'chai';
import { figureGroups, figureProblems, soundFigures } from '@tender-crumb/core/coefficients';
import { bagProblems, catalogue } from '@tender-crumb/core/ingredient';

describe('figures that a household sets', () => {
  const rows = figureGroups(catalogue, {}).flatMap((g) => g.rows);

  it('every one of them from its least to its most, and not beyond', () => {
    for (const { key, least, most } of rows) {
      if (/^(window|protein):/.test(key)) continue;
      const step = (most - least) * 1e-6;
      const wrong = (value: number) =>
        figureProblems(catalogue, { [key]: value }).map((p) => p.field);
      expect(wrong(least), key).to.deep.equal([]);
      expect(wrong(most), key).to.deep.equal([]);
      expect(wrong(least - step), key).to.deep.equal([key]);
      expect(wrong(most + step), key).to.deep.equal([key]);
    }
  });

  it('a window’s ends as far as each other and as its range, and not beyond', () => {
    const wrong = (own: Record<string, number>) =>
      figureProblems(catalogue, own).map((p) => p.field);
    const [low, high] = ['window:pan:low', 'window:pan:high'];
    expect(wrong({ [low]: 4.99 })).to.deep.equal([]);
    expect(wrong({ [low]: 5 })).to.deep.equal([low]);
    expect(wrong({ [high]: -2.99 })).to.deep.equal([]);
    expect(wrong({ [high]: -3 })).to.deep.equal([high]);
    expect(wrong({ [low]: 10, [high]: 10.01 })).to.deep.equal([]);
    expect(wrong({ [low]: 10, [high]: 10 })).to.deep.equal([low]);
    expect(wrong({ [low]: -30, [high]: 30 })).to.deep.equal([]);
    expect(wrong({ [low]: -30.01, [high]: 30.01 })).to.deep.equal([low, high]);
  });

  it('a name of none is said; what is wrong is left out and the rest kept', () => {
    const own = { 'thirst:bread-flour': 0.6, 'thirst:sand': 0.5, 'thirst:rye-whole': 999 };
    expect(figureProblems(catalogue, own)).to.deep.equal([
      { code: 'unknown', field: 'thirst:sand', says: 'is no figure that can be set' },
      { code: 'beyond', field: 'thirst:rye-whole', says: 'must be from 0 to 20' },
    ]);
    expect(soundFigures(catalogue, own)).to.deep.equal({ 'thirst:bread-flour': 0.6 });
    const good = { 'thirst:bread-flour': 0.6 };
    expect(soundFigures(catalogue, good)).to.equal(good);
  });

  it('a bag was opened on a day that was', () => {
    expect(bagProblems({ openedOn: '2024-02-29' })).to.deep.equal([]);
    expect(bagProblems({ openedOn: '2026-02-29' })).to.deep.equal([
      { code: 'no-such-day', field: 'openedOn', says: 'There is no such day' },
    ]);
  });
});
