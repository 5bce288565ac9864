const amount = String.raw`(?:(?:[\d.]*\d|[¼½¾⅓⅔⅛])[\d.,/\s½¼¾⅓⅔]*(?:kg|g|ml|l|oz|lb|cups?|tsp|tbsp|teaspoons?|tablespoons?|dl|packets?|eggs?|large)\b|[\d.,]+\s*%|(?:an?|half an?)\s+(?:scant |good |heaped |level |generous |small |large )?(?:cup|pint|tsp|tbsp|teaspoon|tablespoon|pinch|knob|handful|walnut|packet|sachet|cube)\b)`;

/** An amount with its unit, and no name behind it. */
export const bareAmount =
  /^(?:about\s+|~\s*)?[\d.,/½¼¾⅓⅔⅛⅜⅝⅞ -]*[\d½¼¾⅓⅔⅛⅜⅝⅞]\s*(?:kg|g|grams?|ml|l|oz|ounces?|lbs?|pounds?|cups?|tsp|tbsp|teaspoons?|tablespoons?|dl)\.?$/i;

const parting = new RegExp(String.raw`\s*(?:[,;]\s*(?:and\s+)?|\band\s+)(?=${amount})`, 'i');
/** Marks that part a choice, or a sum, where there are two of them, and a list where there are more. */
const marked = new RegExp(String.raw`\s+[/+&]\s+(?=${amount})`, 'i');
/** "1 tbsp starter with 100 g flour": one after another; an egg beaten with milk is a glaze. */
const withMore = new RegExp(String.raw`\s+with\s+(?=${amount})`, 'i');
const beaten = /\b(?:beaten|whisked|thinned|diluted|brush\w*|glaz\w*)\b/i;
const begins = new RegExp(`^${amount}\\s*(?:\\d+\\s?%\\s*)?\\p{L}`, 'iu');
/** What is built above and goes in whole: it has no amount of its own. */
const ofAll =
  /^(?:all(?: of)?(?: the)?|the)\s+(?:\p{L}+\s)?(?:biga|poolish|levain|leaven|starter|sponge|pre-?ferment|soaker|tangzhong|scald)\b[^\d]*$/iu;
const isNamed = (part: string): boolean =>
  ofAll.test(part.trim()) ||
  begins.test(part) ||
  (/^\d+\s+\p{L}/u.test(part) && !bareAmount.test(part));

/** A name with its amount behind it. */
const ends = /^\p{L}[\p{L}\s-]*\s\d[\d.,]*\s?(?:kg|g|ml|l|oz|lb|%)\.?(?:\s*\([^)]*\))?$/iu;

/**
 * Several things on one row.
 *
 * @example severalOn('500 g flour, 340 g water and 10 g salt') // ['500 g flour', '340 g water', '10 g salt']
 * @example severalOn('1 cup and 2 tbsp flour') // ['1 cup and 2 tbsp flour']
 */
export function severalOn(text: string): string[] {
  // "500 g flour: 400 g white, 100 g rye": a sum, and its parts.
  const colon = text.indexOf(':');
  const sum = colon < 0 ? '' : text.slice(0, colon);
  if (/\d/.test(sum) && /\p{L}{3}/u.test(sum) && /^\s*\d/.test(text.slice(colon + 1)))
    return [text];
  const kept = new Map<string, string>();
  if (!text.includes('(')) return listOn(text);
  const masked = text.replace(/\([^()]*[,;&+/][^()]*\)/g, (bracket) => {
    const key = `(\u0001${kept.size})`;
    kept.set(key, bracket);
    return key;
  });
  return listOn(masked).map((part) =>
    part.replace(/\(\u0001\d+\)/g, (key) => kept.get(key) ?? key),
  );
}

/** The same of a text whose brackets part nothing. */
function listOn(text: string): string[] {
  const parts = text.split(parting);
  // A sentence that ends before the last of them is about the work.
  if (parts.slice(0, -1).some((part) => /\p{L}[.!]\s+\p{Lu}/u.test(part))) return [text];
  if (parts.length > 1 && parts.every(isNamed)) return parts;
  const mixed = beaten.test(text)
    ? []
    : text.split(withMore).flatMap((part, i) => (i === 0 ? [part] : part.split(parting)));
  if (mixed.length > 1 && mixed.every(isNamed)) return mixed;
  const list = text.split(marked);
  if (list.length > 2 && list.every(isNamed)) return list;
  const trailing = text.split(/\s*[,;]\s*/);
  return trailing.length > 1 && trailing.every((p) => ends.test(p.trim())) ? trailing : [text];
}

/** What is done with all that a sentence names. */
const done = new RegExp(
  String.raw`^(?:mix|combine|stir|whisk|add|take|use|weigh out|you(?:[’'\s]wi?ll)? need)(?:\s+(?:together|in|up))?:?\s+(?=${amount})`,
  'i',
);
/** What is said behind the last of them. */
const after = /(?:\s+(?:together|in|until|for|then)\b.*|[.;,].*)$/i;

/**
 * The things that a sentence puts together, each with its amount.
 *
 * @returns undefined where it is no such sentence
 * @example stirredTogether('Mix 100 g starter, 350 g water and 10 g salt.') // ['100 g starter', '350 g water', '10 g salt']
 * @example stirredTogether('Mix the flour and 10 g salt.') // undefined
 */
export function stirredTogether(text: string): string[] | undefined {
  const bare = text.replace(done, '');
  if (bare === text) return undefined;
  const parts = bare.split(parting);
  const things = [...parts.slice(0, -1), parts.at(-1)!.replace(after, '')];
  return things.length > 1 && things.every(isNamed) ? things : undefined;
}
