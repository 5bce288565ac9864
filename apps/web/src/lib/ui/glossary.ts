/**
 * Words of ours and of the trade, explained where they stand. docs/glossary.md has them all; these are
 * the ones that meet a baker on the screen.
 */
export const glossary = {
  'dough level':
    'Where a dough stands between dry and batter. 0 is a smooth, tacky ball that just does not stick to a finger; each point is a gram of water more or less per 100 g of flour.',
  window: 'Where this kind of bread should be, between the two marks.',
  'chance to land':
    'Of 100 doughs measured your way, with flour like yours, this many come out right: inside the window.',
  correction: 'The smallest change that makes the dough right. Nothing changes until you take it.',
  'baker’s percentage':
    'Each ingredient by weight, with the flour as 100 %: 65 % water is 65 g for 100 g of flour.',
  hydration:
    'Water against flour, in baker’s percent. Poured water is water alone; effective water counts what milk, egg, honey, butter and purée bring as well.',
  absorption: 'How much water a flour takes to become a smooth, tacky ball.',
  'pre-fermented': 'The share of the flour in the starter or pre-ferment, mixed ahead.',
  starter: 'Flour and water kept alive with wild yeast and lactic bacteria, fed before it is used.',
  'pre-ferment':
    'A part of the dough with a little yeast, mixed hours ahead: poolish, biga, sponge.',
  soaker: 'Grains, seeds or flakes that stand in water before they go into the dough.',
  dough: 'What is mixed last, with everything in it.',
  'first rise': 'The whole dough rises, before it is shaped. Bakers also call it bulk.',
  'final proof': 'The shaped bread rises again, in its tin or on its tray, before baking.',
  'raw weight':
    'What one piece weighs before it is baked; in the oven it loses about a tenth to an eighth.',
  hold: 'This amount stays the same when you scale the recipe.',
} as const;

export type GlossaryWord = keyof typeof glossary;
