import { completeFormula } from '@tender-crumb/core/exchange';
import type { Formula } from '@tender-crumb/core/formula';
import { pantryIn, type Belief, type Household } from '@tender-crumb/core/household';
import {
  rescueDough,
  rescueOver,
  rescueRise,
  type GoneOver,
  type NoRise,
} from '@tender-crumb/core/rescue';
import type { StyleId } from '@tender-crumb/core/style';

/** What is wrong with a dough. */
export const troubles = [
  ['feel', 'It feels wrong'],
  ['rise', 'It does not rise'],
  ['over', 'It has gone too far'],
] as const;
export type Trouble = (typeof troubles)[number][0];

/** Something that went in, roughly. */
export interface WentIn {
  readonly ingredient: string;
  readonly grams: number;
}

/** Until somebody says otherwise: a plain dough, by the handful. */
const usual: readonly WentIn[] = [
  { ingredient: 'bread-flour', grams: 500 },
  { ingredient: 'water', grams: 320 },
  { ingredient: 'salt', grams: 9 },
  { ingredient: 'instant-yeast', grams: 7 },
];

/** A dough in trouble: what went in, how it is, and what follows from that. */
export class Rescuing {
  readonly household: Household;
  readonly belief: Belief;
  trouble = $state<Trouble>('feel');
  went = $state.raw<readonly WentIn[]>(usual);
  style = $state<StyleId>('pan');
  sourdough = $state(false);
  felt = $state<number | undefined>();
  rested = $state(true);
  rise = $state<NoRise>({ hours: 2, water: 'lukewarm', leaven: 'unknown' });
  over = $state<GoneOver>({ where: 'bowl', leaven: 'yeast', looks: 'puffy', smells: 'mild' });
  /** The dough of a bake that is under way. */
  readonly #known: Formula | undefined;

  constructor(household: Household, belief: Belief, formula?: Formula) {
    this.household = household;
    this.belief = belief;
    this.#known = formula;
    if (formula) this.style = formula.style;
  }

  get isKnown(): boolean {
    return this.#known !== undefined;
  }

  /** What went in, as a formula: by the handful, so that its level is as unsure as that. */
  readonly formula = $derived.by((): Formula => {
    if (this.#known) return this.#known;
    const lines = this.went.map(({ ingredient, grams }, i) => ({
      id: `l${i + 1}`,
      ingredient,
      grams,
      measured: 'about' as const,
    }));
    const leaven = new Set(['instant-yeast', 'active-dry-yeast', 'fresh-yeast']);
    const starter = this.sourdough
      ? [
          {
            id: 's0',
            kind: 'starter' as const,
            name: 'Starter',
            lines: [
              { id: 'f', ingredient: 'bread-flour', grams: 50, measured: 'about' as const },
              { id: 'w', ingredient: 'water', grams: 50, measured: 'about' as const },
            ],
          },
        ]
      : [];
    return completeFormula({
      name: 'Rescued dough',
      style: this.style,
      stages: [
        ...starter,
        {
          id: 's1',
          kind: 'dough',
          name: 'Dough',
          lines: this.sourdough ? lines.filter((l) => !leaven.has(l.ingredient)) : lines,
        },
      ],
    });
  });

  readonly pantry = $derived.by(() => pantryIn(this.household));
  readonly dough = $derived.by(() =>
    this.felt === undefined
      ? undefined
      : rescueDough(this.formula, this.felt, this.rested, this.household, this.belief),
  );
  readonly noRise = $derived.by(() =>
    rescueRise(this.formula, this.rise, this.household, this.belief),
  );
  readonly saves = $derived.by(() => rescueOver(this.over));

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
