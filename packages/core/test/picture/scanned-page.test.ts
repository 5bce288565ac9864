import { expect } from 'chai';
import { isReadable, isUnclear, placedRows, rowsOfPage, textOf } from '@tender-crumb/core/picture';
import { defaultMeasures } from '@tender-crumb/core/quantity';
import { fractionsOf, gramsTaken, mendedScan, readRecipe } from '@tender-crumb/core/reader';
import { nothingLearned } from '@tender-crumb/core/belief';
import { defaultHousehold } from '@tender-crumb/core/household';
import { pasteOf } from '@tender-crumb/core/view';
import { page, row } from './draw.ts';

const rows = rowsOfPage(page(['500 g bread flour', '320 g warm water', '10 g salt']));
const one = { ...rows[0]! };

describe('a page that was read', () => {
  it('is asked about below six tenths of a figure, or of its words, and not above', () => {
    const unclear = (figures: number, words: number) => isUnclear({ ...one, figures, words });
    expect(unclear(0.59, 1)).to.equal(true);
    expect(unclear(0.61, 1)).to.equal(false);
    expect(unclear(1, 0.59)).to.equal(true);
    expect(unclear(1, 0.61)).to.equal(false);
    expect(isUnclear({ ...one, text: '', figures: 0, words: 0 })).to.equal(false);
  });

  it('finds its rows in the text that was made of it, once each; what was typed over has none', () => {
    const text = `Typed above\n\n${textOf(rows)}\n10 g salt`;
    const placed = placedRows(text, [{ id: 'p', rows }]);
    expect([...placed.keys()]).to.deep.equal([3, 4, 5]);
    expect(placed.get(4)!.row.text).to.equal('320 g warm water');
    expect(placedRows(text.replace('320', '330'), [{ rows }]).has(4)).to.equal(false);
    expect(placedRows(text, []).size).to.equal(0);
  });

  it('is one where a short row is clear; nonsense and nothing are none', () => {
    expect(isReadable(rows)).to.equal(true);
    expect(isReadable([])).to.equal(false);
    expect(isReadable(rowsOfPage(row('Bake at 210 °C', 50, 50)))).to.equal(true);
    expect(isReadable(rowsOfPage(row('Oven', 50, 50)))).to.equal(false);
    expect(isReadable(rowsOfPage(page(['EE ew', 'Pi ty', 'aa'], 50)))).to.equal(false);
    const mostly = rows.map((r) => ({ ...r, words: 0.5 }));
    expect(isReadable([...rows.slice(0, 1), ...mostly, ...mostly])).to.equal(false);
  });

  const given = (of: typeof rows) => ({
    text: textOf(of),
    household: defaultHousehold,
    measures: defaultMeasures,
    answers: {},
    which: 0,
    size: undefined,
    said: undefined,
    pages: [{ id: 'card', rows: of }],
    belief: nothingLearned,
  });

  it('what is doubtful stands in no dough until it is answered; its picture goes with the formula', () => {
    const doubtful = rows.map((r) => (r.text.includes('water') ? { ...r, figures: 0.3 } : r));
    const view = pasteOf(given(doubtful));
    expect(view.read!.unread.map((u) => [u.code, u.text, u.mended])).to.deep.equal([
      ['unclear', '320 g warm water', '320 g warm water'],
    ]);
    expect(view.formula!.pages).to.deep.equal(['card']);
    const answered = pasteOf({
      ...given(doubtful),
      answers: { '320 g warm water': { reads: '380 g warm water' } },
    });
    expect(answered.read!.unread).to.deep.equal([]);
    expect(answered.formula!.stages[0]!.lines.map((l) => l.grams)).to.deep.equal([500, 380, 10]);
    expect(pasteOf({ ...given(rows), pages: [] }).formula!.pages).to.equal(undefined);
  });

  it('a row that cannot be read is asked about, and answered by typing it', () => {
    const text = '500 g bread flour\n[?]\n10 g salt';
    const read = (answers = {}) => readRecipe(text, { measures: defaultMeasures, answers });
    expect(read().unread.map((u) => u.code)).to.deep.equal(['unclear']);
    const typed = read({ '[?]': { reads: '330 g water' } });
    expect(typed.formula.stages[0]!.lines.map((l) => l.grams)).to.deep.equal([500, 330, 10]);
  });

  it('a doubtful sentence of the method is no question', () => {
    const text = '500 g bread flour\n320 g water\n\nMethod\nBake at 220 °C for 35 minutes.';
    const read = readRecipe(text, { measures: defaultMeasures, doubted: new Set([5]) });
    expect(read.unread).to.deep.equal([]);
  });
});

// As an engine without fractions in its letters has read them: seen in pictures of cards.
describe('what a photo makes of units and fractions', () => {
  it('a fraction that was not known is offered as each that it may be', () => {
    expect(fractionsOf('1 % tsp instant yeast')[0]).to.equal('1½ tsp instant yeast');
    expect(fractionsOf('2 Ya teaspoons table salt')).to.have.length(3);
    expect(fractionsOf('% cup whole wheat flour')[1]).to.equal('¼ cup whole wheat flour');
    expect(fractionsOf('3V4 tbsp honey')[2]).to.equal('3¾ tbsp honey');
    for (const plain of ['1 1/2 tsp salt', '20 % rye', '2 tsp salt', '100% whole wheat flour'])
      expect(fractionsOf(plain), plain).to.deep.equal([]);
  });
  it('a column of grams whose heading was not known, beside one of percentages', () => {
    const rows = ['white flour   68.4   650', 'rye flour   31.6   300', 'water   75.8   720'];
    const grams = (heading: string) =>
      readRecipe([heading, ...rows].join('\n'), {
        measures: defaultMeasures,
      }).formula.stages.flatMap((s) => s.lines.map((l) => l.grams));
    expect(grams('Ingredient   %   [*]')).to.deep.equal([650, 300, 720]);
    expect(grams('Ingredient   %   gq')).to.deep.equal([650, 300, 720]);
    expect(grams('Ingredient   %   g')).to.deep.equal([650, 300, 720]);
    const numbered = rows.map((r, i) => r.replace(/(\d+)$/, `${i + 1}   $1`));
    const [flour] = readRecipe(['Ingredient   %   no   g', ...numbered].join('\n'), {
      measures: defaultMeasures,
    }).formula.stages[0]!.lines;
    expect(flour!.grams).to.equal(650);
    // A word is the name of something else.
    expect(grams('Ingredient   %   price')).to.not.deep.equal([650, 300, 720]);
  });
  it('which fraction is asked wherever it stands, and not again once it was said', () => {
    const text = '500 g flour\n1% tsp salt\n1 % cups starter';
    const read = (answers = {}) => readRecipe(text, { measures: defaultMeasures, answers });
    expect(read().unread.map((u) => [u.code, u.mended, u.others?.length])).to.deep.equal([
      ['scan', '1½ tsp salt', 2],
      ['scan', '1½ cups starter', 2],
    ]);
    const said = read({ '1% tsp salt': { reads: '1¼ tsp salt' } });
    expect(said.unread).to.have.length(1);
    expect(said.formula.stages.flatMap((s) => s.lines)).to.have.length(2);
  });
  it('pounds and grams that were taken for figures and money', () => {
    expect(mendedScan('11b 1.6 oz warm water')).to.equal('1 lb 1.6 oz warm water');
    expect(mendedScan('1 Ib 6 oz flour')).to.equal('1 lb 6 oz flour');
    expect(mendedScan('14¢ fine sea salt')).to.equal('14 g fine sea salt');
    expect(mendedScan('2 374 cups bread flour')).to.equal('2 3/4 cups bread flour');
    expect(mendedScan('172 tsp salt')).to.equal('1/2 tsp salt');
    expect(mendedScan('172 g salt')).to.equal(undefined);
    expect(mendedScan('I 1/2 cups water')).to.equal('1 1/2 cups water');
    expect(mendedScan('l½ cups water')).to.equal('1½ cups water');
    expect(mendedScan('174 oz flour')).to.equal(undefined);
    expect(mendedScan('05 oz fine sea salt')).to.equal('0.5 oz fine sea salt');
    expect(mendedScan('2 lb flour')).to.equal(undefined);
    expect(gramsTaken('859 rolled oats')).to.equal('85 g rolled oats');
    expect(gramsTaken('85 rolled oats')).to.equal(undefined);
    expect(gramsTaken('9 eggs')).to.equal(undefined);
  });
});
