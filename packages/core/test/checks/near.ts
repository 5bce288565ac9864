import { expect } from 'chai';
import { writeFileSync } from 'node:fs';

/** One check against something outside the project, as the validation report shows it. */
export interface Checked {
  readonly group: string;
  readonly what: string;
  readonly source: string;
  readonly expected: string;
  readonly got: string;
  readonly tolerance: string;
}

const done: Checked[] = [];

const plain = (value: number): string =>
  String(Math.abs(value) >= 1e-4 || value === 0 ? Number(value.toPrecision(6)) : value);

/** A test that a figure is near to what a source says it is. */
export function near(
  group: string,
  what: string,
  source: string,
  got: () => number,
  expected: number,
  tolerance: number,
): void {
  it(`${what} (${source})`, () => {
    const value = got();
    done.push({
      group,
      what,
      source,
      expected: plain(expected),
      got: plain(value),
      tolerance: `± ${plain(tolerance)}`,
    });
    expect(value).to.be.closeTo(expected, tolerance);
  });
}

/** A test that a figure lies between two ends. */
export function between(
  group: string,
  what: string,
  source: string,
  got: () => number,
  [low, high]: readonly [number, number],
): void {
  it(`${what} (${source})`, () => {
    const value = got();
    done.push({
      group,
      what,
      source,
      expected: `${plain(low)} to ${plain(high)}`,
      got: plain(value),
      tolerance: '',
    });
    expect(value).to.be.within(low, high);
  });
}

/** A count or text that the report shows: not held against anything here. */
export function tally(group: string, what: string, got: number | string): void {
  const source = 'the test beside it';
  done.push({ group, what, source, expected: '', got: String(got), tolerance: '' });
}

after(() => {
  const file = process.env['TENDER_CRUMB_CHECKS'];
  if (file) writeFileSync(file, JSON.stringify(done));
});
