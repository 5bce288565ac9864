import type { Settings } from '../household/household.ts';
import { readAmount } from './amount.ts';
import type { Answer } from './read.ts';

/**
 * What a household remembers of an answer to a row that could not be read: the word for the thing, and
 * what one of it weighs, in whatever the row counts it.
 *
 * @param text the row, to the letter
 * @param what the name in it that was not known, where it was a name
 * @returns the part of its settings that changes; empty where there is nothing to remember
 * @example rememberAnswer(household, '2 tins pumpkin', undefined, {is: 'pumpkin', each: 425})
 * // {each: {'tin:pumpkin': 425}}
 */
export function rememberAnswer(
  { words, each }: Pick<Settings, 'words' | 'each'>,
  text: string,
  what: string | undefined,
  answer: Answer,
): Partial<Pick<Settings, 'words' | 'each'>> {
  if (!('is' in answer)) return {};
  const unit = readAmount(text.trim())?.amount.unit;
  const key = unit?.kind === 'piece' ? `${unit.unit}:${answer.is}` : answer.is;
  return {
    ...(what ? { words: { ...words, [what.toLowerCase()]: answer.is } } : {}),
    ...(answer.each === undefined ? {} : { each: { ...each, [key]: answer.each } }),
  };
}
