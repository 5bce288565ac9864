import { expect } from 'chai';
import { verdict } from '@tender-crumb/core/correct';
import { evaluate } from '@tender-crumb/core/evaluate';
import type { Formula } from '@tender-crumb/core/formula';
import { nothingLearned } from '@tender-crumb/core/belief';
import { defaultHousehold } from '@tender-crumb/core/household';
import { readerOf, readRecipe } from '@tender-crumb/core/reader';
import { build, judge } from '../build.ts';

const dough = { 'bread-flour': 500, water: 310, salt: 9, 'instant-yeast': 5 };
const withUnread = (unread: Formula['unread']) =>
  judge({ ...build(dough), ...(unread ? { unread } : {}) });
const water = (e: ReturnType<typeof judge>) =>
  e.corrections.filter((c) => c.kind === 'water' || c.kind === 'flour');

describe('what cannot be told is said', () => {
  it('a row that was not read and has no amount, unless it is salt, a spice or a herb', () => {
    expect(withUnread(undefined).cannotTell).to.equal(undefined);
    const open = withUnread([{ text: 'some of the mash' }]);
    expect(open.cannotTell).to.include({ code: 'unread' });
    expect(open.cannotTell!.says).to.contain('some of the mash');
    expect(verdict(open, 'pan')).to.include({ state: 'Cannot tell', fits: false });
    for (const text of ['salt to taste', 'a few sprigs of rosemary', 'vanilla']) {
      expect(withUnread([{ text }]).cannotTell, text).to.equal(undefined);
    }
  });

  it('one of more than 2 % of the flour; of less it does not matter', () => {
    expect(withUnread([{ text: '10 g gloop', grams: 10 }]).cannotTell).to.equal(undefined);
    const more = withUnread([{ text: '10.1 g gloop', grams: 10.1 }]);
    expect(more.cannotTell).to.include({ code: 'unread' });
    expect(water(more)).to.deep.equal([]);
  });

  it('an amount on a row that was not read is kept with it', () => {
    const read = (row: string) =>
      readRecipe(`500 g bread flour\n310 g water\n${row}`, readerOf(defaultHousehold)).formula
        .unread?.[0]?.grams;
    expect(read('150 g zorble')).to.equal(150);
    expect(read('zorble: 2 oz')).to.be.closeTo(56.7, 0.01);
    expect(read('1 cup zorble')).to.be.closeTo(236.6, 0.1);
    expect(read('3 zorbles')).to.equal(undefined);
  });

  it('a level that is in doubt by more than 10 points, with what to do', () => {
    const strange = (psyllium: number, water = 200 + 10 * psyllium) =>
      evaluate(
        build({ 'rice-flour': 300, psyllium, water }, 'gluten-free'),
        defaultHousehold,
        nothingLearned,
      )!;
    const [sure, unsure] = [strange(5), strange(30)];
    expect(sure.level.sd).to.be.below(10);
    expect(sure.cannotTell).to.equal(undefined);
    expect(unsure.level.sd).to.be.above(10);
    expect(unsure.cannotTell).to.include({ code: 'unsure' });
    expect(unsure.cannotTell!.says).to.contain('psyllium');
    expect(water(unsure)).to.deep.equal([]);
    // From what to what, where these are two words; where one word has it all, nothing of the kind.
    const says = [300, 400, 500, 600].map((wet) => strange(30, wet).cannotTell?.says ?? '');
    expect(says.some((s) => /anything from (\w+) to (?!\1\b)\w+/.test(s))).to.equal(true);
    expect(says.filter((s) => /from (\w+) to \1\b/.test(s))).to.deep.equal([]);
    expect(says.some((s) => /too uncertain to tell\. /.test(s))).to.equal(true);
  });
});
