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
