/** What work begins with: a clause that begins so is a step of its own. */
const verbs =
  'bake|shape|form|plait|let|leave|knead|rest|prove|proof|rise|rises|cover|uncover|turn|lower|reduce|raise|take|remove|cool|divide|fold|refrigerate|chill|retard|put|brush|glaze|score|slash|mix|heat|preheat|sprinkle|cut|roll|return|knock|punch|start|switch|spray|feed|soak|autolyse|ferment|add|stir|dust|serve|slice|bring|vent|drop';
/** Commas, "and", "then", "until … then": where one thing that is done gives way to the next. */
const between = new RegExp(
  String.raw`\s*;\s*|,?\s+(?:and\s+)?then,?\s+|,\s+(?:and\s+|after that\s+)?(?=(?:${verbs})\b)|\s+and\s+(?=(?:${verbs})\b)|,\s+(?:and\s+)?(?=(?:without|uncovered|\d+\s+(?:without|uncovered|covered)\b|\d+\s*(?:min(?!\w*\s+apart)|more)))|,\s+(?=after\s+\d)|\s+(?=while\b)`,
  'i',
);

/** Sentences, without those that would end in an abbreviation's dot; the number of a step is none of it. */
export const sentencesOf = (text: string): string[] =>
  text
    .split(/(?<=[.!;])\s+(?=\p{Lu}|\d+\s*(?:[.)]\s)?\p{Lu}|\d)/u)
    .map((s) => s.replace(/^\s*\d{1,2}[.)]\s+(?=\p{L})/u, '').trim())
    .filter((s) => /[\p{L}\d]/u.test(s) && !/^\d{1,2}[.)]$/.test(s));

/**
 * The things that a sentence has one do, one after the other.
 *
 * @example clausesOf('Shape, leave for 40 minutes and bake for 30.') // ['Shape', 'leave for 40 minutes', 'bake for 30.']
 */
export const clausesOf = (sentence: string): string[] =>
  sentence
    .split(between)
    .map((c) => c.trim())
    .filter(Boolean);
