/** How bakers call a dough's height, by times its volume at the start. Common practice, no source. */
const named: ReadonlyArray<readonly [times: number, says: string]> = [
  [1, 'not risen'],
  [1.25, 'a quarter more'],
  [1.33, 'a third more'],
  [1.5, 'half again'],
  [1.75, 'nearly double'],
  [2, 'double'],
  [2.5, '2½ times'],
  [3, 'triple'],
  [4, 'four times'],
];

/** A dough this near to a height (part of it) is at it; further off it is "about" so high. Own estimate, no source. */
const nearEnough = 0.02;

/**
 * How high a dough stands, as one would say it aloud.
 *
 * @param volume times the volume that it began with, above 0
 * @example volumeText(1.5) // 'half again'
 * @example volumeText(2.1) // 'about double'
 */
export function volumeText(volume: number): string {
  const away = (times: number) => Math.abs(Math.log(volume / times));
  const [times, says] = named.reduce((best, row) => (away(row[0]) < away(best[0]) ? row : best));
  return away(times) <= nearEnough ? says : `about ${says}`;
}
