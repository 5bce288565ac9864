import { feedingFor, type FeedingAhead } from '../starter/feeding-for.ts';
import { ownBuild } from '../starter/own-build.ts';
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
  readonly feedings: ReadonlyArray<{
    readonly stage: string;
    readonly feeding: FeedingAhead;
    /** Of a recipe with a build of its own: by that, or by the time that it has. */
    readonly by?: 'recipe' | 'time';
  }>;
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
  const mine = steps.filter((s) => s.bake === bread.id);
  const feedings = stagesOf(bread.formula).flatMap(({ id, kind, process }) => {
    const ripens = mine.find((s) => s.id === `${bread.id}:${id}:ripen`);
    if (kind !== 'starter' || !ripens) return [];
    const parts = starterParts(bread.lines.filter((l) => l.stage === id && l.grams > 0));
    const { room: celsius, paces, model } = bread;
    const { seed } = process ?? {};
    const own =
      seed !== undefined && !planned.fitsBuild
        ? ownBuild({ ...parts, keep, celsius, seed }, paces, model)
        : undefined;
    const feeding =
      own ?? feedingFor({ ...parts, keep, hours: hoursOf(ripens), celsius }, paces, model);
    const by = own ? ('recipe' as const) : seed === undefined ? undefined : ('time' as const);
    return feeding ? [{ stage: id, feeding, ...(by ? { by } : {}) }] : [];
  });
  const rises = mine.find((s) => s.kind === 'first-rise');
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
