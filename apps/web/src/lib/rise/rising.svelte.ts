import {
  drawnRise,
  feedingFor,
  fridgeCelsius,
  leavenChange,
  leavenKeys,
  pacesFor,
  riseModelIn,
  risesOf,
  starterParts,
  warmthFor,
  type Rise,
  type VesselId,
} from '@tender-crumb/core/ferment';
import { celsiusTyped, numberTyped } from '@tender-crumb/core/quantity';
import type { Bench } from '../bench/bench.svelte.ts';
import { writing } from '../ui/writing.ts';

/** Where a dough is to rise, as it is typed, and what comes of that. */
export class Rising {
  dough = $state('25');
  air = $state('');
  vessel = $state<VesselId>('bowl');
  shaped = $state<VesselId>('tin');
  /** Hours after which it goes into the fridge; empty where it does not. */
  fridge = $state('');
  /** Hours in which it is wanted; empty where nobody asked. */
  wanted = $state('');
  readonly #bench: () => Bench;

  constructor(bench: () => Bench) {
    this.#bench = bench;
    this.air = String(bench().household.room.celsius ?? 22);
  }

  readonly celsius = $derived(this.#warmth(this.dough));
  readonly airCelsius = $derived(this.#warmth(this.air));
  readonly fridgeAfter = $derived.by(() => {
    const hours = numberTyped(this.fridge, writing());
    return hours !== undefined && hours > 0 && hours <= 48 ? hours : undefined;
  });
  /** What noted rises taught of the leavens that are in it. */
  readonly paces = $derived.by(() => {
    const { evaluation, formula, belief } = this.#bench();
    return evaluation ? pacesFor(belief, leavenKeys(evaluation.lines, formula)) : {};
  });
  readonly model = $derived.by(() => riseModelIn(this.#bench().household));
  /** How many rises of those leavens were noted. */
  readonly noted = $derived.by(() => {
    const { evaluation, formula, belief } = this.#bench();
    const keys = evaluation ? Object.values(leavenKeys(evaluation.lines, formula)) : [];
    return Math.max(0, ...keys.map((key) => belief.paces?.[key]?.rises ?? 0));
  });
  readonly rises = $derived.by((): readonly Rise[] => {
    const lines = this.#bench().evaluation?.lines;
    if (!lines || this.celsius === undefined || this.airCelsius === undefined) return [];
    const until = this.fridgeAfter;
    const air =
      until === undefined
        ? [{ hours: 1, celsius: this.airCelsius }]
        : [
            { hours: until, celsius: this.airCelsius },
            { hours: 1, celsius: fridgeCelsius.value },
          ];
    return risesOf(
      lines,
      { celsius: this.celsius, air, vessel: this.vessel },
      this.shaped,
      this.paces,
      this.#bench().pantry.yeastWork,
      this.model,
    );
  });
  readonly first = $derived(this.rises[0]);
  /** The first rise drawn, moment by moment. */
  readonly curve = $derived.by(() => {
    if (!this.first) return [];
    return drawnRise(this.first.dough, this.first.forecast, this.paces, this.model);
  });
  readonly hours = $derived.by(() => {
    const typed = numberTyped(this.wanted, writing());
    return typed !== undefined && typed > 0 && typed <= 96 ? typed : undefined;
  });
  readonly leaven = $derived.by(() => {
    const lines = this.#bench().evaluation?.lines;
    return this.first && this.hours !== undefined && lines
      ? leavenChange(
          lines,
          this.first,
          this.hours,
          this.paces,
          this.#bench().pantry.yeastWork,
          this.model,
        )
      : undefined;
  });

  /** How warm a place has it ready then, with the leaven as it is. */
  readonly warmth = $derived.by(() =>
    this.first && this.hours !== undefined && this.fridgeAfter === undefined
      ? warmthFor(this.first.dough, this.hours, this.first.end, this.paces, this.model)
      : undefined,
  );

  /** When the starter is to be ripe, hours from its feeding, and what is kept of it. */
  ripeIn = $state('8');
  keep = $state('20');
  /** The starter that the dough takes; none in a dough without one. */
  readonly #starter = $derived.by(() =>
    (this.#bench().evaluation?.lines ?? []).filter((l) => l.stageKind === 'starter' && l.grams > 0),
  );
  readonly hasStarter = $derived(this.#starter.length > 0);
  readonly feeding = $derived.by(() => {
    const hours = numberTyped(this.ripeIn, writing());
    const keep = numberTyped(this.keep, writing());
    if (!this.hasStarter || this.airCelsius === undefined) return undefined;
    if (hours === undefined || hours <= 0 || hours > 96 || keep === undefined || keep < 0)
      return undefined;
    return feedingFor(
      { ...starterParts(this.#starter), keep, hours, celsius: this.airCelsius },
      this.paces,
      this.model,
    );
  });

  /** A temperature of a kitchen, a fridge or a warm oven, as typed. */
  #warmth(text: string): number | undefined {
    const typed = numberTyped(text, writing());
    const celsius = typed === undefined ? undefined : celsiusTyped(typed, writing());
    return celsius === undefined || celsius < -5 || celsius > 50 ? undefined : celsius;
  }
}
