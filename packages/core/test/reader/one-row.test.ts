import { expect } from 'chai';
import { defaultMeasures } from '@tender-crumb/core/quantity';
import { readRecipe } from '@tender-crumb/core/reader';

/** What goes into the dough, in the order of the text, and what stands beside it. */
function read(text: string) {
  const { formula } = readRecipe(text, { measures: defaultMeasures });
  const lines = formula.stages.flatMap((s) => s.lines);
  return {
    lines: lines.map((l) => `${l.ingredient} ${Math.round(10 * l.grams) / 10}`).sort(),
    outside: (formula.outside ?? []).map((o) => o.ingredient),
    unread: (formula.unread ?? []).map((u) => u.text),
  };
}

describe('several things on one row', () => {
  it('what is done with them is no part of the first; a starter among them takes none of its neighbours', () => {
    const all = ['bread-flour 50', 'plain-flour 500', 'salt 10', 'water 350', 'water 50'];
    for (const row of [
      'Mix 100 g starter, 350 g water, 500 g flour and 10 g salt',
      'Stir together 500 g flour, 350 g water, 100 g starter and 10 g salt',
      'You will need 500 g flour, 350 g water, 10 g salt and 100 g starter',
      '500 g flour; 350 g water; 10 g salt; 100 g starter',
    ])
      expect(read(row).lines, row).to.deep.equal(all);
  });

  it('a sentence about what stands above already is the method, whatever it calls the flour', () => {
    const list = '500 g bread flour\n350 g water\n10 g salt\n100 g starter';
    for (const sentence of [
      'Mix 500 g flour, 350 g water and 10 g salt together, then the starter.',
      'Mix 100 g starter, 350 g water, 500 g flour and 10 g salt.',
      'Stir in 350 g water and 500 g of the flour.',
    ]) {
      const { lines } = read(`${list}\n${sentence}`);
      expect(lines, sentence).to.have.length(5);
      const { steps } = readRecipe(`${list}\n${sentence}`, { measures: defaultMeasures }).formula;
      expect(steps!.map((s) => s.says)).to.deep.equal([sentence]);
    }
    // What does not stand there goes in, and what does is not counted twice.
    const { lines } = read(
      '500 g bread flour\n350 g water\n\nMix 500 g flour, 350 g water and 9 g salt.',
    );
    expect(lines).to.deep.equal(['bread-flour 500', 'salt 9', 'water 350']);
  });

  it('a method keeps its sentences whole', () => {
    const sentence = 'Add 100 g butter, 50 g sugar and 2 eggs, and knead.';
    const { formula } = readRecipe(`500 g flour\n\nMethod\n${sentence}`, {
      measures: defaultMeasures,
    });
    expect(formula.steps!.map((s) => s.says)).to.deep.equal([sentence]);
  });

  it('what is mixed with a levain that is built above is the dough', () => {
    const { formula } = readRecipe(
      'Levain\n50 g rye flour\n50 g water\n\nMix 100 g levain, 350 g water, 450 g bread flour and 10 g salt.',
      { measures: defaultMeasures },
    );
    const grams = (kind: string) =>
      formula.stages.filter((s) => s.kind === kind).flatMap((s) => s.lines.map((l) => l.grams));
    expect(grams('starter')).to.deep.equal([50, 50]);
    expect(grams('dough')).to.deep.equal([350, 450, 10]);
  });

  it('a sum of two measures of one thing stays one', () => {
    const [flour] = read('1 cup and 2 tbsp flour').lines;
    expect(flour).to.equal('plain-flour 140.6');
    expect(read('500 g flour\n1 egg and 1 yolk').lines).to.include.members([
      'egg 50',
      'egg-yolk 17',
    ]);
  });

  it('cells of a table are not things one after another', () => {
    const { lines } = read('name;grams\nbread flour;500\nwater;340\nsalt;10');
    expect(lines).to.deep.equal(['bread-flour 500', 'salt 10', 'water 340']);
  });

  it('a table says its weights in its heading, and leaves the corner over the names empty', () => {
    const table = (unit: string, corner: string) =>
      read(
        `| ${corner} | % | ${unit} |\n|---|---|---|\n| Strong flour | 100 | 2 |\n| Water | 65 | 1.3 |`,
      ).lines;
    for (const corner of ['', 'Ingredient'])
      expect(table('kg', corner)).to.deep.equal(['bread-flour 2000', 'water 1300']);
    expect(table('lb', '')).to.deep.equal(['bread-flour 907.2', 'water 589.7']);
    expect(table('oz', '')).to.deep.equal(['bread-flour 56.7', 'water 36.9']);
  });

  it('states are no part of a name; grain by its season is flour from the mill once it is milled', () => {
    expect(read('500 g bread flour\n200 g scalded milk').lines).to.include('milk 200');
    expect(read('500 g winter wheat, milled fine').lines).to.deep.equal(['fresh-hard-wheat 500']);
    expect(read('500 g bread flour\n300 g winter wheat').unread).to.deep.equal([
      '300 g winter wheat',
    ]);
  });

  it('more of a thing, later, is the same thing', () => {
    for (const row of [
      '330 g water, plus 20 g with the salt',
      '330 g water + 20 g later',
      '330 g water plus another 20 g',
    ])
      expect(read(`500 g bread flour\n${row}`).lines, row).to.include.members([
        'water 330',
        'water 20',
      ]);
    // What it is for, the rest alone is for.
    const dusted = read('500 g flour, plus 50 g for dusting');
    expect(dusted).to.deep.include({ lines: ['plain-flour 500'], outside: ['plain-flour'] });
    // Another thing is another thing.
    expect(read('330 g water, plus 20 g honey').lines).to.deep.equal(['honey 20', 'water 330']);
  });

  it('what several are for stands behind a comma: none of them is in the dough', () => {
    const { lines, outside } = read('500 g flour\n1 egg yolk + 1 tbsp milk, for brushing');
    expect(lines).to.deep.equal(['plain-flour 500']);
    expect(outside).to.deep.equal(['egg-yolk', 'milk']);
  });

  it('boxes to tick, and ounces in the plural', () => {
    expect(read('▢ 480 g bread flour\n❏ 11 ozs water').lines).to.deep.equal([
      'bread-flour 480',
      'water 311.8',
    ]);
  });
});
