import { feedingFor, type FeedingAhead } from '../starter/feeding-for.ts';
import { starterParts } from '../starter/starter-parts.ts';
import { leavenChange, type LeavenChange } from '../ferment/leaven-change.ts';
import { waterTemperature, type WaterTemperature } from '../ferment/water-temperature.ts';
import { stagesOf } from '../formula/formula.ts';
import type { Bread } from './bread.ts';
import { comingRises } from './coming-rises.ts';
import type { PlannedBread, PlannedStep } from './plan.ts';

/** What a plan's times ask of the amounts of a bread. */
export interface BreadAmounts {
  /** What its starters are fed with, by stage. */
  readonly feedings: ReadonlyArray<{ readonly stage: string; readonly feeding: FeedingAhead }>;
  /** Its leaven, made fit for the time of the first rise; absent where it stays as it is. */
  readonly leaven?: LeavenChange;
  /** For a dough as warm as was planned; absent where no water is poured. */
  readonly water?: WaterTemperature;
}

/** Leaven that differs by less is left as it is, as a share of it: nobody weighs so closely. Own choice, no source. */
const noticed = 0.02;

/** Ripe starter that is kept back to go on from, grams. Own choice, no source. */
export const keptBack = 20;

const hoursOf = ({ start, end }: PlannedStep): number => (end - start) / 60;

/**
 * What the times of a plan ask of the amounts of one of its breads.
 *
 * @param keep ripe starter kept back of each build, grams
 * @param fits whether its leaven is to be made fit for the time of its first rise
 * @example amountsFor(bread, planned, steps).leaven // {grams: 1.2, now: 5, …}: the night is long
 */
export function amountsFor(
  bread: Bread,
  planned: PlannedBread,
  steps: readonly PlannedStep[],
  keep = keptBack,
  fits = planned.rises?.first.leaven !== undefined,
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
  // With the leaven that stands in it now, whatever it was planned with.
  const coming = planned.way && comingRises(bread, planned.way)?.first;
  const fit =
    rises && fits && coming
      ? leavenChange(bread.lines, coming, hoursOf(rises), bread.paces, bread.work, bread.model)
      : undefined;
  const leaven =
    fit && 'changes' in fit && Math.abs(fit.grams - fit.now) < noticed * fit.now ? undefined : fit;
  const water = waterTemperature(bread.lines, {
    desired: bread.dough,
    room: bread.room,
    rise: bread.friction,
  });
  return { feedings, ...(leaven ? { leaven } : {}), ...(water ? { water } : {}) };
}
