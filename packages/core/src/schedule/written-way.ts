import { mainStage } from '../formula/formula.ts';
import { isOneRise, stepsWritten, type Bread } from './bread.ts';
import type { WayId } from './way-id.ts';
import { wayPlaces } from './way-places.ts';
import { ways } from './ways.ts';

/**
 * The way that a recipe itself goes: into the fridge where it says so, else as it is.
 *
 * @example writtenWay(bread) // 'cold-proof', of “Shape it, and refrigerate overnight.”
 */
export function writtenWay(bread: Pick<Bread, 'formula' | 'course'>): WayId {
  const says = stepsWritten(bread);
  const cold = (kind: 'first-rise' | 'final-proof') => says[kind]?.process.place === 'fridge';
  if (cold('first-rise') || mainStage(bread.formula).process?.place === 'fridge')
    return 'cold-first';
  if (!cold('final-proof')) return 'as-it-is';
  // Its only rise is its first.
  return isOneRise(bread) ? 'cold-first' : 'cold-proof';
}

/** What it counts that a bread does not go as its recipe says in words: then it goes so wherever it can. Own choice, no source. */
const unwritten = 12;

/** What is left of a way where its leaven is weighed and its warmth as it is: by that it is told whether a recipe means it. */
const heart = (way: WayId): WayId => wayPlaces[way].weighed ?? wayPlaces[way].measured ?? way;

/** What a way counts for a bread: its recipe's own costs nothing, every other at least something. */
export function wayCost(bread: Pick<Bread, 'formula' | 'course'>, way: WayId): number {
  const written = writtenWay(bread);
  if (way === written) return 0;
  const isElse = written !== 'as-it-is' && heart(way) !== written;
  return Math.max(1, ways[way].cost) + (isElse ? unwritten : 0);
}

/**
 * Why a bread whose recipe has it in the fridge is planned otherwise.
 *
 * @returns undefined where it goes as its recipe has it, or that says nothing of a fridge
 * @example notAsWritten(bread, 'as-it-is') // 'Its recipe proofs it in the fridge. No time for that.'
 */
export function notAsWritten(bread: Bread, way: WayId): string | undefined {
  const written = writtenWay(bread);
  if (written === 'as-it-is' || heart(way) === written) return undefined;
  const says = {
    'cold-first': 'Its recipe lets it rise in the fridge.',
    'cold-proof': 'Its recipe proofs it in the fridge.',
  }[written as 'cold-first' | 'cold-proof'];
  if (ways[written].of(bread)) return `${says} No time for that.`;
  return written === 'cold-proof'
    ? `${says} That is too long in the fridge: with this leaven it over-proofs.`
    : `${says} With this leaven it would not rise there, or rise too far.`;
}
