import { riseFor, usualRise, type RiseModel, type RisePoint, type RisingDough } from './rise.ts';

/** The curve of a rise for so many hours, about so many points. */
export function riseCurve(
  dough: RisingDough,
  hours: number,
  points = 120,
  model: RiseModel = usualRise,
): RisePoint[] {
  const curve: RisePoint[] = [];
  const last = riseFor(dough, hours, model, (_, before) => {
    if (before.hours >= (curve.length * hours) / points) curve.push(before);
    return false;
  });
  return [...curve, last];
}
