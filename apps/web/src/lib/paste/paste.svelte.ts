import { formatLimits, parcelFormat } from '@tender-crumb/core/exchange';
import { nothingLearned, type Belief } from '@tender-crumb/core/belief';
import { type Household } from '@tender-crumb/core/household';
import type { Measures } from '@tender-crumb/core/quantity';
import type { ScannedPage } from '@tender-crumb/core/picture';
import type { Answer } from '@tender-crumb/core/reader';
import { styleIds, type StyleId } from '@tender-crumb/core/style';
import type { PasteView } from '@tender-crumb/core/view';
import { question, twinsOf } from '../question.ts';
import { outbox } from '../sync/here.ts';
import type { pasteOf } from './read-paste.ts';

/** Longest text that a recipe is read from, characters. */
export const mostText = formatLimits.source;

/** Where a text that is being pasted is kept in this browser. */
const place = 'pasted';

interface Kept {
  readonly text: string;
  readonly pages?: readonly ScannedPage[];
  readonly style?: StyleId | undefined;
}

/** A formula as this program takes it out; undefined for any other text. The server judges it. */
function ownFormula(text: string): { readonly name?: unknown; readonly body: unknown } | undefined {
  if (!/^\s*\{/.test(text) || !text.includes('tender-crumb/formula-')) return undefined;
  try {
    const json = JSON.parse(text) as {
      format?: unknown;
      name?: unknown;
      formula?: { name?: unknown };
    };
    if (typeof json.format !== 'string') return undefined;
    // With what another kitchen cannot know, the formula stands within.
    const name = json.format === parcelFormat ? json.formula?.name : json.name;
    return { name, body: json };
  } catch {
    return undefined;
  }
}

/** A recipe being pasted: read at once, in the measures that the baker says it is in. */
export class Paste {
  text = $state('');
  /** What bread the baker said it is. */
  said = $state<StyleId | undefined>();
  measures = $state<Measures>() as Measures;
  /** Photos and files that it was read from, in their order. */
  pages = $state.raw<readonly ScannedPage[]>([]);
  /** What the baker said of rows that could not be read, by their text. */
  answers = $state.raw<Readonly<Record<string, Answer>>>({});
  /** Which of several recipes in the text is meant. */
  which = $state(0);
  /** Which of its sizes is meant; none until that is said. */
  size = $state<number | undefined>();
  #household = $state.raw<Household>() as Household;
  #asked: Promise<Belief> | undefined;
  /** What the book taught; fetched when there is something to judge with it. */
  #belief = $state.raw<Belief | undefined>();
  /** Formulas on the shelf that were pasted from the same text. */
  twins = $state.raw<ReadonlyArray<{ readonly id: string; readonly name: string }>>([]);

  /** It is one of our own files, and needs no reading. */
  readonly own = $derived(ownFormula(this.text));
  /** What reads it: it comes after the page. */
  #reads = $state.raw<typeof pasteOf | undefined>();
  /** All that is shown of it; nothing before it can be read. */
  readonly view: PasteView | undefined = $derived.by(() =>
    this.#reads?.({
      text: this.own ? '' : this.text,
      household: this.#household,
      // Whole: the view looks into it later, when nothing watches which of them changes.
      measures: { ...this.measures },
      answers: this.answers,
      which: this.which,
      size: this.size,
      said: this.said,
      pages: this.pages,
      belief: this.#belief,
    }),
  );

  /** From now on it is read. */
  readsBy(reads: typeof pasteOf): void {
    this.#reads = reads;
  }

  /**
   * Reads a little beforehand, a piece at a time, while a photo is being read elsewhere: what is to be looked up for the
   * first text is then there, and the page is not held when it comes.
   */
  async warmUp(): Promise<void> {
    await this.learn();
    const reads = this.#reads;
    if (!reads) return;
    const piece = (text: string): PasteView =>
      reads({
        text,
        household: this.#household,
        measures: { ...this.measures },
        answers: {},
        which: 0,
        size: undefined,
        said: undefined,
        pages: [],
        belief: this.#belief,
      });
    const view = piece(
      'Loaf\n500 g strong bread flour\n320 g water\n1 tsp salt\nBake for 35 minutes.',
    );
    for (const look of [
      () => view.read,
      () => view.style,
      () => view.evaluation,
      () => view.ledger,
      () => [view.verdict, view.region, view.counts],
    ]) {
      await new Promise((done) => setTimeout(done));
      look();
    }
  }

  /** Whether a level can be judged yet. */
  get judged(): boolean {
    return this.#belief !== undefined;
  }

  constructor(household: Household) {
    this.#household = household;
    this.measures = { ...household.measures };
  }

  /** What the household settled meanwhile: a word that it learned. */
  receive(household: Household): void {
    this.#household = household;
  }

  answer(text: string, answer: Answer): void {
    this.answers = { ...this.answers, [text]: answer };
  }

  /** Takes back what was said of a row. */
  forget(text: string): void {
    this.answers = Object.fromEntries(Object.entries(this.answers).filter(([of]) => of !== text));
  }

  /** Measures as they do where the recipe is from. */
  measureAs(measures: Pick<Measures, 'cup' | 'tablespoon'>): void {
    this.measures = { ...this.measures, ...measures };
  }

  /** Puts a page that was read below what stands here. */
  addPage(page: ScannedPage, text: string): void {
    if (page.id) this.pages = [...this.pages, page];
    if (text)
      this.text = [this.text.trimEnd(), text].filter(Boolean).join('\n\n').slice(0, mostText);
  }

  /** Takes a picture away; what was read of it stays. */
  dropPage(id: string): void {
    this.pages = this.pages.filter((p) => p.id !== id);
  }

  /** Looks whether this text was pasted before; without the server nobody knows. */
  async lookForTwins(): Promise<void> {
    const source = this.text;
    const { twins } = source.trim()
      ? await twinsOf<Paste['twins']>(source).catch(() => ({ twins: [] }))
      : { twins: [] };
    if (this.text === source) this.twins = twins;
  }

  /** Brings back what was pasted and not put on the bench. */
  async recover(): Promise<void> {
    const kept = (await outbox().keep.readText(place)) as Partial<Kept> | undefined;
    if (typeof kept?.text !== 'string' || this.text || this.pages.length > 0) return;
    this.text = kept.text.slice(0, mostText);
    this.pages = kept.pages ?? [];
    if (styleIds.some((id) => id === kept.style)) this.said = kept.style;
  }

  /** Keeps what stands here in this browser, as it is typed. */
  keep(): void {
    const { text, pages, said: style } = this;
    if (text || pages.length > 0)
      void outbox().keep.keepText(place, { text, pages, style } satisfies Kept);
    else void outbox().keep.dropText(place);
  }

  /** It stands on the shelf now, and is not brought back. */
  done(): void {
    this.said = undefined;
    this.pages = [];
    void outbox().keep.dropText(place);
  }

  /** Fetches the belief, once; without the server the catalogue's figures stand alone. */
  async learn(): Promise<void> {
    this.#asked ??= question<{ belief: Belief }>('/api/v1/belief').then(
      ({ belief }) => belief,
      () => nothingLearned,
    );
    this.#belief = await this.#asked;
  }
}
