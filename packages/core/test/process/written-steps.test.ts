import { expect } from 'chai';
import { writtenSteps, stepKindIds, stepKinds, type StepKindId } from '@tender-crumb/core/process';

const of = (...says: string[]) => writtenSteps({ steps: says.map((s) => ({ says: s })) });

describe('the steps that a recipe writes', () => {
  const sentences: ReadonlyArray<readonly [StepKindId, string]> = [
    ['mix', 'Mix everything and knead for 10 minutes.'],
    ['autolyse', 'Stir flour and water together and let them rest for 30 minutes.'],
    ['first-rise', 'Cover and let rise until doubled, about 1 hour.'],
    ['first-rise', 'Bulk ferment for 4 hours at 24 °C.'],
    ['shape', 'Divide into 8 pieces and form into balls.'],
    ['final-proof', 'Proof for 45 minutes, until puffy.'],
    ['heat', 'Meanwhile preheat the oven to 220 °C.'],
    ['bake', 'Bake at 190 °C for 35 to 40 minutes.'],
    ['cool', 'Let it cool on a rack for 1 hour.'],
  ];
  for (const [kind, says] of sentences) {
    it(`“${says}” is ${stepKinds[kind].label.toLowerCase()}`, () => {
      expect(Object.keys(of(says))).to.deep.equal([kind]);
      expect(of(says)[kind]?.says).to.equal(says);
    });
  }

  it('a second rise is the last one, after shaping or after a first', () => {
    const found = of('Let rise 1 hour. Shape into a loaf. Let rise again 40 minutes.');
    expect(found['first-rise']?.process.minutes).to.equal(60);
    expect(found['final-proof']?.process.minutes).to.equal(40);
    expect(
      of('Let rise 2 hours.', 'Let rise another 50 minutes.')['final-proof']?.process.minutes,
    ).to.equal(50);
  });

  it('several sentences of one row are told apart; the time may stand in a later one', () => {
    const found = of('Bake in the hot oven. Bake for 30 minutes at 200 °C.');
    expect(found.bake?.process).to.deep.include({ minutes: 30, celsius: 200 });
    expect(found.bake?.says).to.equal('Bake in the hot oven.');
  });

  it('nothing is made of what is about nothing', () => {
    expect(of('Enjoy!', 'This is my grandmother’s favourite.')).to.deep.equal({});
    expect(writtenSteps({})).to.deep.equal({});
  });

  it('every kind of step has its row', () => {
    for (const id of stepKindIds) expect(stepKinds[id].label, id).to.match(/^[A-Z]/);
  });
});
