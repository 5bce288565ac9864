import { expect } from 'chai';
import fc from 'fast-check';
import { formatIds, formats, type FormatId } from '@tender-crumb/core/exchange';
import type { Formula, Outside, Piece, StageKind } from '@tender-crumb/core/formula';
import { catalogue, cataloguePantry } from '@tender-crumb/core/ingredient';
import { defaultMeasures } from '@tender-crumb/core/quantity';
import { readRecipe } from '@tender-crumb/core/reader';
import { styleIds } from '@tender-crumb/core/style';
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

    it('a bag is written as the flour that is in it, and read back as that', () => {
      const formula = build(
        { 'bread-flour': 400, 'spelt-whole': 100, water: 320 },
        'pan',
        undefined,
        {
          bag: 'blue',
        },
      );
      expect(linesOf(back(formula, id))).to.deep.equal(
        linesOf(build({ 'bread-flour': 400, 'spelt-whole': 100, water: 320 })),
      );
    });

    it('reads back what stands round the lines: style, pieces, what is outside, the method (property)', () => {
      const outside = fc.array(
        fc.constantFrom(
          { use: 'glaze', says: '1 egg yolk, for brushing' },
          { use: 'glaze', says: '2 tbsp milk' },
          { use: 'topping', says: '20 g sesame seeds' },
          { use: 'filling', says: '80 g walnuts' },
          { use: 'dusting', says: 'flour for the bench' },
          { use: 'boil', says: '2 l water' },
        ),
        { maxLength: 4 },
      );
      const steps = fc.array(
        fc.constantFrom(
          'Mix everything and knead for 10 minutes.',
          'Let it rise until doubled, about 1 hour.',
          'Shape, proof for 45 minutes.',
          'Bake covered for 20 minutes at 230 °C, then 20 minutes uncovered.',
          'Fold in 80 g of flour.',
        ),
        { maxLength: 5 },
      );
      const piece = fc.record({
        kind: fc.constantFrom('loaf', 'roll', 'ball', 'ring', 'plait', 'stick', 'flatbread'),
        grams: fc.integer({ min: 30, max: 900 }),
      });
      fc.assert(
        fc.property(
          fc.constantFrom(...styleIds),
          outside,
          steps,
          fc.option(fc.integer({ min: 1, max: 40 }), { nil: undefined }),
          piece,
          (style, around, says, pieces, each) => {
            const formula: Formula = {
              ...build({ 'bread-flour': 500, water: 330, salt: 10, walnuts: 80 }, style),
              ...(around.length > 0
                ? { outside: around.map((o, i) => ({ id: `o${i}`, ...o }) as Outside) }
                : {}),
              ...(says.length > 0 ? { steps: says.map((s) => ({ says: s })) } : {}),
              ...(pieces === undefined ? {} : { pieces, piece: each as Piece }),
            };
            const got = back(formula, id);
            const asides = ({ outside: all = [] }: Formula) =>
              all.map((o) => `${o.use} ${o.says}`).sort();
            expect(got.style).to.equal(style);
            expect(asides(got)).to.deep.equal(asides(formula));
            expect((got.steps ?? []).map((s) => s.says)).to.deep.equal(says);
            expect([got.pieces, got.piece]).to.deep.equal([formula.pieces, formula.piece]);
            expect(linesOf(got)).to.deep.equal(linesOf(formula));
          },
        ),
        { numRuns: 150 },
      );
    });
  });
