import { expect } from 'chai';
import { tally } from '../checks/near.ts';
import { persons } from './writer/persons.ts';
import { scoresOf } from './writer/score.ts';

/** 20,000 recipes of all kinds together. */
const each = Math.ceil(20_000 / persons.length);
/** Another every day, printed so that a day can be had again. */
const seed = Number(process.env['TENDER_CRUMB_SEED'] ?? Math.floor(Date.now() / 86_400_000));

describe(`20,000 recipes as many kinds of people write them down (seed ${seed})`, () => {
  const all = { right: 0, asked: 0, wrong: 0, gone: 0, things: 0 };
  for (const [i, who] of persons.entries())
    it(who.kind, () => {
      const score = scoresOf(who, each, seed + 1000 * i);
      for (const how of Object.keys(all) as Array<keyof typeof all>) all[how] += score[how];
      const share = (n: number) => ((100 * n) / score.things).toFixed(2);
      tally('Writers, a fresh seed', `${who.kind}: right, %`, Number(share(score.right)));
      console.log(
        `      of ${score.things}: right ${share(score.right)} %, asked ${score.asked}, wrong ${score.wrong}, gone ${score.gone}`,
      );
      // Each by itself may fall a little shorter than all together.
      expect(score.right / score.things, score.told.slice(0, 5).join('\n')).to.be.at.least(0.95);
    });

  it('together 97 in 100 right, at most 2 in 1,000 wrong, next to none gone', () => {
    tally('Writers, a fresh seed', 'things', all.things);
    for (const how of ['right', 'asked', 'wrong', 'gone'] as const)
      tally('Writers, a fresh seed', how, all[how]);
    expect(all.right / all.things).to.be.at.least(0.97);
    expect(all.wrong / all.things).to.be.at.most(0.002);
    expect(all.gone).to.equal(0);
  });
});
