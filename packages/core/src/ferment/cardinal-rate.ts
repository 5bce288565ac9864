/**
 * Cardinal temperature model with inflection: a rate as a share of that at the optimum, 0 outside
 * minimum…maximum. Source: Rosso 1993, from memory.
 *
 * @param celsius temperature
 * @example cardinalRate(25, 0, 32.3, 45.4) // .8441
 */
export function cardinalRate(celsius: number, least: number, best: number, most: number): number {
  if (celsius <= least || celsius >= most) return 0;
  const above = (celsius - most) * (celsius - least) * (celsius - least);
  const below =
    (best - least) *
    ((best - least) * (celsius - best) - (best - most) * (best + least - 2 * celsius));
  return above / below;
}
