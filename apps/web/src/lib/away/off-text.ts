/**
 * How far a clock is off, in words.
 *
 * @example offText(-86_400_000) // '24 hours ahead of'
 */
export function offText(behindMs: number): string {
  const minutes = Math.round(Math.abs(behindMs) / 60_000);
  const [n, unit] =
    minutes < 120
      ? [minutes, 'minute']
      : minutes < 48 * 60
        ? [Math.round(minutes / 60), 'hour']
        : [Math.round(minutes / 1440), 'day'];
  return `${n} ${unit}${n === 1 ? '' : 's'} ${behindMs < 0 ? 'ahead of' : 'behind'}`;
}
