import { evaluate } from '@tender-crumb/core/evaluate';
import { nothingLearned } from '@tender-crumb/core/belief';
import { defaultHousehold } from '@tender-crumb/core/household';
import { catalogue } from '@tender-crumb/core/ingredient';
import { defaultMeasures } from '@tender-crumb/core/quantity';
import { readRecipe } from '@tender-crumb/core/reader';

import { print, time } from './measure.ts';

/** Thirty lines: four flours, a starter, water, and twenty-four other things in small amounts. */
const others = catalogue.filter((i) => i.role !== 'flour' && i.id !== 'water' && i.cup);
const text = [
  '2 cups bread flour',
  '1 cup whole wheat flour',
  '150 g rye flour',
  '1½ cups (180 g) spelt flour',
  '100 g starter',
  '1 1/2 cups warm water',
  ...others.slice(0, 24).map((i, n) => `${1 + (n % 3)} tsp ${i.aliases[0]}, to taste (optional)`),
].join('\n');
const { formula, unread } = readRecipe(text, { measures: defaultMeasures });
if (unread.length > 0) throw new Error(`the bench recipe is not read: ${unread[0]!.text}`);

// A new value each time, as a keystroke makes one.
const evaluation = () => evaluate({ ...formula }, defaultHousehold, nothingLearned);
const reading = () => readRecipe(text, { measures: defaultMeasures });
const passes = () => text.split('\n').map((l) => l.toLowerCase().match(/[\d½]+|[a-z]+/g));

print({
  measure: 'evaluate a 30-line formula with interval and corrections',
  ...(await time(evaluation, { each: 20 })),
  unit: 'ms',
  aim: '< 0.5',
});
const baseline = await time(passes, { each: 20 });
const read = await time(reading, { each: 5 });
print({
  measure: 'read a 30-line recipe',
  ...read,
  unit: 'ms',
  aim: '< 2',
  baseline: 'one regular expression over each line',
  baselineMedian: baseline.median,
});

/** A web page round the same recipe: a menu, scripts, a story, and what readers said of it. */
const said = (n: number) =>
  `<p>Reader ${n}: I made this with ${1 + (n % 4)} cups of flour and it was good, thank you!</p>`;
const story = '<p>It was a grey morning on the canal and the oven had been cold for a week.</p>';
const page = [
  `<html><head><title>A loaf</title><style>${'.a{color:#123}'.repeat(3000)}</style>`,
  `<script>${'window.x=1;'.repeat(4000)}</script></head><body>`,
  ...Array.from({ length: 200 }, (_, n) => `<li><a href="/p/${n}">Page ${n}</a></li>`),
  story.repeat(600),
  `<h2>Ingredients</h2><ul>${text
    .split('\n')
    .map((line) => `<li>${line}</li>`)
    .join('')}</ul>`,
  ...Array.from({ length: 1000 }, (_, n) => said(n)),
  '</body></html>',
].join('\n');
const strip = () => page.replace(/<[^>]*>/g, ' ').split('\n').length;
const stripped = await time(strip, { each: 5 });
print({
  measure: `read a recipe on a web page of ${Math.round(page.length / 1000)} kB`,
  ...(await time(() => readRecipe(page, { measures: defaultMeasures }), { each: 1 })),
  unit: 'ms',
  aim: '< 100',
  baseline: 'the page without its tags',
  baselineMedian: stripped.median,
});
