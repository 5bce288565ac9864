import { expect } from 'chai';
import { coolingOf } from '@tender-crumb/core/style';
import fc from 'fast-check';
import { bakeLoss } from '@tender-crumb/core/bake';
import {
  afterMove,
  coreReadings,
  divide,
  dividing,
  doneBy,
  fiveMore,
  formRows,
  overPour,
  ovenPlace,
  ovenSetting,
  pieceSlack,
  plaitAfter,
  plaits,
  plaitStrands,
  scraps,
  setAside,
  strandCm,
  warmPlaces,
  type Division,
} from '@tender-crumb/core/hands';
import { level } from '@tender-crumb/core/dough';
import { resolve, type ResolvedLine } from '@tender-crumb/core/formula';
import { kitchenOf } from '@tender-crumb/core/belief';
import { defaultHousehold } from '@tender-crumb/core/household';
import { isRefused } from '@tender-crumb/core/quantity';
import { build } from '../build.ts';

describe('dividing (handbook section 12)', () => {
  const of = (dough: number, pieces: number, more = {}) => divide(dough, pieces, more) as Division;

  it('dough − scraps = pieces × weight, scraps 1 to 2 %', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 50, max: 20_000, noNaN: true }),
        fc.integer({ min: 1, max: 200 }),
        (dough, pieces) => {
          const { each, scraps: lost } = of(dough, pieces);
          expect(pieces * each + lost).to.be.closeTo(dough, 1e-6);
          expect(of(dough, pieces, { aside: 10 }).whole).to.be.closeTo(dough - lost - 10, 1e-6);
          expect(lost / dough).to.be.within(0.01, 0.02);
        },
      ),
    );
  });

  it('500 g of flour make 8 rolls of about 104 or 10 to 14 small ones', () => {
    const dough = 500 * 1.69;
    expect(of(dough, 8, { form: 'rolls' })).not.to.have.property('unusual');
    expect(of(dough, 8).each).to.be.closeTo(104, 1);
    for (const pieces of [10, 13])
      expect(of(dough, pieces, { form: 'rolls' })).not.to.have.property('unusual');
    expect(of(dough, 14, { form: 'rolls' }).unusual).to.match(/lighter than usual \(60 to 105 g\)/);
    expect(of(dough, 7, { form: 'rolls' }).unusual).to.match(/heavier/);
    expect(formRows.rings.usual).to.deep.equal([100, 115]);
  });

  it('0 pieces, half a piece, and more than a bench holds are refused in words', () => {
    for (const pieces of [0, -1, 2.5, NaN, 201])
      expect(isRefused(divide(900, pieces)), String(pieces)).to.equal(true);
    expect(isRefused(divide(900, 200))).to.equal(false);
    expect(isRefused(divide(0, 4))).to.equal(true);
    expect(isRefused(divide(900, 4, { aside: 900 }))).to.equal(true);
  });

  it('what is left is spread over the pieces still to come, and at the end over all', () => {
    const so = dividing(800, 8, [110, 95]);
    expect(so.next).to.be.closeTo((800 - 205) / 6, 1e-9);
    const weighed: number[] = [];
    for (let i = 0; i < 8; i += 1) weighed.push(Math.round(dividing(800, 8, weighed).next));
    expect(weighed.reduce((a, b) => a + b)).to.equal(800);
    expect(dividing(800, 8, weighed)).to.include({ left: 0, over: 0, done: 8 });
    const heavy = dividing(800, 2, [420, 420]);
    expect(heavy.over).to.equal(-20);
    expect(pieceSlack).to.equal(0.05);
  });

  it('a custom holds from its flour on, and no household has one unless it says so', () => {
    const custom = { name: 'set aside', fromFlour: 1200, grams: 30 };
    expect(setAside(custom, 1199)).to.equal(undefined);
    expect(setAside(custom, 1200)).to.equal(30);
    expect(setAside(undefined, 5000)).to.equal(undefined);
    expect(scraps.value).to.equal(0.015);
  });
});

describe('plaits, crossing by crossing', () => {
  it('three strands: right over the middle, then left over the middle; after six moves all lie as at first', () => {
    expect(plaitAfter(plaits[3], 1)).to.deep.equal([0, 2, 1]);
    expect(plaitAfter(plaits[3], 2)).to.deep.equal([2, 0, 1]);
    expect(plaitAfter(plaits[3], 6)).to.deep.equal([0, 1, 2]);
  });

  it('four and six: the strand at the right goes to the left edge; after as many moves as strands all lie as at first', () => {
    for (const n of [4, 6] as const) {
      const first = Array.from({ length: n }, (_, i) => i);
      expect(plaitAfter(plaits[n], 1)).to.deep.equal([n - 1, ...first.slice(0, -1)]);
      expect(plaitAfter(plaits[n], n)).to.deep.equal(first);
    }
  });

  it('each move is what its words say: so many over, so many under', () => {
    const ups = (n: 4 | 6) =>
      plaits[n].moves[0].crossings.map((c) => (c.leftOver ? 'under' : 'over'));
    expect(ups(4)).to.deep.equal(['over', 'under', 'over']);
    expect(ups(6)).to.deep.equal(['over', 'over', 'under', 'over', 'over']);
    expect(plaits[3].moves[0].crossings).to.deep.equal([{ at: 1, leftOver: false }]);
    expect(plaits[3].moves[1].crossings).to.deep.equal([{ at: 0, leftOver: true }]);
  });

  it('no strand is ever lost, and each of them lies on top now and then: it holds', () => {
    for (const n of plaitStrands) {
      const { moves } = plaits[n];
      let order = Array.from({ length: n }, (_, i) => i);
      const above = new Set<number>();
      for (let i = 0; i < 4 * n; i += 1) {
        const move = moves[i % moves.length]!;
        let places = [...order];
        for (const { at, leftOver } of move.crossings) {
          above.add(places[leftOver ? at : at + 1]!);
          places = afterMove(places, { says: '', crossings: [{ at, leftOver }] });
        }
        order = afterMove(order, move);
        expect([...order].sort()).to.deep.equal(Array.from({ length: n }, (_, k) => k));
      }
      expect(above.size, String(n)).to.equal(n);
    }
    expect([strandCm(30), strandCm(150), strandCm(600)]).to.deep.equal([20, 42, 55]);
  });
});

describe('the oven (handbook sections 12 and 13)', () => {
  it('is set by what it is hotter than it says, and 20 °C lower with a fan', () => {
    expect(ovenSetting(230, {})).to.deep.equal({ set: 230, says: '' });
    expect(ovenSetting(230, { fan: true }).set).to.equal(210);
    expect(ovenSetting(230, { offset: 10 }).set).to.equal(220);
    expect(ovenSetting(230, { offset: -10 }).set).to.equal(240);
    expect(ovenSetting(230, { offset: -10 }).says).to.match(/10 °C more, as it is colder/);
    expect(ovenSetting(178, { fan: true, offset: 10 }).set).to.equal(150);
  });

  it('the pizza stands low, the pot keeps its lid for 20 minutes, lean loaves get steam and enriched ones none', () => {
    expect(ovenPlace('pizza').rack).to.match(/second lowest/);
    expect(ovenPlace('hearth-white').lid).to.match(/20 minutes/);
    expect(ovenPlace('hearth-yeast').steam).to.match(/boiled water/);
    expect(ovenPlace('hearth-yeast', 'loaf', { steam: 'own' }).steam).to.match(/own steam/);
    expect(ovenPlace('hearth-yeast', 'loaf', { steam: 'none' }).steam).to.match(/makes no steam/);
    expect(ovenPlace('plait', 'plait').steam).to.equal(undefined);
    expect(ovenPlace('pan', 'sticks').steam).to.be.a('string');
  });

  it('a warm place: at 50 °C for five minutes, or at its lowest for one where it goes no lower', () => {
    expect(warmPlaces({ lowest: 50 })[0]!.says).to.match(/50 °C for five minutes, then off/);
    expect(warmPlaces({ lowest: 60 })[0]!.says).to.match(/60 °C, its lowest, for one minute/);
    expect(warmPlaces({ lowest: 55 })[0]!.says).to.match(/55 °C for five minutes/);
    expect(warmPlaces({ lowest: 56 })[0]!.says).to.match(/56 °C, its lowest/);
    expect(warmPlaces(undefined)[0]!.says).to.match(/24 to 26 °C/);
  });

  it('the middle says whether it is done: below, within and above, at each end', () => {
    const at = (celsius: number) => doneBy([{ minute: 30, celsius }], [88, 93])!.standing;
    expect([at(82.9), at(83), at(87.9), at(88), at(95), at(95.1)]).to.deep.equal([
      'raw',
      'nearly',
      'nearly',
      'done',
      'done',
      'past',
    ]);
    expect(doneBy([], [88, 93])).to.equal(undefined);
  });

  it('readings count from when it went in, and none before that', () => {
    const core = [
      { celsius: 30, at: '2026-11-26T07:59:00Z' },
      { celsius: 84, at: '2026-11-26T08:30:00Z' },
    ];
    expect(coreReadings(core, '2026-11-26T08:00:00Z')).to.deep.equal([
      { minute: 0, celsius: 30 },
      { minute: 30, celsius: 84 },
    ]);
  });

  it('two readings tell how fast it warms; nearly done it is five minutes more at least', () => {
    const more = (...readings: ReadonlyArray<readonly [number, number]>) =>
      doneBy(
        readings.map(([minute, celsius]) => ({ minute, celsius })),
        [93, 99],
      )!.more;
    expect(more([20, 60], [25, 75])).to.equal(6);
    expect(more([20, 70], [25, 75])).to.equal(18);
    expect(more([20, 74.9], [25, 75])).to.equal(30);
    expect(more([25, 90])).to.equal(fiveMore);
    expect(more([25, 75])).to.equal(15);
  });

  it('cools an hour or two, longer for a heavy loaf, rye for a day, pizza not at all', () => {
    expect(coolingOf('pan', 500).cut).to.equal(60);
    expect(coolingOf('pan', 1000).cut).to.equal(90);
    expect(coolingOf('rye', 400).cut).to.equal(24 * 60);
    expect(coolingOf('rye', 2000).cut).to.equal(24 * 60);
    expect(coolingOf('pizza', 250).cut).to.equal(0);
    expect(coolingOf('low-carb', 600).says).to.match(/Chilled/);
    expect([coolingOf('pan', 199).outOfPan, coolingOf('pan', 200).outOfPan]).to.deep.equal([0, 10]);
    // What stands on a tray is taken out of no tin: a plait, rolls, a sheet, a loaf out of its pot.
    const onTray = [
      coolingOf('plait', 850),
      coolingOf('pan', 400, 'plait'),
      coolingOf('rolls', 400),
      coolingOf('flatbread', 800),
      coolingOf('hearth-white', 800),
      coolingOf('griddle', 400),
    ];
    expect(onTray.map((c) => c.outOfPan)).to.deep.equal([0, 0, 0, 0, 0, 0]);
    expect(coolingOf('rye', 900).outOfPan).to.equal(10);
    expect(coolingOf('quick', 900).outOfPan).to.equal(10);
    expect(coolingOf('plait', 850, 'loaf').outOfPan).to.equal(10);
  });

  it('what was lost in the oven: 800 g that went in and 704 that came out are 12 %', () => {
    expect(bakeLoss({ before: 800, after: 704 })).to.be.closeTo(0.12, 1e-12);
    expect(bakeLoss({ before: 800, after: 801 })).to.equal(undefined);
    expect(bakeLoss({ before: 800 })).to.equal(undefined);
  });
});

describe('a pour that missed its mark', () => {
  const kitchen = kitchenOf(defaultHousehold);
  const lines = resolve(
    build({ 'bread-flour': 420, water: 250, oil: 20, salt: 8, 'instant-yeast': 5 }),
  );
  const id = (ingredient: string) => lines.find((l) => l.ingredient === ingredient)!.id;
  const pour = (ingredient: string, off: number) => {
    const line = lines.find((l) => l.ingredient === ingredient)!;
    return overPour(lines, line.id, line.grams + off, kitchen);
  };
  const points = (of: readonly ResolvedLine[]) => level(of, kitchen)!.points;

  it('too much water: so much more flour brings the level back, within a fifth of a point', () => {
    const over = pour('water', 12)!;
    expect(over.fix).to.include({ line: id('bread-flour'), name: 'strong bread flour' });
    expect(over.says).to.match(/^12\sg over, which makes the dough softer/);
    const mended = lines.map((l) =>
      l.ingredient === 'water'
        ? { ...l, grams: l.grams + 12 }
        : l.ingredient === 'bread-flour'
          ? { ...l, grams: l.grams + over.fix!.grams }
          : l,
    );
    expect(points(mended)).to.be.closeTo(points(lines), 0.2);
    // A spoon of flour drinks about .6 of itself: handbook section 4.
    expect(over.fix!.grams).to.be.within(17, 22);
  });

  it('too much flour: so much more water', () => {
    const over = pour('bread-flour', 25)!;
    expect(over.fix!.name).to.equal('water');
    const mended = lines.map((l) =>
      l.ingredient === 'bread-flour'
        ? { ...l, grams: l.grams + 25 }
        : l.ingredient === 'water'
          ? { ...l, grams: l.grams + over.fix!.grams }
          : l,
    );
    expect(points(mended)).to.be.closeTo(points(lines), 0.2);
  });

  it('so little that nobody feels it is not said; just above, it is', () => {
    expect(pour('water', 3)).to.equal(undefined);
    expect(pour('water', -3)).to.equal(undefined);
    expect(pour('water', 4)).not.to.equal(undefined);
    expect(pour('oil', 1)).to.equal(undefined);
  });

  it('salt and yeast are said by their share, and have no cure but a spoon', () => {
    expect(pour('salt', 0.79)).to.equal(undefined);
    expect(pour('salt', 0.81)).not.to.equal(undefined);
    expect(pour('salt', 4)!.says).to.match(/4\sg over, 50\.0\s%.*saltier/);
    expect(pour('instant-yeast', -2)!.says).to.match(/it rises later/);
    expect(pour('salt', 4)!.fix).to.equal(undefined);
  });

  it('a line that is not there is nothing', () => {
    expect(overPour(lines, 'none', 5, kitchen)).to.equal(undefined);
  });
});
