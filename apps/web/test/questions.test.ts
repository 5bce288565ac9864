import { expect } from 'chai';
import { houseQuestionIds } from '@tender-crumb/core/household';
import { firstAsked, questionKinds, type Waiting } from '../src/lib/ask/first-asked.ts';

describe('questions of the program’s own', () => {
  const [style, sack, loaf, older]: Waiting[] = [
    { kind: 'style', of: 'a' },
    { kind: 'sack', of: 'b' },
    { kind: 'how-was', of: 'c' },
    { kind: 'how-was', of: 'd' },
  ];
  const all = [style!, sack!, loaf!, older!];
  const none = () => false;

  it('are asked one at a time: the loaf before the sack, the sack before the kind of bread', () => {
    expect(firstAsked(all, none)).to.equal(loaf);
    expect(firstAsked([style!, sack!], none)).to.equal(sack);
    expect(firstAsked([style!], none)).to.equal(style);
  });

  it('leave none of the kitchen’s own out, and ask for the cup before the bread', () => {
    expect(questionKinds).to.include.members(houseQuestionIds);
    expect(new Set(questionKinds).size).to.equal(questionKinds.length);
    const cup: Waiting = { kind: 'cup', of: 'house' };
    const row: Waiting = { kind: 'row', of: 'e' };
    expect(firstAsked([style!, cup], none)).to.equal(cup);
    expect(firstAsked([style!, cup, row], none)).to.equal(row);
  });

  it('that are put off leave their turn to the next, and to none where all are', () => {
    expect(firstAsked(all, (q) => q.of === 'c')).to.equal(older);
    expect(firstAsked(all, (q) => q.kind === 'how-was')).to.equal(sack);
    expect(firstAsked(all, () => true)).to.equal(undefined);
    expect(firstAsked([], none)).to.equal(undefined);
  });
});
