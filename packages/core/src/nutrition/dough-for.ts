/**
 * Dough for a weight of bread.
 *
 * @param loss share of the dough that the oven takes, 0 to below 1
 * @example doughFor(800, 0.12) // 909 g
 */
export const doughFor = (bread: number, loss: number): number => bread / (1 - loss);
