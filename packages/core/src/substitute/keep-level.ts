import { makeCorrection, type Correction, type CorrectionContext } from '../correct/correction.ts';
import { doughModel } from '../dough/dough-model.ts';
import type { Level } from '../dough/level.ts';
import { surplusOf } from '../dough/linear-form.ts';
import { ownPoints } from '../dough/own-points.ts';
import { thickenerOf, thickeningGrams } from '../dough/thickener.ts';
import type { Change } from '../formula/formula.ts';
import { isPouredWater } from '../formula/poured-water.ts';
import { gramsText } from '../quantity/number.ts';
import { refuse, type Refused } from '../quantity/refusal.ts';

/** Points off the level as it was that a baker would notice. */
const noticed = 0.4;

/** What of the water account asks for more or less water, in grams, and in words for either way. */
function causes(before: Level, after: Level) {
  const diff = (of: 'brings' | 'softens' | 'drinks') => after.account[of] - before.account[of];
  return [
    {
      grams: diff('drinks'),
      more: (g: string) => `It absorbs ${g} more water than what it replaces`,
      less: (g: string) => `It absorbs ${g} less water than what it replaces`,
    },
    {
      grams: -diff('brings'),
      more: (g: string) => `It adds ${g} less water than what it replaces`,
      less: (g: string) => `It adds ${g} more water than what it replaces`,
    },
    {
      grams: -diff('softens'),
      more: (g: string) => `Its sugar and fat soften as ${g} of water less would`,
      less: (g: string) => `Its sugar and fat soften as ${g} of water more would`,
    },
    {
      grams: (before.points * (after.baseGrams - before.baseGrams)) / 100,
      more: () => 'There is more flour for the water to reach',
      less: () => 'There is less flour for the water to reach',
    },
  ];
}

/** The cause that asks for the most of it. */
function because(before: Level, after: Level, grams: number): string {
  const [first] = causes(before, after)
    .filter((c) => Math.sign(c.grams) === Math.sign(grams))
    .sort((a, b) => Math.abs(b.grams) - Math.abs(a.grams));
  const text = gramsText(Math.abs(first?.grams ?? grams));
  return first ? first[grams > 0 ? 'more' : 'less'](text) : 'It moves the dough';
}

/** What brings less free water than this, g a gram, is no liquid to hold back. Own choice, no source. */
const leastWet = 0.3;

const round = (grams: number): number => Math.round(grams);

/**
 * Water held back: poured water first; where too little of that is poured, milk and other liquids; where
 * those do not reach, flour or what stiffens the dough.
 */
function heldBack(need: number, context: CorrectionContext): Change[] | undefined {
  const { lines, stage, kitchen, level } = context;
  const { forms, softening, base } = doughModel(lines, kitchen);
  const changes: Change[] = [];
  let rest = need;
  const liquids = forms
    .filter(({ line }) => line.stage === stage && line.of.role === 'liquid' && line.grams > 0)
    .sort(
      (a, b) =>
        Number(isPouredWater(b.line)) - Number(isPouredWater(a.line)) ||
        b.line.grams - a.line.grams,
    );
  for (const form of liquids) {
    const each = surplusOf(form, softening);
    const grams = round(Math.min(form.line.grams, rest / each));
    if (!(each > leastWet) || grams < 1) continue;
    changes.push({ stage, ingredient: form.line.ingredient, grams: -grams });
    rest -= grams * each;
  }
  if ((100 * rest) / level.baseGrams < noticed) return changes;
  const thickener = thickenerOf(lines, base);
  if (!thickener) return undefined;
  const own = ownPoints(kitchen);
  const to = level.points - (100 * need) / level.baseGrams;
  const grams = round(
    thickeningGrams(
      to + (100 * rest) / level.baseGrams - own,
      to - own,
      level.baseGrams,
      thickener,
    ),
  );
  if (!(grams > 0 && Number.isFinite(grams))) return undefined;
  return [
    ...changes,
    { stage: thickener.line.stage, ingredient: thickener.line.ingredient, grams },
  ];
}

/**
 * What keeps a dough where it stood, and why it takes that.
 *
 * @param before its level before the swap
 * @param context of the formula with the swap
 * @returns nothing where a baker would not notice; a refusal where nothing could keep it
 */
export function keepLevel(before: Level, context: CorrectionContext): Correction[] | Refused {
  const { level, stage } = context;
  const off = level.points - before.points;
  if (Math.abs(off) < noticed) return [];
  const grams = round((-off * level.baseGrams) / 100);
  if (grams === 0) return [];
  const changes = grams > 0 ? [{ stage, ingredient: 'water', grams }] : heldBack(-grams, context);
  if (!changes || changes.length === 0) {
    return refuse(
      'too-wet',
      `It would come out ${Math.abs(off).toFixed(0)} points looser, and there is neither liquid to hold back nor flour to add.`,
    );
  }
  const does = changes
    .map((c) => {
      const { name } = context.pantry.ingredient(c.ingredient);
      return c.grams > 0
        ? `${gramsText(c.grams)} ${grams > 0 ? 'of' : 'more'} ${name}`
        : `${gramsText(-c.grams)} of ${name} held back`;
    })
    .join(' and ');
  return [
    makeCorrection(context, {
      kind: 'water',
      reason: `${because(before, level, grams)}: ${does} ${changes.length > 1 ? 'keep' : 'keeps'} the dough as it was.`,
      basis: 'the water account before and after',
      certainty: 0.8,
      ifLeft: `The dough comes out ${off < 0 ? 'tighter' : 'looser'} by ${Math.abs(off).toFixed(1)} points.`,
      changes,
    }),
  ];
}
