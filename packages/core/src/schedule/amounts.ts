import { feedingFor, starterParts, type Feeding } from '../ferment/feeding.ts';
import { leavenChange, type LeavenChange } from '../ferment/leaven-change.ts';
import { waterTemperature, type WaterTemperature } from '../ferment/water-temperature.ts';
import { stagesOf } from '../formula/formula.ts';
import type { Bread } from './bread.ts';
import type { PlannedBread, PlannedStep } from './plan.ts';

/** What a plan's times ask of the amounts of a bread. */
export interface BreadAmounts {
  /** What its starters are fed with, by stage. */
  readonly feedings: ReadonlyArray<{ readonly stage: string; readonly feeding: Feeding }>;
  /** Its leaven, made fit for the time of the first rise; absent where it stays as it is. */
  readonly leaven?: LeavenChange;
  /** For a dough as warm as was planned; absent where no water is poured. */
  readonly water?: WaterTemperature;
}

/** Ripe starter that is kept back to go on from, grams. Own choice, no source. */
export const keptBack = 20;

const hoursOf = ({ start, end }: PlannedStep): number => (end - start) / 60;

/**
 * What the times of a plan ask of the amounts of one of its breads.
 *
 * @param keep ripe starter kept back of each build, grams
 * @example amountsFor(bread, planned, steps).leaven // {grams: 1.2, now: 5, …}: the night is long
 */
export function amountsFor(
  bread: Bread,
  planned: PlannedBread,
  steps: readonly PlannedStep[],
  keep = keptBack,
): BreadAmounts {
  const own = steps.filter((s) => s.bake === bread.id);
  const feedings = stagesOf(bread.formula).flatMap(({ id, kind }) => {
    const ripens = own.find((s) => s.id === `${bread.id}:${id}:ripen`);
    if (kind !== 'starter' || !ripens) return [];
    const parts = starterParts(bread.lines.filter((l) => l.stage === id && l.grams > 0));
    const feeding = feedingFor(
      { ...parts, keep, hours: hoursOf(ripens), celsius: bread.room },
      bread.paces,
      bread.model,
    );
    return feeding ? [{ stage: id, feeding }] : [];
  });
  const rises = own.find((s) => s.kind === 'first-rise');
  const first = planned.rises?.first;
  const leaven =
    rises && first?.leaven
      ? leavenChange(bread.lines, first.rise, hoursOf(rises), bread.paces, bread.work, bread.model)
      : undefined;
  const water = waterTemperature(bread.lines, {
    desired: bread.dough,
    room: bread.room,
    rise: bread.friction,
  });
  return { feedings, ...(leaven ? { leaven } : {}), ...(water ? { water } : {}) };
}
