/**
 * Degrees Celsius of degrees Fahrenheit. Source: by definition.
 *
 * @example toCelsius(212) // 100
 */
const toCelsius = (fahrenheit: number): number => ((fahrenheit - 32) * 5) / 9;

/**
 * A temperature as a recipe writes it: "190 °C", "375F", "gas mark 5".
 *
 * @returns degrees Celsius; of two that stand beside one another the one in Celsius
 * @example celsiusIn('bake at 375°F (190°C)') // 190
 */
export function celsiusIn(text: string): number | undefined {
  const celsius = /(\d{1,3})\s*(?:°|º|deg(?:rees)?)?\s*C(?:elsius)?\b/.exec(text);
  if (celsius) return Number(celsius[1]);
  const fahrenheit = /(\d{2,3})\s*(?:°|º|deg(?:rees)?)?\s*F(?:ahrenheit)?\b/.exec(text);
  if (fahrenheit) return Math.round(toCelsius(Number(fahrenheit[1])));
  const gas = /gas (?:mark )?(\d)\b/i.exec(text);
  // Gas mark 1 is 275 °F, each mark more 25 °F, told in tens of °C. Common practice, no source.
  return gas ? Math.round(toCelsius(250 + 25 * Number(gas[1])) / 10) * 10 : undefined;
}
