import { Parser } from 'htmlparser2';
import type { RawLine } from './table.ts';

/** Whether a text is a page's source and not a text. */
const isPage = (text: string): boolean =>
  (text.match(/<\/?(?:html|head|body|div|p|li|ul|ol|span|script|table|tr|td|h[1-6]|br)\b/gi) ?? [])
    .length > 3;

const blocks = new Set(
  'p div li ul ol h1 h2 h3 h4 h5 h6 tr table section article header br dd dt dl blockquote pre figcaption'.split(
    ' ',
  ),
);
const passed = new Set(
  'script style noscript nav footer form button select svg iframe template head'.split(' '),
);

/** A recipe in the words of schema.org. */
interface SchemaRecipe {
  readonly name?: unknown;
  readonly recipeYield?: unknown;
  readonly recipeCategory?: unknown;
  readonly recipeIngredient?: unknown;
  readonly recipeInstructions?: unknown;
}

/** The text of a piece of a page, its entities as the letters that they are. */
function plain(html: string): string {
  let out = '';
  const parser = new Parser({
    ontext: (said) => (out += said),
    onopentagname: (name) => (out += blocks.has(name) ? '\n' : ''),
  });
  parser.end(html);
  return out;
}

const text = (value: unknown): string =>
  typeof value === 'string' || typeof value === 'number'
    ? plain(plain(String(value)))
        .replace(/\s+/g, ' ')
        .trim()
    : '';

/** The first recipe in JSON-LD, however deep. */
function recipeIn(json: unknown, depth = 0): SchemaRecipe | undefined {
  if (typeof json !== 'object' || json === null || depth > 6) return undefined;
  if (Array.isArray(json)) {
    for (const one of json) {
      const found = recipeIn(one, depth + 1);
      if (found) return found;
    }
    return undefined;
  }
  const type = (json as { '@type'?: unknown })['@type'];
  const isRecipe = type === 'Recipe' || (Array.isArray(type) && type.includes('Recipe'));
  if (isRecipe || Array.isArray((json as SchemaRecipe).recipeIngredient)) return json;
  return recipeIn((json as { '@graph'?: unknown })['@graph'], depth + 1);
}

const steps = (of: unknown): string[] => {
  if (typeof of === 'string')
    return plain(of)
      .split(/\n+/)
      .map((s) => s.trim())
      .filter(Boolean);
  if (Array.isArray(of)) return of.flatMap(steps);
  if (typeof of !== 'object' || of === null) return [];
  const { text: says, itemListElement, name } = of as Record<string, unknown>;
  return itemListElement ? steps(itemListElement) : [text(says) || text(name)].filter(Boolean);
};

/** The line of the source that a text of its data stands on, each looked for behind the one before. */
function lineFinder(source: string): (text: string) => number {
  let from = 0;
  let line = 1;
  return (text) => {
    const inJson = JSON.stringify(text.replace(/^(?:[-#]+ |Makes )/, '')).slice(1, -1);
    const at = text === '' || inJson === '' ? -1 : source.indexOf(inJson, from);
    if (at < 0) return line;
    line += source.slice(from, at).split('\n').length - 1;
    from = at;
    return line;
  };
}

/** A schema.org recipe as the lines of a text, each with the line of the source where it stands. */
function linesOf(recipe: SchemaRecipe, source: string): RawLine[] {
  const { name, recipeYield, recipeCategory, recipeIngredient, recipeInstructions } = recipe;
  // Only our own files say there what bread it is.
  const style = [recipeCategory]
    .flat()
    .map(text)
    .find((c) => /^style: /i.test(c));
  const yields = [recipeYield]
    .flat()
    .map(text)
    .find((y) => y);
  const ingredients = [recipeIngredient].flat().map(text).filter(Boolean);
  const rows = [
    text(name) ? `# ${text(name)}` : '',
    style ?? '',
    yields ? `Makes ${yields.replace(/^makes\s+/i, '')}` : '',
    '',
    ...ingredients.map((i) => `- ${i}`),
    '',
    ...(steps(recipeInstructions).length > 0 ? ['## Method'] : []),
    ...steps(recipeInstructions),
  ];
  const lineOf = lineFinder(source);
  return rows.map((raw) => ({ at: lineOf(raw), raw }));
}

function parsed(json: string): SchemaRecipe | undefined {
  try {
    return recipeIn(JSON.parse(json));
  } catch {
    return undefined;
  }
}

/** What stands on a page, block by block, with the lines of its source. */
function shown(html: string): { rows: RawLine[]; data: string[] } {
  const rows: RawLine[] = [];
  const data: string[] = [];
  const starts = [0];
  for (let i = html.indexOf('\n'); i >= 0; i = html.indexOf('\n', i + 1)) starts.push(i + 1);
  let line = 0;
  const lineAt = (offset: number): number => {
    while (line + 1 < starts.length && starts[line + 1]! <= offset) line += 1;
    return line + 1;
  };
  let buffer = '';
  let at = 1;
  let out = 0;
  let ld: string | undefined;
  let cells = 0;
  const flush = () => {
    const raw = buffer.replace(/[ \n\r]+/g, ' ').trim();
    if (raw) rows.push({ at, raw });
    buffer = '';
    cells = 0;
  };
  const parser = new Parser({
    onopentag(name, attributes) {
      if (name === 'script' && attributes['type'] === 'application/ld+json') ld = '';
      if (passed.has(name)) out += 1;
      if (blocks.has(name)) flush();
      if (/^h[1-6]$/.test(name)) buffer = '# ';
      if (name === 'li') buffer = '- ';
      if (name === 'td' || name === 'th') buffer += cells++ > 0 ? '\t' : '';
    },
    ontext(said) {
      if (ld !== undefined) ld += said;
      if (out > 0) return;
      if (!buffer.trim()) at = lineAt(parser.startIndex);
      buffer += said.replace(/[\t\n\r]+/g, ' ');
    },
    onclosetag(name) {
      if (name === 'script' && ld !== undefined) {
        data.push(ld);
        ld = undefined;
      }
      if (passed.has(name)) out = Math.max(0, out - 1);
      if (blocks.has(name)) flush();
    },
  });
  parser.write(html);
  parser.end();
  flush();
  return { rows, data };
}

/**
 * The lines that a web page means: its recipe's own data where it has some, else what it shows.
 *
 * @returns undefined where the text is no page
 * @example pageRows('just text') // undefined
 */
export function pageRows(given: string): RawLine[] | undefined {
  if (/^\s*[[{]/.test(given) && given.includes('"recipeIngredient"')) {
    const recipe = parsed(given);
    return recipe && linesOf(recipe, given);
  }
  if (!isPage(given)) return undefined;
  const { rows, data } = shown(given);
  const recipe = data.map(parsed).find((r) => r !== undefined);
  return recipe ? linesOf(recipe, given) : rows;
}
