import type { MeasuringMethod } from '../formula/formula.ts';
import type { OutsideUse } from '../formula/beside.ts';
import { gramsByVolume, gramsPerPiece } from '../ingredient/measure-weight.ts';
import type { Ingredient } from '../ingredient/ingredient.ts';
import type { Refusal } from '../quantity/refusal.ts';
import { leastGrams, mostGrams, toGrams } from '../quantity/mass.ts';
import type { Measures } from '../quantity/measures.ts';
import { coefficients, type Coefficients } from '../coefficients/coefficients.ts';
import { numberPattern } from '../quantity/fraction.ts';
import { readAmount, type NumberStyle, type ReadAmount } from './amount.ts';
import { choiceIn } from './choice.ts';
import { unitPattern, type ReadUnit } from './units.ts';
import { matchWithNotes, type Vocabulary } from './match.ts';
import { pieceWeight } from './piece-weights.ts';
import { starterWord } from './starter.ts';

/** Why a line could not be read. */
export type UnreadCode =
  | 'no-amount'
  | 'no-unit'
  | 'unknown'
  | 'several'
  | 'negative'
  | 'absurd'
  | 'no-weight'
  /** A figure that a scan may have misread. */
  | 'scan'
  /** It was hard to read in the picture that it comes from. */
  | 'unclear'
  /** In a sentence of the method, and nowhere in the list. */
  | 'in-method'
  /** An amount for each of several sizes, of which none is chosen yet. */
  | 'sizes'
  | 'too-long';

/** Why a line cannot be read, and the words that name something in it. */
export interface CannotRead extends Refusal<UnreadCode> {
  readonly about?: string;
  /** A second thing with an amount of its own, as it was written. */
  readonly beside?: string;
  /** The name that is not known, as it was written. */
  readonly what?: string;
  /** Ids of what it may be, where that is known better than by its words. */
  readonly might?: readonly string[];
}

/** A line that was read: so much of that. */
interface ReadLine {
  /** Text that names the ingredient. */
  readonly what: string;
  readonly of: Ingredient;
  /** Absent where only a percentage of the flour was said. */
  readonly grams?: number;
  readonly percent?: number;
  readonly measured: MeasuringMethod;
  readonly spread: number;
  readonly note?: string;
  /** What was taken for granted. */
  readonly assumed?: string;
  /** It is not in the dough. */
  readonly outside?: OutsideUse;
}

/** What a text is read with: a household's measures, words and weights, and the text's own numbers. */
export interface ReadingWith {
  readonly measures: Measures;
  readonly table: Coefficients;
  readonly words: Vocabulary;
  /** What one of a thing weighs in this household, grams, by ingredient. */
  readonly each: Readonly<Record<string, number>>;
  readonly style: NumberStyle;
  /** Numbers alone are grams: a whole text is written so. */
  readonly bareGrams?: boolean;
  /** What was read already of this text, by its lines: a row is looked at from several sides. */
  readonly known?: Map<string, ReadLine | CannotRead>;
}

/** Longest line that is read, characters. */
export const longestLine = 500;

/** What a weighed amount comes in: "1/4 oz package yeast". */
const container =
  /^(?:packet|package|pkg|sachet|envelope|pack|bag|tin|can|jar|container|carton|tub|bottle|block|cube|cake)s?(?:\s+of)?\s+/i;

/** What is not in the dough, and why: the first that fits. */
const outsides: ReadonlyArray<readonly [RegExp, OutsideUse]> = [
  [
    /\bfor (?:the )?(?:dusting|rolling|flouring|kneading|shaping|work ?surface|work ?top|bench|counter|bannetons?|baskets?|peel)\b|^(?:extra|additional|more)\b.*\bfor\b/i,
    'dusting',
  ],
  [
    /\bfor (?:the )?(?:brushing|glazing|glaze|egg ?wash|wash|coating)\b|\begg ?wash\b|\bto (?:brush|glaze)\b/i,
    'glaze',
  ],
  [
    /\bfor (?:the )?(?:greasing|oiling|tins?|pans?|bowl|tray|baking sheet|frying|skillet|griddle)\b|\bto grease\b/i,
    'dusting',
  ],
  [
    /\bfor (?:the )?(?:sprinkling|topping|decorating|decoration|garnish|crust|serving|drizzling|scattering|finishing)\b|\bto (?:sprinkle|serve|finish|decorate|top|garnish)\b/i,
    'topping',
  ],
  [/\bfor (?:the )?(?:filling|spreading|layering)\b/i, 'filling'],
  [/\bfor (?:the )?(?:boiling|poaching|water bath|pot)\b/i, 'boil'],
];

/** What a line is for, where that is not the dough. */
export const outsideUse = (text: string): OutsideUse | undefined =>
  /\bplus\b|\band\b.*\bextra\b|\+/i.test(text.slice(0, text.search(/\bfor\b/i)))
    ? undefined
    : outsides.find(([pattern]) => pattern.test(text))?.[1];

/** The same of a line: what stands in brackets counts only where it says what the line is for. */
const outsideOf = (given: string): OutsideUse | undefined =>
  outsideUse(given.replace(/\((?!\s*for\b)[^)]*\)/gi, ' '));

/** What only says that more may be needed: it leaves the amount as it is. */
const andMore =
  /[,;]?\s*(?:(?:plus|and|with|\+)\s+(?:a (?:little|bit|few)\s+|some\s+)?(?:extra|more|additional)\b.*|or (?:more|less|so|to taste|as needed)\b.*|(?:or )?to taste\b.*|as (?:needed|required|desired|necessary)\b.*|if (?:needed|desired|using|necessary)\b.*|divided\b.*|\(?optional\)?)$/i;

/** "12 g fresh yeast or 4 g dried", "for the levain": the first is meant, and where it goes is no part of its name. */
const orSo =
  /\s+(?:or|oder|ou|\/)\s+(?:\d|[½¼¾⅓⅔])[^,;()]*\b(?:dry|dried|instant|fresh|yeast)\b.*$/iu;
const forPart =
  /,?\s+(?:for|in) (?:the |your )?(?:tangzhong|yudane|roux|levain|starter|poolish|biga|sponge|soaker|scald|preferment|pre-ferment|dough|bread|autolyse|yeast)$/i;
const firstOf = (text: string): string =>
  (/yeast/i.test(text.split(/\s+(?:or|\/)\s+/i)[0]!) ? text.replace(orSo, '') : text).replace(
    forPart,
    '',
  );
/** "Zest of 1 orange": so many oranges' zest. */
const ofFruit =
  /^(?:the\s+)?(?:grated |finely grated )?(zest|juice|rind|peel) of (?:(half an?|an?|one|two|\d+)\s+)?(\p{L}+?)s?$/iu;

/** How warm a thing is: it stays with the line and is part of no name. "Water at 30 °C", "milk, 35°C". */
const temperature =
  /[\s,]*(?:\b(?:at|of|to|about|around|heated to|warmed to|cooled to)\s+)*(?<![\d/.])\d{1,3}(?:\s*[-–]\s*\d{1,3})?\s*(?:°|º|degrees?)\s*(?:C|F|celsius|fahrenheit)?(?![\p{L}])(?:\s*\/\s*\d{1,3}\s*(?:°|º)?\s*[CF](?![\p{L}]))?(?!\s*\))/iu;

const unread = (code: UnreadCode, says: string): CannotRead => ({ code, says });

/** Brackets out: notes. */
function partNotes(text: string): { body: string; notes: string[] } {
  const notes: string[] = [];
  const body = text
    .replace(/[([{]([^)\]}]*)[)\]}]?/g, (_, note: string) => {
      if (note.trim()) notes.push(note.trim());
      return ' ';
    })
    .replace(/\s+/g, ' ')
    .trim();
  return { body, notes };
}

/** Percentages that are part of a name, not of the flour: milk's fat, a chocolate's cocoa, a starter's water. */
const partOfName =
  /^\s*(?:fat|milk|cocoa|dark|chocolate|cacao|hydration|fat-free|cream|protein|reduced)/i;
/** Where the line weighs it besides: "100% rye flour 500 g". */
const partOfWeighed = /^\s*(?:whole|rye|spelt|wholemeal|pure|organic|natural)\b.*\d/i;
const percentage = /(\d+(?:[.,]\d+)?)\s*(?:%|percent|per cent)/i;

/** "10 g gluten per kilo of flour": a rate, in tenths of a per cent. */
const perKilo =
  /^(\d+(?:[.,]\d+)?)\s*(?:g|grams?)\s+(.*\p{L})\s*(?:,\s*)?(?:per|to (?:the|each|every)|for each|for every|a)\s+(?:kilo|kg|kilogram|kilogramme)(?:\s+of)?(?:\s+(?:the\s+)?flour)?$/iu;
const rate = (text: string): string =>
  !/kilo|kg/i.test(text)
    ? text
    : text.replace(
        perKilo,
        (_, grams: string, what: string) => `${Number(grams.replace(',', '.')) / 10} % ${what}`,
      );

/** A percentage of the flour, taken out of a text. */
function takePercent(text: string): { body: string; percent?: number } {
  const match = percentage.exec(text);
  const behind = match && text.slice(match.index + match[0].length);
  if (!match || partOfName.test(behind!)) return { body: text };
  // "100 % rye flour 500 g" is all rye.
  if (partOfWeighed.test(behind!))
    return takePercent(`${text.slice(0, match.index)}${behind}`.trim());
  const body = `${text.slice(0, match.index)} ${text.slice(match.index + match[0].length)}`
    .replace(/\s*[–—:=/|@-]\s*$/, '')
    .replace(/^\s*[–—:=/|,-]\s*/, '')
    .replace(/\s+/g, ' ')
    .trim();
  return { body, percent: Number(match[1]!.replace(',', '.')) };
}

/** Amounts that stand for the same: each is a sum. */
interface Said {
  readonly options: ReadonlyArray<readonly ReadAmount[]>;
  readonly what: string;
}

/** An amount behind a name: "Type 00 flour: 300 g", "Salt 9 g". */
const behindName: readonly RegExp[] = [
  // A flour's type is a figure of its name: "wheat flour type 1050 - 60 g", "T55, 640 g".
  /^(?<what>.*?(?:\b(?:type|typ|tipo)\s?\d{1,4}|(?:\bt\s?|mehl\s)\d{2,4})\)?(?:\s\p{L}[^\d]*?)?)\s*(?:[:,=–—-]|\.{2,})?\s+(?<amount>[\d.¼½¾⅓⅔⅛].*)$/iu,
  /^(?<what>.*\p{L})\s*[:=–—-]\s*(?<amount>[\d.¼½¾⅓⅔⅛⅜⅝⅞].*)$/u,
  /^(?<what>(?:0{1,2}\s)?\D*?[\p{L})])\s*(?:[:,=–—-]|\.{2,}|@)?\s+(?<amount>(?:about|approx\.?|ca\.?|~|≈)?\s*[\d.¼½¾⅓⅔⅛⅜⅝⅞−-].*)$/u,
  // In words: "Salt: a teaspoon and a half".
  /^(?<what>\D*?[\p{L})])\s*(?::|=|\s[–—-])\s*(?<amount>\p{L}\D*)$/u,
];

/** Splits "500 g flour" or "flour: 500 g" into what amounts it gives and a name. */
function splitAmount(body: string, style: NumberStyle): Said | undefined {
  // "00 flour 570 g": a grade, and no amount.
  const leading = /^0{1,2}\s+\p{L}/u.test(body) ? undefined : readAmount(body, style);
  return leading ? options(leading, style) : splitBehind(body, style);
}

/** An amount behind a name. */
function splitBehind(body: string, style: NumberStyle): Said | undefined {
  for (const pattern of behindName) {
    const trailing = pattern.exec(body)?.groups;
    const amount = trailing && readAmount(trailing['amount']!.trim(), style);
    if (!amount) continue;
    const said = options(amount, style);
    if (/^[\s,.;]*(?:each)?$/.test(said.what)) {
      return { options: said.options, what: trailing['what']! };
    }
  }
  return undefined;
}

/** "Butter, 50 g, softened": the amount stands between commas. */
function amongCommas(body: string, style: NumberStyle): Said | undefined {
  const parts = body.split(/\s*,\s*/);
  const at = parts.findIndex((part, i) => i > 0 && readAmount(part, style)?.rest === '');
  if (at < 0) return undefined;
  const { amount } = readAmount(parts[at]!, style)!;
  return { options: [[amount]], what: parts.filter((_, i) => i !== at).join(', ') };
}

/** "150 g almond flour 1 1/2 cups": an amount on either side of the name. */
function bothSides(said: Said | undefined, style: NumberStyle): Said | undefined {
  if (!said || !/\d/.test(said.what)) return said;
  const behind = splitBehind(said.what, style);
  return behind?.options[0]![0]!.unit
    ? { options: [...said.options, ...behind.options], what: behind.what }
    : said;
}

/** "3 cups plus 2 tablespoons", "500 g / 4 cups", "2 lb 3 oz", "2 cups = 250 g". */
function options(first: { amount: ReadAmount; rest: string }, style: NumberStyle): Said {
  const all: ReadAmount[][] = [[first.amount]];
  let { rest } = first;
  for (;;) {
    const link = /^(?<link>plus|and|\+|&|\/|\||=|,?\s*or|,)?\s*(?<tail>.*)$/iu.exec(rest)!.groups!;
    const next = link['tail'] ? readAmount(link['tail'], style) : undefined;
    if (!next?.amount.unit) break;
    const current = all.at(-1)!;
    const before = current.at(-1)!.unit;
    const sums = /plus|and|\+|&/i.test(link['link'] ?? '');
    // Without a word between them only ounces behind pounds, grams behind kilograms, spoons behind cups.
    const smaller =
      link['link'] === undefined && before !== undefined && follows(before, next.amount.unit);
    if (sums || smaller) current.push(next.amount);
    else if (link['link'] !== ',') all.push([next.amount]);
    else break;
    ({ rest } = next);
  }
  return { options: all, what: rest };
}

/** Units of which a smaller one may follow without a word: what follows which. */
const smallerUnits: Readonly<Record<string, readonly string[]>> = {
  lb: ['oz'],
  kg: ['g'],
  l: ['ml'],
  gallon: ['quart', 'cup'],
  quart: ['pint', 'cup'],
  pint: ['floz'],
  cup: ['tbsp', 'tsp', 'dsp'],
  tbsp: ['tsp'],
};
const follows = (before: ReadUnit, next: ReadUnit): boolean =>
  smallerUnits[before.unit]?.includes(next.unit) ?? false;

/** How finely an amount is said: the finest counts. */
const fineness = (sum: readonly ReadAmount[]): number =>
  Math.min(
    ...sum.map(({ unit }) => {
      if (unit?.kind === 'mass') return unit.unit === 'oz' || unit.unit === 'lb' ? 4 : 5;
      if (unit?.kind === 'volume') return 2;
      return unit?.unit === 'stick' ? 3 : 1;
    }),
  );

/** Grams of an amount of an ingredient, or why it cannot be told. */
function weigh(
  read: ReadAmount,
  of: Ingredient,
  {
    measures,
    table: { heaping },
    each,
    bareGrams,
  }: Pick<ReadingWith, 'measures' | 'table' | 'each' | 'bareGrams'>,
): { grams: number; measured: MeasuringMethod; spread: number; assumed?: string } | CannotRead {
  const { unit, heaped } = read;
  const amount = heaped ? read.amount * (1 + heaping.value) : read.amount;
  const spread = heaped ? Math.hypot(read.spread, heaping.sd) : read.spread;
  if (unit?.kind === 'mass')
    return { grams: toGrams(amount, unit.unit), measured: 'scale', spread };
  if (unit?.kind === 'volume') {
    const grams = gramsByVolume(amount, unit.unit, of, measures);
    return grams === undefined
      ? unread('no-weight', `it is not known what ${of.name} weighs by volume: write grams`)
      : { grams, measured: 'volume', spread };
  }
  if (!unit && bareGrams && (of.role !== 'egg' || amount > 12)) {
    return { grams: amount, measured: 'scale', spread };
  }
  const own = each[unit ? `${unit.unit}:${of.id}` : of.id];
  const known =
    own === undefined
      ? unit
        ? (pieceWeight(unit.unit, of) ??
          (unit.unit === 'packet' && of.role === 'leaven' ? of.piece : undefined))
        : of.role === 'leaven'
          ? undefined
          : gramsPerPiece(of, measures)
      : { value: own, sd: 0 };
  const one = unit ? `a ${unit.unit} of ${of.name}` : of.name;
  if (known) {
    const usual = unit?.unit === 'stick' || of.role === 'egg' || of.role === 'leaven' || own;
    return {
      grams: amount * known.value,
      measured: 'count',
      spread: Math.hypot(spread, known.value > 0 && !usual ? known.sd / known.value : 0),
      ...(usual && unit?.unit !== 'cube' && unit?.unit !== 'cake'
        ? {}
        : { assumed: `${one} is taken to weigh ${Math.round(known.value)} g` }),
    };
  }
  return unit
    ? unread('no-weight', `it is not known what ${one} weighs: write grams`)
    : unread('no-unit', `an amount without a unit: is it ${amount} g?`);
}

/**
 * Reads an amount typed beside a known ingredient: "2 cups", "1½ tbsp", "250 g", "2" of eggs, or a bare
 * number, which is grams.
 *
 * @example readMeasure('1½ tbsp', ingredient('honey'), defaultMeasures).grams // 31.78
 */
export function readMeasure(
  text: string,
  of: Ingredient,
  measures: Measures,
  table: Coefficients = coefficients,
): { grams: number; measured: MeasuringMethod; spread: number } | CannotRead {
  const [first, ...beside] = text.trim().split(/\s+(?=(?:\+|and|plus|less|minus)\s)/i);
  if (beside.length > 0) {
    const whole = readMeasure(first!, of, measures, table);
    if ('code' in whole) return whole;
    let grams = whole.grams;
    for (const part of beside) {
      const [, sign, rest] = /^(\S+)\s+(.*)$/.exec(part)!;
      const read = readMeasure(rest!, of, measures, table);
      if ('code' in read) return read;
      grams += /less|minus/i.test(sign!) ? -read.grams : read.grams;
    }
    return grams >= 0
      ? (tooMuch(grams) ?? { ...whole, grams })
      : unread('negative', 'an amount below zero');
  }
  const read = readAmount(text.trim());
  if (!read || read.rest) return unread('no-amount', 'an amount such as 2 cups, 1½ tbsp or 250 g');
  if (read.amount.amount < 0) return unread('negative', 'an amount below zero');
  const counted = !read.amount.unit && of.role !== 'egg';
  const weighed = counted
    ? { grams: read.amount.amount, measured: 'scale' as const, spread: read.amount.spread }
    : weigh(read.amount, of, { measures, table, each: {} });
  if ('code' in weighed) return weighed;
  const { grams, measured, spread } = weighed;
  return tooMuch(grams) ?? { grams, measured, spread };
}

/** An amount that no kitchen weighs; undefined where one does. */
function tooMuch(grams: number): CannotRead | undefined {
  if (!(grams <= mostGrams))
    return unread('absurd', `more than ${mostGrams / 1000} kg of one thing`);
  return grams > 0 && grams < leastGrams
    ? unread('absurd', `less than ${leastGrams} g, which no scale shows`)
    : undefined;
}

/** Other ways in which the notes say the amount: "(360 g)", "(7 g each)", "(18 oz / 510 g)". */
function inNotes(notes: readonly string[], style: NumberStyle) {
  const found: Array<{ sum: readonly ReadAmount[]; each: boolean }> = [];
  const left: string[] = [];
  for (const note of notes) {
    const bare = takePercent(note).body;
    const read = readAmount(bare, style);
    const said = read?.amount.unit && options(read, style);
    const each = /^(?:each|apiece)$/i.test(said?.what ?? '');
    if (said && (each || /^(?:total|in total|in all|weight)?$/i.test(said.what))) {
      found.push(...said.options.map((sum) => ({ sum, each })));
    } else if (bare) left.push(note);
  }
  return { found, left };
}

/** "2 x 7 g packets", "2 (1/4 ounce) packages", "3 7-g sachets": so many times so much. */
function times(text: string, style: NumberStyle): string {
  const count =
    /^(\d{1,2})(?:\s*[x×]\s*|\s*\(\s*|\s+(?=\d+(?:[.,]\d+)?-(?:g|oz|ounce|gram)s?\b))(?=[\d.¼½¾⅓⅔⅛])/i.exec(
      text,
    );
  if (!count) return text;
  const tail = text.slice(count[0].length).replace(/(\d)-(?=g\b|oz\b|ounce|gram)/i, '$1 ');
  const read = readAmount(tail, style);
  const { unit, amount } = read?.amount ?? {};
  if (!read || amount === undefined || unit?.kind !== 'mass') return text;
  const rest = read.rest.replace(/^(?:each\b)?\s*\)?\s*/i, '');
  return `${Math.round(Number(count[1]) * amount * 1e6) / 1e6} ${unit.unit} ${rest}`;
}

/**
 * Reads one line of a recipe.
 *
 * @example readLine('2 cups (spooned) bread flour', plainReading()).grams // 250
 */
export function readLine(given: string, reading: ReadingWith): ReadLine | CannotRead {
  const { known } = reading;
  const before = known?.get(given);
  if (before) return before;
  const read = freshLine(given, reading);
  known?.set(given, read);
  return read;
}

function freshLine(given: string, reading: ReadingWith): ReadLine | CannotRead {
  if (given.length > longestLine)
    return unread('too-long', `longer than ${longestLine} characters`);
  const { style, words } = reading;
  const fruit = / of /i.test(given) ? ofFruit.exec(given) : null;
  if (fruit) return readLine(`${fruit[2] ?? 1} ${fruit[3]} ${fruit[1]}`, reading);
  const outside = outsideOf(given);
  const more = andMore.exec(given);
  const warmth = /[°º]|degree/i.test(given) ? temperature.exec(given)?.[0] : undefined;
  const bare = warmth === undefined ? given : given.replace(warmth, ' ').trim();
  const cut = more && warmth === undefined ? given.slice(0, more.index) : bare.replace(andMore, '');
  const text = rate(firstOf(times(cut, style)));
  const { body: withPercent, notes: bracketed } = partNotes(alsoSaid(text, style));
  // "5 eggs (4 for dough, 1 for wash)": which are which is for the baker to say.
  const shared = bracketed.find((note) => /\d.*\bfor\b|\bfor\b.*\d/i.test(note));
  if (shared !== undefined) {
    return {
      ...unread('several', `“${shared}”: write each on a line of its own`),
      about: withPercent,
    };
  }
  const { body, percent } = takePercent(withPercent);
  const percentInNotes = bracketed.map((n) => takePercent(n).percent).find((p) => p !== undefined);
  const { found, left } = inNotes(bracketed, style);
  const said = bothSides(splitAmount(body, style) ?? amongCommas(body, style), style);
  const all = [...(said?.options ?? []).map((sum) => ({ sum, each: false })), ...found];
  const described = said ? said.what : body;
  const [name = '', ...after] = described
    .replace(
      outside
        ? /\b(?:for|to) (?:the |your )?\p{L}+.*$/iu
        : /\bfor (?:the )?(?:dusting|brushing|glazing|greasing|sprinkling|topping|tins?|pans?)\b.*$/i,
      '',
    )
    .split(/\s*[,;]\s*|\s+[–—-]\s+|\s*:\s*/)
    .filter((part, i) => i === 0 || part !== '');
  const what = name
    .trim()
    .replace(container, '')
    .replace(/^(?:of|x|de|di|du|des|della|dello|del)\s+|^d[’']\s?(?=\p{L})/iu, '');
  if (all.some(({ sum }) => sum.some((a) => a.amount < 0))) {
    return unread('negative', 'an amount below zero');
  }
  // "oats, soaked in 150 g water": a second thing with an amount of its own is not a note.
  const [second] = [...left, ...after].flatMap((note) => {
    const beside = /(?:^|\s)((?:\d|[¼½¾⅓⅔]).*)$/.exec(note)?.[1];
    const read = beside === undefined ? undefined : readAmount(beside, style);
    return read?.amount.unit && read.rest && matchWithNotes(read.rest, [], words)
      ? [{ note, beside: beside! }]
      : [];
  });
  if (second !== undefined && !starterWord(given)) {
    return {
      ...unread('several', `“${second.note}” is a thing of its own: write it on a line of its own`),
      about: what,
      beside: second.beside,
    };
  }
  const found2 = what ? matchWithNotes(what, [...left, ...after], words) : undefined;
  const used = percent ?? percentInNotes;
  if (all.length === 0 && used === undefined) {
    return { ...unread('no-amount', 'no amount: write how much'), about: body };
  }
  const choice = found2 ? undefined : choiceIn(what, words);
  if (choice && !choice.alike) {
    return {
      ...unread('several', `“${what}”: which of them?`),
      about: what,
      might: choice.of.map((i) => i.id),
    };
  }
  if (!found2 && !choice) {
    const two = /\s(?:or|and|plus)\s|[+&/]/i.test(` ${what} `);
    return {
      ...(two
        ? unread('several', `“${what}” is more than one thing: which, and how much of each?`)
        : unread('unknown', what ? `“${what}” is not known` : 'an amount, but not of what')),
      about: `${what} ${after.join(' ')}`,
      ...(what ? { what } : {}),
    };
  }
  const cubes = said?.options[0]?.[0]?.unit?.unit;
  const { of: named, notes } = found2 ?? { of: choice!.of[0]!, notes: [...left, ...after] };
  // A cube or a cake of yeast is fresh.
  const of = named.yeast && (cubes === 'cube' || cubes === 'cake') ? words.fresh : named;
  const taken = choice && `“${what}”: ${of.name} is taken`;
  const note = [...notes, more?.[0].replace(/^[,;\s]+/, ''), warmth?.trim()]
    .filter(Boolean)
    .join('; ');
  const rest = {
    what,
    of,
    ...(note ? { note } : {}),
    ...(outside ? { outside } : {}),
    ...(taken ? { assumed: taken } : {}),
  };
  if (all.length === 0) return { ...rest, percent: used, measured: 'scale', spread: 0 };

  const count = said?.options[0]?.[0]?.amount ?? 1;
  const ranked = [...all].sort((a, b) => fineness(b.sum) - fineness(a.sum));
  let refused: CannotRead | undefined;
  for (const { sum, each } of ranked) {
    const weighed = sumOf(sum, of, reading);
    if ('code' in weighed) {
      refused ??= weighed;
      continue;
    }
    const grams = weighed.grams * (each ? count : 1);
    const absurd = tooMuch(grams);
    if (absurd) return absurd;
    const over = leftOver(given, of, grams, all, reading);
    if (over !== undefined && !outside) {
      return {
        ...unread('several', `“${over}” is an amount of its own: what is it of?`),
        about: what,
      };
    }
    const assumed = [rest.assumed, weighed.assumed, ofRange(sum)].filter(Boolean).join('; ');
    return {
      ...rest,
      ...weighed,
      grams,
      ...(assumed ? { assumed } : {}),
      ...(used === undefined ? {} : { percent: used }),
    };
  }
  return { ...refused!, about: of.name };
}

/** Amounts that say the same differ by no more: cups are filled as people fill them. Own choice, no source. */
const sameAmount = 0.3;
const anyAmount = new RegExp(
  String.raw`(?<!\bor\s)(?<![\p{L}\d.,/–-])(?:${numberPattern})(?:\s*(?:-|–|to)\s*(?:${numberPattern}))?\s*(?:${unitPattern})(?![\p{L}\d])(?!\s*(?:per\b|an?\b|each\b|/|tins?\b|pans?\b|loaf\b|loaves\b))`,
  'giu',
);

/** An amount of a line that is none of those that were read, nor says one of them again: it must not go unseen. */
function leftOver(
  given: string,
  of: Ingredient,
  grams: number,
  read: ReadonlyArray<{ readonly sum: readonly ReadAmount[] }>,
  reading: ReadingWith,
): string | undefined {
  if (!/\d.*[^\d.,/\s–-].*(?:\d|[½¼¾⅓⅔])/.test(given)) return undefined;
  const open = read.flatMap(({ sum }) => sum);
  // One amount, and it was read: most lines are such.
  const said = given.match(anyAmount) ?? [];
  if (said.length <= 1 && open.length > 0) return undefined;
  return said.find((text) => {
    const amount = readAmount(text, reading.style)?.amount;
    if (!amount?.unit || amount.unit.kind === 'piece') return false;
    const at = open.findIndex(
      (o) => o.unit?.unit === amount.unit!.unit && Math.abs(o.amount - amount.amount) < 1e-6,
    );
    if (at >= 0) return (open.splice(at, 1), false);
    const weighed = weigh(amount, of, reading);
    return 'code' in weighed || Math.abs(weighed.grams / grams - 1) > sameAmount;
  });
}

/** "320-340 g": read at the middle, which is said. */
function ofRange(sum: readonly ReadAmount[]): string | undefined {
  const range = sum.find((a) => a.between);
  return range && `${range.between!.join(' to ')}: we took the middle`;
}

/**
 * Reads the amount of a line of which the baker has said what it is.
 *
 * @example readAs('3 blorps of 50 g', ingredient('water'), plainReading())
 */
export function readAs(text: string, of: Ingredient, reading: ReadingWith): ReadLine | CannotRead {
  const { notes } = partNotes(text);
  const said = splitAmount(partNotes(text).body, reading.style);
  const { found } = inNotes(notes, reading.style);
  const sums = [...(said?.options ?? []), ...found.map((f) => f.sum)].sort(
    (a, b) => fineness(b) - fineness(a),
  );
  if (sums.length === 0) return unread('no-amount', 'no amount: write how much');
  let refused: CannotRead | undefined;
  for (const sum of sums) {
    const weighed = sumOf(sum, of, reading);
    if (!('code' in weighed)) {
      return tooMuch(weighed.grams) ?? { what: said?.what.trim() || of.name, of, ...weighed };
    }
    refused ??= weighed;
  }
  return refused!;
}

/** "½ cup sugar, plus 1 tsp": what comes behind the name belongs to the amount. */
function alsoSaid(text: string, style: NumberStyle): string {
  const match = /^(.*\p{L})\s*,?\s*(?:plus|and|\+|&)\s+((?:\d|[¼½¾⅓⅔⅛]).*)$/iu.exec(text);
  const more = match && readAmount(match[2]!, style);
  const first = match && readAmount(match[1]!, style);
  if (!match || !more?.amount.unit || more.rest !== '' || !first?.amount.unit) return text;
  const at = match[1]!.length - first.rest.length;
  return `${match[1]!.slice(0, at).trim()} plus ${match[2]} ${first.rest}`;
}

/** Several amounts of one thing together. */
function sumOf(
  sum: readonly ReadAmount[],
  of: Ingredient,
  reading: ReadingWith,
): { grams: number; measured: MeasuringMethod; spread: number; assumed?: string } | CannotRead {
  let total = { grams: 0, measured: 'scale' as MeasuringMethod, spread: 0 };
  for (const amount of sum) {
    const part = weigh(amount, of, reading);
    if ('code' in part) return part;
    const grams = total.grams + part.grams;
    const spread = Math.hypot(total.spread * total.grams, part.spread * part.grams);
    total = {
      ...part,
      grams,
      measured: total.grams > 0 && total.measured !== 'scale' ? total.measured : part.measured,
      spread: grams > 0 ? spread / grams : 0,
    };
  }
  return total;
}
