import { usualRise, type RiseModel, type RisingDough } from './rise.ts';
import type { RiseEnd } from './rise-until.ts';

/** Volume at which a dough has risen, by what raises it. Common practice, no source. */
const risen = { yeast: 2, sourdough: 1.55, wholeLess: 0.2 } as const;

/**
 * What ends a rise that is only said to be ripe: of a pre-ferment or starter the gas that it has made, of a
 * dough its volume, which is less for sourdough and for whole grain.
 */
export function ripeEnd(
  { yeast, starter, whole, liquid }: Pick<RisingDough, 'yeast' | 'starter' | 'whole' | 'liquid'>,
  { figures }: RiseModel = usualRise,
): RiseEnd {
  if (liquid) return { gas: (starter > 0 ? figures.ripeStarter : figures.ripePoolish).value };
  const sour = starter > 0 && yeast < 0.05;
  return { volume: sour ? risen.sourdough : risen.yeast - risen.wholeLess * whole };
}
