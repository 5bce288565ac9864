import { sumGrams } from '../quantity/sum-grams.ts';
import { formulaFormat, type Formula, type Line, type Stage } from '../formula/formula.ts';
import type { StyleId } from '../style/style.ts';
import { ingredient } from '../ingredient/catalogue.ts';
import { gramsText } from '../quantity/number.ts';
import { toMillilitres, type Measures } from '../quantity/measures.ts';
import type { OwnValues } from '../figure/settable.ts';
import { coefficientsWith, type Coefficients } from '../household/coefficients.ts';
import { readAmount, type ReadAmount } from './amount.ts';
import { longestLine, readLine, type UnreadCode } from './line.ts';
import { starterWord, stageHeading, type StarterWord } from './starter.ts';
import { matchIngredient } from './match.ts';
import type { Refusal } from '../quantity/refusal.ts';
import { isGrams, toGrams } from '../quantity/mass.ts';

/** A line that is handed back because it could not be read. Nothing is dropped, nothing guessed. */
export interface Unread extends Refusal<UnreadCode> {
  /** Counted from 1 in the text as given. */
  readonly line: number;
  readonly text: string;
}

/** Something that the recipe left open and was read in the usual way: said, so that it can be changed. */
export interface Assumption {
  readonly line: number;
  readonly text: string;
}

export interface ReadRecipe {
  readonly formula: Formula;
  readonly unread: readonly Unread[];
  readonly assumptions: readonly Assumption[];
}

/** Most lines that a recipe may have. */
const mostLines = 200;

/** Grams in a US cup of starter, the air knocked out: common practice, 225 to 245. */
const starterPerCup = 235;

/** How wet a starter is, which must not be taken for how much of it there is. */
const hydrationPhrase = /[([]?\b\d+(?:[.,]\d+)?\s*%(?:\s*hydration)?[)\]]?/i;

const unnamed = 'Pasted recipe';

/**
 * Reads a recipe as people write them, one ingredient a line.
 *
 * Headings ("Poolish:", "For the soaker", "Dough") open stages. A starter spoken of as one
 * ingredient becomes a stage with its flour and its water. What cannot be read comes back with its
 * line number.
 *
 * @param text any text, of which the first {@link mostLines} lines are read
 * @example readRecipe('3 cups bread flour\n1 1/4 cups water\n1 tsp salt', defaultMeasures, 'pan')
 */
export function readRecipe(
  text: string,
  measures: Measures,
  style: StyleId = 'pan',
  figures: OwnValues = {},
): ReadRecipe {
  const reading = new Reading(measures, coefficientsWith(figures));
  const rows = text.split(/\r\n|\r|\n/);
  rows.slice(0, mostLines).forEach((row, i) => reading.row(row, i + 1, rows[i + 1]));
  rows.slice(mostLines).forEach((row, i) => {
    if (row.trim())
      reading.handBack(i + 1 + mostLines, row, {
        code: 'too-long',
        says: `beyond ${mostLines} lines`,
      });
  });
  return reading.finish(text, style);
}

interface OpenStage {
  kind: Stage['kind'];
  name: string;
  lines: Line[];
}

/** A line of the dough that speaks of a starter or pre-ferment. */
interface SpokenOf {
  readonly text: string;
  readonly at: number;
  readonly word: StarterWord;
  readonly grams: number | undefined;
  readonly read: ReadAmount | undefined;
}

/** One pass over the rows; its state is the stage that rows go to. */
class Reading {
  readonly #measures: Measures;
  readonly #table: Coefficients;
  readonly #stages: OpenStage[] = [];
  readonly #unread: Unread[] = [];
  readonly #assumptions: Assumption[] = [];
  #name: string | undefined;
  #open: OpenStage | undefined;
  readonly #spokenOf: SpokenOf[] = [];
  #lineCount = 0;
  #begun = false;

  constructor(measures: Measures, table: Coefficients) {
    this.#measures = measures;
    this.#table = table;
  }

  handBack(line: number, text: string, { code, says }: Refusal<UnreadCode>): void {
    this.#unread.push({ line, text: text.trim(), code, says });
  }

  row(raw: string, at: number, next: string | undefined): void {
    const text = raw
      .trim()
      .replace(/^[•*·▪‣☐□✓]\s*/, '')
      .replace(/^[-–—]\s+/, '')
      .replace(/^\d{1,2}[.)]\s+/, '');
    if (!text) return;
    if (text.length > longestLine) {
      this.handBack(at, raw, { code: 'too-long', says: `longer than ${longestLine} characters` });
      return;
    }
    if (this.#heading(text, next)) return;
    this.#begun = true;
    if (starterWord(text) && this.#starter(text, at)) return;

    const read = readLine(text, this.#measures, this.#table);
    if ('code' in read) {
      this.handBack(at, raw, read);
      return;
    }
    const named = read.what.toLowerCase().trim();
    if (named === 'flour' || named === 'yeast' || named === 'butter' || named === 'spelt') {
      this.#assumptions.push({ line: at, text: `“${named}” is read as ${read.of.name}` });
    }
    this.#stage().lines.push({
      id: this.#lineId(),
      ingredient: read.of.id,
      grams: read.grams,
      measured: read.measured,
      ...(read.spread > 0 ? { spread: read.spread } : {}),
      ...(read.note ? { note: read.note } : {}),
      asWritten: text,
    });
  }

  finish(source: string, style: StyleId): ReadRecipe {
    this.#settleStarters();
    const kept = this.#stages.filter((s) => s.lines.length > 0);
    if (!kept.some((s) => s.kind === 'dough'))
      kept.push({ kind: 'dough', name: 'Dough', lines: [] });
    const order = ['starter', 'preferment', 'soaker', 'dough'];
    kept.sort((a, b) => order.indexOf(a.kind) - order.indexOf(b.kind));
    const formula: Formula = {
      format: formulaFormat,
      name: this.#name ?? unnamed,
      style,
      stages: kept.map((s, i) => ({ id: `s${i + 1}`, ...s })),
      taken: [],
      left: [],
      source,
    };
    const byLine = (a: { line: number }, b: { line: number }) => a.line - b.line;
    return {
      formula,
      unread: this.#unread.sort(byLine),
      assumptions: this.#assumptions.sort(byLine),
    };
  }

  /** A title or the heading of a stage. */
  #heading(text: string, next: string | undefined): boolean {
    const stage = stageHeading(text);
    if (stage && (/:\s*$/.test(text) || /^#/.test(text) || !readAmount(text))) {
      this.#open = { ...stage, lines: [] };
      this.#stages.push(this.#open);
      return true;
    }
    const marked = /^#/.test(text) || /:\s*$/.test(text);
    const alone = !this.#begun && next !== undefined && next.trim() === '' && !/\d/.test(text);
    // "A loaf for Sundays" is no amount of one.
    const amount = readAmount(text);
    if (amount && !(alone && !amount.amount.unit && !matchIngredient(amount.rest))) return false;
    if (!marked && !(alone && !matchIngredient(text))) return false;
    if (!this.#name && !this.#begun) this.#name = text.replace(/^#+\s*|:\s*$/g, '').slice(0, 120);
    else if (marked) this.#open = undefined;
    return true;
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

  /**
   * A starter or pre-ferment spoken of as one thing. In the dough it may mean one that is built under
   * its own heading, perhaps further down: that is settled at the end.
   */
  #starter(text: string, at: number): boolean {
    const word = starterWord(text)!;
    const bare = text.replace(hydrationPhrase, ' ').trim();
    const read = readAmount(bare) ?? trailingAmount(bare);
    const grams = read && this.#starterGrams(read.amount);
    const known = grams !== undefined && grams > 0 && isGrams(grams);
    const inDough = !this.#open || this.#open.kind === 'dough';
    if (inDough) {
      const all = /^(?:all|the|all of)\b/i.test(text);
      if (!known && !all) return false;
      this.#spokenOf.push({ text, at, word, grams: known ? grams : undefined, read: read?.amount });
      return true;
    }
    if (!known || !read) return false;
    this.#pushStarter(text, at, word, grams, read.amount);
    return true;
  }

  /** Settles what the dough said of starters: one that is built above or below, or one by itself. */
  #settleStarters(): void {
    const built = this.#stages.filter((s) => s.kind !== 'dough' && s.lines.length > 0);
    for (const { text, at, word, grams, read } of this.#spokenOf) {
      const meant =
        built.find((s) => s.kind === word.kind) ??
        (word.kind === 'preferment' ? undefined : built.find((s) => s.kind === 'preferment'));
      if (meant) {
        const all = sumGrams(meant.lines);
        this.#assumptions.push({
          line: at,
          text: `“${text}” is read as all ${gramsText(all)} of the ${meant.name.toLowerCase()}`,
        });
      } else if (grams !== undefined && read) this.#pushStarter(text, at, word, grams, read);
      else this.handBack(at, text, { code: 'no-amount', says: 'no amount: write how much' });
    }
  }

  #starterGrams({ amount, unit }: ReadAmount): number | undefined {
    if (unit?.kind === 'mass') return toGrams(amount, unit.unit);
    if (unit?.kind !== 'volume') return undefined;
    const ml = toMillilitres(amount, unit.unit, this.#measures);
    return (ml * starterPerCup) / toMillilitres(1, 'cup', { ...this.#measures, cup: 'us' });
  }

  #pushStarter(text: string, at: number, word: StarterWord, grams: number, read: ReadAmount): void {
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
    const common = {
      measured: read.unit?.kind === 'mass' ? ('scale' as const) : ('volume' as const),
      ...(read.spread > 0 ? { spread: read.spread } : {}),
      asWritten: text,
    };
    stage.lines.push(
      { id: this.#lineId(), ingredient: word.flour, grams: flour, ...common },
      { id: this.#lineId(), ingredient: 'water', grams: grams - flour, ...common },
    );
    if (!inFerment) this.#stages.push(stage);
    const open = [
      !word.flourSaid && `fed with ${ingredient(word.flour).name}`,
      !word.hydrationSaid && `at ${word.hydration} % hydration`,
    ].filter(Boolean);
    if (open.length > 0) {
      this.#assumptions.push({
        line: at,
        text: `the ${stage.name.toLowerCase()} is read as ${open.join(', ')}`,
      });
    }
  }
}

function trailingAmount(text: string): { amount: ReadAmount; rest: string } | undefined {
  const match = /[\s:–—-]([~≈\d¼½¾⅓⅔⅛].*)$/u.exec(text);
  return match ? readAmount(match[1]!) : undefined;
}
