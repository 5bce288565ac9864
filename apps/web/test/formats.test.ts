import { Ajv2020 } from 'ajv/dist/2020.js';
import { expect } from 'chai';
import fc from 'fast-check';
import {
  completeFormula,
  formulaSchemas,
  formulaShape,
  formulaShape1,
  upgrade,
} from '@tender-crumb/core/exchange';
import { defaultHousehold } from '@tender-crumb/core/household';
import { bagShape } from '@tender-crumb/core/ingredient';
import type { Shape } from '@tender-crumb/core/quantity';
import { readRecipe } from '@tender-crumb/core/reader';
import { bagBody, formulaIn, joiOf } from '../src/lib/server/boundary/schemas.ts';
import { edges, fieldsOf, usual } from './edges.ts';

const formats: ReadonlyArray<readonly [1 | 2, Shape]> = [
  [1, formulaShape1],
  [2, formulaShape],
];
const show = (value: unknown) => JSON.stringify(value)?.slice(0, 80);

for (const [version, shape] of formats) {
  describe(`formula format ${version}: the boundary and the published schema`, () => {
    const published = new Ajv2020().compile(formulaSchemas[version]);
    const joi = joiOf(shape);
    const byJoi = (json: unknown) => joi.validate(json, { convert: false }).error === undefined;

    it('take every field up to its edge, and nothing beyond', () => {
      let fields = 0;
      for (const { path, field, with: put } of fieldsOf(shape)) {
        fields += 1;
        const { taken, refused } = edges(field);
        for (const value of taken) {
          expect(byJoi(put(value)), `${path} ${show(value)}`).to.equal(true);
          expect(published(put(value)), `${path} ${show(value)}`).to.equal(true);
        }
        for (const value of refused.filter((v) => !Number.isNaN(v))) {
          expect(byJoi(put(value)), `${path} ${show(value)}`).to.equal(false);
          expect(published(put(value)), `${path} ${show(value)}`).to.equal(false);
        }
        const without = JSON.parse(JSON.stringify(put(undefined))) as unknown;
        expect(byJoi(without), `without ${path}`).to.equal(field.optional === true);
        expect(published(without), `without ${path}`).to.equal(field.optional === true);
      }
      expect(fields).to.be.above(20);
    });

    it('agree on anything', () => {
      const all = [...fieldsOf(shape)];
      const mutated = fc.tuple(fc.nat(all.length - 1), fc.jsonValue({ maxDepth: 3 }));
      fc.assert(
        fc.property(mutated, ([at, value]) => {
          const json = JSON.parse(JSON.stringify(all[at]!.with(value))) as unknown;
          expect(byJoi(json), show(value)).to.equal(published(json));
        }),
        { numRuns: 2000 },
      );
    });
  });
}

describe('formulas at the door', () => {
  it('in either format come out in today’s, said or told by its one word', () => {
    const stages = [{ id: 's1', lines: [{ ingredient: 'water', grams: 5 }] }];
    const change = { stage: 's1', ingredient: 'water', grams: 1 };
    const old = { stages, taken: [{ id: 't1', slip: 'w', changes: [change] }] };
    for (const format of [{}, { format: 'tender-crumb/formula-1' }]) {
      const json = formulaIn({ ...format, ...old }, 'body');
      expect(json.format).to.equal('tender-crumb/formula-2');
      expect(json.taken![0]).to.deep.equal({ id: 't1', correction: 'w', changes: [change] });
    }
    expect(() => formulaIn({ format: 'tender-crumb/formula-2', ...old }, 'body')).to.throw();
  });

  it('name the fault at its place, whatever the format', () => {
    const bad = { stages: [{ lines: [{ ingredient: 'bread-flour', grams: -1 }] }] };
    for (const format of ['tender-crumb/formula-1', 'tender-crumb/formula-2']) {
      expect(() => formulaIn({ ...bad, format }, 'body'))
        .to.throw()
        .with.deep.nested.property('faults[0].where', 'body.stages[0].lines[0].grams');
    }
  });

  it('what the reader makes, and what is upgraded, comes through unchanged', () => {
    const { formula } = readRecipe('500 g flour\n100 g starter\n1 egg', defaultHousehold);
    expect(completeFormula(formulaIn(formula, 'body'))).to.deep.equal(formula);
    const old = { ...formula, format: 'tender-crumb/formula-1' };
    expect(formulaIn(upgrade(old), 'body')).to.deep.equal(formula);
    // In the same order too: the same save sent again is no new version.
    expect(JSON.stringify(completeFormula(formulaIn(upgrade(old), 'body')))).to.equal(
      JSON.stringify(formula),
    );
  });
});

describe('bags at the door', () => {
  it('take every field up to its edge, and nothing beyond', () => {
    for (const { path, field, with: put } of fieldsOf(bagShape)) {
      const { taken, refused } = edges(field);
      const accepts = (value: unknown) =>
        bagBody.validate(put(value), { convert: false }).error === undefined;
      for (const value of taken) expect(accepts(value), `${path} ${show(value)}`).to.equal(true);
      for (const value of refused) expect(accepts(value), `${path} ${show(value)}`).to.equal(false);
    }
    expect(bagBody.validate(usual(bagShape)).error).to.equal(undefined);
  });
});
