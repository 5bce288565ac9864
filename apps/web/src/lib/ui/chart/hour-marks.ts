/** Hours between two marks of a clock, finest first. */
const steps = [1 / 12, 1 / 4, 1 / 2, 1, 2, 3, 6, 12, 24] as const;

/**
 * Marks of hours as a clock has them, and not as tens do.
 *
 * @param most no more of them than that
 * @example hourMarks([0, 2], 5) // [0, 0.5, 1, 1.5, 2]
 */
export function hourMarks([from, to]: readonly [number, number], most: number): number[] {
  const ends = (step: number) =>
    [Math.ceil(from / step - 1e-9), Math.floor(to / step + 1e-9)] as const;
  const count = (step: number) => ends(step)[1] - ends(step)[0] + 1;
  const step = steps.find((s) => count(s) <= most) ?? steps.at(-1)!;
  return Array.from({ length: Math.max(0, count(step)) }, (_, i) => (ends(step)[0] + i) * step);
}
