import { expect } from 'chai';
import { plainWriting, sumTyped } from '@tender-crumb/core/quantity';

describe('what somebody reckons at a scale', () => {
  const sums: ReadonlyArray<readonly [typed: string, is: number | undefined]> = [
    ['402', 402],
    ['8.5', 8.5],
    ['1312-872', 440],
    ['1312 − 872', 440],
    ['2 × 76', 152],
    ['2x76', 152],
    ['450+20', 470],
    ['10 + 2 × 5 - 4', 16],
    ['0.1+0.2', 0.3],
    ['½', 0.5],
    ['', undefined],
    ['12-', undefined],
    ['-5', undefined],
    ['12 g', undefined],
    ['a+b', undefined],
    ['2 ** 3', undefined],
  ];
  for (const [typed, is] of sums)
    it(`“${typed}”: ${is ?? 'nothing'}`, () => expect(sumTyped(typed, plainWriting)).to.equal(is));
  it('with the household’s own comma', () => {
    expect(sumTyped('8,5+0,5', { decimal: 'comma' })).to.equal(9);
  });
});
