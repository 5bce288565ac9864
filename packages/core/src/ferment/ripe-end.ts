import { usualRise, type RiseModel, type RisingDough } from './rise.ts';
import type { RiseEnd } from './rise-until.ts';

/** Volume at which a dough has risen, by what raises it. Common practice, no source. */
const risen = { yeast: 2, sourdough: 1.55, wholeLess: 0.2 } as const;

/** Less yeast than this, % instant, raises nothing beside a starter. Own choice, no source. */
const noYeast = 0.05;

/** Whether a starter raises it, and no yeast to speak of. */
export const isSour = ({ yeast, starter }: Pick<RisingDough, 'yeast' | 'starter'>): boolean =>
  starter > 0 && yeast < noYeast;

/** Water of flour from which a pre-ferment or starter is a batter, %. Common practice, no source. */
const thin = 85;

/** Whether it is as thin as a batter. */
export const isThin = (waterPercent: number): boolean => waterPercent >= thin;

/**
 * What ends a rise that is only said to be ripe: of a pre-ferment or starter the gas that it has made, of a
 * dough its volume, which is less for sourdough and for whole grain.
 */
export function ripeEnd(
  { yeast, starter, whole, liquid }: Pick<RisingDough, 'yeast' | 'starter' | 'whole' | 'liquid'>,
  { figures }: RiseModel = usualRise,
): RiseEnd {
  if (liquid) return { gas: (starter > 0 ? figures.ripeStarter : figures.ripePoolish).value };
  return {
    volume: isSour({ yeast, starter }) ? risen.sourdough : risen.yeast - risen.wholeLess * whole,
  };
}
