import { celsiusIn } from '../quantity/temperature.ts';

/** Ovens are set between these, °C; what is said beyond is no oven. Common practice. */
const coolest = 105;
const hottest = 320;
/** A figure without a scale from here on is Fahrenheit: no oven in Celsius is set so. Own choice. */
const fahrenheitFrom = 290;

const fan = /(\d{3})\s*(?:°\s*C?)?\s*\/\s*(\d{3})\s*(?:°\s*C?)?\s*(?:fan|convection)/i;
const both =
  /(\d{3})\s*°?\s*C?\s*(?:fan|convection)[^.;]{0,6}[(/,]\s*(\d{3})\s*°?\s*C?\s*(?:conventional|top|static|without)?/i;
const bare =
  /\b(?:at|to|oven|degrees?)\s+(\d{3})(?!\s*(?:g|ml|min|°|\d))(?:\s*degrees?)?|\b(\d{3})\s+degrees?\b/i;

/**
 * What an oven is set to, °C: of what stands beside it for a fan the setting without one.
 *
 * @example ovenHeat('Bake at 425 degrees.') // 218
 * @example ovenHeat('220/200 fan') // 220
 */
export function ovenHeat(text: string): number | undefined {
  const pair = fan.exec(text);
  if (pair) return inRange(Math.max(Number(pair[1]), Number(pair[2])));
  const other = both.exec(text);
  if (other) return inRange(Math.max(Number(other[1]), Number(other[2])));
  const said = celsiusIn(text);
  if (said !== undefined) return inRange(said);
  const alone = bare.exec(text);
  if (!alone) return undefined;
  const figure = Number(alone[1] ?? alone[2]);
  return inRange(figure >= fahrenheitFrom ? Math.round(((figure - 32) * 5) / 9) : figure);
}

const inRange = (celsius: number): number | undefined =>
  celsius >= coolest && celsius <= hottest ? celsius : undefined;
