import type { Eaten } from '../formula/besides.ts';

/**
 * What a thing is to somebody that must not have it, by its words: a household's own honey is honey, and so
 * is a line that says so where the pantry's row is of many things. Common practice, no source.
 */
export const hazards = {
  honey: /\bhoney\b/i,
  xylitol: /\b(?:xylitol|birch sugar)\b/i,
  grapes: /\b(?:raisins?|sultanas?|currants?|grapes?)\b/i,
  onions: /\b(?:onions?|garlic|leeks?|chives?|shallots?)\b/i,
  macadamia: /\bmacadamias?\b/i,
  cocoa: /\b(?:chocolate|cocoa|cacao)\b/i,
} as const satisfies Record<string, RegExp>;

export type Hazard = keyof typeof hazards;

/**
 * Whether something is of a kind: by its row's name, by what it is like, by the baker's words.
 *
 * @example isHazard({of: ownHoney}, 'honey') // true
 */
export const isHazard = ({ of, asWritten }: Eaten, hazard: Hazard): boolean =>
  [of?.name, of?.like, asWritten].some((text) => text !== undefined && hazards[hazard].test(text));
