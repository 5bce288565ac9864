import { gramsByVolume, ingredient } from '@tender-crumb/core/ingredient';
import { defaultMeasures, type Random } from '@tender-crumb/core/quantity';
import { breadOf, pick, type Bread, type Item } from './recipe.ts';
import type { Region } from './wares.ts';

/** What a row of a written recipe means: so much of that, outside the dough, or a question that has to be asked. */
export type Means =
  | { readonly of: string; readonly grams: number; readonly askedWillDo?: true }
  | { readonly outside: true }
  | { readonly asked: true };

export interface WrittenDown {
  readonly text: string;
  readonly means: readonly Means[];
}

/** Somebody who writes recipes down in a way of their own. */
export interface Person {
  readonly kind: string;
  readonly region: Region;
  readonly write: (random: Random, region: Region) => WrittenDown;
}

const meant = ({ items }: Bread): Means[] => items.map(({ of, grams }) => ({ of, grams }));

/** Words so that a count of one reads well. */
const many = (n: number, word: string): string => `${n} ${n === 1 ? word : `${word}s`}`;

/** Cups and spoons to the quarter, as fractions in one of the ways in which they are typed. */
const fraction = (random: Random, quarters: number): string => {
  const whole = Math.floor(quarters / 4);
  const part = quarters % 4;
  const style = Math.floor(random() * 3);
  const parts = [
    ['', ' 1/4', ' 1/2', ' 3/4'],
    ['', '¼', '½', '¾'],
    ['', ' ¼', ' ½', ' ¾'],
  ][style]!;
  return `${whole > 0 ? whole : ''}${parts[part]}`.trim();
};

/** Grams of a cup and of a spoon, as the catalogue has them: what they weigh is not what is asked here. */
const gramsOf = (of: string, unit: 'cup' | 'tsp'): number | undefined =>
  gramsByVolume(1, unit, ingredient(of), defaultMeasures);

/** What a cook of the New World makes of an item, and what it then weighs. */
function inCups(random: Random, { of, ware, word, grams }: Item): { row: string; grams: number } {
  const cup = ware.inCups && gramsOf(of, 'cup');
  if (cup) {
    const quarters = Math.max(1, Math.round((4 * grams) / cup));
    const text = fraction(random, quarters);
    return { row: `${text} cup${quarters > 4 ? 's' : ''} ${word}`, grams: (quarters * cup) / 4 };
  }
  const spoon = ware.inSpoons && gramsOf(of, 'tsp');
  if (spoon) {
    const big = grams > 4 * spoon;
    const size = big ? 3 * spoon : spoon;
    const quarters = Math.max(1, Math.round((4 * grams) / size));
    const unit = big
      ? pick(random, ['tbsp', 'tablespoons', 'Tbsp.', 'T'])
      : pick(random, ['tsp', 'teaspoons', 'tsp.', 't']);
    return { row: `${fraction(random, quarters)} ${unit} ${word}`, grams: (quarters * size) / 4 };
  }
  if (of === 'egg') {
    const n = Math.max(1, Math.round(grams / 50));
    return { row: `${n} ${n === 1 ? word.replace(/eggs/, 'egg') : word}`, grams: 50 * n };
  }
  return { row: `${grams} g ${word}`, grams };
}

const bullets = ['', '- ', '• ', '* ', '☐ ', '▢ ', '– '];
const chatter = [
  'My neighbour gave me this one years ago.',
  'Everybody on the boat likes it.',
  'You can make it the day before.',
  'I never sift anything.',
  'It keeps for four days in a cloth.',
  'Do not be afraid of a sticky dough!',
];
const method = [
  'Mix everything and knead for ten minutes.',
  'Leave until doubled, about 1 1/2 hours.',
  'Shape it and put it into the tin.',
  'Bake at 220 °C for 35 minutes.',
];
const numbered = method.map((m, i) => `${i + 1}. ${m}`).join('\n');

const person = (kind: string, region: Region, write: Person['write']): Person => ({
  kind,
  region,
  write,
});

/** A list of grams with what a region's bakers put around it. */
const listed =
  (around: (random: Random, rows: readonly string[], bread: Bread) => string): Person['write'] =>
  (random, region) => {
    const bread = breadOf(random, region, ['egg']);
    const space = random() < 0.5 ? '' : ' ';
    const bullet = pick(random, bullets);
    const unit = pick(random, ['g', 'g', 'grams', 'gr']);
    const rows = bread.items.map(({ grams, word }) => `${bullet}${grams}${space}${unit} ${word}`);
    return { text: around(random, rows, bread), means: meant(bread) };
  };

const plain = listed(
  (_, rows, { title }) => `${title}\n\n${rows.join('\n')}\n\nMethod\n${numbered}`,
);

/** With a thing after the others that is not for the dough. */
const asides = [
  'flour for dusting',
  'oil for the tin',
  '1 egg, beaten, for brushing',
  'butter for greasing',
  '2 tbsp milk, to glaze',
  '1 tbsp sesame seeds, for sprinkling',
  'extra flour for the bench',
  '1 egg yolk + 1 tbsp milk, for brushing',
];

/** What a scan makes of figures: a letter that looks like one. */
const scanned = (random: Random, amount: string): string =>
  random() < 0.5 ? amount.replace(/0/, 'O') : amount.replace(/1/, 'l');

/** The kinds of people who write recipes: written down before the reader was mended for any of them. */
export const persons: readonly Person[] = [
  person('a British list', 'uk', plain),
  person('an Irish list', 'ireland', plain),
  person('an Australian list', 'australia', plain),
  person('an Indian list', 'india', plain),
  person('an American list of grams', 'us', plain),
  person('a German list', 'germany', plain),
  person('a French list', 'france', plain),
  person('an Italian list', 'italy', plain),
  person('an American with cups', 'us', (random, region) => {
    const bread = breadOf(random, region);
    const rows = bread.items.map((i) => ({ ...inCups(random, i), of: i.of }));
    return {
      text: `${bread.title}\n\n${rows.map((r) => r.row).join('\n')}\n\nDirections\n${numbered}`,
      means: rows.map(({ of, grams }) => ({ of, grams })),
    };
  }),
  person('cups with grams behind', 'us', (random, region) => {
    const bread = breadOf(random, region, ['egg']);
    const rows = bread.items.map((i) => {
      const { row } = inCups(random, i);
      return / g /.test(row) ? row : `${row} (${i.grams} g)`;
    });
    return { text: rows.join('\n'), means: meant(bread) };
  }),
  person('pounds and ounces', 'us', (random, region) => {
    const bread = breadOf(random, region, ['egg']);
    const ounces = (grams: number) => Math.max(0.1, Math.round((grams / 28.349523125) * 10) / 10);
    const rows = bread.items.map(({ of, grams, word }) => {
      const oz = ounces(grams);
      const lb = Math.floor(oz / 16);
      const left = Math.round((oz - 16 * lb) * 10) / 10;
      const text =
        lb > 0
          ? `${lb} lb${left > 0 ? ` ${left} oz` : ''}`
          : `${oz} ${pick(random, ['oz', 'ozs', 'oz.'])}`;
      return { row: `${text} ${word}`, of, grams: oz * 28.349523125 };
    });
    return {
      text: `${bread.title}\n\n${rows.map((r) => r.row).join('\n')}`,
      means: rows.map(({ of, grams }) => ({ of, grams })),
    };
  }),
  person('name first', 'uk', (random, region) => {
    const bread = breadOf(random, region, ['egg']);
    const between = pick(random, [': ', ' - ', ' ........ ', ' – ', '\t', ', ', ' = ']);
    return {
      text: `${bread.title}\n\n${bread.items
        .map(({ word, grams }) => `${word.replace(/,.*| \(.*/, '')}${between}${grams} g`)
        .join('\n')}`,
      means: meant(bread),
    };
  }),
  person('baker’s percentages beside', 'us', (random, region) => {
    const bread = breadOf(random, region, ['egg']);
    const percent = (grams: number) => `${((100 * grams) / bread.flour).toFixed(1)}%`;
    const style = Math.floor(random() * 3);
    const rows = bread.items.map(({ grams, word }) =>
      style === 0
        ? `${grams} g ${word} (${percent(grams)})`
        : style === 1
          ? `${percent(grams)} ${word} – ${grams} g`
          : `${word}: ${grams} g, ${percent(grams)}`,
    );
    return { text: rows.join('\n'), means: meant(bread) };
  }),
  person('a table of a spreadsheet', 'uk', (random, region) => {
    const bread = breadOf(random, region, ['egg']);
    const by = pick(random, ['\t', ' | ', ';']);
    const head = ['Ingredient', '%', pick(random, ['g', 'Grams', 'Weight (g)'])];
    const rows = bread.items.map(({ word, grams }) => [
      word.replace(/[,;(].*/, '').trim(),
      ((100 * grams) / bread.flour).toFixed(1),
      String(grams),
    ]);
    const total = ['Total', '', String(bread.items.reduce((sum, i) => sum + i.grams, 0))];
    return {
      text: [head, ...rows, total].map((cells) => cells.join(by)).join('\n'),
      means: meant(bread),
    };
  }),
  person('a table of kilos', 'uk', (random, region) => {
    const bread = breadOf(random, region, ['egg']);
    const rows = bread.items.map(
      ({ word, grams }) =>
        `| ${word.replace(/[,;(].*/, '').trim()} | ${(grams / 100).toFixed(2)} |`,
    );
    return {
      text: `| | kg |\n|---|---|\n${rows.join('\n')}`,
      means: bread.items.map(({ of, grams }) => ({ of, grams: 10 * grams })),
    };
  }),
  person('chatter between rows', 'us', (random, region) => {
    const bread = breadOf(random, region, ['egg']);
    const rows = bread.items.map(({ grams, word }) => `${grams} g ${word}`);
    const text = rows.flatMap((row) => (random() < 0.3 ? [row, pick(random, chatter)] : [row]));
    return { text: `${bread.title}\n\n${text.join('\n')}`, means: meant(bread) };
  }),
  person('one sentence', 'uk', (random, region) => {
    const bread = breadOf(random, region, ['egg']);
    const things = bread.items.map(
      ({ grams, word }) => `${grams} g ${word.replace(/[,;(].*/, '').trim()}`,
    );
    const verb = pick(random, ['Mix', 'Combine', 'Stir together', 'Take']);
    return {
      text: `${verb} ${things.slice(0, -1).join(', ')} and ${things.at(-1)}.\nKnead well, leave to rise, and bake hot.`,
      means: meant(bread),
    };
  }),
  person('all on one line', 'us', (random, region) => {
    const bread = breadOf(random, region, ['egg']);
    const by = pick(random, [', ', '; ', ' / ', ' + ']);
    return {
      text: bread.items
        .map(({ grams, word }) => `${grams} g ${word.replace(/[,;(].*/, '').trim()}`)
        .join(by),
      means: meant(bread),
    };
  }),
  person('amounts in the method alone', 'uk', (random, region) => {
    const bread = breadOf(random, region, ['egg', 'seed']);
    const [first, ...rest] = bread.items.map(
      ({ grams, word }) => `${grams} g of ${word.replace(/[,;(].*/, '').trim()}`,
    );
    const steps = [
      `Weigh ${first} into a large bowl.`,
      ...rest.map((thing, i) =>
        i % 2 === 0 ? `Add ${thing} and stir.` : `Now pour in ${thing}, a little at a time.`,
      ),
    ];
    return {
      text: `${bread.title}\n\n${steps.join(' ')} Knead for ten minutes and bake.`,
      means: bread.items.map(({ of, grams }) => ({ of, grams, askedWillDo: true })),
    };
  }),
  person('a page', 'us', (random, region) => {
    const bread = breadOf(random, region);
    const rows = bread.items.map((i) => ({ ...inCups(random, i), of: i.of }));
    return {
      text: `<html><body><nav><a>Home</a></nav><h1>${bread.title}</h1><p>${pick(random, chatter)}</p><h2>Ingredients</h2><ul>${rows
        .map(({ row }) => `<li>${row.replace(/^(\S+) /, '<span>$1</span> ')}</li>`)
        .join(
          '\n',
        )}</ul><h2>Instructions</h2><ol>${method.map((m) => `<li>${m}</li>`).join('')}</ol></body></html>`,
      means: rows.map(({ of, grams }) => ({ of, grams })),
    };
  }),
  person('a page with its data', 'uk', (random, region) => {
    const bread = breadOf(random, region, ['egg']);
    return {
      text: `<html><head><script type="application/ld+json">${JSON.stringify({
        '@type': 'Recipe',
        name: bread.title,
        recipeYield: '1 loaf',
        recipeIngredient: bread.items.map(({ grams, word }) => `${grams}g ${word}`),
        recipeInstructions: method.map((text) => ({ '@type': 'HowToStep', text })),
      })}</script></head><body><p>x</p><div>y</div></body></html>`,
      means: meant(bread),
    };
  }),
  person('a levain that is built', 'us', (random, region) => {
    const bread = breadOf(random, region, ['egg', 'fat', 'sweet']);
    const items = bread.items.filter((i) => i.ware.part !== 'yeast');
    const build = round5(bread.flour * 0.08);
    const head = pick(random, ['Levain', 'For the levain:', 'Levain build', '## Levain']);
    const dough = pick(random, ['Dough', 'Final dough:', 'For the dough:', '## Main dough']);
    const all = pick(random, [
      'all of the levain',
      'All the levain (above)',
      `${3 * build} g levain`,
      'levain from above',
    ]);
    return {
      text: `${bread.title}\n\n${head}\n${build} g ripe starter\n${build} g bread flour\n${build} g water\n\n${dough}\n${items
        .map(({ grams, word }) => `${grams} g ${word}`)
        .join('\n')}\n${all}\n\nMethod\n${numbered}`,
      means: [
        { of: 'bread-flour', grams: build / 2 },
        { of: 'water', grams: build / 2 },
        { of: 'bread-flour', grams: build },
        { of: 'water', grams: build },
        ...items.map(({ of, grams }) => ({ of, grams })),
      ],
    };
  }),
  person('starter by the gram', 'uk', (random, region) => {
    const bread = breadOf(random, region, ['egg', 'fat', 'sweet']);
    const items = bread.items.filter((i) => i.ware.part !== 'yeast');
    const starter = 10 * Math.round(bread.flour / 50);
    const word = pick(random, [
      'active starter',
      'sourdough starter (100% hydration)',
      'ripe levain',
      'bubbly sourdough starter, fed the night before',
    ]);
    return {
      text: [...items.map(({ grams, word: w }) => `${grams} g ${w}`), `${starter} g ${word}`].join(
        '\n',
      ),
      means: [
        ...items.map(({ of, grams }): Means => ({ of, grams })),
        { of: 'bread-flour', grams: starter / 2 },
        { of: 'water', grams: starter / 2 },
      ],
    };
  }),
  person('remarks behind', 'us', (random, region) => {
    const bread = breadOf(random, region, ['egg']);
    const remark = () =>
      pick(random, [
        '',
        '',
        ' (weigh it!)',
        ', plus more if needed',
        ' – I use a local one',
        ' (see notes)',
        ', at room temperature',
        '*',
        ', divided',
        ' (optional)',
      ]);
    return {
      text: bread.items.map(({ grams, word }) => `${grams} g ${word}${remark()}`).join('\n'),
      means: meant(bread),
    };
  }),
  person('a share kept back', 'uk', (random, region) => {
    const bread = breadOf(random, region, ['egg']);
    const held = 5 * Math.ceil(4 * random());
    const rows = bread.items.flatMap(({ grams, word, of }) => {
      const bare = word.replace(/[,;(].*/, '').trim();
      return of === 'water'
        ? pick(random, [
            `${grams - held} g ${bare}, plus ${held} g with the salt`,
            `${grams - held} g ${bare} + ${held} g later`,
            `${grams - held} g ${bare} and another ${held} g`,
          ])
        : `${grams} g ${word}`;
    });
    return {
      text: rows.join('\n'),
      means: bread.items.flatMap(({ of, grams }): Means[] =>
        of === 'water'
          ? [
              { of, grams: grams - held },
              { of, grams: held },
            ]
          : [{ of, grams }],
      ),
    };
  }),
  person('a choice in a row', 'us', (random, region) => {
    const bread = breadOf(random, region, ['egg', 'fat', 'sweet']);
    const fat = 5 * Math.ceil(6 * random());
    const choice = pick(random, [
      ['butter or oil', 'butter'],
      ['olive oil or melted butter', 'oil'],
      ['butter/margarine', 'butter'],
      ['honey or maple syrup', 'honey'],
      ['sugar or honey', 'sugar'],
    ] as const);
    return {
      text: [
        ...bread.items.map(({ grams, word }) => `${grams} g ${word}`),
        `${fat} g ${choice[0]}`,
      ].join('\n'),
      means: [...meant(bread), { of: choice[1], grams: fat, askedWillDo: true }],
    };
  }),
  person('ranges', 'uk', (random, region) => {
    const bread = breadOf(random, region, ['egg']);
    const by = pick(random, ['-', ' to ', '–', ' - ']);
    const rows = bread.items.map(({ of, grams, word }) => {
      const more = of === 'water' ? 20 : 0;
      return {
        of,
        grams: grams + more / 2,
        row: `${more ? `${grams}${by}${grams + more}` : grams} g ${word}`,
      };
    });
    return {
      text: rows.map((r) => r.row).join('\n'),
      means: rows.map(({ of, grams }) => ({ of, grams })),
    };
  }),
  person('things for outside', 'uk', (random, region) => {
    const bread = breadOf(random, region, ['egg']);
    const out = [pick(random, asides), pick(random, asides)].filter(
      (a, i, all) => all.indexOf(a) === i,
    );
    const rows = bread.items.map(({ grams, word }) => `${grams} g ${word}`);
    // Somewhere among the rows, with others below.
    const at = 1 + Math.floor(random() * (rows.length - 1));
    return {
      text: [...rows.slice(0, at), ...out, ...rows.slice(at)].join('\n'),
      means: [...meant(bread), ...out.map((): Means => ({ outside: true }))],
    };
  }),
  person('stages by the clock', 'us', (random, region) => {
    const bread = breadOf(random, region, ['egg']);
    const heads = pick(random, [
      ['Stage 1', 'Stage 2'],
      ['Day 1, evening', 'Day 2'],
      ['First mix', 'Second mix'],
      ['Step 1: the mix', 'Step 2: the rest'],
      ['Dough', 'Dough, next day'],
    ] as const);
    const rows = bread.items.map(({ grams, word }) => `${grams} g ${word}`);
    const half = Math.ceil(rows.length / 2);
    return {
      text: `${bread.title}\n\n${heads[0]}\n${rows.slice(0, half).join('\n')}\n\n${heads[1]}\n${rows.slice(half).join('\n')}`,
      means: meant(bread),
    };
  }),
  person('a scan', 'uk', (random, region) => {
    const bread = breadOf(random, region, ['egg']);
    const means: Means[] = [];
    const rows = bread.items.map(({ of, grams, word }) => {
      const bent = random() < 0.3 ? scanned(random, String(grams)) : String(grams);
      means.push({ of, grams, ...(bent === String(grams) ? {} : { askedWillDo: true }) });
      return `${bent} g ${word}`;
    });
    return { text: rows.join('\n'), means };
  }),
  person('words for figures', 'us', (random, region) => {
    const bread = breadOf(random, region, ['egg', 'fat', 'sweet', 'seed']);
    const words = [
      'zero',
      'one',
      'two',
      'three',
      'four',
      'five',
      'six',
      'seven',
      'eight',
      'nine',
      'ten',
    ];
    const rows = bread.items.map((i) => {
      const cup = i.ware.inCups && gramsOf(i.of, 'cup');
      const spoon = i.ware.inSpoons && gramsOf(i.of, 'tsp');
      if (!cup && !spoon) return { row: `${i.grams} g ${i.word}`, of: i.of, grams: i.grams };
      const size = cup ?? spoon!;
      const n = Math.min(10, Math.max(1, Math.round(i.grams / size)));
      return {
        row: `${words[n]} ${many(n, cup ? 'cup' : 'teaspoon').replace(/^\d+ /, '')} ${pick(random, ['', 'of '])}${i.word}`,
        of: i.of,
        grams: n * size,
      };
    });
    return {
      text: rows.map((r) => r.row).join('\n'),
      means: rows.map(({ of, grams }) => ({ of, grams })),
    };
  }),
  person('a handful and a pinch', 'ireland', (random, region) => {
    const bread = breadOf(random, region, ['egg', 'sweet', 'seed']);
    return {
      text: [
        ...bread.items.map(({ grams, word }) => `${grams} g ${word}`),
        pick(random, [
          'a handful of sunflower seeds',
          'a handful of porridge oats',
          'a pinch of sugar',
        ]),
      ].join('\n'),
      means: [...meant(bread), { asked: true }],
    };
  }),
];

function round5(grams: number): number {
  return 5 * Math.max(1, Math.round(grams / 5));
}
