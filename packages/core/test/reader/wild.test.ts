import { expect } from 'chai';
import { tally } from '../checks/near.ts';
import { count } from './set/count.ts';
import { firstScore, wild } from './set/wild.ts';

describe('sixty recipes that the reader was not mended for', () => {
  const all = wild.map(count);
  const now = {
    right: all.reduce((n, r) => n + r.right, 0),
    asked: all.reduce((n, r) => n + r.asked, 0),
    wrong: all.reduce((n, r) => n + r.wrong.length, 0),
    dropped: all.reduce((n, r) => n + r.dropped.length, 0),
  };

  it('are read no worse than when they were written down', () => {
    expect(wild.length).to.equal(60);
    tally('Reader', 'recipes that nobody fitted (invented)', wild.length);
    tally(
      'Reader',
      'their lines',
      wild.reduce((n, r) => n + r.means.length, 0),
    );
    for (const how of ['right', 'asked', 'wrong', 'dropped'] as const) {
      tally('Reader', `lines ${how}, when they were written down`, firstScore[how]);
      tally('Reader', `lines ${how}, today`, now[how]);
    }
    expect(now.right).to.be.at.least(firstScore.right);
    expect(now.wrong).to.be.at.most(firstScore.wrong);
    expect(now.dropped).to.be.at.most(firstScore.dropped);
  });
});
