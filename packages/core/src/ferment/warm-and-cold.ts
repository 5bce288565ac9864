import { commonPractice, figure, type Figure } from '../figure/figure.ts';
import type { ResolvedLine } from '../formula/resolve.ts';
import { massPerWork, type YeastWork } from '../ingredient/yeast.ts';
import { isForecast, type Paces } from './rise-doubt.ts';
import { usualRise, type RiseModel } from './rise.ts';
import { risesOf, type Rise } from './rises.ts';
import { fridgeCelsius } from './vessel.ts';
import { waterTemperature, type WaterTemperature } from './water-temperature.ts';

/** One of the two schools of a dough's warmth. */
interface School {
  readonly label: string;
  readonly dough: Figure;
  /** Where it stands; the room where absent. */
  readonly place?: Figure;
  /** Hours after which it goes into the fridge; none where it does not. */
  readonly fridgeAfter?: Figure;
  readonly says: string;
}

/** A cool larder. */
const coolRoom = figure(18, '°C', 2, commonPractice);

/** One row a school. */
const warmthSchools = {
  warm: {
    label: 'Warm and fast',
    dough: figure(28, '°C', 1, commonPractice),
    place: figure(26, '°C', 1, commonPractice),
    says: 'warm water, a warm place: quick and mild, but it over-proofs sooner',
  },
  cold: {
    label: 'Cold and slow',
    dough: figure(22, '°C', 1, commonPractice),
    fridgeAfter: figure(0.5, 'h', 0.2, commonPractice),
    says: 'cold water, the fridge or a cool larder: more taste, and it waits for you',
  },
} as const satisfies Record<string, School>;

type WarmthSchool = keyof typeof warmthSchools;

interface SchoolPlan {
  readonly id: WarmthSchool;
  readonly label: string;
  readonly says: string;
  readonly dough: number;
  readonly water?: WaterTemperature;
  readonly rises: readonly Rise[];
  /** Of all rises together; none where one of them never comes there. */
  readonly hours?: number;
}

/**
 * A dough by both schools: how warm its water is poured, and how long it then rises.
 *
 * @param friction °C that mixing puts into it
 * @returns none for a dough whose rise no model tells
 * @example warmAndCold(lines, 21, 1).map((s) => s.label) // ['Warm and fast', 'Cold and slow']
 */
export function warmAndCold(
  lines: readonly ResolvedLine[],
  room: number,
  friction: number,
  paces: Paces = {},
  work: YeastWork = massPerWork,
  model: RiseModel = usualRise,
): SchoolPlan[] {
  return (Object.entries(warmthSchools) as Array<[WarmthSchool, School]>).flatMap(
    ([id, { label, dough, place, fridgeAfter, says }]): SchoolPlan[] => {
      const sour = lines.some((l) => l.stageKind === 'starter') && !lines.some((l) => l.of.yeast);
      // A fridge all but stops a sourdough before it has risen: it rises cool instead.
      const celsius = place?.value ?? (sour ? Math.min(room, coolRoom.value) : room);
      const air =
        fridgeAfter && !sour
          ? [
              { hours: fridgeAfter.value, celsius },
              { hours: 1, celsius: fridgeCelsius.value },
            ]
          : [{ hours: 1, celsius }];
      const rises = risesOf(
        lines,
        { celsius: dough.value, air, vessel: 'bowl' },
        'tin',
        paces,
        work,
        model,
      );
      if (rises.length === 0) return [];
      const water = waterTemperature(lines, { desired: dough.value, room, rise: friction });
      const hours = rises.reduce(
        (sum, r) => sum + (isForecast(r.forecast) ? r.forecast.middle : NaN),
        0,
      );
      return [
        {
          ...{ id, label, says, dough: dough.value, rises },
          ...(Number.isNaN(hours) ? {} : { hours }),
          ...(water ? { water } : {}),
        },
      ];
    },
  );
}
