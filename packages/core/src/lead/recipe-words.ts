import type { Method } from '../process/method-in.ts';
import { stepsOfMatter, isMatter } from './followed.ts';
import { ledAs } from '../process/rises-once.ts';
import type { RunStepKindId } from './run-step-kind.ts';

/**
 * The recipe's own sentences by the step at which they are wanted: at those that they speak of; what speaks of none stands with
 * the sentence after it, the last of all with the one before. None is gone.
 *
 * @param kinds of the steps that are led
 * @example recipeWords({sentences: [{says: 'Bake for 35 minutes.', about: ['bake']}]}, ['weigh', 'bake']).get('bake') // ['Bake for 35 minutes.']
 */
export function recipeWords(
  { sentences }: Pick<Method, 'sentences'>,
  kinds: readonly RunStepKindId[],
): ReadonlyMap<RunStepKindId, readonly string[]> {
  const led = new Set(kinds);
  const own = sentences.map(({ about }): readonly RunStepKindId[] => {
    const found = about.flatMap((id) =>
      isMatter(id) ? stepsOfMatter(id).slice(-1) : [ledAs(id, (kind) => led.has(kind))],
    );
    const there = [...new Set(found)].filter((kind) => led.has(kind));
    if (there.length > 0 || about.length === 0) return there;
    return led.has('programme') ? ['programme'] : [];
  });
  const words = new Map<RunStepKindId, string[]>();
  for (const [i, { says }] of sentences.entries()) {
    const placed = own[i]!.length > 0;
    const next = own.slice(i + 1).find((k) => k.length > 0);
    const before = own.slice(0, i).findLast((k) => k.length > 0);
    const at = placed ? own[i]! : (next ?? before ?? kinds.slice(0, 1));
    // What stands before the mixing is done before the weighing too: milk is warmed.
    const all = !placed && at.includes('mix') && led.has('weigh') ? ['weigh' as const, ...at] : at;
    for (const kind of all) words.set(kind, [...(words.get(kind) ?? []), says]);
  }
  return words;
}
