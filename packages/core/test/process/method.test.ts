import { expect } from 'chai';
import { methodIn, ovenHeat } from '@tender-crumb/core/process';
import { tally } from '../checks/near.ts';
import { factsOf } from './methods/facts.ts';
import { methods } from './methods/written.ts';

/** As methods were read on the day on which these were written down: it stands for good. */
const firstScore = { facts: 162, right: 68, wrong: 39, lost: 94 } as const;

describe('methods as recipes write them', () => {
  const scores = methods.map(([text, ...facts]) => {
    const got = factsOf(text);
    return {
      text,
      facts,
      lost: facts.filter((f) => !got.includes(f)),
      wrong: got.filter((g) => !facts.includes(g)),
    };
  });
  const sum = (of: (s: (typeof scores)[number]) => number) => scores.reduce((n, s) => n + of(s), 0);

  it('95 facts in 100 are right, at most 1 in 100 is wrong', () => {
    const facts = sum((s) => s.facts.length);
    const [lost, wrong] = [sum((s) => s.lost.length), sum((s) => s.wrong.length)];
    tally('Methods', 'methods (invented)', methods.length);
    tally('Methods', `facts right of ${firstScore.facts}, first`, firstScore.right);
    tally('Methods', 'facts wrong, first', firstScore.wrong);
    tally('Methods', `facts right of ${facts}, today`, facts - lost);
    tally('Methods', 'facts wrong, today', wrong);
    expect(methods.length).to.be.at.least(120);
    expect(facts).to.equal(firstScore.facts);
    const told = scores
      .filter((s) => s.lost.length + s.wrong.length > 0)
      .map((s) => `${s.text} lost ${s.lost.join(', ')} wrong ${s.wrong.join(', ')}`)
      .join('\n');
    expect((facts - lost) / facts, told).to.be.at.least(0.95);
    expect(wrong / facts, told).to.be.at.most(0.01);
  });

  it('every sentence is placed: it is about something, or about nothing, and none is gone', () => {
    for (const [text] of methods) {
      const { sentences } = methodIn([{ says: text }]);
      const bare = (of: string) => of.replace(/[^\p{L}]+/gu, '');
      expect(bare(sentences.map((s) => s.says).join('')), text).to.equal(bare(text));
    }
  });

  it('two hundred sentences, times that contradict each other, nothing at all', () => {
    const many = Array.from({ length: 200 }, (_, i) => ({ says: `Bake for ${i + 1} minutes.` }));
    expect(methodIn(many).sentences).to.have.length(200);
    expect(methodIn(many).steps.bake?.process).to.deep.include({ minutes: 1 });
    expect(methodIn([]).steps).to.deep.equal({});
    const odd = ['Bake at 900 °F for minus 10 minutes.', '°C', '10', 'until', 'fold', 'then then'];
    for (const says of odd) expect(() => methodIn([{ says }]), says).to.not.throw();
    expect(methodIn([{ says: odd[0]! }]).steps.bake?.process).to.deep.equal({ place: 'oven' });
  });

  it('a lid in few words, and what is not kneaded keeps its sentence', () => {
    expect(factsOf('Bake in a hot pot at 230 °C, 30 minutes with lid, 15 without.')).to.deep.equal([
      'bake phases 30@230+lid 15@230-lid',
    ]);
    const { steps, unkneaded } = methodIn([{ says: 'Stir everything together without kneading.' }]);
    expect(unkneaded).to.equal(true);
    expect(steps.mix?.says).to.equal('Stir everything together without kneading.');
  });

  it('pieces are of the dough alone, and a figure beside them is none', () => {
    const none = [
      'Make a well in the flour and add 2 eggs.',
      'Make sure that the tin is half full.',
      'Cut the butter into 8 cubes.',
      'Cut each loaf into 12 slices.',
      'Shape it once more.',
    ];
    for (const says of none) expect(methodIn([{ says }]).pieces, says).to.equal(undefined);
    const some = [
      ['Divide the dough equally into 6 pieces.', 6],
      ['Split it into two.', 2],
      ['Cut the risen dough in half.', 2],
      ['Roll into 10 small balls.', 10],
    ] as const;
    for (const [says, pieces] of some) expect(methodIn([{ says }]).pieces, says).to.equal(pieces);
  });

  it('keeping a dough warm, or the day, takes no sentence out', () => {
    expect(factsOf('Keep it covered and let it rise for 1 hour.')).to.include('first-rise 60');
    expect(factsOf('The next day, bake for 30 minutes at 220 °C.')).to.include('bake 30');
    expect(factsOf('Bake in my oven at 230 °C for 30 minutes.')).to.include('bake 30');
  });

  it('a figure without a scale is Fahrenheit from 290 on', () => {
    expect(ovenHeat('Bake at 289 degrees.')).to.equal(289);
    // 290 °F are 143 °C.
    expect(ovenHeat('Bake at 290 degrees.')).to.equal(143);
  });

  it('a rest of 20 minutes before the kneading is part of the work, a longer one an autolyse', () => {
    const rest = (minutes: number) =>
      factsOf(`Mix everything but the salt, rest ${minutes} minutes, and knead for 5 minutes.`);
    expect(rest(20)).to.deep.equal(['mix 5']);
    expect(rest(21)).to.include('autolyse 21');
  });
});
