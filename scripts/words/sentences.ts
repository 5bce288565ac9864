/** Sentences of a text and how hard they are to read. */
import { fleschKincaid } from 'flesch-kincaid';
import { syllable } from 'syllable';
import { wordsOf } from './seen.ts';

/** A text's sentences, as its stops and its list points part it; what follows a colon or a semicolon stays with what goes before. */
export const sentencesOf = (text: string): string[] =>
  text
    .split(/(?<=[.!?…][”"’)]?)\s+(?=[\p{Lu}“"(\d])| · /u)
    .map((sentence) => sentence.trim())
    .filter((sentence) => sentence !== '');

/**
 * The school grade that reads it, by Flesch and Kincaid (1975): .39 words a sentence, 11.8 syllables a word, −15.59.
 * Figures are not counted: "500 g" says no syllable that a count of letters would know.
 */
export const gradeOf = (sentence: string): number => {
  const words = wordsOf(sentence);
  const syllables = words.reduce((sum, word) => sum + Math.max(1, syllable(word)), 0);
  return fleschKincaid({ sentence: 1, word: words.length, syllable: syllables });
};
