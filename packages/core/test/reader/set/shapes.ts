import type { Bread } from './breads.ts';

const kilos = (grams: number): string => (grams / 1000).toFixed(3).replace('.', ',');
const cap = (text: string): string => text.charAt(0).toUpperCase() + text.slice(1);
const rows = ({ lines }: Bread, of: (grams: number, words: string, percent: string) => string) => {
  const flour = lines[0]![0];
  return lines.map(([g, w]) => of(g, w, ((100 * g) / flour).toFixed(1)));
};
const method =
  'Method\n1. Mix everything and knead for 10 minutes.\n2. Let rise until doubled, about 1½ hours.\n3. Bake at 220 °C for 30 minutes.';

/** Shapes that recipes come in: each writes a bread as somebody would. */
export const shapes: Readonly<Record<string, (bread: Bread) => string>> = {
  'a list of grams': (b) => `${b.name}\n\n${rows(b, (g, w) => `${g} g ${w}`).join('\n')}`,
  'grams without a space, with bullets and a method': (b) =>
    `# ${b.name}\n\nMakes 1 loaf\n\n## Ingredients\n${rows(b, (g, w) => `- ${g}g ${w}`).join('\n')}\n\n## ${method}`,
  'name first': (b) => rows(b, (g, w) => `${cap(w)}: ${g} g`).join('\n'),
  'dotted leaders': (b) => rows(b, (g, w) => `${cap(w)} ............ ${g} g`).join('\n'),
  'percentages beside': (b) => rows(b, (g, w, p) => `${g} g ${w} (${p} %)`).join('\n'),
  'a markdown table': (b) =>
    `**${b.name}**\n\n| Ingredient | % | Grams |\n| --- | ---: | ---: |\n${rows(b, (g, w, p) => `| ${w} | ${p} | ${g} |`).join('\n')}\n| Total | | ${b.lines.reduce((s, [g]) => s + g, 0)} |`,
  'a table with tabs': (b) =>
    `Item\tWeight (g)\tNotes\n${rows(b, (g, w) => `${w}\t${g}\t`).join('\n')}`,
  'a table without a heading': (b) => rows(b, (g, w) => `${g} g | ${w}`).join('\n'),
  'a page': (b) =>
    `<html><body><nav><a>Home</a><a>About</a></nav><h1>${b.name}</h1><p>We bake this on the boat every week, and everybody likes it very much.</p><h2>Ingredients</h2><ul>${rows(b, (g, w) => `<li><span>${g}</span>&nbsp;<span>g</span> ${w}</li>`).join('\n')}</ul><h2>Instructions</h2><ol><li>Mix and knead.</li><li>Bake for 30 minutes.</li></ol></body></html>`,
  'a page with its data': (b) =>
    `<html><head><script type="application/ld+json">${JSON.stringify({ '@type': 'Recipe', name: b.name, recipeYield: '1 loaf', recipeIngredient: rows(b, (g, w) => `${g} grams ${w}`), recipeInstructions: [{ '@type': 'HowToStep', text: 'Mix and bake.' }] })}</script></head><body><p>x</p><div>y</div></body></html>`,
  'on one line': (b) => rows(b, (g, w) => `${g} g ${w}`).join(', '),
  'amount and name on two lines': (b) => rows(b, (g, w) => `${g} g\n${w}`).join('\n'),
  'kilograms with a comma': (b) => rows(b, (g, w) => `${kilos(g)} kg ${w}`).join('\n'),
  'ounces with grams': (b) =>
    rows(b, (g, w) => `${(g / 28.349523125).toFixed(1)} oz (${g} g) ${w}`).join('\n'),
  'ticked boxes': (b) => rows(b, (g, w) => `☐ ${g} grams of ${w}`).join('\n'),
  'smart marks and odd spaces': (b) =>
    rows(b, (g, w) => `•\u2009${g}\u00a0g\u2003${w}, at room temperature`).join('\n'),
};
