import { expect } from 'chai';
import { agreed, rowsOfPage, type PrintedWord } from '@tender-crumb/core/picture';
import { page, row } from './draw.ts';

const texts = (words: readonly PrintedWord[], ink = () => 0) =>
  rowsOfPage(words, ink).map((r) => r.text);
const list = ['500 g bread flour', '320 g warm water', '10 g salt', '7 g instant yeast'];

describe('the words of a page as the rows of a recipe', () => {
  it('by their height, from the top, a gap where there is one', () => {
    const words = page(['Towpath loaf', '', ...list]);
    expect(texts([...words].reverse())).to.deep.equal(['Towpath loaf', '', ...list]);
    expect(texts([])).to.deep.equal([]);
  });

  it('a list and the method beside it are read one after the other', () => {
    const method = ['Mix it all well.', 'Knead it by hand.', 'Let it rise.', 'Bake it hot.'];
    const words = [...page(list, 50), ...page(method, 420)];
    expect(texts(words)).to.deep.equal([...list, '', ...method]);
  });

  it('names and amounts that stand apart are one row, whichever comes first', () => {
    const names = ['bread flour', 'warm water', 'fine salt', 'instant yeast'];
    const amounts = ['500 g', '320 g', '10 g', '7 g'];
    expect(texts([...page(names, 50), ...page(amounts, 400)])[0]).to.equal('bread flour   500 g');
    expect(texts([...page(amounts, 50), ...page(names, 300)])[0]).to.equal('500 g bread flour');
    const large = ['750 g', '480 g', '15 g', '10 g'];
    expect(texts([...page(names, 50), ...page(amounts, 400), ...page(large, 600)])[1]).to.equal(
      'warm water   320 g   480 g',
    );
  });

  it('two rows on both sides are no columns yet, three are', () => {
    const two = [...page(list.slice(0, 2), 50), ...page(['Mix it well', 'Bake it hot'], 420)];
    expect(texts(two)).to.have.length(2);
    const three = [
      ...page(list.slice(0, 3), 50),
      ...page(['Mix it well', 'Let it rise', 'Bake it hot'], 420),
    ];
    expect(texts(three)).to.have.length(7);
  });

  it('a row that was broken at the edge is put together, a list is not', () => {
    expect(
      texts(page(['1. Mix it all and knead it for ten', 'minutes by hand.', '2. Bake it hot.'])),
    ).to.deep.equal(['1. Mix it all and knead it for ten minutes by hand.', '2. Bake it hot.']);
    expect(
      texts(page(['Leave it until it has doubled, about', '90 minutes in a warm place.'])),
    ).to.deep.equal(['Leave it until it has doubled, about 90 minutes in a warm place.']);
    expect(texts(page(['Knead it well and then go on knead-', 'ing it.']))).to.deep.equal([
      'Knead it well and then go on kneading it.',
    ]);
    expect(texts(page(['4 cups unbleached bread flour', '(510 g)', '2 tsp salt']))).to.deep.equal([
      '4 cups unbleached bread flour (510 g)',
      '2 tsp salt',
    ]);
    const outside = ['670 g strong bread flour', 'butter for the greasing', 'oil for the tin'];
    expect(texts(page(outside))).to.deep.equal(outside);
    const steps = ['1. Mix it all', '2. Bake it hot'];
    expect(texts(page(steps))).to.deep.equal(steps);
    const bench = ['plenty of extra flour for the bench', '215 g tepid water'];
    expect(texts(page(bench))).to.deep.equal(bench);
    const names = ['strong white bread flour 500 g', 'wholemeal rye flour 100 g', 'water 390 g'];
    expect(texts(page(names))).to.deep.equal(names);
  });

  it('bullets that were read as letters go, figures before an amount do not', () => {
    const boxed = ['J 500 g flour', '[J 320 g water', '0 10 g salt', '(J 7 g yeast'];
    // All marks are as wide as one another.
    const marks = boxed.map((r) => r.replace(/^\S+/, (m) => m.padEnd(2, ' ').slice(0, 2).trim()));
    const words = marks.flatMap((says, i) => {
      const [mark, ...rest] = says.split(' ');
      const y = 50 + 32 * i;
      return [
        { text: mark!, confidence: 0.7, box: { x0: 50, y0: y, x1: 66, y1: y + 20 } },
        ...row(rest.join(' '), 80, y),
      ];
    });
    expect(texts(words)).to.deep.equal(['500 g flour', '320 g water', '10 g salt', '7 g yeast']);
    const cups = ['1 1/2 cups flour', '2 1/4 cups milk', '3 1/2 cups water'];
    expect(texts(page(cups))).to.deep.equal(cups);
    // One of them is no letter among bullets: what it stands for is asked.
    const one = ['2 1/2 cups flour', '3 1/4 cups milk', 'I 1/2 cups water'];
    expect(texts(page(one))).to.deep.equal(one);
    expect(texts(page(['I 500 g flour', '320 g water']))[0]).to.equal('500 g flour');
  });

  it('where there is ink and no word, a row is missed: it says so', () => {
    const words = page(['500 g bread flour', '320 g warm water', '', '7 g yeast', '20 g oil']);
    expect(texts(words)).to.deep.equal([
      '500 g bread flour',
      '320 g warm water',
      '',
      '7 g yeast',
      '20 g oil',
    ]);
    const asked: number[] = [];
    const found = rowsOfPage(words, ({ y0, y1 }, letter) => {
      asked.push(letter);
      return y0 > 82 && y1 < 160 ? 9 : 0;
    });
    expect(found[2]).to.deep.include({ text: '[?]', figures: 0, words: 0 });
    expect(asked[0]).to.equal(20);
    // Tails of letters between rows that follow one another are none.
    expect(texts(page(list), () => 9)).to.deep.equal(list);
  });

  it('a stain that is as high as three rows puts none of them together', () => {
    const stain = { text: 'Il', confidence: 0.6, box: { x0: 20, y0: 45, x1: 30, y1: 140 } };
    expect(texts([...page(list), stain])).to.deep.equal(list);
  });

  it('tells how surely figures and words were read; the weave of a cloth is no row', () => {
    const words = [...row('2 cups', 50, 50, 0.5), ...row('milk', 130, 50, 0.9)];
    const [milk] = rowsOfPage(words);
    expect(milk!.figures).to.equal(0.5);
    expect(milk!.words).to.be.within(0.6, 0.8);
    expect(rowsOfPage(row('salt and water', 50, 50, 0.9))[0]!.figures).to.equal(1);
    expect(rowsOfPage(row('Wi ea NR tt', 50, 50, 0.3))).to.deep.equal([]);
  });
});

describe('a second look', () => {
  const look = (text: string, confidence = 0.85): PrintedWord[] => [
    { text, confidence, box: { x0: 0, y0: 0, x1: 40, y1: 20 } },
  ];
  const sure = (first: string, second: PrintedWord[]) => agreed(look(first), second)[0]!.confidence;

  it('disputes a figure that it takes for another, and is no worse for what it agrees on', () => {
    expect(sure('530', look('538', 0.99))).to.equal(0.4);
    expect(sure('530', look('530', 0.95))).to.equal(0.95);
    expect(sure('530', look('530', 0.5))).to.equal(0.85);
    expect(sure('(530', look('530,', 0.95))).to.equal(0.95);
    expect(sure('530', [])).to.equal(0.4);
    // Elsewhere on the page it says nothing.
    const below = { ...look('530')[0]!, box: { x0: 0, y0: 30, x1: 40, y1: 50 } };
    expect(sure('530', [below])).to.equal(0.4);
  });

  it('words without figures are as they were', () => {
    expect(sure('flour', look('floor', 0.99))).to.equal(0.85);
  });
});
