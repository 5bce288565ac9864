import { expect } from 'chai';
import { catalogue } from '@tender-crumb/core/ingredient';
import { defaultMeasures, type Measures } from '@tender-crumb/core/quantity';
import {
  choiceIn,
  disagreementsOf,
  flourPhrase,
  matchIngredient,
  mendedScan,
  readRecipe,
  regionOf,
  sizesIn,
  type Answer,
} from '@tender-crumb/core/reader';
import { hazardsOf } from '@tender-crumb/core/caution';
import { read } from '../build.ts';

const lines = (text: string, more: { answers?: Record<string, Answer>; size?: number } = {}) =>
  readRecipe(text, { measures: defaultMeasures, ...more }).formula.stages.flatMap((s) =>
    s.lines.map((l) => `${l.ingredient} ${Math.round(l.grams * 10) / 10}`),
  );

describe('flour is a phrase', () => {
  const phrases: ReadonlyArray<readonly [said: string, id: string | undefined, near?: true]> = [
    // Ash numbers of German types (DIN 10355) and of French ones; Italian grades by name: from memory.
    ['Weizenmehl Type 405', 'flour-405'],
    ['Mehl Typ 550', 'flour-550'],
    ['Weizenvollkornmehl', 'whole-wheat'],
    ['Roggenmehl Type 815', 'rye-white'],
    ['Roggenmehl Type 1150', 'rye-medium'],
    ['Roggenvollkornmehl', 'rye-whole'],
    ['Dinkelmehl Type 630', 'spelt-white'],
    ['Dinkelmehl 1050', 'spelt-whole', true],
    ['farine de blé T45', 'flour-405'],
    ['farine T150', 'whole-wheat'],
    ['farine de seigle T130', 'rye-medium'],
    ['farina tipo 00', 'flour-00'],
    ['farina integrale', 'whole-wheat'],
    ['semola di grano duro', 'durum'],
    ['grano saraceno', undefined],
    ['strong wholemeal bread flour', 'whole-wheat'],
    ['freshly milled hard red winter wheat', 'fresh-hard-wheat'],
    ['freshly ground soft white wheat flour', 'fresh-soft-wheat'],
    ['stone-ground whole wheat flour', 'whole-wheat'],
    ['extra strong white flour', 'very-strong-flour'],
    ['cream flour', 'plain-flour'],
    ['85 % extraction wheat flour', 'flour-1050', true],
    ['sprouted wheat flour', 'whole-wheat', true],
    ['Weizenmehl Type 9999', undefined],
    ['peanut flour', undefined],
    ['red wheat', undefined],
    ['cream', undefined],
    ['bread', undefined],
    ['flour sifter', undefined],
  ];
  for (const [said, id, near] of phrases)
    it(`“${said}”: ${id ?? 'no flour'}`, () => {
      const meant = flourPhrase(said);
      expect(meant?.id).to.equal(id);
      expect(meant?.near).to.equal(near);
    });

  it('what is only the nearest is said', () => {
    const { assumptions } = read('500 g Dinkelmehl Type 1050\n330 g water');
    expect(assumptions.map((a) => a.text).join()).to.match(/reckoned as whole spelt flour/);
    expect(read('500 g Dinkelmehl Type 630\n330 g water').assumptions).to.deep.equal([]);
  });
});

describe('what a thing is, and what it is reckoned as', () => {
  const kept: ReadonlyArray<readonly [said: string, id: string, as: string, allergen?: string]> = [
    ['ghee', 'ghee', 'lard', 'milk'],
    ['coconut oil', 'coconut-oil', 'lard'],
    ['inulin', 'inulin', 'allulose'],
    ['monk fruit sweetener', 'strong-sweetener', 'allulose'],
    ['marzipan', 'marzipan', 'icing-sugar', 'nuts'],
    ['flaked almonds', 'flaked-almonds', 'walnuts', 'nuts'],
    ['low sodium salt', 'low-sodium-salt', 'pickling-salt'],
    ['ascorbic acid', 'ascorbic-acid', 'improver'],
    ['diastatic malt powder', 'diastatic-malt', 'improver', 'gluten'],
    ['celery salt', 'celery-salt', 'pickling-salt', 'celery'],
    ['smoked salmon', 'cooked-fish', 'meat', 'fish'],
    ['tofu', 'tofu', 'beans', 'soy'],
  ];
  for (const [said, id, as, allergen] of kept)
    it(`${said} keeps its name, and behaves like ${as}`, () => {
      const of = matchIngredient(said)!;
      expect([of.id, of.reckonedAs]).to.deep.equal([id, as]);
      const like = catalogue.find((i) => i.id === as)!;
      expect(of.absorption).to.deep.equal(like.absorption);
      expect(of.role).to.equal(like.role);
      if (allergen) expect(of.allergens).to.include(allergen);
      const { assumptions } = read(`500 g bread flour\n320 g water\n10 g ${said}`);
      expect(assumptions.map((a) => a.text).join()).to.contain(`${of.name} is reckoned as`);
    });

  it('no name of the catalogue is two things', () => {
    const seen = new Map<string, string>();
    for (const { id, name, aliases } of catalogue)
      for (const said of new Set([name.toLowerCase(), ...aliases])) {
        const other = seen.get(said);
        expect(other === undefined || other === id, `${said}: ${other} and ${id}`).to.equal(true);
        seen.set(said, id);
      }
  });

  it('a hazard is seen in a row that was not read', () => {
    expect(
      hazardsOf({ of: undefined, asWritten: '2 blorps of birch sugar' }).has('xylitol'),
    ).to.equal(true);
  });
});

describe('a choice in a row', () => {
  it('of things that do the same the first is taken, and that is said', () => {
    const { assumptions } = read('500 g bread flour\n320 g water\n30 g butter or oil');
    expect(lines('500 g bread flour\n320 g water\n30 g butter or oil')).to.include('butter 30');
    expect(assumptions.map((a) => a.text).join()).to.contain('“butter or oil”: butter');
  });
  it('of others it is asked, with each of them', () => {
    const { unread } = read('500 g bread flour\n320 g water\n30 g butter or honey');
    expect(unread.map((u) => [u.code, u.might])).to.deep.equal([['several', ['butter', 'honey']]]);
  });
  it('drinks as much within a twentieth of its weight, or is another thing', () => {
    // Bread and plain flour: .62 and .58; bread and cake flour .62 and .52.
    expect(choiceIn('plain or bread flour')?.alike).to.equal(true);
    expect(choiceIn('bread or cake flour')?.alike).to.equal(false);
    expect(choiceIn('water/milk')?.alike).to.equal(true);
    // Water and cream: 100 and 58 g of water in 100 (USDA 01053, from memory).
    expect(choiceIn('water or cream')?.alike).to.equal(false);
    expect(choiceIn('butter or blorp')).to.equal(undefined);
  });
});

describe('a scan', () => {
  const scans: ReadonlyArray<readonly [scanned: string, mended: string | undefined]> = [
    ['5O0 g bread flour', '500 g bread flour'],
    ['lO g salt', '10 g salt'],
    ['I tsp yeast', '1 tsp yeast'],
    ['V2 tsp salt', '½ tsp salt'],
    ['3 % cups flour', '3½ cups flour'],
    ['1l5 g flour', '115 g flour'],
    ['1 l water', undefined],
    ['1l water', undefined],
    ['1/2 tsp salt', undefined],
    ['500 g flour', undefined],
    ['oil 20 g', undefined],
    ['2 % salt', undefined],
  ];
  for (const [scanned, mended] of scans)
    it(`“${scanned}”: ${mended ?? 'as it stands'}`, () =>
      expect(mendedScan(scanned)).to.equal(mended));

  it('is never mended in silence, and reads so once that is confirmed', () => {
    const text = '5O0 g bread flour\n320 g water';
    expect(lines(text)).to.deep.equal(['water 320']);
    expect(read(text).unread[0]).to.include({ code: 'scan', mended: '500 g bread flour' });
    const answers = { '5O0 g bread flour': { reads: '500 g bread flour' } };
    expect(lines(text, { answers })).to.deep.equal(['bread-flour 500', 'water 320']);
  });
});

describe('a recipe in several sizes', () => {
  const text =
    'Machine loaf     1 lb     2 lb\nbread flour     300 g     450 g\nwater     195 g     290 g\nsalt     5 g     8 g\ninstant yeast     3 g     5 g';
  it('none is taken until one is chosen', () => {
    const { unread, sizes } = read(text);
    expect(sizes).to.deep.equal(['1 lb', '2 lb']);
    expect(unread.map((u) => u.code)).to.deep.equal(['sizes', 'sizes', 'sizes', 'sizes']);
    expect(lines(text)).to.deep.equal([]);
  });
  it('each can be', () => {
    expect(lines(text, { size: 0 })).to.deep.equal([
      'bread-flour 300',
      'water 195',
      'salt 5',
      'instant-yeast 3',
    ]);
    expect(lines(text, { size: 1 })).to.include('water 290');
  });
  it('the same in two units, and per cent beside grams, are one size', () => {
    expect(
      sizesIn('bread flour | 3 cups | 375 g\nwater | 1 cup | 237 g\nsalt | 2 tsp | 12 g'),
    ).to.equal(undefined);
    expect(sizesIn('flour | 100 | 500\nwater | 65 | 325\nsalt | 2 | 10')).to.equal(undefined);
    expect(sizesIn('flour | 300 g | 450 g\nwater | 195 g | 290 g')).to.equal(undefined);
    expect(sizesIn('flour | 300 g | 450 g\nwater | 195 g | 290 g\nsalt | 5 g | 8 g')).to.not.equal(
      undefined,
    );
    // Amounts in columns that do not grow together are two breads, and no two sizes of one.
    expect(sizesIn('flour | 300 g | 450 g\nwater | 300 g | 90 g\nsalt | 2 g | 8 g')).to.equal(
      undefined,
    );
  });
});

describe('amounts in sentences', () => {
  it('where there is no list they are offered, and none is put in', () => {
    const text =
      'Take 500 g of bread flour and stir in 340 g of water. Work in 10 g of salt after half an hour. Bake it at 230 °C.';
    const { unread } = read(text);
    expect(lines(text)).to.deep.equal([]);
    expect(unread.map((u) => [u.code, u.might[0]])).to.deep.equal([
      ['in-method', 'bread-flour'],
      ['in-method', 'water'],
      ['in-method', 'salt'],
    ]);
    const answers = Object.fromEntries(unread.map((u) => [u.text, { is: u.might[0]! }]));
    expect(lines(text, { answers })).to.deep.equal(['bread-flour 500', 'water 340', 'salt 10']);
    expect(readRecipe(text, { measures: defaultMeasures, answers }).unread).to.deep.equal([]);
  });
  it('where there is one only what is in no row of it is asked about', () => {
    const list = '500 g bread flour\n340 g water\n10 g salt\n5 g instant yeast\n\nMethod\n';
    expect(read(`${list}Pour in 300 g of the water and knead.`).unread).to.deep.equal([]);
    expect(read(`${list}Fold in 80 g raisins.`).unread.map((u) => u.code)).to.deep.equal([
      'in-method',
    ]);
    expect(read(`${list}Sprinkle with 20 g seeds and bake.`).unread).to.deep.equal([]);
  });
  it('of two in a sentence each is its own', () => {
    const { unread } = read(
      '500 g bread flour\n320 g water\n\nMethod\nTake 30 g butter and 20 g honey and put them in.',
    );
    expect(unread.map((u) => u.text)).to.deep.equal(['30 g butter', '20 g honey']);
  });
  it('a rate by the kilo of flour is a share of it', () => {
    expect(lines('1 kg wholemeal spelt flour\n10 g gluten per kilo of flour')).to.deep.equal([
      'spelt-whole 1000',
      'vital-gluten 10',
    ]);
  });
});

describe('a starter that the work speaks of', () => {
  it('is the one that stands above, and no other', () => {
    const list = '500 g flour\n340 g water\n10 g salt\n100 g starter';
    const whole = lines(list);
    for (const work of [
      'Mix the 100 g starter with water and flour. Add 10 g salt and the starter.',
      'Stir 100 g starter into 340 g water. Add the flour.',
      'Feed the starter the night before.',
    ])
      expect(lines(`${list}\n\n${work}`), work).to.deep.equal(whole);
  });
});

describe('parts and columns', () => {
  it('a part on one row keeps all that is in it, the biga with it', () => {
    const text =
      'Ciabatta\nBiga (night before): 250 g bread flour, 140 g water, 1 g instant yeast\nDough: all the biga, 250 g bread flour, 260 g water, 10 g salt';
    expect(lines(text)).to.deep.equal([
      'bread-flour 250',
      'water 140',
      'instant-yeast 1',
      'bread-flour 250',
      'water 260',
      'salt 10',
    ]);
  });
  it('a row that names a starter beside other things is asked about, and swallows none', () => {
    const { unread } = read(
      '500 g bread flour\nflour 100 g and starter 100 g mixed with 50 g honey',
    );
    expect(unread).to.have.length(1);
    expect(unread[0]!.code).to.equal('several');
  });
  it('water with the starter is water, and no more starter', () => {
    expect(lines('500 g flour\n350 g water with the starter\n100 g starter')).to.deep.equal([
      'bread-flour 50',
      'water 50',
      'plain-flour 500',
      'water 350',
    ]);
  });
  it('columns that spaces part below their heading, and a title that says sourdough', () => {
    const { formula } = read(
      'SOURDOUGH RYE (2 loaves)\n\n             grams    %\nRye flour     500     50\nBread flour   500     50\nWater         750     75\nSalt           20      2\nStarter       200     20\n\nMix, rest 1 hr. Shape.',
    );
    expect(formula.name).to.equal('SOURDOUGH RYE (2 loaves)');
    expect(formula.stages.map((s) => [s.kind, s.lines.length])).to.deep.equal([
      ['starter', 2],
      ['dough', 4],
    ]);
    expect(formula.steps?.map((s) => s.says)).to.deep.equal(['Mix, rest 1 hr. Shape.']);
  });
  it('a cake of yeast is fresh', () => {
    expect(lines('1 kg flour\n1 cake yeast').at(-1)).to.equal('fresh-yeast 17');
  });
});

describe('a starter as a share of the flour', () => {
  it('is so much of it, and no hydration; from 80 in 100 on it is asked', () => {
    expect(lines('500 g bread flour\n330 g water\nlevain 20 %')).to.include.members([
      'bread-flour 50',
      'water 50',
    ]);
    expect(lines('500 g bread flour\n330 g water\n79 % starter')).to.include('water 197.5');
    expect(read('500 g bread flour\n330 g water\nstarter 80 %').unread).to.have.length(1);
    // Of several on one row none is gone.
    expect(lines('100 % bread flour, 65 % water, 20 % starter')).to.include('water 50');
    expect(lines('100 % bread flour\n65 % water\n20 % starter')).to.deep.equal([
      'bread-flour 50',
      'water 50',
      'bread-flour 500',
      'water 325',
    ]);
  });
});

describe('an amount in the middle of a row, in brackets behind, or in words of another language', () => {
  const rows: ReadonlyArray<readonly [string, string]> = [
    ['butter, 50 g, softened', 'butter 50'],
    ['½ Würfel Hefe', 'fresh-yeast 21'],
    ['500 Gramm Mehl', 'plain-flour 500'],
    ['1 EL Honig', 'honey 21.2'],
    ['10 g di sale', 'salt 10'],
    ['une pincée de sel', 'salt 0.4'],
    ['1 000 g flour', 'plain-flour 1000'],
    ['2 tins pumpkin (400 g each)', 'pumpkin 800'],
    ['12 g fresh yeast or 4 g dried', 'fresh-yeast 12'],
    ['water at 30 °C, 320 g', 'water 320'],
    ['320 g water at 30 °C', 'water 320'],
    ['500 g flour: 400 g white, 100 g wholemeal', 'plain-flour 400'],
    ['250 g (2 cups) bread flour, plus 60 g (½ cup) for dusting', 'bread-flour 250'],
  ];
  for (const [row, line] of rows)
    it(`“${row}”: ${line}`, () => expect(lines(row)[0]).to.equal(line));
});

describe('where a recipe is from', () => {
  it('shows by its words, or is not said', () => {
    expect(regionOf('¾ pint tepid water\n450 g strong white flour')).to.deep.include({
      name: 'British',
      measures: { cup: 'imperial', tablespoon: 'metric' },
    });
    expect(regionOf('3 cups all-purpose flour, 1 stick of butter')?.name).to.equal('American');
    expect(regionOf('3 cups baker’s flour')?.name).to.equal('Australian');
    expect(regionOf('500 g bread flour\n320 g water')).to.equal(undefined);
    expect(regionOf('all-purpose flour, and plain flour')).to.equal(undefined);
  });
  it('a pint of its own is read by its own measures', () => {
    // CLDR: an imperial pint is 568.26 ml, a US one 473.18 ml.
    const measures: Measures = { ...defaultMeasures, ...regionOf('1 pint tepid water')!.measures };
    const [line] = readRecipe('1 pint water', { measures }).formula.stages[0]!.lines;
    expect(line!.grams).to.be.closeTo(568.3, 1);
  });
});

describe('an amount that is left over in a row', () => {
  const asked = (row: string) => read(`500 g bread flour\n${row}`).unread.map((u) => u.code);
  it('is asked about, where it does not say the first once more', () => {
    // A US cup of water is 237 g; within three tenths an amount is taken for the same, filled otherwise.
    expect(asked('240 g water (1 cup of it warm)')).to.deep.equal([]);
    expect(asked('240 g water (300 g if it is dry)')).to.deep.equal([]);
    expect(asked('240 g water (320 g if it is dry)')).to.deep.equal(['several']);
  });
});

describe('a recipe held against itself', () => {
  const of = (said: string) => {
    const text = `${said}\n500 g bread flour\n350 g water\n10 g salt\n5 g instant yeast`;
    return read(text).disagrees;
  };
  it('hydration, weights and pieces are told with both figures', () => {
    expect(of('Hydration 80 %')).to.deep.equal([
      { what: 'hydration', said: 80, read: 70, unit: '%' },
    ]);
    expect(of('Total dough weight 1000 g')).to.deep.equal([
      { what: 'dough', said: 1000, read: 865, unit: 'g' },
    ]);
    expect(of('Total flour: 600 g')).to.deep.equal([
      { what: 'flour', said: 600, read: 500, unit: 'g' },
    ]);
    expect(of('Makes 9 rolls of 76 g')).to.deep.equal([
      { what: 'pieces', said: 684, read: 865, unit: 'g' },
    ]);
  });
  it('what is rounded is no disagreement: 4 in 100, and no more', () => {
    expect(of('Hydration 68 %')).to.deep.equal([]);
    expect(of('Hydration 67 %')).to.have.length(1);
    expect(of('Total dough weight 900 g')).to.deep.equal([]);
    expect(of('Total dough weight 905 g')).to.have.length(1);
  });
  it('milk may be counted as the water in it, or as all that is poured', () => {
    const milk = (said: number) =>
      read(`Hydration ${said} %\n500 g bread flour\n350 g milk`).disagrees;
    // 70 % poured; 88 g of water in 100 g of milk (USDA 01077, from memory): 62 %.
    expect(milk(70)).to.deep.equal([]);
    expect(milk(62)).to.deep.equal([]);
    expect(milk(80)).to.deep.equal([{ what: 'hydration', said: 80, read: 70, unit: '%' }]);
  });
  it('a starter’s own hydration is not the dough’s', () => {
    expect(of('with starter at 100 % hydration')).to.deep.equal([]);
    expect(disagreementsOf('Hydration 80 %', read('nothing').formula)).to.deep.equal([]);
  });
});

describe('yeast that says no kind', () => {
  const yeast = (grams: number, flour = 500) =>
    lines(`${flour} g bread flour\n320 g water\n${grams} g yeast`).at(-1);
  it('is fresh where there is more than dried yeast there ever is', () => {
    expect(yeast(42, 1000)).to.equal('fresh-yeast 42');
    expect(yeast(13)).to.equal('fresh-yeast 13');
    expect(yeast(12)).to.equal('active-dry-yeast 12');
    expect(lines('500 g bread flour\n20 g instant yeast').at(-1)).to.equal('instant-yeast 20');
    // What the baker says it is, it is.
    const answers = { '42 g yeast': { is: 'instant-yeast' } };
    expect(lines('1000 g bread flour\n42 g yeast', { answers }).at(-1)).to.equal(
      'instant-yeast 42',
    );
  });
});
