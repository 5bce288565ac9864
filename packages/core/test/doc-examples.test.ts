import { expect } from 'chai';
import { readFileSync, readdirSync } from 'node:fs';
import { join } from 'node:path';
import { completeFormula } from '@tender-crumb/core/exchange';
import { resolve, totals } from '@tender-crumb/core/formula';
import { nothingLearned } from '@tender-crumb/core/belief';
import { defaultHousehold } from '@tender-crumb/core/household';
import { cataloguePantry } from '@tender-crumb/core/ingredient';
import { defaultMeasures } from '@tender-crumb/core/quantity';
import { rooms } from '../../../scripts/rooms.mjs';

const root = new URL('../src/', import.meta.url).pathname;

/** All that the core's rooms hand out, by name; of two of one name, the upper room's. */
const core: Readonly<Record<string, unknown>> = Object.assign(
  {},
  ...(await Promise.all(rooms.map((room) => import(join(root, room, 'index.ts'))))),
);

interface Example {
  readonly at: string;
  readonly code: string;
  readonly gives: string;
}

/** Every `@example code // what it gives` of the core's docstrings. */
function* examples(): Generator<Example> {
  for (const file of readdirSync(root, { recursive: true, encoding: 'utf8' })) {
    if (!file.endsWith('.ts')) continue;
    const rows = readFileSync(join(root, file), 'utf8').split('\n');
    for (const [i, row] of rows.entries()) {
      const match = /@example (.+?) \/\/ (.+?)(?: \*\/)?$/.exec(row);
      if (match) yield { at: `${file}:${i + 1}`, code: match[1]!, gives: match[2]! };
    }
  }
}

/** Flour 500, water 400, a starter of 50 and 50, salt 8: the handbook's example of both schools. */
const formula = completeFormula({
  name: 'Lockside',
  stages: [
    {
      id: 's0',
      kind: 'starter',
      lines: [
        { ingredient: 'bread-flour', grams: 50 },
        { ingredient: 'water', grams: 50 },
      ],
    },
    {
      id: 's1',
      lines: [
        { ingredient: 'bread-flour', grams: 500 },
        { ingredient: 'water', grams: 400 },
        { ingredient: 'salt', grams: 8 },
      ],
    },
  ],
});
const lines = resolve(formula);
const names: Readonly<Record<string, unknown>> = {
  ...core,
  formula,
  lines,
  totals: totals(lines),
  pantry: cataloguePantry,
  household: defaultHousehold,
  measures: defaultMeasures,
  belief: nothingLearned,
  at: '2026-05-01T08:00:00Z',
};

const missing = Symbol('not to be run by itself');

/** What a text stands for as code; nothing where it is prose or speaks of what is not here. */
function run(code: string): unknown {
  try {
    const made = new Function(...Object.keys(names), `return (${code});`) as (
      ...of: unknown[]
    ) => unknown;
    return made(...Object.values(names));
  } catch (fault) {
    if (fault instanceof SyntaxError || fault instanceof ReferenceError) return missing;
    throw fault;
  }
}

/** The value that a comment begins with: a number, a text, true or false, a list, an object. */
function valueIn(gives: string): { value: unknown; partly: boolean } | undefined {
  const [said] =
    /^(?:[−-]?[\d.]+…?|'(?:[^'])*'|true\b|false\b|undefined\b|[[{].*[\]}])/.exec(gives) ?? [];
  if (said === undefined) return undefined;
  const partly = said.includes('…');
  const plain = said.replace(/−/g, '-').replace(/,?\s*…/g, '');
  const value = run(plain);
  return value === missing ? undefined : { value, partly };
}

/** As near as it is written: 13.2 stands for 13.15 to 13.25. */
const near = (written: string): number =>
  0.5001 * 10 ** -(/\.(\d+)/.exec(written)?.[1]?.length ?? 0);

function agrees(got: unknown, wanted: unknown, gives: string, partly: boolean): void {
  if (typeof wanted === 'number') {
    expect(got as number).to.be.closeTo(wanted, near(gives) || 1e-9);
  } else if (typeof wanted === 'object' && wanted !== null && partly) {
    if (Array.isArray(wanted)) expect(got).to.be.an('array');
    else
      for (const [key, value] of Object.entries(wanted))
        agrees((got as never)[key], value, gives, true);
  } else if (typeof got === 'string' && typeof wanted === 'string') {
    // A narrow space stands before a unit.
    expect(got.replace(/\u202f/g, ' ')).to.equal(wanted);
  } else {
    expect(got).to.deep.equal(wanted);
  }
}

describe('examples of the docstrings', () => {
  let ran = 0;
  for (const { at, code, gives } of examples()) {
    const wanted = valueIn(gives);
    if (!wanted) continue;
    const got = run(code);
    if (got === missing) continue;
    ran += 1;
    it(`${at}: ${code.slice(0, 60)}`, () => agrees(got, wanted.value, gives, wanted.partly));
  }

  it('most of them can be run', () => expect(ran).to.be.at.least(68));
});
