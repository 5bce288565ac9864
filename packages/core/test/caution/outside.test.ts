import { expect } from 'chai';
import { allergensOf } from '@tender-crumb/core/caution';
import { evaluate } from '@tender-crumb/core/evaluate';
import { completeFormula, type FormulaJson } from '@tender-crumb/core/exchange';
import { besidesOf } from '@tender-crumb/core/formula';
import { nothingLearned } from '@tender-crumb/core/belief';
import { defaultHousehold } from '@tender-crumb/core/household';
import { cataloguePantry } from '@tender-crumb/core/ingredient';

const rolls = (outside: FormulaJson['outside']) =>
  completeFormula({
    stages: [
      {
        lines: [
          { ingredient: 'rice-flour', grams: 500 },
          { ingredient: 'water', grams: 400 },
        ],
      },
    ],
    ...(outside ? { outside } : {}),
  });
const ids = (f: ReturnType<typeof rolls>) =>
  evaluate(f, { ...defaultHousehold, glutenFree: true }, nothingLearned)!.cautions.map((c) => c.id);

describe('what lies outside the dough is eaten too', () => {
  it('its gluten, egg, honey and nuts are warned of; its egg is no reason against a timer', () => {
    const plain = ids(rolls(undefined));
    expect(plain).to.include('shared-mill').and.not.include('gluten-in-gluten-free-house');
    const glazed = rolls([
      { id: 'o1', use: 'glaze', says: '1 egg, beaten', ingredient: 'egg' },
      { id: 'o2', use: 'dusting', says: 'flour for dusting', ingredient: 'plain-flour' },
      { id: 'o3', use: 'topping', says: 'walnuts', ingredient: 'walnuts' },
      { id: 'o4', use: 'topping', says: 'honey', ingredient: 'honey' },
      { id: 'o5', use: 'topping', says: 'something nobody knows' },
    ]);
    expect(ids(glazed))
      .to.include.members(['gluten-in-gluten-free-house', 'egg-rich', 'honey-infants'])
      .and.not.include.members(['perishable']);
    const lines = evaluate(glazed, defaultHousehold, nothingLearned)!.lines;
    expect(allergensOf(lines, besidesOf(glazed, cataloguePantry)).eu).to.deep.equal([
      'cereals containing gluten',
      'eggs',
      'nuts',
    ]);
    expect(allergensOf(lines).eu).to.deep.equal([]);
  });
});
