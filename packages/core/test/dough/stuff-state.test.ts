import { expect } from 'chai';
import { level } from '@tender-crumb/core/dough';
import { completeFormula } from '@tender-crumb/core/exchange';
import { resolve, stateIn } from '@tender-crumb/core/formula';
import { kitchenOf } from '@tender-crumb/core/belief';
import { defaultHousehold } from '@tender-crumb/core/household';
import { ingredient, inState } from '@tender-crumb/core/ingredient';
import { build, judge } from '../build.ts';

describe('what soaking and cooking make of a thing', () => {
  it('a soaker soaks, and cooks from 60 °C on or where it is called so; no other part does', () => {
    const soaker = { id: 's1', kind: 'soaker' as const, name: 'Seeds' };
    expect(stateIn(soaker)).to.equal('soaked');
    expect(stateIn({ ...soaker, process: { celsius: 59.9 } })).to.equal('soaked');
    expect(stateIn({ ...soaker, process: { celsius: 60 } })).to.equal('cooked');
    for (const name of ['Tangzhong', 'Rye scald', 'Oat porridge', 'Water roux']) {
      expect(stateIn({ ...soaker, name }), name).to.equal('cooked');
      expect(stateIn({ ...soaker, name, kind: 'dough' }), name).to.equal(undefined);
    }
  });

  it('it drinks by its state, has drunk at the first touch, and is learned apart', () => {
    const oats = ingredient('rolled-oats');
    expect(oats.slow).to.equal(true);
    expect(inState(oats, 'cooked').slow).to.equal(false);
    expect(inState(oats, 'cooked').absorption.value).to.be.above(
      inState(oats, 'soaked').absorption.value,
    );
    expect(inState(oats, undefined)).to.equal(oats);
    expect(inState(ingredient('water'), 'cooked')).to.equal(ingredient('water'));
    const at = (name: string) =>
      level(
        resolve(
          completeFormula({
            stages: [
              { kind: 'soaker', name, lines: [{ ingredient: 'rolled-oats', grams: 80 }] },
              {
                lines: [
                  { ingredient: 'bread-flour', grams: 420 },
                  { ingredient: 'water', grams: 400 },
                ],
              },
            ],
          }),
        ),
        kitchenOf(defaultHousehold),
      )!;
    const [soaked, cooked] = [at('Oats'), at('Porridge')];
    expect(soaked.points).to.be.above(cooked.points + 5);
    expect([...soaked.slopes.keys()]).to.include('thirst:rolled-oats:soaked');
    expect([...cooked.slopes.keys()]).to.include('thirst:rolled-oats:cooked');
  });

  it('dissolved polyols soften like sugar, fat up to 15 % of the flour and less past it', () => {
    const dough = { 'bread-flour': 500, water: 300 };
    const points = (more: Record<string, number>) =>
      judge(build({ ...dough, ...more })).level.points;
    const plain = points({});
    expect(points({ erythritol: 50 }) - plain).to.be.closeTo(points({ sugar: 50 }) - plain, 0.1);
    // .3 g of water a gram: Oil is all fat.
    expect(points({ oil: 74 }) - plain).to.be.closeTo((0.3 * 7400) / 500, 0.05);
    expect(points({ oil: 250 }) - plain).to.be.closeTo(0.3 * 15 * (1 + Math.log(50 / 15)), 0.1);
  });

  it('flatbreads, thin and griddled ones may do without yeast; a loaf may not', () => {
    const yeast = (style: 'flatbread' | 'rolled-thin' | 'griddle' | 'pan') =>
      judge(build({ 'plain-flour': 500, water: 300, salt: 8 }, style)).corrections.some(
        (c) => c.kind === 'yeast',
      );
    expect((['flatbread', 'rolled-thin', 'griddle', 'pan'] as const).map(yeast)).to.deep.equal([
      false,
      false,
      false,
      true,
    ]);
  });
});
