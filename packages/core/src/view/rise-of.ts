import { feedingFor, type FeedingAhead } from '../starter/feeding-for.ts';
import { starterParts } from '../starter/starter-parts.ts';
import { leavenChange, type LeavenChange } from '../ferment/leaven-change.ts';
import { leavenKeys } from '../ferment/leaven-key.ts';
import { drawnRise } from '../ferment/rise-curve.ts';
import type { Paces } from '../ferment/rise-doubt.ts';
import type { RiseModel } from '../ferment/rise.ts';
import { risesOf, type Rise } from '../ferment/rises.ts';
import { shapedIn } from '../ferment/shaped-in.ts';
import { fridgeCelsius, type VesselId } from '../ferment/vessel.ts';
import { warmthFor } from '../ferment/warmth-for.ts';
import { comingRises } from '../schedule/coming-rises.ts';
import type { BenchView } from './bench-of.ts';
import { lazily } from './lazily.ts';

/** Where a dough is to rise, and what is asked of it. */
export interface RiseAskedHere {
  /** Of the dough after mixing, and of the place that it stands in, °C. */
  readonly dough: number;
  readonly air: number;
  readonly vessel: VesselId;
  /** In what its pieces stand. */
  readonly shaped: VesselId;
  /** Hours after which it goes into the fridge; absent where it does not. */
  readonly fridgeAfter?: number | undefined;
  /** Hours in which its first rise is wanted. */
  readonly hours?: number | undefined;
  /** When its starter is to be ripe, hours from its feeding, and grams that are kept of it. */
  readonly starter?: { readonly hours: number; readonly keep: number } | undefined;
}

/**
 * Where a formula's dough rises until somebody says otherwise: as a plan and a bake of it have it.
 *
 * @example usualPlace(benchOf({formula, household, belief})).air // 22
 */
export function usualPlace({ bread, way }: BenchView): RiseAskedHere {
  return {
    dough: bread.dough,
    air: bread.room,
    vessel: 'bowl',
    shaped: shapedIn(bread.formula, bread.lines, bread.shaping),
    ...(way === 'cold-first'
      ? { fridgeAfter: comingRises(bread, way)?.first.dough.air[0]?.hours }
      : {}),
  };
}

/** All that the bench shows of a dough's rises in a place. */
export interface RiseView {
  readonly paces: Paces;
  readonly model: RiseModel;
  /** How many rises of its leavens were noted. */
  readonly noted: number;
  readonly rises: readonly Rise[];
  readonly first: Rise | undefined;
  /** The first rise drawn, moment by moment. */
  readonly curve: ReturnType<typeof drawnRise>;
  /** Leaven that has it ready in the hours that are wanted. */
  readonly leaven: LeavenChange | undefined;
  /** How warm a place has it ready then, with the leaven as it is. */
  readonly warmth: ReturnType<typeof warmthFor> | undefined;
  readonly hasStarter: boolean;
  readonly feeding: FeedingAhead | undefined;
}

/**
 * How a dough on the bench rises in a place.
 *
 * @param asked undefined where what was typed is no place
 * @example riseOf(bench, usualPlace(bench)).first?.forecast
 */
export function riseOf(bench: BenchView, asked: RiseAskedHere | undefined): RiseView {
  const { bread, belief } = bench;
  const { lines, paces, work, model } = bread;
  const starter = lines.filter((l) => l.stageKind === 'starter' && l.grams > 0);
  const { hours, fridgeAfter } = asked ?? {};
  return lazily<RiseView>({
    paces: () => paces,
    model: () => model,
    noted: () =>
      Math.max(
        0,
        ...Object.values(leavenKeys(lines, bread.formula)).map(
          (key) => belief.paces?.[key]?.rises ?? 0,
        ),
      ),
    rises: () => {
      if (!asked || !bench.evaluation) return [];
      const { dough: celsius, air, vessel, shaped } = asked;
      const airs =
        fridgeAfter === undefined
          ? [{ hours: 1, celsius: air }]
          : [
              { hours: fridgeAfter, celsius: air },
              { hours: 1, celsius: fridgeCelsius.value },
            ];
      return risesOf(lines, { celsius, air: airs, vessel }, shaped, paces, work, model);
    },
    first: ({ rises }) => rises[0],
    curve: ({ first }) =>
      first ? drawnRise(first.dough, first.forecast, paces, model, hours) : [],
    leaven: ({ first }) =>
      first && hours !== undefined
        ? leavenChange(lines, first, hours, paces, work, model)
        : undefined,
    warmth: ({ first }) =>
      first && hours !== undefined && fridgeAfter === undefined
        ? warmthFor(first.dough, hours, first.end, paces, model)
        : undefined,
    hasStarter: () => starter.length > 0,
    feeding: ({ hasStarter }) =>
      hasStarter && asked?.starter
        ? feedingFor(
            { ...starterParts(starter), ...asked.starter, celsius: asked.air },
            paces,
            model,
          )
        : undefined,
  });
}
