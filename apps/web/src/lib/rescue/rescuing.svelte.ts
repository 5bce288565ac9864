import type { StyleId } from '@tender-crumb/core/style';
import type { GoneOver, NoRise } from '@tender-crumb/core/rescue';
import { rescueOf, usualDough, type RescueGiven, type WentIn } from '@tender-crumb/core/view';

/** What is wrong with a dough. */
export const troubles = [
  ['feel', 'It feels wrong'],
  ['rise', 'It does not rise'],
  ['over', 'It has gone too far'],
] as const;
export type Trouble = (typeof troubles)[number][0];

/** What a dough in trouble is known by. */
export type TroubleGiven = Pick<RescueGiven, 'household' | 'belief' | 'bake'>;

/** A dough in trouble: what went in and how it is, as it is said; what follows from that is its view. */
export class Rescuing {
  readonly #given: TroubleGiven;
  trouble = $state<Trouble>('feel');
  went = $state.raw<readonly WentIn[]>(usualDough);
  style = $state<StyleId>('pan');
  sourdough = $state(false);
  felt = $state<number | undefined>();
  rested = $state(true);
  rise = $state<NoRise>({ hours: 2, water: 'lukewarm', leaven: 'unknown' });
  over = $state<GoneOver>({ where: 'bowl', leaven: 'yeast', looks: 'puffy', smells: 'mild' });

  constructor(given: TroubleGiven) {
    this.#given = given;
    if (given.bake) this.style = given.bake.formula.style;
  }

  /** It is of a bake that is under way. */
  get isKnown(): boolean {
    return this.#given.bake !== undefined;
  }

  /** All that is shown of it. */
  readonly view = $derived.by(() => {
    const { went, style, sourdough, felt, rested, rise, over } = this;
    // Whole: the view looks into them later, when nothing watches which of them changes.
    const said = { rise: { ...rise }, over: { ...over } };
    return rescueOf({ ...this.#given, went, style, sourdough, felt, rested, ...said });
  });

  change(i: number, edit: Partial<WentIn>): void {
    this.went = this.went.map((w, k) => (k === i ? { ...w, ...edit } : w));
  }
  add(ingredient: string): void {
    this.went = [...this.went, { ingredient, grams: 50 }];
  }
  drop(i: number): void {
    this.went = this.went.filter((_, k) => k !== i);
  }
}
