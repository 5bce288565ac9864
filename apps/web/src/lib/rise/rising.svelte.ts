import type { VesselId } from '@tender-crumb/core/ferment';
import { celsiusTyped, numberTyped } from '@tender-crumb/core/quantity';
import { riseOf, usualPlace } from '@tender-crumb/core/view';
import type { Bench } from '../bench/bench.svelte.ts';
import { asWarmthTyped, writing } from '../ui/writing.ts';

/** Where a dough is to rise, as it is typed. */
export class Rising {
  dough = $state('');
  air = $state('');
  vessel = $state<VesselId>('bowl');
  shaped = $state<VesselId>('tin');
  /** Hours after which it goes into the fridge; empty where it does not. */
  fridge = $state('');
  /** Hours in which it is wanted; empty where nobody asked. */
  wanted = $state('');
  /** When the starter is to be ripe, hours from its feeding, and what is kept of it. */
  ripeIn = $state('8');
  keep = $state('20');
  readonly #bench: () => Bench;

  constructor(bench: () => Bench) {
    this.#bench = bench;
    const place = usualPlace(bench().view);
    this.dough = asWarmthTyped(place.dough);
    this.air = asWarmthTyped(place.air);
    this.shaped = place.shaped;
    if (place.fridgeAfter !== undefined) this.fridge = String(place.fridgeAfter);
  }

  readonly celsius = $derived(this.#warmth(this.dough));
  readonly airCelsius = $derived(this.#warmth(this.air));
  readonly fridgeAfter = $derived(this.#hours(this.fridge, 48));
  readonly hours = $derived(this.#hours(this.wanted, 96));
  /** How it rises there. */
  readonly view = $derived.by(() => {
    const { celsius, airCelsius: air, vessel, shaped, fridgeAfter, hours } = this;
    const ripe = this.#hours(this.ripeIn, 96);
    const keep = numberTyped(this.keep, writing());
    return riseOf(
      this.#bench().view,
      celsius === undefined || air === undefined
        ? undefined
        : {
            dough: celsius,
            air,
            vessel,
            shaped,
            fridgeAfter,
            hours,
            ...(ripe === undefined || keep === undefined || keep < 0
              ? {}
              : { starter: { hours: ripe, keep } }),
          },
    );
  });

  /** Hours as typed, above 0. */
  #hours(text: string, most: number): number | undefined {
    const typed = numberTyped(text, writing());
    return typed !== undefined && typed > 0 && typed <= most ? typed : undefined;
  }

  /** A temperature of a kitchen, a fridge or a warm oven, as typed. */
  #warmth(text: string): number | undefined {
    const typed = numberTyped(text, writing());
    const celsius = typed === undefined ? undefined : celsiusTyped(typed, writing());
    return celsius === undefined || celsius < -5 || celsius > 50 ? undefined : celsius;
  }
}
