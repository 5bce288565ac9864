import type { Settings } from './household.ts';
import { defaultMeasures } from '../quantity/measures.ts';
import { plainWriting } from '../quantity/writing.ts';

/** What a household is asked of itself, when that is needed for the first time. */
const isToldOtherwise = {
  /** What its bread machine is like. */
  machine: ({ appliances }) => appliances.some((a) => a.machine),
  /** °C or °F on the oven and the thermometer. */
  degrees: ({ writing }) => writing.temperature !== plainWriting.temperature,
  /** How fine the scale shows. */
  scale: ({ scaleStep }) => scaleStep !== 1,
  /** How much a cup holds. */
  cup: ({ measures }) => measures.cup !== defaultMeasures.cup,
  /** Whether more than one pair of hands bakes here. */
  bakers: ({ bakers, people }) => bakers.length > 0 || people > 1,
} as const satisfies Record<string, (settings: Settings) => boolean>;

export type HouseQuestionId = keyof typeof isToldOtherwise;
export const houseQuestionIds = Object.keys(isToldOtherwise) as HouseQuestionId[];

/**
 * Whether a household has said this of itself: it answered, or it set it where things are set. Until then the usual is taken.
 *
 * @example hasSettled('scale', { ...defaultSettings, scaleStep: 0.1 }) // true
 */
export const hasSettled = (of: HouseQuestionId, settings: Settings): boolean =>
  settings.settled.includes(of) || isToldOtherwise[of](settings);

/**
 * What a household has answered with one more answer among it.
 *
 * @example settledWith('cup', { ...defaultSettings, settled: ['scale'] }) // ['scale', 'cup']
 */
export const settledWith = (
  of: HouseQuestionId,
  { settled }: Pick<Settings, 'settled'>,
): readonly HouseQuestionId[] => [...new Set([...settled, of])];
