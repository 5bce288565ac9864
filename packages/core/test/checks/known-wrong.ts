import { expect } from 'chai';
import { tally } from './near.ts';

/** Something that the program gets wrong and is known to, until somebody mends it. */
export interface KnownWrong {
  readonly measure: string;
  /** As it is; larger is worse. */
  readonly now: number;
  /** As it is to be: at most this. */
  readonly aim: number;
  /** In which issue it is mended. */
  readonly issue: number;
}

/** A test that a known wrong is no worse than it was, and that it leaves the table once it is met. */
export function knownWrong({ measure, now, aim, issue }: KnownWrong, got: () => number): void {
  it(`known wrong: ${measure}: ${now.toPrecision(3)}, to be at most ${aim} (issue ${issue})`, () => {
    const value = got();
    tally(
      'Known to be wrong',
      `${measure}; to be at most ${aim} (issue ${issue})`,
      value.toFixed(3),
    );
    expect(value, 'it got worse').to.be.at.most(now + 1e-9);
    expect(value, 'it is met: take it out of the table').to.be.above(aim);
  });
}
