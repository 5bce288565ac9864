import { expect } from 'chai';
import loadHighs from 'highs';
import {
  findBread,
  programmeOf,
  type CandidateStuff,
  type Goal,
  type Programme,
  solveProgramme,
} from '@tender-crumb/core/goal';
import { kitchenOf } from '@tender-crumb/core/belief';
import { defaultHousehold } from '@tender-crumb/core/household';
import { catalogue, ingredient } from '@tender-crumb/core/ingredient';
import { seeded } from '../seeded.ts';

const kitchen = kitchenOf(defaultHousehold);
const priced = (id: string, pricePerKilo: number, now = 0): CandidateStuff => ({
  of: { ...ingredient(id), pricePerKilo },
  now,
});

const bread: readonly CandidateStuff[] = [
  priced('vital-gluten', 9, 160),
  priced('flax-meal', 5, 85),
  priced('oat-fibre', 8, 48),
  priced('egg', 6, 100),
  priced('water', 0, 235),
  priced('oil', 4, 15),
  priced('honey', 9, 7),
  priced('salt', 1, 6),
  priced('instant-yeast', 20, 6),
];
const shelf = [
  'almond-meal',
  'psyllium',
  'wheat-bran',
  'oat-bran',
  'sesame-meal',
  'milk-powder',
].map((id, i) => priced(id, 4 + i));

const goal = (over: Partial<Goal> = {}): Goal => ({
  netCarbs: 2.5,
  protein: 15,
  portions: 16,
  school: 'eu',
  window: [-6, 6],
  loss: 0.12,
  prefer: 'fewest',
  ...over,
});

const found = (over: Partial<Goal> = {}, candidates = [...bread, ...shelf]) => {
  const answer = findBread(candidates, goal(over), kitchen, 's1');
  if (answer.kind !== 'found') throw new Error(JSON.stringify(answer));
  return answer;
};

describe('a bread for a goal', () => {
  it('salt stays between two thirds and six fifths of what is usual here, whatever is cheaper', () => {
    const salt = { of: { ...ingredient('salt'), pricePerKilo: 500 }, now: 9 };
    const wheat = [
      priced('bread-flour', 1, 500),
      priced('water', 0, 325),
      priced('instant-yeast', 20, 5),
    ];
    const least = (of: CandidateStuff, usual: number) => {
      const { netCarbs, protein, ...rest } = goal({
        salt: usual,
        prefer: 'cheapest',
        window: [-9, 9],
      });
      void [netCarbs, protein];
      const answer = findBread([...wheat, of], rest, kitchen, 's1');
      if (answer.kind !== 'found') throw new Error(JSON.stringify(answer));
      const moved = answer.changes.filter((c) => c.ingredient === 'salt');
      const flour = answer.changes.find((c) => c.ingredient === 'bread-flour')?.grams ?? 0;
      return (100 * (9 + moved.reduce((sum, c) => sum + c.grams, 0))) / (500 + flour);
    };
    expect(least(salt, 1.8)).to.be.closeTo(1.2, 0.03);
    expect(least(salt, 1.2)).to.be.closeTo(0.8, 0.03);
  });

  it('a goal that is met already changes nothing', () => {
    expect(found().changes).to.deep.equal([]);
  });

  it('meets what is asked, by the functions that judge every bread', () => {
    for (const prefer of ['fewest', 'cheapest'] as const) {
      const { figures, lines } = found({ netCarbs: 1.7, protein: 22, prefer });
      expect(figures.portion.netCarbs.value).to.be.at.most(1.7 + 0.03);
      expect(figures.protein).to.be.at.least(22 - 0.1);
      expect(figures.level!.points).to.be.within(-6, 6);
      const dough = lines.reduce((sum, l) => sum + l.grams, 0);
      expect(dough).to.be.closeTo(662, 6);
      expect(lines.find((l) => l.ingredient === 'instant-yeast')!.grams).to.equal(6);
    }
  });

  it('changes few things for the fewest, and pays least for the cheapest', () => {
    const few = found({ netCarbs: 1.7 });
    const cheap = found({ netCarbs: 1.7, prefer: 'cheapest' });
    const changed = (f: typeof few) =>
      f.changes.filter((c) => c.ingredient !== 'water' && c.ingredient !== 'salt').length;
    expect(changed(few)).to.be.at.most(3);
    expect(changed(few)).to.be.lessThan(changed(cheap));
    expect(cheap.figures.cost).to.be.lessThan(few.figures.cost);
  });

  it('says which goal to give way on, and by how much: giving that way then does', () => {
    const answer = findBread([...bread, ...shelf], goal({ netCarbs: 0.5 }), kitchen, 's1');
    if (answer.kind !== 'none') throw new Error('that is not to be had');
    const net = answer.relax.find((r) => r.goal === 'netCarbs')!;
    expect(net.to).to.be.greaterThan(0.5);
    expect(
      findBread([...bread, ...shelf], goal({ netCarbs: net.to + 1e-6 }), kitchen, 's1').kind,
    ).to.equal('found');
    expect(
      findBread([...bread, ...shelf], goal({ netCarbs: net.to * 0.98 }), kitchen, 's1').kind,
    ).to.equal('none');
  });

  it('where no goal alone is enough it says what gives way together', () => {
    const answer = findBread(bread, goal({ netCarbs: 0.2, protein: 60, kcal: 10 }), kitchen, 's1');
    if (answer.kind !== 'none') throw new Error('that is not to be had');
    expect(answer.relax).to.deep.equal([]);
    expect(answer.together.length).to.be.greaterThan(1);
  });

  it('adds nothing without a price where price decides, and says what has none', () => {
    const unpriced = [...bread, { of: ingredient('sesame-meal'), now: 0 }];
    const { lines } = found({ prefer: 'cheapest', netCarbs: 1.8 }, unpriced);
    expect(lines.map((l) => l.ingredient)).not.to.include('sesame-meal');
  });

  it('a wheat bread keeps its flour and its gluten within bounds', () => {
    const wheat = [
      priced('bread-flour', 1.5, 400),
      priced('whole-wheat', 1.7, 100),
      priced('vital-gluten', 9, 0),
      priced('water', 0, 330),
      priced('salt', 1, 9),
      priced('instant-yeast', 20, 6),
    ];
    const { lines } = found(
      { netCarbs: undefined, protein: 10, window: [-3, 4], prefer: 'fewest' },
      wheat,
    );
    const grams = Object.fromEntries(lines.map((l) => [l.ingredient, l.grams]));
    expect(
      (grams['vital-gluten'] ?? 0) / (grams['bread-flour']! + grams['whole-wheat']!),
    ).to.be.at.most(0.0501);
  });
});

describe('a wheat bread for a goal', () => {
  const loaf = [
    priced('bread-flour', 1.6, 450),
    priced('whole-wheat', 1.7, 50),
    priced('water', 0, 320),
    priced('oil', 4, 20),
    priced('honey', 9, 15),
    priced('salt', 1, 9),
    priced('instant-yeast', 20, 6),
  ];
  const pantry = [
    priced('spelt-whole', 3),
    priced('rye-whole', 1.4),
    priced('rice-flour', 0.5),
    priced('vital-gluten', 9),
    priced('plain-flour', 0.9),
  ];
  const wheat = (over: Partial<Goal>) => ({
    netCarbs: undefined,
    protein: undefined,
    window: [-3, 5] as const,
    ...over,
  });
  const of = (over: Partial<Goal>) => {
    const { lines, figures } = found(wheat(over), [...loaf, ...pantry]);
    const grams = Object.fromEntries(lines.map((l) => [l.ingredient, l.grams]));
    const flours = lines.filter((l) => ingredient(l.ingredient).role === 'flour');
    const flour = flours.reduce((sum, l) => sum + l.grams, 0);
    const whole = flours.reduce((sum, l) => sum + l.grams * ingredient(l.ingredient).whole!, 0);
    return { grams, flour, share: (100 * whole) / flour, figures };
  };

  it('has at least the whole grain that is asked for, in its window, its oil and honey as they were', () => {
    for (const prefer of ['fewest', 'cheapest'] as const) {
      const { share, grams, figures } = of({ whole: 60, prefer });
      expect(share).to.be.at.least(59.8);
      expect(figures.level!.points).to.be.within(-3.05, 5.05);
      expect(grams).to.include({ oil: 20, honey: 15, 'instant-yeast': 6 });
    }
  });

  it('the cheapest is no pudding: what holds no gas stays under a third of its flour', () => {
    const { grams, flour } = of({ whole: 40, prefer: 'cheapest' });
    const idle = (grams['rye-whole'] ?? 0) + (grams['rice-flour'] ?? 0);
    expect(idle / flour).to.be.at.most(0.305);
    expect(grams['plain-flour']).to.be.greaterThan(50);
  });

  it('uses a bag up, or says how much of it would go in', () => {
    const { grams } = of({ useUp: { ingredient: 'spelt-whole', grams: 180 }, prefer: 'fewest' });
    expect(grams['spelt-whole']).to.be.at.least(180);
    const answer = findBread(
      [...loaf, ...pantry],
      goal(wheat({ useUp: { ingredient: 'rye-whole', grams: 400 }, prefer: 'fewest' })),
      kitchen,
      's1',
    );
    if (answer.kind !== 'none') throw new Error('rye is not most of a wheat loaf');
    const [use] = answer.relax.filter((r) => r.goal === 'useUp');
    expect(use!.from).to.equal(400);
    expect(use!.to).to.be.within(120, 175);
  });

  it('says how much whole grain it can have, where that is less than is asked for', () => {
    const answer = findBread(
      [...loaf.slice(2), priced('bread-flour', 1.6, 450), priced('rye-whole', 1.4, 50)],
      goal(wheat({ whole: 50, prefer: 'fewest' })),
      kitchen,
      's1',
    );
    if (answer.kind !== 'none') throw new Error('that is not to be had');
    expect(answer.relax.find((r) => r.goal === 'whole')!.to).to.be.closeTo(30, 1.5);
  });
});

/** The programme in the text format of linear programmes (after CPLEX), for another solver to read. */
function asText({ candidates, rows, price }: Programme): string {
  const name = new Map(candidates.map((c, i) => [c.of.id, `x${i}`]));
  const sum = (of: ReadonlyMap<string, number>): string =>
    [...of]
      .filter(([, value]) => value !== 0)
      .map(([id, value]) => `${value < 0 ? '-' : '+'} ${Math.abs(value)} ${name.get(id)!}`)
      .join(' ');
  const constraints = rows.flatMap((row, i) => [
    ...(row.least === undefined ? [] : [` a${i}: ${sum(row.coefficients)} >= ${row.least}`]),
    ...(row.most === undefined ? [] : [` b${i}: ${sum(row.coefficients)} <= ${row.most}`]),
  ]);
  const bounds = candidates.map((c) => {
    const least = c.least ?? 0;
    return c.most === undefined
      ? ` ${name.get(c.of.id)!} >= ${least}`
      : ` ${least} <= ${name.get(c.of.id)!} <= ${c.most}`;
  });
  return [
    'Minimize',
    ` cost: ${sum(price)}`,
    'Subject To',
    ...constraints,
    'Bounds',
    ...bounds,
    'End',
  ].join('\n');
}

describe('the linear programme against a second solver', () => {
  it('the same least cost, or the same "there is none", on 60 random goals', async () => {
    const highs = await loadHighs();
    const random = seeded(17);
    let solvable = 0;
    for (let n = 0; n < 60; n += 1) {
      const others = catalogue
        .filter((i) => ['meal', 'fibre', 'bran', 'egg', 'fat'].includes(i.role))
        .filter((i) => !bread.some((b) => b.of.id === i.id) && random.uniform() < 0.5)
        .map((i) => priced(i.id, 1 + 10 * random.uniform()));
      const held = [...bread, ...others].map((c) =>
        c.of.role === 'leaven' ? { ...c, least: c.now, most: c.now } : c,
      );
      const programme = programmeOf(
        held,
        goal({ netCarbs: 0.8 + 3 * random.uniform(), protein: 10 + 20 * random.uniform() }),
        kitchen,
      );
      const ours = solveProgramme(programme, { kind: 'cheapest' });
      const theirs = highs.solve(asText(programme));
      expect(ours === undefined, `goal ${n}`).to.equal(theirs.Status === 'Infeasible');
      if (!ours) continue;
      solvable += 1;
      const cost = [...ours.amounts].reduce(
        (sum, [id, g]) => sum + g * (programme.price.get(id) ?? 0),
        0,
      );
      // Ours adds a millionth of a gram's change to the money, to decide between equal breads.
      expect(cost, `goal ${n}`).to.be.closeTo(theirs.ObjectiveValue, 2e-3);
    }
    expect(solvable).to.be.greaterThan(20);
  }).timeout(60_000);
});

describe('the fewest changes', () => {
  const stuff = (id: string, now: number): CandidateStuff => ({ of: ingredient(id), now });
  const loaf = [
    stuff('almond-meal', 144),
    stuff('vital-gluten', 60),
    stuff('oat-fibre', 30),
    stuff('flax-meal', 13),
    stuff('egg', 150),
    stuff('butter', 20),
    stuff('instant-yeast', 6.02),
    stuff('sugar', 6),
    stuff('salt', 5),
    stuff('water', 120),
  ];
  const asked = (kcal: number) =>
    findBread(
      loaf,
      { kcal, portions: 16, school: 'eu', window: [-8, 10], loss: 0.12, prefer: 'fewest' },
      kitchen,
      's1',
    );

  it('no thing is turned round to spare the others: each moves by a part of itself', () => {
    const answer = asked(88);
    if (answer.kind !== 'found') throw new Error(JSON.stringify(answer));
    for (const { ingredient: id, now, grams } of answer.lines) {
      if (id === 'water' || id === 'salt') continue;
      expect(grams, id).to.be.at.most(Math.max(2.5 * now, now + 30));
      expect(grams, id).to.be.at.least(0.3 * now);
    }
    // A hundredth of a gram of yeast is no change.
    expect(answer.changes.some((c) => c.ingredient === 'instant-yeast')).to.equal(false);
    for (const c of answer.changes) expect(Math.abs(c.grams)).to.be.at.least(0.1);
  });

  it('says where it is another bread', () => {
    const near = asked(88);
    const far = asked(70);
    if (near.kind !== 'found') throw new Error(JSON.stringify(near));
    expect(near.another).to.equal(false);
    if (far.kind === 'found') expect(far.another).to.equal(true);
    else expect(far.relax.some((r) => r.goal === 'kcal')).to.equal(true);
  });
});
