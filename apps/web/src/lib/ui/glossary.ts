/**
 * Words of ours and of the trade, explained where they stand. docs/glossary.md has them all; these are
 * the ones that meet a baker on the screen.
 */
export const glossary = {
  'dough level':
    'Where a dough stands between dry and batter. 0 is a smooth, tacky ball that just does not stick to a finger; each point is a gram of water more or less per 100 g of flour.',
  window: 'The stretch of the level that this kind of bread wants, between the two marks.',
  'chance to land':
    'Of a hundred doughs measured as you measure, in flour as unsure as yours, so many come out in the window.',
  correction:
    'The least change that brings the dough into its window, or its salt, yeast and gluten to what this bread wants. Nothing is changed until you take it.',
  'baker’s percentage':
    'Every ingredient by weight against the flour, which is 100 %: 65 % water is 65 g to 100 g of flour. So two formulas can be compared whatever their size.',
  hydration:
    'Water against flour, in baker’s percent. Poured water is water alone; effective water counts what milk, egg, honey, butter and purée bring as well.',
  thirst: 'Grams of water that a gram of a flour takes to become that smooth, tacky ball.',
  'pre-fermented': 'The part of all the flour that is in a starter or pre-ferment, mixed ahead.',
  starter: 'Flour and water kept alive with wild yeast and lactic bacteria, fed before it is used.',
  'pre-ferment':
    'A part of the dough with a little yeast, mixed hours ahead: poolish, biga, sponge.',
  soaker: 'Grains, seeds or flakes that stand in water before they go into the dough.',
  dough: 'What is mixed last, with everything in it.',
  'first rise':
    'The dough as a whole grows with the gas of its yeast, until it is shaped. Bakers call it bulk as well.',
  'final proof':
    'The shaped bread grows once more, in its tin or on its tray, until it goes into the oven.',
  'raw weight':
    'What one piece weighs before it is baked; in the oven it loses about a tenth to an eighth.',
  hold: 'A line that is held keeps its grams when the rest is scaled.',
} as const;

export type GlossaryWord = keyof typeof glossary;
