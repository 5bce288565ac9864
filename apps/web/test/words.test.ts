import { expect } from 'chai';
import { readFileSync } from 'node:fs';
import { doubtsOf } from '../../../scripts/words/doubtful.ts';
import { wordsOf } from '../../../scripts/words/seen.ts';
import { gradeOf, sentencesOf } from '../../../scripts/words/sentences.ts';
import { written } from '../../../scripts/words/written.ts';

const root = new URL('../../..', import.meta.url).pathname;

describe('words', () => {
  it('are graded as Flesch and Kincaid have it: the cat on its mat stands at −1.45', () => {
    expect(gradeOf('The cat sat on the mat.')).to.be.closeTo(-1.45, 1e-9);
    expect(gradeOf('Hydration deficit detected, compensation recommended.')).to.be.above(12);
  });

  it('stand in sentences: a stop, a question, a point of a list; no stop in a figure', () => {
    expect(sentencesOf('Add 1.5 g of salt. Is it right? Yes · Bake it')).to.deep.equal([
      'Add 1.5 g of salt.',
      'Is it right?',
      'Yes',
      'Bake it',
    ]);
    expect(wordsOf('+8 g water · about 1½ teaspoons')).to.deep.equal([
      'g',
      'water',
      'about',
      'teaspoons',
    ]);
  });

  it('that are doubtful are found, each by its sign; plain ones are not', () => {
    expect(doubtsOf('Nothing is not kept without the server')).to.include('two negations');
    expect(doubtsOf('That is all that is told of it here now')).to.include('“of it”');
    expect(doubtsOf('The dough was kneaded by the machine')).to.include('passive');
    expect(doubtsOf('Whoever bakes it')).to.include('“somebody”');
    expect(doubtsOf('Needs about 14 g more water')).to.deep.equal([]);
  });

  it('that the voice has left behind come back nowhere', () => {
    const table = readFileSync(new URL('../../../docs/voice.md', import.meta.url), 'utf8');
    const left = new Set(
      [...table.matchAll(/^\| ([^|]+?) +\| [^|]+\|$/gm)]
        .flatMap(([, cell]) => cell!.split(' · '))
        .map((text) => text.trim())
        .filter((text) => /[a-z]/.test(text) && !/…|not this|^-+$/.test(text)),
    );
    expect(left.size).to.be.above(30);
    const texts = written(root);
    expect(texts.length).to.be.above(2000);
    expect(texts.filter(({ text }) => left.has(text))).to.deep.equal([]);
  });
});
