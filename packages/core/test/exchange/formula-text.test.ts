import { expect } from 'chai';
import fc from 'fast-check';
import { formatIds, formats, type FormatId } from '@tender-crumb/core/exchange';
import type { Formula, StageKind } from '@tender-crumb/core/formula';
import { catalogue, cataloguePantry } from '@tender-crumb/core/ingredient';
import { defaultMeasures } from '@tender-crumb/core/quantity';
import { readRecipe } from '@tender-crumb/core/reader';
import { build } from '../build.ts';

const back = (formula: Formula, id: Exclude<FormatId, 'json'> = 'text') =>
  readRecipe(formats[id].write(formula, cataloguePantry, 'total'), { measures: defaultMeasures })
    .formula;
const written = formatIds.filter((id): id is Exclude<FormatId, 'json'> => id !== 'json');
const linesOf = ({ stages }: Formula) =>
  stages.map((s) => [s.kind, ...s.lines.map((l) => [l.ingredient, l.grams] as const)]);

for (const id of written)
  describe(formats[id].label, () => {
    it('reads every ingredient of the catalogue back as itself', () => {
      const lost = catalogue
        .map((i) => i.id)
        .filter((of) => {
          const { stages } = back(build({ 'bread-flour': 500, [of]: 40 }), id);
          return !stages.flatMap((s) => s.lines).some((l) => l.ingredient === of);
        });
      expect(lost).to.deep.equal([]);
    });

    it('reads back the same, stage for stage (property)', () => {
      const amounts = fc.dictionary(
        fc.constantFrom(...catalogue.map((i) => i.id)),
        fc.integer({ min: 10, max: 900 }),
        { minKeys: 1, maxKeys: 8 },
      );
      const kinds = fc.constantFrom<StageKind>('starter', 'preferment', 'soaker');
      const names = { starter: 'Starter', preferment: 'Poolish', soaker: 'Soaker', dough: 'Dough' };
      fc.assert(
        fc.property(amounts, amounts, kinds, (dough, before, kind) => {
          const made = build({ 'bread-flour': 500, ...dough }, 'pan', before);
          const formula: Formula = {
            ...made,
            stages: made.stages.map((s) =>
              s.kind === 'starter' ? { ...s, kind, name: names[kind] } : s,
            ),
          };
          expect(linesOf(back(formula, id))).to.deep.equal(linesOf(formula));
        }),
        { numRuns: 300 },
      );
    });
  });
