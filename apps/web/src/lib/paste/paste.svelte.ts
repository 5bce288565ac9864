import {
  evaluate,
  readRecipe,
  verdict,
  type Belief,
  type Household,
  type Measures,
  type StyleId,
} from '@tender-crumb/core';

/** A recipe being pasted: read at once, in the measures that the baker says it is in. */
export class Paste {
  text = $state('');
  style = $state<StyleId>('pan');
  measures = $state<Measures>() as Measures;
  readonly #household: Household;
  readonly #belief: Belief;

  readonly read = $derived(
    this.text.trim() ? readRecipe(this.text, this.measures, this.style) : undefined,
  );
  readonly evaluation = $derived.by(() => {
    if (!this.read) return undefined;
    const household = { ...this.#household, measures: this.measures };
    return evaluate(this.read.formula, household, this.#belief);
  });
  readonly verdict = $derived(
    this.evaluation &&
      verdict(
        this.evaluation.level,
        this.evaluation.state,
        this.evaluation.window,
        this.style,
        this.evaluation.slips,
      ),
  );
  /** Lines that stand in a measure of volume, so that the choice of measures matters. */
  readonly byVolume = $derived(
    this.read?.formula.stages.some((s) => s.lines.some((l) => l.measured === 'volume')) ?? false,
  );

  constructor(household: Household, belief: Belief) {
    this.#household = household;
    this.#belief = belief;
    this.measures = { ...household.measures };
  }
}
