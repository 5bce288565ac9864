import { expect } from 'chai';
import { tally } from '../checks/near.ts';
import { firstScores } from './writer/first-scores.ts';
import { persons } from './writer/persons.ts';
import { scoresOf } from './writer/score.ts';

/** So many recipes of each kind of writer: 416 in all. */
const each = 13;

describe('recipes as many kinds of people write them down', () => {
  const scores = persons.map((who, i) => ({ who, ...scoresOf(who, each, 25 + i) }));
  const sum = (of: (s: (typeof scores)[number]) => number) => scores.reduce((n, s) => n + of(s), 0);

  it('97 things in 100 are right, none in 500 is wrong, none is gone', () => {
    const things = sum((s) => s.things);
    const told = scores.flatMap((s) => s.told.map((t) => `${s.who.kind}: ${t}`)).join('\n');
    expect(sum((s) => s.right) / things, told).to.be.at.least(0.97);
    expect(sum((s) => s.wrong) / things, told).to.be.at.most(0.002);
    expect(
      sum((s) => s.gone),
      told,
    ).to.equal(0);
  });

  it('every kind has its first score, and is read no worse than then', () => {
    expect(Object.keys(firstScores)).to.deep.equal(persons.map((p) => p.kind));
    for (const { who, things, right, wrong, gone } of scores) {
      const [all, rightThen, , wrongThen, goneThen] = firstScores[who.kind]!;
      expect(things, who.kind).to.equal(all);
      tally('Writers', `${who.kind}: right of ${all}, first`, rightThen);
      tally('Writers', `${who.kind}: right of ${all}, today`, right);
      expect(right, who.kind).to.be.at.least(rightThen);
      expect(wrong, who.kind).to.be.at.most(wrongThen);
      expect(gone, who.kind).to.be.at.most(goneThen);
    }
    tally('Writers', 'recipes written', each * persons.length);
    for (const how of ['right', 'asked', 'wrong', 'gone'] as const)
      tally(
        'Writers',
        `things ${how}, of ${sum((s) => s.things)}`,
        sum((s) => s[how]),
      );
  });
});
