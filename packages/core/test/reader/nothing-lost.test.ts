import { expect } from 'chai';
import { defaultMeasures, isRefused } from '@tender-crumb/core/quantity';
import { answerUnread, readRecipe } from '@tender-crumb/core/reader';
import { read } from '../build.ts';

const lines = (text: string) =>
  read(text).formula.stages.flatMap((s) =>
    s.lines.map((l) => `${l.ingredient} ${Math.round(l.grams)}`),
  );

describe('rows that once made others go away', () => {
  for (const row of [
    'Butter for greasing',
    'Milk for brushing',
    'Seeds for sprinkling',
    'Flour for dusting',
  ])
    it(`“${row}” is outside the dough, and what stands below it is not`, () => {
      const text = `Lockside loaf\n\n500 g bread flour\n${row}\n310 g water\n9 g salt`;
      expect(lines(text)).to.deep.equal(['bread-flour 500', 'water 310', 'salt 9']);
      const { outside } = read(text).formula;
      expect(outside?.map((o) => o.says)).to.deep.equal([row]);
    });

  it('marked as a heading it opens a part as before', () => {
    const text = '500 g bread flour\n310 g water\n\nButter for greasing:\n20 g butter';
    expect(lines(text)).to.deep.equal(['bread-flour 500', 'water 310']);
    expect(read(text).formula.outside).to.have.length(1);
  });

  const first: ReadonlyArray<readonly [row: string, line: string | undefined]> = [
    ['graham flour 400 g', undefined],
    ['rye flour 400 g', undefined],
    ['５００ g bread flour', 'bread-flour 500'],
    ['1e309 g bread flour', undefined],
    ['5OO g bread flour', undefined],
    ['wheaty flour, 400 g', undefined],
  ];
  for (const [row, line] of first)
    it(`“${row}” in the first row is flour, read or asked about, and no title`, () => {
      const { formula, unread } = read(`${row}\n310 g water\n9 g salt`);
      expect(formula.name).not.to.equal(row);
      if (line) expect(lines(`${row}\n310 g water`)[0]).to.equal(line);
      const asked = unread.map((u) => u.text);
      const got = formula.stages.flatMap((s) => s.lines.map((l) => l.asWritten));
      expect([...asked, ...got]).to.include(row.normalize('NFKC'));
    });

  for (const title of ['White loaf, 900 g', 'Lockside tin loaf', 'Loaf for a 2 lb tin'])
    it(`“${title}” is still a title`, () => {
      expect(read(`${title}\n\n500 g bread flour\n310 g water`).formula.name).to.equal(title);
    });

  it('an answer to what soaks keeps the water that it soaks in', () => {
    const reader = { measures: defaultMeasures };
    const row = '½ cup blorps, soaked in ½ cup boiling water';
    const text = `500 g bread flour\n${row}\n310 g water\n9 g salt`;
    const asked = readRecipe(text, reader);
    expect(asked.unread.map((u) => u.text)).to.deep.equal([row]);
    const pasted = readRecipe(text, { ...reader, answers: { [row]: { is: 'rolled-oats' } } });
    const onBench = answerUnread(asked.formula, 0, { is: 'rolled-oats' }, reader);
    if (isRefused(onBench)) throw new Error(onBench.refused.says);
    for (const formula of [pasted.formula, onBench]) {
      const all = formula.stages.flatMap((s) => s.lines);
      expect(all.map((l) => l.ingredient)).to.deep.equal([
        'bread-flour',
        'rolled-oats',
        'water',
        'water',
        'salt',
      ]);
      // Half a US cup of water: 118.3 ml.
      expect(all[2]!.grams).to.be.closeTo(118, 1);
      expect(new Set(all.map((l) => l.id)).size).to.equal(5);
    }
  });
});
