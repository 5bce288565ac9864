/**
 * A tremble between −1 and 1 that depends on the moment alone: a stand-in played again trembles the same.
 *
 * @example Math.abs(ownNoise(1, 250)) <= 1 // true
 */
export function ownNoise(seed: number, at: number): number {
  const x = Math.sin((seed * 374_761 + Math.round(at)) * 12.9898) * 43_758.5453;
  return 2 * (x - Math.floor(x)) - 1;
}
