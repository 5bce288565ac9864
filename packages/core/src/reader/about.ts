/** What stands round recipes on pages and is none of them. */
export const aboutIt =
  /^(?:(?:prep|cook|bake|total|active|rise|rising|resting|inactive|ready)\w*(?: time)?\s*(?:[:–]|\s-\s)|(?:calories|author|cuisine|course|category|keyword|rating|difficulty|diet|posted|published|updated|by|source|adapted|inspired|print|jump to|pin|save|share|scale|us customary|metric|total|dough weight|total dough|hydration|(?:dough|total|overall|final) hydration|total flour)\b|https?:|www\.|\d+(?:\.\d+)?\s*(?:from|stars?|votes?|reviews?|comments?)|(?:about )?\d+ (?:hours?|minutes?|mins?|hrs?)\b)/i;

/** Words by which a text in another language shows. */
export const foreign =
  /\b(?:mehl|wasser|salz|hefe|zucker|roggen|weizen|vollkorn|farine|eau|sel|levure|sucre|beurre|oeufs?|harina|agua|levadura|azucar|aceite|farina|acqua|lievito|zucchero|olio|bloem|zout|gist|meel|mjöl|vatten|jäst|mel|vann|gær|mąka|woda|sól|drożdże)\b/gi;

/** Names that stand for the usual one of several things. */
export const usualNames: ReadonlySet<string> = new Set([
  'flour',
  'yeast',
  'butter',
  'spelt',
  'milk',
  'linseed',
  'flaxseed',
  'flax',
  'flax seed',
  'sugar beet',
  'rye flour',
  'rye',
  'plant milk',
  'oats',
  'semolina',
]);

export const millGrains: ReadonlyArray<readonly [RegExp, string]> = [
  // By when it is sown, or how hard it is: grain, for no bag of flour is called so.
  [
    /\b(?:(?:winter|spring)|hard (?:red |white )?(?:winter |spring )?) ?wheat\b(?! ?(?:berries|kernels?|grains?|flour))/i,
    'fresh-hard-wheat',
  ],
  [
    /\b(?:hard|red|white|spring|winter)?\s*(?:red |white )?wheat ?(?:berries|kernels?|grains?)\b/i,
    'fresh-hard-wheat',
  ],
  [/\bspelt ?(?:berries|kernels?|grains?)\b/i, 'spelt-whole'],
  [/\brye ?(?:berries|kernels?|grains?)\b/i, 'rye-whole'],
  [/\beinkorn ?(?:berries|kernels?|grains?)\b/i, 'einkorn-whole'],
  [/\bkhorasan ?(?:wheat )?(?:berries|kernels?|grains?)\b/i, 'khorasan-whole'],
];
