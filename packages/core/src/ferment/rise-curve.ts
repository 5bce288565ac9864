import { isForecast, withPaces, type Paces, type RiseForecast } from './rise-doubt.ts';
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

/** How far past its forecast a rise is drawn, so that what is over-ripe is seen. */
const beyond = 1.4;
/** Hours that are drawn of a rise that never comes to its end, in a room and in the cold. Own choice, no source. */
const drawnHours = { room: 24, cold: 72 } as const;
/** A dough that ends in such air stands in a fridge, °C. */
const coldBelow = 10;

/**
 * The curve of a rise as it is shown: as fast as its leavens are believed to be, somewhat past its end, and as far as
 * somebody asked.
 *
 * @param upTo hours that are asked for
 * @example drawnRise(dough, riseForecast(dough, {volume: 2})).at(-1)!.volume // above 2
 */
export const drawnRise = (
  dough: RisingDough,
  forecast: RiseForecast,
  paces: Paces = {},
  model: RiseModel = usualRise,
  upTo = 0,
): RisePoint[] => {
  const isCold = (dough.air.at(-1)?.celsius ?? dough.celsius) < coldBelow;
  const shown = isForecast(forecast)
    ? forecast.high * beyond
    : drawnHours[isCold ? 'cold' : 'room'];
  return riseCurve(withPaces(dough, paces), Math.max(shown, upTo), undefined, model);
};
