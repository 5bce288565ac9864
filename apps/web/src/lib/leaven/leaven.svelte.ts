import {
  aheadKindIds,
  aheadKinds,
  aheadOf,
  dopingFor,
  foldIn,
  leavenKeys,
  pacesFor,
  riseModelIn,
  risesOf,
  forTang,
  starterGrams,
  starterHydration,
  starterIn,
  tangIds,
  type TangId,
  starterLadder,
  starterShare,
  starterStep,
  usualWarmth,
  warmAndCold,
  withinShare,
  type AheadKind,
  type Rise,
} from '@tender-crumb/core/ferment';
import { mainStage } from '@tender-crumb/core/formula';
import { frictionOf } from '@tender-crumb/core/household';
import { kneadingOf } from '@tender-crumb/core/machine';
import { deviceFor } from '@tender-crumb/core/process';
import { isRefused, numberTyped } from '@tender-crumb/core/quantity';
import type { Bench } from '../bench/bench.svelte.ts';
import { writing } from '../ui/writing.ts';

/** The leavens of the dough on a bench, and what else they could be. */
export class Leavens {
  /** Hours in which a doped dough is wanted. */
  evening = $state('4');
  /** The share of starter that is looked at, % of all flour; the formula's own where absent. */
  looked = $state<number | undefined>();
  readonly #bench: () => Bench;

  constructor(bench: () => Bench) {
    this.#bench = bench;
  }

  readonly lines = $derived.by(() => this.#bench().evaluation?.lines ?? []);
  readonly #work = $derived.by(() => this.#bench().pantry.yeastWork);
  readonly #paces = $derived.by(() =>
    pacesFor(this.#bench().belief, leavenKeys(this.lines, this.#bench().formula)),
  );
  readonly #model = $derived.by(() => riseModelIn(this.#bench().household));
  readonly room = $derived.by(() => this.#bench().household.room.celsius ?? usualWarmth.air);
  readonly rises = $derived.by((): readonly Rise[] =>
    risesOf(
      this.lines,
      {
        celsius: usualWarmth.dough,
        air: [{ hours: 1, celsius: this.room }],
        vessel: 'bowl',
      },
      'basket',
      this.#paces,
      this.#work,
      this.#model,
    ),
  );
  readonly starter = $derived.by(() => starterIn(this.lines));
  readonly hasStarter = $derived(this.starter !== undefined);
  readonly #pair = $derived.by(() => {
    const [first, final] = this.rises;
    return first && final && this.hasStarter ? ([first, final] as const) : undefined;
  });
  readonly ladder = $derived.by(() =>
    this.#pair ? starterLadder(this.#pair, this.#paces, this.#model) : [],
  );
  /** As the formula has it. */
  readonly own = $derived.by(() =>
    this.#pair && this.starter
      ? starterStep(this.#pair, this.starter.percent, this.#paces, this.#model)
      : undefined,
  );
  /** As it is looked at. */
  readonly shown = $derived.by(() =>
    this.#pair && this.looked !== undefined
      ? starterStep(this.#pair, withinShare(this.looked), this.#paces, this.#model)
      : this.own,
  );
  /** Ripe starter of a share, its water with it, grams. */
  gramsOf(percent: number): number {
    return this.starter ? starterGrams(this.starter, percent) : 0;
  }
  /** Tastes that this dough can have here, and looks at one of them. */
  readonly tastes = $derived.by(() =>
    tangIds.filter((id) => this.ladder.some((s) => s.tang === id)),
  );
  wantTaste(id: TangId): void {
    if (this.#pair) this.looked = forTang(this.#pair, id, this.#paces, this.#model)?.percent;
  }
  readonly changes = $derived.by(() =>
    this.shown && this.own && this.shown !== this.own
      ? starterShare(this.lines, this.shown.percent / this.own.percent)
      : undefined,
  );

  /** Water of the starter as it is typed, % of its flour. */
  wet = $state('');
  readonly stiffer = $derived.by(() => {
    const typed = numberTyped(this.wet, writing());
    if (!this.starter || typed === undefined || typed < 40 || typed > 250) return undefined;
    const changes = starterHydration(this.lines, this.starter.stage, typed);
    return changes && changes.length > 0 ? changes : undefined;
  });

  readonly yeast = $derived.by(() =>
    this.lines.find((l) => l.of.yeast && l.grams > 0 && l.stageKind !== 'preferment'),
  );
  readonly hours = $derived.by(() => {
    const typed = numberTyped(this.evening, writing());
    return typed !== undefined && typed > 0 && typed <= 24 ? typed : undefined;
  });
  readonly doping = $derived.by(() => {
    const [first] = this.rises;
    if (!first || !this.hasStarter || this.yeast || this.hours === undefined) return undefined;
    const { household, pantry, formula } = this.#bench();
    const kept = household.yeastKept ?? 'instant-yeast';
    const kind = pantry.ingredient(kept).yeast ?? 'instant';
    return dopingFor(
      this.lines,
      first,
      this.hours,
      { ingredient: kept, kind, stage: mainStage(formula).id },
      this.#paces,
      this.#work,
      this.#model,
    );
  });

  /** What could be mixed ahead of this dough, each with the correction that does it. */
  readonly ahead = $derived.by(() =>
    aheadKindIds
      .filter((kind: AheadKind) => !this.lines.some((l) => l.stage === kind && l.grams > 0))
      .flatMap((kind: AheadKind) => {
        const found = aheadOf(this.lines, kind, this.room, this.#paces, this.#work, this.#model);
        return isRefused(found)
          ? []
          : [
              {
                id: kind,
                label: aheadKinds[kind].label,
                says: aheadKinds[kind].says,
                correction: found,
              },
            ];
      }),
  );
  /** What is mixed ahead and could go back into the dough. */
  readonly back = $derived.by(() => {
    const { formula } = this.#bench();
    const main = mainStage(formula).id;
    return formula.stages
      .filter((s) => s.kind === 'preferment' || s.kind === 'soaker')
      .flatMap((s) => {
        const correction = foldIn(this.lines, s.id, main);
        return correction ? [{ stage: s.id, name: s.name, correction }] : [];
      });
  });

  /** Warm and fast beside cold and slow. */
  readonly schools = $derived.by(() => {
    const { formula, household, belief } = this.#bench();
    const { mean } = frictionOf(kneadingOf(deviceFor(formula, {}, household)), household, belief);
    return warmAndCold(this.lines, this.room, mean, this.#paces, this.#work, this.#model);
  });
}
