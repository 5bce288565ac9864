import { expect } from 'chai';
import {
  blankBelief,
  earned,
  nothingLearned,
  scored,
  type Belief,
} from '@tender-crumb/core/belief';
import { normalBelow } from '@tender-crumb/core/quantity';
import { seeded } from '../seeded.ts';
import { between } from '../checks/near.ts';

const source = 'simulated kitchens; aims of the learning prototype';
const logit = (p: number) => Math.log(p / (1 - p));
const expit = (x: number) => 1 / (1 + Math.exp(-x));

/** Mean distance of what is said from what is so, after so many scored corrections of a model that is so many times too sure. */
function distance(tooSure: number, bakes: number, kitchens = 400): number {
  const random = seeded(41);
  const drawn = () => Math.min(0.9999, normalBelow(Math.abs(1.5 * random.normal())));
  const truth = (p: number) => expit(logit(p) / tooSure);
  let [sum, count] = [0, 0];
  for (let k = 0; k < kitchens; k += 1) {
    let belief: Belief = blankBelief;
    for (let i = 0; i < bakes; i += 1) {
      const p = drawn();
      belief = scored(belief, p, random.uniform() < truth(p), undefined);
    }
    for (let i = 0; i < 20; i += 1) {
      const p = drawn();
      sum += Math.abs(earned(belief, p) - truth(p));
      count += 1;
    }
  }
  return sum / count;
}

describe('certainty that is earned', () => {
  it('nothing said, nothing shrunk; and never raised, whatever was right', () => {
    for (const p of [0, 0.5, 0.7, 0.95, 1]) expect(earned(nothingLearned, p)).to.equal(p);
    let right: Belief = blankBelief;
    for (let i = 0; i < 200; i += 1) right = scored(right, 0.8, true, 'likely');
    for (const p of [0.51, 0.7, 0.9, 0.99]) expect(earned(right, p)).to.be.at.most(p);
    expect(earned(right, 0.8)).to.be.closeTo(0.8, 0.01);
  });

  it('wrong ones make less sure, the surer they were the more; order stays', () => {
    let belief: Belief = blankBelief;
    const said = [belief];
    for (let i = 0; i < 5; i += 1) said.push((belief = scored(belief, 0.9, false, 'very likely')));
    const at = said.map((b) => earned(b, 0.9));
    expect(at).to.deep.equal([...at].sort((a, b) => b - a));
    const mild = scored(blankBelief, 0.6, false, undefined);
    const bold = scored(blankBelief, 0.99, false, undefined);
    expect(earned(bold, 0.9)).to.be.below(earned(mild, 0.9));
    expect(earned(belief, 0.7)).to.be.below(earned(belief, 0.9)).and.above(0.5);
  });

  it('counts in the words in which it was said', () => {
    let belief = scored(blankBelief, 0.95, true, 'very likely');
    belief = scored(belief, 0.93, false, 'very likely');
    belief = scored(belief, 0.75, true, 'likely');
    belief = scored(belief, 0.55, true, undefined);
    expect(belief.said!.words).to.deep.equal({
      'very likely': { said: 2, right: 1 },
      likely: { said: 1, right: 1 },
    });
    expect(belief.said!.bakes).to.equal(4);
  });

  it('what is certain can be wrong without breaking anything', () => {
    const belief = scored(scored(blankBelief, 1, false, undefined), 0, true, undefined);
    for (const p of [0, 0.5, 1]) expect(earned(belief, p)).to.be.within(0, 1);
    for (const log of belief.said!.logs) expect(Number.isFinite(log)).to.equal(true);
  });

  const group = 'Certainty earned';
  between(
    group,
    'a model that is right: what is lost after 30, mean',
    source,
    () => distance(1, 30),
    [0, 0.04],
  );
  between(
    group,
    'a model twice too sure: error after 30, mean',
    source,
    () => distance(2, 30),
    [0, 0.07],
  );
  between(
    group,
    'a model twice too sure: error before any, mean',
    source,
    () => distance(2, 0),
    [0.08, 0.2],
  );
  between(
    group,
    'a model four times too sure: error after 100, mean',
    source,
    () => distance(4, 100),
    [0, 0.08],
  );
});
