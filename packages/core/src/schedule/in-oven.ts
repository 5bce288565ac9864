import { ovenMinutes } from '../style/baking.ts';
import { styles } from '../style/style.ts';
import { pieceKilograms } from '../ferment/shaped-in.ts';
import { stepsWritten, type Bread } from './bread.ts';
import { sheetsInARow } from './sheets-in-a-row.ts';
import type { Stretch } from './rise-span.ts';
import { saidBy, span } from './usual-minutes.ts';

/** An oven's minutes, a tenth less or a little more. Common practice, no source: go by the core. */
export const ovenSpan = (minutes: number): Stretch => span(minutes * 0.9, minutes, minutes * 1.15);

type Baked = Pick<Bread, 'formula' | 'lines' | 'shaping' | 'oven'>;

const said = (bread: Baked): Stretch | undefined => saidBy(stepsWritten(bread).bake?.process);

/**
 * Minutes that a bread is usually in an oven: as its recipe says, else as the table has it for a piece so heavy; of several
 * sheets in a row, all of them.
 *
 * @example usualInOven(loaf) // 27
 */
export const usualInOven = (bread: Baked): number => {
  const { formula, lines, shaping } = bread;
  const piece = pieceKilograms(formula, lines, shaping);
  const one = said(bread)?.usual ?? ovenMinutes(styles[formula.style].baking, piece);
  return one * sheetsInARow(bread);
};

/**
 * Minutes that it is in this oven: the usual ones, by the pace of the oven that bakes measured.
 *
 * @example inOven({...loaf, ovenPace: 1.1}).usual // 30
 */
export function inOven(bread: Baked & Pick<Bread, 'ovenPace'>): Stretch {
  const { ovenPace } = bread;
  const { least, most } = said(bread) ?? {};
  const sheets = sheetsInARow(bread);
  const usual = usualInOven(bread) * ovenPace;
  return least === undefined || most === undefined
    ? ovenSpan(usual)
    : span(least * ovenPace * sheets, usual, most * ovenPace * sheets);
}
