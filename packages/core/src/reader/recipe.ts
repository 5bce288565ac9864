import { sumGrams } from '../quantity/sum-grams.ts';
import type { Outside, OutsideUse, UnreadLine } from '../formula/beside.ts';
import { formulaFormat, type Formula, type Line, type Stage } from '../formula/formula.ts';
import type { Step } from '../formula/step.ts';
import type { Process } from '../formula/process.ts';
import type { Ingredient } from '../ingredient/ingredient.ts';
import { catalogue, ingredient } from '../ingredient/catalogue.ts';
import type { Role } from '../ingredient/role.ts';
import { gramsText } from '../quantity/number.ts';
import { toMillilitres } from '../quantity/measures.ts';
import { isGrams, toGrams } from '../quantity/mass.ts';
import { coefficientsWith } from '../coefficients/coefficients.ts';
import { aboutIt, foreign, millGrains, usualNames } from './about.ts';
import { numberStyle, readAmount, type ReadAmount } from './amount.ts';
import {
  longestLine,
  outsideUse,
  readAs,
  readLine,
  type CannotRead,
  type ReadingWith,
} from './line.ts';
import { styleIds, styles, usualStyle, type StyleId } from '../style/style.ts';
import { matchIngredient, nearest, vocabularyOf } from './match.ts';
import { processIn } from '../process/process-in.ts';
import { isMethod } from './method.ts';
import { pieceUnits } from './piece-weights.ts';
import type { Answer, Assumption, ReadAs, Reader, ReadRecipe, ReadRow, Unread } from './read.ts';
import { rowsOf, type TextRow } from './rows.ts';
import { stirredTogether } from './several-on.ts';
import { recipesIn } from './several-recipes.ts';
import { bareHeading, sectionOf } from './section.ts';
import { starterWord, type StarterWord } from './starter.ts';
import { unitPattern } from './units.ts';
import { wordsOf } from './words.ts';
import { disagreementsOf } from './against-itself.ts';
import { inRows } from './in-rows.ts';
import { mayWeigh, thingsIn } from './in-sentences.ts';
import { flourPhrase } from './flour-phrase.ts';
import { hasFigure } from './has-figure.ts';
import { illegible } from './illegible.ts';
import { fractionsOf, gramsTaken, mendedScan } from './scan.ts';
import { sizesIn } from './sizes.ts';
import { yieldIn, type Yield } from './yield.ts';

/** Most ingredients that are read: more than a formula can hold are handed back. */
const mostLines = 200;

/** Grams in a US cup of starter, the air knocked out: common practice, 225 to 245. */
const starterPerCup = 235;

/** Flour that percentages are of where a recipe gives no weight at all, grams. Own choice, said. */
const usualFlour = 500;

/** Shares of the flour above which an amount is asked about, by role. Common practice, no source. */
const askedAbove: Readonly<Partial<Record<Role, number>>> = {
  salt: 0.05,
  leaven: 0.12,
  egg: 1,
  sugar: 0.5,
  liquid: 1.6,
};

/** Less flour than this, grams, beside rows that were not read: the main flour may be among those. Own choice. */
const leastFlour = 150;

/** Amounts that differ by no more are one amount, as a share of it. Own choice, no source. */
const alike = 0.01;

/** How wet a starter is, which must not be taken for how much of it there is. */
const hydrationPhrase = /[([]?\b\d+(?:[.,]\d+)?\s*%(?:\s*hydration)?[)\]]?/i;

const unnamed = 'Pasted recipe';

/**
 * Reads a recipe as people write them: a page, a card, a table, a list.
 *
 * Headings open stages ("Poolish:", "Levain build", "Day 2"), what lies outside the dough ("Egg wash") or
 * the method. A starter spoken of as one ingredient becomes a stage with its flour and its water, unless
 * it is built elsewhere. What cannot be read comes back with its line, and stands in the formula where it
 * stood.
 *
 * @example readRecipe('3 cups bread flour\n1 1/4 cups water\n1 tsp salt', {measures: defaultMeasures}).unread // []
 */
export function readRecipe(text: string, reader: Reader): ReadRecipe {
  const reading = new Reading(text, reader);
  const sizes = isBinary(text) ? undefined : sizesIn(text);
  const meantText = sizes && reader.size !== undefined ? sizes.text(reader.size) : text;
  const rows = isBinary(text) ? [] : rowsOf(meantText);
  // Until the baker says which, no size is taken for the others.
  const asked = reader.size === undefined ? sizes?.lines : undefined;
  const several = recipesIn(rows);
  const meant = several[reader.which ?? 0] ?? several[0];
  rows.forEach((row, i) => {
    if (meant && (i < meant.from || i >= meant.to)) reading.other(row);
    else if (asked?.has(row.at)) reading.ofSizes(row);
    else reading.row(row, i + 1 === meant?.to ? undefined : rows[i + 1]);
  });
  return reading.finish(
    text,
    several.map((r) => r.title),
    sizes?.names ?? [],
  );
}

/** Names with numbers alone, row after row: they are grams. */
const isBareGrams = (text: string): boolean => {
  const rows = text
    .slice(0, 20_000)
    .split(/\r?\n/)
    .filter((r) => r.trim());
  const bare = rows.filter((r) =>
    /^[\s•*-]*\p{L}[\p{L}\s,’'-]*[:\s=.–—-]\s*\d+(?:[.,]\d+)?\s*$/u.test(r),
  );
  return bare.length >= 3 && bare.length >= 0.6 * rows.length;
};

/** Bytes of something that is no text. */
const isBinary = (text: string): boolean => {
  const head = text.slice(0, 4000);
  const odd = (head.match(/[\u0000-\u0008\u000e-\u001f\ufffd]/g) ?? []).length;
  return odd > 20 && odd > head.length / 20;
};

/**
 * A sentence: it begins with a word, ends with a stop, is longer than a line of a recipe, and has no amount
 * at its end. Most of a web page is such, and need not be tried as an ingredient.
 */
const isProse = (text: string): boolean =>
  text.length > 60 && /^\p{L}/u.test(text) && /[^\d]{15}[.!?]["’)]?$/.test(text);

/** A number, however odd, with a unit of weight or measure behind it. */
const amountAnywhere = new RegExp(
  String.raw`(?<![\p{L}\d])[\d¼½¾⅓⅔⅛][\p{L}\d.,/¼½¾⅓⅔⅛]*?\s*(?:${unitPattern})(?![\p{L}\d])`,
  'iu',
);
/** "330 g water, plus 20 g with the salt": more of the same, later. */
const moreOfIt =
  /,?\s*(?:\+|\bplus\b|\band\b)\s+(?:another\s+|an?\s+(?:extra|further)\s+)?((?:\d|[½¼¾⅓⅔])[\d.,/\s½¼¾⅓⅔]*(?:kg|g|ml|l|oz|lb|cups?|tbsp|tablespoons?|tsp|teaspoons?)\.?(?:\s*\([^)]*\))?|an? (?:knob|handful|splash|drizzle|pinch))\s*((?:more|extra|later|with|for|at the end|held back|kept back|to)\b.*)?$/iu;

/** "2 eggs, plus 1 for the glaze": counted things, of which some are for something else. */
const countedFor = /,?\s*(?:\+|\bplus\b)\s+(an?|one|two|\d{1,2})\s+(for\b.*)$/iu;

/** "½ cup oats, soaked in ½ cup boiling water": a thing, and what it drinks beforehand. */
const soakedIn =
  /^(?<thing>.*?\p{L}.*?),?\s*\(?(?:soaked|scalded|steeped|softened|cooked|simmered)(?:\s+overnight|\s+for [^,]*?)?\s+(?:in|with|over)\s+(?<liquid>(?:\d|[½¼¾⅓⅔]|an?\s|half\s).*?)\)?(?:\s+(?:overnight|for\b.*|and (?:left|drained|cooled)\b.*))?$/iu;

/** Words of the work, in a row without an amount: "Dough programme in the machine." */
const ofTheWork =
  /\b(?:programme|program|setting|cycle|machine|oven|knead\w*|rise|rising|proof\w*|prov(?:e|ing)|bake[sd]?|baking|overnight|folds?|until)\b/i;

const styleNamed = new Map(styleIds.map((id) => [styles[id].name.toLowerCase(), id]));
/** "Style: pizza", as our own sheets have it. */
const styleIn = (text: string): StyleId | undefined => {
  const name = /^style:\s*(.+)$/i.exec(text)?.[1];
  return name === undefined ? undefined : styleNamed.get(name.trim().toLowerCase());
};

/** A sentence of the work: it has a verb, and a stop. */
const isSentence = (text: string): boolean => isMethod(text) && /[.!](?:\s|$)/.test(text);

/** Headings that need no mark: nothing else is written so. */
const plainHeading =
  /^(?:method|methods|instructions?|directions?|steps|preparation|procedure|notes?|recipe notes?|nutrition)$/i;

/** What ends the name of a thing that goes into a dough. */
const foodWord = /\b(?:flour|meal|water|milk|salt|yeast|sugar|butter|oil|oats|starter)$/i;

/** What a stage is called in a sentence, behind its article. */
const calledOf = ({ name }: { name: string }): string => name.toLowerCase().replace(/^the /, '');

interface OpenStage {
  kind: Stage['kind'];
  name: string;
  lines: Line[];
  /** Ripe starter that a starter is fed from, and the flour in it, grams. */
  sown?: { readonly grams: number; readonly flour: number };
}

/** A line of the dough that speaks of a starter or pre-ferment. */
interface SpokenOf {
  readonly row: TextRow;
  readonly word: StarterWord;
  readonly grams: number | undefined;
  /** Of the flour, where that alone is said: "levain 20 %". */
  readonly percent?: number;
  readonly read: ReadAmount | undefined;
}

/** More dried yeast than this, as a share of the flour, is none: it is the fresh kind. Common practice, no source. */
const mostDriedYeast = 0.025;
/** A yeast whose kind is said. */
const kindOfYeast =
  /\b(?:fresh|dry|dried|instant|active|rapid|fast|quick|machine|osmotolerant|compressed|cube|cake)\b/i;

/** Sentences of which an amount is for the oven, the pot or the table. */
const notInDough =
  /\b(?:tray|steam|boil|pot of|brush|glaze|dust|grease|sprinkl|scatter|serve|drizzle|spray|rinse|wash)\w*/i;

/** "Levain 20 %", "20 % starter": a share of the flour, and no hydration. */
const shareOfFlour =
  /^(\d{1,3}(?:[.,]\d+)?)\s*%\s+[^\d%]+$|^[^\d%]+?[\s:–-]+(\d{1,3}(?:[.,]\d+)?)\s*%$/u;
/** What is a share says nothing of how wet it is. */
const ofShare = (word: StarterWord): StarterWord =>
  word.hydrationSaid ? { ...starterWord('starter')!, kind: word.kind, flour: word.flour } : word;
/** A figure behind a starter from here on says how wet it is: no bread has so much of one, % of flour. Own choice. */
const leastHydration = 80;
const byScale: ReadAmount = { amount: 0, unit: { kind: 'mass', unit: 'g' }, spread: 0 };

/** What is open while rows go by. */
type Place = 'ingredients' | 'method' | 'notes' | { readonly outside: OutsideUse };

/** One pass over the rows; its state is what rows go to. */
class Reading {
  readonly #with: ReadingWith;
  readonly #reader: Reader;
  readonly #stages: OpenStage[] = [];
  readonly #unread: Array<Unread & Pick<UnreadLine, 'after'> & { stage?: OpenStage }> = [];
  readonly #assumptions: Assumption[] = [];
  readonly #rows: ReadRow[] = [];
  readonly #steps: Step[] = [];
  readonly #notes: string[] = [];
  readonly #outside: Outside[] = [];
  readonly #percents: Array<{ stage: OpenStage; line: Line; percent: number; row: TextRow }> = [];
  readonly #spokenOf: SpokenOf[] = [];
  /** Starters of the dough that are a share of its flour, and are built nowhere. */
  readonly #shares: Array<{ row: TextRow; word: StarterWord; percent: number }> = [];
  #yield: Yield = {};
  #name: string | undefined;
  #open: OpenStage | undefined;
  #place: Place = 'ingredients';
  #lineCount = 0;
  #begun = false;
  #lastLine: string | undefined;
  #style: StyleId | undefined;
  /** What comes goes into the dough, whatever it is for. */
  #inDough = false;

  constructor(text: string, reader: Reader) {
    this.#reader = reader;
    this.#with = {
      measures: reader.measures,
      table: coefficientsWith(reader.figures ?? {}),
      words: vocabularyOf(reader.all ?? catalogue, reader.words ?? {}),
      each: reader.each ?? {},
      style: numberStyle(text),
      bareGrams: isBareGrams(text),
      known: new Map(),
    };
    const words = new Set((text.slice(0, 20_000).match(foreign) ?? []).map((w) => w.toLowerCase()));
    if (words.size >= 3) {
      this.#assumptions.push({
        line: 1,
        text: 'its method is kept as it stands: of other languages than English only the names of things are read',
      });
    }
  }

  /** A row of another recipe. */
  other(row: TextRow): void {
    if (row.raw) this.#say(row, 'other');
  }

  /** A row with an amount for each of several sizes, of which none is chosen yet. */
  ofSizes(row: TextRow): void {
    const answer = this.#reader.answers?.[row.raw];
    if (answer && 'not' in answer) return this.row(row, undefined);
    this.#handBack(row, { code: 'sizes', says: 'an amount for each size: which size is baked?' });
  }

  row(row: TextRow, next: TextRow | undefined): void {
    if (row.closes) {
      this.#place = 'ingredients';
      this.#open = undefined;
      return;
    }
    const answer = this.#reader.answers?.[row.raw];
    if (answer && 'not' in answer) {
      return answer.not === 'dough' ? this.#asOutside(row, 'topping') : this.#note(row);
    }
    if (answer && 'reads' in answer)
      return this.#plain({ ...row, text: answer.reads, item: true, confirmed: true }, undefined);
    if (answer && 'goes' in answer) return this.#intoDough(row);
    if (answer) return this.#answered(row, answer);
    this.#plain(row, next);
  }

  /** A row that stands outside the dough, and goes in: the baker said so. */
  #intoDough(row: TextRow): void {
    this.#open = undefined;
    this.#inDough = true;
    this.#ingredient({ ...row, item: true });
    this.#inDough = false;
  }

  /** A row of which nobody has said anything. */
  #plain(row: TextRow, next: TextRow | undefined): void {
    const style = styleIn(row.text);
    if (style) {
      this.#style ??= style;
      return void this.#say(row, 'note');
    }
    if (row.text.length > longestLine) {
      if (isMethod(row.text) || this.#place === 'method') return this.#step(row);
      if (this.#place === 'notes' || row.text.length > 4 * longestLine) return this.#note(row);
      return this.#handBack(row, {
        code: 'too-long',
        says: `longer than ${longestLine} characters`,
      });
    }
    if (this.#heading(row, next)) return;
    if (this.#place === 'method') return this.#step(row);
    if (this.#place === 'notes') return this.#note(row);
    const made = yieldIn(row.text);
    if (
      made &&
      !matchIngredient(row.text.replace(/^[\d\s.,/½¼¾]+(?:kg|g|lb|oz)?\s*/i, ''), this.#with.words)
    ) {
      this.#yield = { ...this.#yield, ...made };
      return void this.#say(row, 'yield');
    }
    if (aboutIt.test(row.text) && !(row.item && readAmount(row.text)?.amount.unit))
      return this.#note(row);
    if (row.numbered && !readAmount(row.text)?.amount.unit && isMethod(row.text))
      return this.#step(row);
    if (typeof this.#place === 'object') return this.#asOutside(row, this.#place.outside);
    if (row.text === illegible)
      return this.#handBack(row, {
        code: 'unclear',
        says: 'there is a row here that cannot be read in the picture: what does it say?',
      });
    const fractions = row.confirmed ? [] : fractionsOf(row.text);
    const unclear = this.#isUnclear(row);
    if (unclear || fractions.length > 0) {
      const says =
        fractions.length > 0
          ? 'the fraction could not be read: which one is it?'
          : 'is hard to read in the picture: what does it say?';
      const readings = fractions.length > 0 ? fractions : [mendedScan(row.text) ?? row.text];
      return this.#handBack(row, { code: unclear ? 'unclear' : 'scan', says }, readings);
    }
    const things = stirredTogether(row.text);
    if (things) return this.#together(row, things);
    // A sentence of the work that speaks of a starter which stands above makes no other one.
    if (!row.item && starterWord(row.text) && isSentence(row.text) && this.#stands(row.text))
      return this.#step(row);
    if (starterWord(row.text) && this.#otherThings(row.text)) {
      if (this.#beside(row)) return void (this.#begun = true);
      return this.#handBack(row, {
        code: 'several',
        says: 'a starter, and other things with amounts: write each on a line of its own',
      });
    }
    if (starterWord(row.text) && (this.#beside(row) || this.#starter(row))) {
      return void (this.#begun = true);
    }
    if (this.#reference(row)) return;
    this.#ingredient(row);
  }

  /** It was hard to read, it may be of the dough, and nobody has said yet what it is. */
  #isUnclear({ at, text, confirmed }: TextRow): boolean {
    if (confirmed || !this.#reader.doubted?.has(at)) return false;
    return hasFigure(text) || matchIngredient(text, this.#with.words) !== undefined;
  }

  /**
   * A sentence that puts several things together: of those that stand above already it is the method alone; what does
   * not stand there goes in.
   */
  #together(row: TextRow, things: readonly string[]): void {
    const missing = things.filter((thing) => !this.#stands(thing));
    if (missing.length === 0) return this.#step(row);
    if (missing.length < things.length)
      this.#assume(row, 'what stands above already is not counted twice');
    // With a starter that is built above it is the dough, whatever part was open.
    if (missing.length < things.length && things.some((t) => starterWord(t)))
      this.#open = undefined;
    for (const thing of missing)
      this.row({ ...row, raw: thing, text: thing, item: true }, undefined);
  }

  /** Whether a row that names a starter weighs other things as well: they must not go in with it unseen. */
  #otherThings(text: string): boolean {
    const bare = text.replace(/\([^)]*\)/g, ' ');
    return thingsIn(bare, this.#with).some(({ at }) => {
      const own = bare.slice(at).split(/[,;+&]|\b(?:with|and)\b/)[0]!;
      return !starterWord(own);
    });
  }

  /** Whether so much of a thing of its kind stands above, for a sentence says "flour"; of a starter, whether any does. */
  #stands(thing: string): boolean {
    if (starterWord(thing))
      return this.#spokenOf.length > 0 || this.#stages.some((s) => s.kind !== 'dough');
    const read = readLine(thing, this.#with);
    if ('code' in read || read.grams === undefined) return false;
    const { grams } = read;
    return this.#stages
      .flatMap((s) => s.lines)
      .some((l) => this.#roleOf(l) === read.of.role && Math.abs(l.grams - grams) <= alike * grams);
  }

  #nameOf(id: string): string {
    return (this.#reader.all ?? catalogue).find((i) => i.id === id)?.name ?? id;
  }

  #roleOf({ ingredient: id }: Line): Role | undefined {
    return (this.#reader.all ?? catalogue).find((i) => i.id === id)?.role;
  }

  /** "add 10 g salt and the levain": what is weighed, and what is built above. */
  #beside(row: TextRow): boolean {
    const match =
      /^(?:add|then add|mix in|stir in|with)?\s*(\d.*?)\s*(?:\+|&|\b(?:and|with)\b|,)\s*((?:all (?:of )?)?the\s+(.+)|(?:levain|starter|poolish|biga|sponge|soaker))$/iu.exec(
        row.text,
      );
    if (!match || !starterWord(match[2]!)) return false;
    const read = readLine(match[1]!, this.#with);
    if ('code' in read) return false;
    this.#ingredient({ ...row, text: match[1]! });
    return this.#starter({ ...row, text: match[2]! });
  }

  /** A line that is something in the dough, or what else it turns out to be. */
  #ingredient(row: TextRow): void {
    const mended = mendedScan(row.text);
    if (mended !== undefined && !('code' in readLine(mended, this.#with)))
      return this.#handBack(
        row,
        { code: 'scan', says: `is it “${mended}”, and a letter was taken for a figure?` },
        [mended],
      );
    if (!row.item && isProse(row.text)) {
      const weighs = isMethod(row.text) && thingsIn(row.text, this.#with).length > 1;
      return (this.#begun || weighs) && isMethod(row.text) ? this.#step(row) : this.#note(row);
    }
    // A long sentence that weighs nothing is the work, or talk: a page has thousands.
    if (!row.item && row.text.length > 60 && !mayWeigh(row.text) && isMethod(row.text))
      return this.#begun ? this.#step(row) : this.#note(row);
    if (
      !row.item &&
      row.text.length > 60 &&
      isMethod(row.text) &&
      thingsIn(row.text, this.#with).length > 1
    )
      return this.#step(row);
    const pieces = this.#pieces(row.text);
    const reads = pieces.map((piece) => this.#mill(piece) ?? readLine(piece, this.#with));
    const failed = reads.find((r) => 'code' in r) as CannotRead | undefined;
    if (failed) {
      // "500gbread flour": the space that is missing.
      const spaced = row.text.replace(/^(\d[\d.,]*)(kg|g|ml|l|oz|lb)(?=\p{L}{3})/u, '$1 $2 ');
      if (spaced !== row.text && !('code' in readLine(spaced, this.#with)))
        return this.#ingredient({ ...row, text: spaced });
      const soaked = this.#soaked(row);
      if (soaked) return;
      const plain = failed.code === 'no-amount' || (failed.code === 'unknown' && !row.item);
      if (plain && isMethod(row.text)) return this.#begun ? this.#step(row) : this.#note(row);
      if (failed.code === 'no-amount' && ofTheWork.test(row.text)) return this.#step(row);
      if (
        !this.#begun &&
        failed.code === 'no-amount' &&
        nearest(failed.about ?? '', this.#with.words).length === 0
      )
        return this.#note(row);
      if (failed.code === 'no-amount' && row.text.split(/\s+/).length > 8) return this.#note(row);
      // Without an amount and without a word of anything that is eaten it is talk.
      if (
        failed.code === 'no-amount' &&
        !row.item &&
        nearest(failed.about ?? row.text, this.#with.words).length === 0
      )
        return this.#note(row);
      const use = outsideUse(row.text);
      if (use && !this.#inDough && (failed.code === 'no-amount' || failed.code === 'unknown'))
        return this.#asOutside(row, use);
      return this.#handBack(row, failed);
    }
    this.#begun = true;
    const ids: string[] = [];
    const beside: string[] = [];
    // "1 egg yolk + 1 tbsp milk, for brushing": behind a comma it is said of all of them.
    const last = reads.at(-1);
    const allFor =
      /,\s*(?:for|to)\s[^,]*$/i.test(row.text) && last && !('code' in last)
        ? last.outside
        : undefined;
    for (const [i, found] of reads.entries()) {
      if ('code' in found) continue;
      const read = allFor ? { ...found, outside: allFor } : found;
      if (read.outside && !this.#inDough) {
        beside.push(pieces[i]!);
        this.#outside.push({
          id: `o${this.#outside.length + 1}`,
          use: read.outside,
          says: pieces[i]!,
          ingredient: read.of.id,
          ...(read.grams === undefined ? {} : { grams: read.grams }),
        });
        continue;
      }
      if (this.#lineCount >= mostLines) {
        return this.#handBack(row, { code: 'too-long', says: `beyond ${mostLines} lines` });
      }
      const named = wordsOf(read.what).join(' ');
      const byName = matchIngredient(read.what, this.#with.words)?.id === read.of.id;
      if (byName && usualNames.has(named) && named !== wordsOf(read.of.name).join(' ')) {
        this.#assume(row, `“${read.what}” is read as ${read.of.name}`);
      }
      if (read.of.reckonedAs)
        this.#assume(row, `${read.of.name} is reckoned as ${this.#nameOf(read.of.reckonedAs)}`);
      else if (flourPhrase(read.what)?.near)
        this.#assume(
          row,
          `“${read.what}” is reckoned as ${read.of.name}, the nearest that is known`,
        );
      if (read.assumed) this.#assume(row, read.assumed);
      const line: Line = {
        id: this.#lineId(),
        ingredient: read.of.id,
        grams: read.grams ?? 0,
        measured: read.measured,
        ...(read.spread > 0 ? { spread: read.spread } : {}),
        ...(read.note ? { note: read.note.slice(0, 2000) } : {}),
        asWritten: pieces.length > 1 ? pieces[i]! : row.text,
      };
      const stage = this.#stage();
      stage.lines.push(line);
      ids.push(line.id);
      if (read.grams === undefined) {
        this.#percents.push({ stage, line, percent: read.percent!, row });
      }
      this.#lastLine = line.id;
    }
    this.#say(row, ids.length > 0 ? 'line' : 'outside', ids, ids.length > 0 ? beside : []);
  }

  /** "½ cup oats, soaked in ½ cup boiling water": a soaker of two, on a row of its own. */
  #soaked(row: TextRow): boolean {
    if (!/soaked|scalded|steeped|softened|cooked|simmered/i.test(row.text)) return false;
    const found = soakedIn.exec(row.text)?.groups;
    if (!found) return false;
    const things = [found['thing']!, found['liquid']!];
    const reads = things.map((thing) => readLine(thing, this.#with));
    if (reads.some((r) => 'code' in r || r.grams === undefined)) return false;
    const stage: OpenStage = { kind: 'soaker', name: 'Soaker', lines: [] };
    const ids = reads.flatMap((read, i) => {
      if ('code' in read || read.grams === undefined) return [];
      const id = this.#lineId();
      stage.lines.push({
        id,
        ingredient: read.of.id,
        grams: read.grams,
        measured: read.measured,
        ...(read.spread > 0 ? { spread: read.spread } : {}),
        asWritten: things[i]!,
      });
      return [id];
    });
    this.#stages.push(stage);
    this.#begun = true;
    this.#say(row, 'line', ids);
    return true;
  }

  /** A row of which the baker said what it is, and perhaps what one of it weighs. */
  #answered(row: TextRow, { is, each }: Extract<Answer, { is: string }>): void {
    const of = (this.#reader.all ?? catalogue).find((i) => i.id === is);
    if (!of) return this.#handBack(row, { code: 'unknown', says: `there is no “${is}” here` });
    const weights =
      each === undefined ? this.#with.each : { ...this.#with.each, ...eachUnit(is, each) };
    const read = readAs(row.text, of, { ...this.#with, each: weights });
    if ('code' in read) return this.#handBack(row, { ...read, about: of.name });
    this.#begun = true;
    const line: Line = {
      id: this.#lineId(),
      ingredient: of.id,
      grams: read.grams ?? 0,
      measured: read.measured,
      ...(read.spread > 0 ? { spread: read.spread } : {}),
      asWritten: row.text,
    };
    this.#stage().lines.push(line);
    this.#lastLine = line.id;
    this.#say(row, 'line', [line.id, ...this.#besideAnswered(row)]);
  }

  /** "½ cup oats, soaked in ½ cup water": the answer says what the oats are, and the water goes in with them. */
  #besideAnswered(row: TextRow): string[] {
    const whole = readLine(row.text, this.#with);
    if (!('code' in whole) || whole.beside === undefined) return [];
    const read = readLine(whole.beside, this.#with);
    if ('code' in read || read.grams === undefined) return [];
    const line: Line = {
      id: this.#lineId(),
      ingredient: read.of.id,
      grams: read.grams,
      measured: read.measured,
      ...(read.spread > 0 ? { spread: read.spread } : {}),
      asWritten: whole.beside,
    };
    this.#stage().lines.push(line);
    this.#lastLine = line.id;
    return [line.id];
  }

  /** Several things on one row, each with its amount: "1 egg + 1 yolk", "10 g each salt and sugar". */
  #pieces(text: string): string[] {
    // "2 eggs, plus 1 for the glaze": counted, and for something else.
    const other = /[+]|plus/i.test(text) ? countedFor.exec(text) : null;
    const head = other ? text.slice(0, other.index) : '';
    const first = other && /\p{L}/u.test(head) ? readLine(head, this.#with) : undefined;
    if (other && first && !('code' in first) && first.measured === 'count')
      return [head, `${other[1]} ${first.what} ${other[2]}`];
    const parts = partsOf(text, this.#with);
    if (parts) return parts;
    const each = /^(.*?)\s+each(?:\s+of)?:?\s+(.+?)\s*(?:,|and|&)\s*(.+)$/i.exec(text);
    if (each && readAmount(each[1]!, this.#with.style)?.rest === '') {
      return [`${each[1]} ${each[2]}`, `${each[1]} ${each[3]}`];
    }
    const more = /[+]|plus|and/i.test(text) ? moreOfIt.exec(text) : null;
    const before = more ? text.slice(0, more.index) : '';
    const whole = more && /\p{L}/u.test(before) ? readLine(before, this.#with) : undefined;
    const spoons = /(?:cups?|tbsp|tablespoons?|tsp|teaspoons?)\.?(?:\s*\([^)]*\))?$/i.test(
      more?.[1] ?? '',
    );
    // "½ cup sugar, plus 1 tsp" is one amount; what is kept back, or for something else, is one of its own.
    if (
      more &&
      whole &&
      (more[2] || !spoons) &&
      !('code' in whole) &&
      readAmount(more[1]!.replace(/\s*\([^)]*\)$/, ''))?.rest === ''
    ) {
      // What it is for is said of the rest alone: "plus 50 g for dusting".
      const use = /^for\b/i.test(more[2] ?? '') ? ` ${more[2]}` : '';
      return [before, `${more[1]} ${whole.what}${use}`];
    }
    const pieces = text.split(
      /\s*(?:\+|\bplus\b|\band\b|&)\s*(?=(?:\d|[¼½¾⅓⅔]|an?\s|one\s|half\s))/i,
    );
    if (pieces.length < 2) return [text];
    const read = pieces.map((p) => readLine(p, this.#with));
    return read.every((r) => !('code' in r)) ? pieces : [text];
  }

  /** In a milling household grain by its name is flour from the mill. */
  #mill(text: string): ReturnType<typeof readLine> | undefined {
    const milled = this.#reader.mills || /\b(?:milled|ground)\b/i.test(text);
    if (!milled || /\b(?:cooked|soaked|cracked|sprouted|boiled)\b/i.test(text)) return undefined;
    const grain = millGrains.find(([pattern]) => pattern.test(text));
    if (!grain) return undefined;
    const of = ingredient(grain[1]);
    const read = readLine(text.replace(grain[0], of.name), this.#with);
    return 'code' in read
      ? undefined
      : { ...read, what: text, assumed: `grain is read as flour from the mill: ${of.name}` };
  }

  finish(source: string, recipes: readonly string[], sizes: readonly string[]): ReadRecipe {
    if (recipes.length > 1) {
      const others = recipes.filter((title) => title !== this.#name).map((title) => `“${title}”`);
      this.#assumptions.push({
        line: 1,
        text: `there are ${recipes.length} recipes in the text: ${others.join(', ')} ${others.length === 1 ? 'is' : 'are'} not in this one`,
      });
    }
    if (this.#with.bareGrams) {
      this.#assumptions.push({ line: 1, text: 'numbers alone are read as grams' });
    }
    this.#fromSentences();
    this.#settleStarters();
    this.#settlePercents();
    this.#settleShares();
    this.#freshCube();
    const kept = this.#stages.filter((s) => s.lines.length > 0);
    if (!kept.some((s) => s.kind === 'dough'))
      kept.push({ kind: 'dough', name: 'Dough', lines: [] });
    const order = ['starter', 'preferment', 'soaker', 'dough'];
    kept.sort((a, b) => order.indexOf(a.kind) - order.indexOf(b.kind));
    this.#askOfAmounts(kept);
    const stages = kept.slice(0, 12).map(({ sown, ...s }, i) => ({
      id: `s${i + 1}`,
      ...s,
      ...buildOf(s.lines, sown, this.#reader.all ?? catalogue),
    }));
    const idOf = (stage: OpenStage | undefined): string | undefined =>
      stage && stages[kept.indexOf(stage)]?.id;
    const byLine = (a: { line: number }, b: { line: number }) => a.line - b.line;
    const unread = this.#unread.sort(byLine);
    const { pieces, piece, slices, size } = this.#yield;
    const notes = this.#notes.join('\n').slice(0, 20_000);
    const formula: Formula = {
      format: formulaFormat,
      name: this.#name ?? unnamed,
      style: this.#reader.style ?? this.#style ?? usualStyle,
      stages,
      taken: [],
      left: [],
      ...(pieces && pieces <= 1000 ? { pieces } : {}),
      ...(slices ? { slices } : {}),
      source: source.slice(0, 65_536),
      ...(piece ? { piece } : {}),
      ...(size ? { size } : {}),
      ...(this.#steps.length > 0 ? { steps: inRows(this.#steps) } : {}),
      ...(this.#outside.length > 0 ? { outside: this.#outside.slice(0, 60) } : {}),
      ...(unread.length > 0
        ? {
            unread: unread.slice(0, mostLines).map(({ text, says, after, stage }): UnreadLine => {
              const at = idOf(stage);
              const grams = aboutGrams(text, this.#with);
              return {
                text: text.slice(0, 2000),
                why: says.slice(0, 200),
                ...(at ? { stage: at } : {}),
                ...(after ? { after } : {}),
                ...(grams === undefined ? {} : { grams }),
              };
            }),
          }
        : {}),
      ...(notes ? { notes } : {}),
    };
    return {
      formula,
      rows: this.#rows.sort(byLine),
      unread: unread.map(({ after, stage, ...rest }) => (void [after, stage], rest)),
      assumptions: this.#assumptions.sort(byLine),
      recipes,
      ...(this.#style ? { style: this.#style } : {}),
      sizes,
      disagrees: disagreementsOf(
        this.#rows
          .filter((r) => r.as !== 'other')
          .map((r) => r.text)
          .join('\n'),
        formula,
        this.#reader.all ?? catalogue,
      ),
    };
  }

  /**
   * What the sentences of the method weigh and no row has: raisins that are in no list, or all of it where there is no
   * list. It is asked about, once, and never put in by itself.
   */
  #fromSentences(): void {
    const listed = new Set([
      ...this.#stages.flatMap((s) => s.lines.map((l) => l.ingredient)),
      ...this.#outside.map((o) => o.ingredient),
    ]);
    const open = new Set(this.#unread.map((u) => u.text));
    const none = listed.size === 0 && this.#unread.length === 0;
    for (const row of this.#rows.filter((r) => r.as === 'step' || (none && r.as === 'note'))) {
      if (!none && outsideUse(row.text)) continue;
      for (const { text, of } of thingsIn(row.text, this.#with)) {
        const answer = this.#reader.answers?.[text];
        const at = { at: row.line, raw: text, text, item: true };
        if (answer) this.row(at, undefined);
        else if (!open.has(text) && (none || !listed.has(of)) && !notInDough.test(row.text)) {
          open.add(text);
          this.#handBack(at, {
            code: 'in-method',
            says: 'it stands in the method alone: does it go into the dough?',
            might: [of],
          });
        }
      }
    }
  }

  /** "42 g of yeast" is a cube of fresh yeast: of dried yeast nobody takes so much. */
  #freshCube(): void {
    const flour = sumGrams(
      this.#stages.flatMap((s) => s.lines.filter((l) => this.#roleOf(l) === 'flour')),
    );
    for (const stage of this.#stages)
      stage.lines = stage.lines.map((line) => {
        const said = line.asWritten ?? '';
        const bare =
          /\byeast\b/i.test(said) && !kindOfYeast.test(said) && !this.#reader.words?.['yeast'];
        if (!bare || this.#roleOf(line) !== 'leaven' || line.ingredient === 'fresh-yeast')
          return line;
        // Where the flour itself may be among what was not read, its share says nothing.
        if (flour <= 0 || this.#unread.length > 0 || line.grams <= mostDriedYeast * flour)
          return line;
        const row = this.#rows.find((r) => r.lines?.includes(line.id));
        // What the baker said it is, it is.
        if (row && this.#reader.answers?.[row.text]) return line;
        this.#assumptions.push({
          line: row?.line ?? 1,
          ...(row ? { row: row.text } : {}),
          text: `${gramsText(line.grams)} of yeast is too much for a dried one: it is read as fresh yeast`,
        });
        return { ...line, ingredient: 'fresh-yeast' };
      });
  }

  #say(
    row: TextRow,
    as: ReadAs,
    lines: readonly string[] = [],
    beside: readonly string[] = [],
  ): void {
    this.#rows.push({
      line: row.at,
      text: row.raw,
      as,
      ...(lines.length > 0 ? { lines } : {}),
      ...(beside.length > 0 ? { beside } : {}),
    });
  }

  #assume(row: TextRow, text: string): void {
    this.#assumptions.push({ line: row.at, row: row.raw, text });
  }

  #handBack(
    row: TextRow,
    { code, says, about, what, might }: CannotRead,
    readings: readonly string[] = [],
  ): void {
    const [mended = code === 'no-unit' ? gramsTaken(row.text) : undefined, ...others] = readings;
    this.#unread.push({
      line: row.at,
      text: row.raw,
      code,
      says,
      might: might ?? (about ? nearest(about, this.#with.words).map((i) => i.id) : []),
      ...(what ? { what } : {}),
      ...(mended ? { mended } : {}),
      ...(others.length > 0 ? { others } : {}),
      ...(this.#open ? { stage: this.#open } : {}),
      ...(this.#lastLine ? { after: this.#lastLine } : {}),
    });
    this.#say(row, 'unread');
  }

  #step(row: TextRow): void {
    const process = processIn(row.text);
    for (let i = 0; i < row.text.length; i += 2000) {
      const says = row.text.slice(i, i + 2000);
      this.#steps.push({ says, ...(process && i === 0 ? { process } : {}) });
    }
    this.#say(row, 'step');
  }

  #note(row: TextRow): void {
    this.#notes.push(row.text);
    this.#say(row, 'note');
  }

  #asOutside(row: TextRow, use: OutsideUse): void {
    if (isMethod(row.text) && !readAmount(row.text)) return this.#step(row);
    const read = readLine(row.text, this.#with);
    this.#outside.push({
      id: `o${this.#outside.length + 1}`,
      use,
      says: row.text,
      ...('code' in read
        ? {}
        : { ingredient: read.of.id, ...(read.grams === undefined ? {} : { grams: read.grams }) }),
    });
    this.#say(row, 'outside');
  }

  /** A title or the heading of a part. */
  #heading(row: TextRow, next: TextRow | undefined): boolean {
    const { text } = row;
    // "Butter for greasing": a thing and what it is for is a line of its own, unless it is marked as a heading.
    if (!row.heading && !/:\s*$/.test(text) && this.#isForOutside(text)) return false;
    // Most rows begin with their amount: those are no headings.
    if (!row.heading && this.#begun && /^[\d½¼¾⅓⅔⅛.]/.test(text) && !/:\s*$/.test(text))
      return false;
    const marked = row.heading === true || /:\s*$/.test(text);
    const section = sectionOf(text);
    const amount = readAmount(text);
    const bare = bareHeading(text);
    const alone = !row.item && bare.split(/\s+/).length <= 6 && !/[.!,]$/.test(text);
    // Nothing marks it, neither a sign nor a gap above: it sends nothing that follows out of the dough.
    const set = marked || row.blankBefore === true || row.at === 1;
    // "Sourdough rye (2 loaves)" above all else is what the bread is called.
    const calls =
      this.#name === undefined &&
      !this.#begun &&
      !marked &&
      /\bsourdough\b/i.test(bare) &&
      !/\b(?:starter|levain|leaven|culture|build|feed)\b/i.test(bare);
    if (section && calls && this.#isTitle(row, next, true)) {
      this.#name = text.slice(0, 120);
      this.#yield = { ...this.#yield, ...yieldIn(/\(([^)]+)\)/.exec(text)?.[1] ?? text) };
      this.#say(row, 'title');
      return true;
    }
    if (section && !set && section.opens !== 'stage' && !plainHeading.test(bare)) return false;
    if (section && (marked || (alone && !amount) || /^day \d/i.test(bare))) {
      // A word that is also an ingredient is one, unless it is marked as a heading.
      const named =
        section.opens === 'stage' &&
        !marked &&
        (/^sourdough$/i.test(bare) || matchIngredient(bare, this.#with.words) !== undefined);
      // Built above, and named again in the dough: it goes in there.
      const again =
        section.opens === 'stage' &&
        section.kind !== 'dough' &&
        !marked &&
        this.#open?.kind === 'dough' &&
        this.#stages.some((s) => s.kind === section.kind && s.lines.length > 0);
      if (again) return false;
      if (!named) {
        this.#opens(section, row);
        return true;
      }
    }
    if (this.#name === undefined && !this.#begun && this.#isTitle(row, next, marked)) {
      this.#name = text.replace(/:\s*$/, '').slice(0, 120);
      const bracket = /\(([^)]+)\)|[-–—,:]\s*((?:makes|yields?|serves)\b.*)$/i.exec(text);
      const count = /^\s*(?:makes\s+)?(\d{1,3})\s*$/i.exec(bracket?.[1] ?? '')?.[1];
      const made = count ? `makes ${count} ${text}` : (bracket?.[1] ?? bracket?.[2] ?? text);
      this.#yield = { ...this.#yield, ...yieldIn(made) };
      this.#say(row, 'title');
      return true;
    }
    if (!marked || amount?.amount.unit || this.#place === 'method' || this.#place === 'notes') {
      // A heading of a page closes its method and notes only where it opens ingredients again.
      return false;
    }
    if (/\d/.test(text) && amount && matchIngredient(amount.rest, this.#with.words)) return false;
    this.#open = undefined;
    this.#place = 'ingredients';
    this.#say(row, 'heading');
    return true;
  }

  /** A thing in the kitchen, and behind it what it is for that is not the dough. */
  #isForOutside(text: string): boolean {
    const thing = /^(.+?)\s+(?:for|to)\s+\p{L}/iu.exec(text)?.[1];
    return (
      thing !== undefined &&
      outsideUse(text) !== undefined &&
      matchIngredient(thing, this.#with.words) !== undefined
    );
  }

  /** An amount stands somewhere in it, whatever its number looks like, beside the name of a thing: "rye flour 400 g". */
  #hasAmount(text: string): boolean {
    const amount = amountAnywhere.exec(text);
    if (!amount) return false;
    const rest = text
      .replace(amount[0], ' ')
      .replace(/[\s,;:()–—-]+/g, ' ')
      .trim();
    return (
      rest === '' || foodWord.test(rest) || matchIngredient(rest, this.#with.words) !== undefined
    );
  }

  #isTitle(row: TextRow, next: TextRow | undefined, marked: boolean): boolean {
    const { text } = row;
    if (
      row.item ||
      row.numbered ||
      text.split(/\s+/).length > 14 ||
      yieldIn(text) ||
      aboutIt.test(text)
    ) {
      return false;
    }
    const amount = readAmount(text);
    // "A loaf for Sundays" is no amount of one; "500 g flour" is.
    if (amount?.amount.unit) return false;
    if (amount && matchIngredient(amount.rest, this.#with.words)) return false;
    if (this.#hasAmount(text) || mendedScan(text) !== undefined) return false;
    if (/^\d[\d.,]*(?:kg|g|ml|l|oz|lb)\p{L}{3}/u.test(text)) return false;
    if (marked) return true;
    const thing = matchIngredient(text, this.#with.words);
    // "Rye" above rows that have their own amounts is what the bread is called.
    const called = thing?.role === 'flour' && next !== undefined && /^[\d½¼¾⅓⅔]/.test(next.text);
    if (thing && !row.blankAfter && !called) return false;
    if (starterWord(text) && /\d/.test(text)) return false;
    if (/[.!]$/.test(text) && isMethod(text)) return false;
    return next !== undefined && !('code' in readLine(text, this.#with) === false);
  }

  #opens(section: NonNullable<ReturnType<typeof sectionOf>>, row: TextRow): void {
    this.#say(row, 'heading');
    if (section.opens === 'outside') {
      this.#place = { outside: section.use };
    } else if (section.opens !== 'stage') {
      this.#place = section.opens;
    } else {
      this.#place = 'ingredients';
      const { kind, name } = section;
      // "Dry ingredients" and "wet ingredients" are one dough.
      const again = kind === 'dough' ? this.#stages.find((s) => s.kind === 'dough') : undefined;
      this.#open = again ?? { kind, name, lines: [] };
      if (!again) this.#stages.push(this.#open);
      else if (again.lines.length === 0) again.name = name;
    }
  }

  #stage(): OpenStage {
    if (!this.#open) {
      this.#open = this.#stages.find((s) => s.kind === 'dough');
      if (!this.#open) {
        this.#open = { kind: 'dough', name: 'Dough', lines: [] };
        this.#stages.push(this.#open);
      }
    }
    return this.#open;
  }

  #lineId(): string {
    this.#lineCount += 1;
    return `l${this.#lineCount}`;
  }

  /** A soaker, scald or mash that is built above, spoken of in the dough: it is in already. */
  #reference(row: TextRow): boolean {
    if (this.#open && this.#open.kind !== 'dough') return false;
    const built = this.#stages.find(
      (s) =>
        s.kind === 'soaker' &&
        s.lines.length > 0 &&
        (/\b(?:soaker|scald|tangzhong|yudane|roux|mash|porridge)\b/i.exec(s.name)?.[0] ?? s.name)
          .toLowerCase()
          .split(' ')
          .some((word) => new RegExp(`\\b${word.replace(/[^a-z]/g, '')}\\b`, 'i').test(row.text)),
    );
    if (!built) return false;
    this.#assume(
      row,
      `“${row.text}” is read as all ${gramsText(sumGrams(built.lines))} of the ${calledOf(built)}`,
    );
    this.#say(row, 'reference');
    return true;
  }

  /**
   * A starter or pre-ferment spoken of as one thing. In the dough it may mean one that is built under
   * its own heading, perhaps further down: that is settled at the end.
   */
  #starter(row: TextRow): boolean {
    const text = row.text
      .replace(/\([^)]*\bor\b[^)]*\)/gi, ' ')
      .replace(/\(\s*all\s*\)/i, ' ')
      .trim();
    const word = starterWord(text)!;
    const bare = text.replace(hydrationPhrase, ' ').replace(/\s+/g, ' ').trim();
    const read = readAmount(bare, this.#with.style) ?? trailingAmount(bare);
    const bracket = /\(\s*(?:about\s+)?(\d+(?:[.,]\d+)?)\s*(?:g|grams?)\s*\)/i.exec(row.text);
    const grams = bracket
      ? Number(bracket[1]!.replace(',', '.'))
      : read && this.#starterGrams(read.amount);
    const known = grams !== undefined && grams > 0 && isGrams(grams);
    const inDough = !this.#open || this.#open.kind === 'dough';
    if (!known && isMethod(row.text)) return false;
    const percent = shareOfFlour.exec(text)?.slice(1).find(Boolean);
    const share = Number(percent?.replace(',', '.'));
    if (inDough && !known && share < leastHydration) {
      this.#spokenOf.push({
        row,
        word: ofShare(word),
        grams: undefined,
        percent: share,
        read: undefined,
      });
      this.#stage();
      return true;
    }
    if (inDough) {
      const all =
        /^(?:all|the|all of|entire|whole)\b|\b(?:above|below|from (?:above|below|last|yesterday|the))\b|^[\p{L}\s]{3,30}$/iu.test(
          text,
        );
      if (!known && !all) return false;
      if (
        !known &&
        !/^(?:all|the|entire)\b|above|from/i.test(text) &&
        !this.#stages.some((s) => s.kind !== 'dough')
      )
        return false;
      this.#spokenOf.push({
        row,
        word,
        grams: known ? grams : undefined,
        read: read?.amount,
      });
      this.#stage();
      return true;
    }
    if (!known || !read) return false;
    this.#pushStarter(row, word, grams, read.amount);
    return true;
  }

  /** Settles what the dough said of starters: one that is built above or below, or one by itself. */
  #settleStarters(): void {
    const built = this.#stages.filter(
      (s) => (s.kind === 'starter' || s.kind === 'preferment') && s.lines.length > 0,
    );
    for (const { row, word, grams, percent, read } of this.#spokenOf) {
      if (percent !== undefined && built.length === 0) {
        this.#shares.push({ row, word, percent });
        continue;
      }
      const meant =
        built.find((s) => s.kind === word.kind) ??
        (word.kind === 'preferment' ? undefined : built.find((s) => s.kind === 'preferment')) ??
        (built.length === 1 && grams === undefined ? built[0] : undefined);
      if (meant) {
        const all = sumGrams(meant.lines);
        this.#assume(
          row,
          `“${row.text}” is read as all ${gramsText(all)} of the ${calledOf(meant)}`,
        );
        this.#say(row, 'reference');
      } else if (grams !== undefined && read) {
        this.#open = undefined;
        this.#pushStarter(row, word, grams, read);
      } else this.#handBack(row, { code: 'no-amount', says: 'no amount: write how much' });
    }
  }

  /** Starters that are so much of the flour, once all of that has its grams. */
  #settleShares(): void {
    if (this.#shares.length === 0) return;
    const flour = this.#stages.flatMap((s) => s.lines).filter((l) => this.#roleOf(l) === 'flour');
    const whole = sumGrams(flour) || usualFlour;
    for (const { row, word, percent } of this.#shares) {
      this.#open = undefined;
      this.#pushStarter(row, word, (percent * whole) / 100, byScale);
    }
  }

  /** Gives what was said in per cent of the flour its grams. */
  #settlePercents(): void {
    if (this.#percents.length === 0) return;
    const isFlour = (line: Line) =>
      (this.#reader.all ?? catalogue).find((i) => i.id === line.ingredient)?.role === 'flour';
    const waiting = new Set(this.#percents.map((p) => p.line.id));
    const lines = this.#stages.flatMap((s) => s.lines);
    const weighed = sumGrams(lines.filter((l) => isFlour(l) && !waiting.has(l.id)));
    const flourPercent = this.#percents
      .filter((p) => isFlour(p.line))
      .reduce((sum, p) => sum + p.percent, 0);
    const rest = 100 - flourPercent;
    const hundred = weighed > 0 && rest > 0 ? (100 * weighed) / rest : weighed || usualFlour;
    if (weighed === 0) {
      this.#assume(
        this.#percents[0]!.row,
        `percentages only: grams are for ${usualFlour} g of flour`,
      );
    }
    for (const { stage, line, percent } of this.#percents) {
      const grams = Math.round(percent * hundred) / 100;
      stage.lines = stage.lines.map((l) =>
        l.id === line.id ? { ...l, grams: isGrams(grams) ? grams : 0 } : l,
      );
    }
  }

  /** Amounts that no bread has are read, and asked about. */
  #askOfAmounts(stages: readonly OpenStage[]): void {
    const all = this.#reader.all ?? catalogue;
    const lines = stages.flatMap((s) =>
      s.lines.map((l) => ({ ...l, of: all.find((i) => i.id === l.ingredient) })),
    );
    const flour = sumGrams(
      lines.filter((l) => l.of && ['flour', 'gluten', 'fibre', 'meal', 'bran'].includes(l.of.role)),
    );
    // Where the flour itself may be among what was not read, shares of it say nothing.
    if (flour <= 0 || (flour < leastFlour && this.#unread.length > 0)) return;
    for (const { of, grams, asWritten = '' } of lines) {
      const limit = of && askedAbove[of.role];
      if (limit !== undefined && grams > limit * flour) {
        const row = this.#rows.find((r) => r.text.includes(asWritten));
        this.#assumptions.push({
          line: row?.line ?? 1,
          ...(row ? { row: row.text } : {}),
          text: `${of!.name} is ${Math.round((100 * grams) / flour)} % of the flour: is that right?`,
        });
      }
    }
  }

  #starterGrams({ amount, unit }: ReadAmount): number | undefined {
    if (unit?.kind === 'mass') return toGrams(amount, unit.unit);
    if (unit?.kind !== 'volume') return undefined;
    const ml = toMillilitres(amount, unit.unit, this.#with.measures);
    return (ml * starterPerCup) / toMillilitres(1, 'cup', { ...this.#with.measures, cup: 'us' });
  }

  #pushStarter(row: TextRow, word: StarterWord, grams: number, read: ReadAmount): void {
    const { text } = row;
    const inFerment = this.#open && this.#open.kind !== 'dough' ? this.#open : undefined;
    const stage = inFerment ?? {
      kind: word.kind,
      name:
        word.kind === 'starter'
          ? 'Starter'
          : (text.match(/poolish|biga|sponge/i)?.[0] ?? 'Pre-ferment'),
      lines: [],
    };
    const flour = grams / (1 + word.hydration / 100);
    // Ripe starter within a starter is what that is fed from.
    if (inFerment?.kind === 'starter' && flour > 0) inFerment.sown ??= { grams, flour };
    const common = {
      measured: read.unit?.kind === 'mass' ? ('scale' as const) : ('volume' as const),
      ...(read.spread > 0 ? { spread: read.spread } : {}),
      asWritten: text,
    };
    const ids = [this.#lineId(), this.#lineId()];
    stage.lines.push(
      { id: ids[0]!, ingredient: word.flour, grams: flour, ...common },
      { id: ids[1]!, ingredient: 'water', grams: grams - flour, ...common },
    );
    if (!inFerment) this.#stages.push(stage);
    this.#say(row, 'line', ids);
    const open = [
      !word.flourSaid && `fed with ${ingredient(word.flour).name}`,
      !word.hydrationSaid && `at ${word.hydration} % hydration`,
    ].filter(Boolean);
    if (open.length > 0) {
      this.#assume(row, `the ${calledOf(stage)} is read as ${open.join(', ')}`);
    }
  }
}

/** No starter is fed from less than that, or more, g per g of flour. Own choice, no source. */
const seeds = [0.005, 10] as const;

/** A starter's own build: how much ripe starter it is fed from, for each gram of its flour. */
function buildOf(
  lines: readonly Line[],
  sown: OpenStage['sown'],
  all: readonly Ingredient[],
): { process: Process } | undefined {
  if (sown === undefined) return undefined;
  const flour = sumGrams(
    lines.filter((l) => all.some((i) => i.id === l.ingredient && i.role === 'flour')),
  );
  const seed = Math.round((1000 * sown.grams) / (flour - sown.flour)) / 1000;
  return seed >= seeds[0] && seed <= seeds[1] ? { process: { seed } } : undefined;
}

/** About what a row weighs that was not read, as if it were water; unknown where it only counts, or says nothing. */
function aboutGrams(text: string, { style, measures }: ReadingWith): number | undefined {
  const read = readAmount(text, style)?.amount ?? trailingAmount(text)?.amount;
  if (read?.unit?.kind === 'mass') return soundGrams(toGrams(read.amount, read.unit.unit));
  if (read?.unit?.kind === 'volume')
    return soundGrams(toMillilitres(read.amount, read.unit.unit, measures));
  return undefined;
}

const soundGrams = (grams: number): number | undefined => (isGrams(grams) ? grams : undefined);

/**
 * "500 g flour: 400 g white, 100 g wholemeal": a sum, and what it is made of; the parts alone are read.
 *
 * @returns undefined where it says nothing of the kind
 */
function partsOf(text: string, reading: ReadingWith): string[] | undefined {
  if (!/[:(]/.test(text)) return undefined;
  const [, whole = '', rest = ''] =
    /^([^:(]*\d[^:(]*\p{L}[^:(]*?)\s*(?::|\()\s*(.+?)\)?$/u.exec(text) ?? [];
  const sum = whole && readLine(whole, reading);
  if (!sum || 'code' in sum || sum.grams === undefined) return undefined;
  const noun = /\p{L}+(?=\P{L}*$)/u.exec(whole)![0];
  const parts = rest.split(/\s*(?:,|;|\+|\band\b)\s*(?=[\d½¼¾⅓⅔])/i);
  const reads = parts.map((part) => {
    const read = readLine(part, reading);
    return 'code' in read ? readLine(`${part} ${noun}`, reading) : read;
  });
  const grams = reads.map((r) => ('code' in r ? NaN : (r.grams ?? NaN)));
  if (
    parts.length < 2 ||
    !(Math.abs(sumGrams(grams.map((g) => ({ grams: g }))) / sum.grams - 1) <= alike)
  )
    return undefined;
  return parts.map((part) => ('code' in readLine(part, reading) ? `${part} ${noun}` : part));
}

/** A weight for one of a thing, in whatever it is counted. */
const eachUnit = (of: string, grams: number): Record<string, number> =>
  Object.fromEntries([of, ...pieceUnits.map((unit) => `${unit}:${of}`)].map((key) => [key, grams]));

function trailingAmount(text: string): { amount: ReadAmount; rest: string } | undefined {
  const match = /[\s:–—-]([~≈\d¼½¾⅓⅔⅛].*)$/u.exec(text);
  return match ? readAmount(match[1]!) : undefined;
}
