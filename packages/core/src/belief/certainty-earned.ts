import type { Belief } from './belief.ts';

/**
 * How often what was said of doughs here was right: by each way in which the program may be too sure, and counted in
 * the words in which it was said.
 */
export interface SaidBefore {
  /** Logarithm of how well each row of the table of ways foresaw what was felt. */
  readonly logs: readonly number[];
  /** Corrections that were scored. */
  readonly bakes: number;
  readonly words: Readonly<Partial<Record<SaidWord, Score>>>;
}

/** Words in which a certainty is said that is worth counting. */
export type SaidWord = 'very likely' | 'likely';

interface Score {
  readonly said: number;
  readonly right: number;
}

/**
 * What the logit of a certainty is to be taken by: 1 where the program knows how sure it is, .25 where it is far too sure.
 * Their logarithms are normal about 0, sd .5, on a grid. Own model, no source.
 */
const spread = 0.5;
const rows = Array.from({ length: 17 }, (_, i) => {
  const log = (i - 8) * 0.2;
  return { by: Math.exp(log), prior: (-log * log) / (2 * spread ** 2) };
});

const logit = (p: number): number => Math.log(p / (1 - p));
const expit = (x: number): number => 1 / (1 + Math.exp(-x));
/** Nothing is so sure that it could not be otherwise. */
const least = 1e-4;
const inside = (p: number): number => Math.min(1 - least, Math.max(least, p));

/**
 * A certainty as this kitchen has found such certainties to be: shrunk by how often they were right, never raised.
 *
 * Source: Bayes' rule on a grid over the slope of a calibration by logits (Platt scaling with one figure), from memory.
 *
 * @param p chance, 0 to 1
 * @example earned(nothingLearned, .95) // .95
 */
export function earned({ said }: Pick<Belief, 'said'>, p: number): number {
  if (!said) return p;
  const at = logit(inside(p));
  const logs = rows.map(({ prior }, i) => prior + (said.logs[i] ?? 0));
  const most = Math.max(...logs);
  let [sum, all] = [0, 0];
  rows.forEach(({ by }, i) => {
    const weight = Math.exp(logs[i]! - most);
    sum += weight * expit(by * at);
    all += weight;
  });
  return Math.min(p, sum / all);
}

/**
 * A belief in which one more correction stands that was felt to have been right, or not.
 *
 * @param chance that the touch would find it right, as it was foreseen, 0 to 1
 * @param right whether the dough was felt beyond the end of the window that the correction was about
 * @param word in which it was said, where it was said to be likely
 * @example scored(nothingLearned, .9, true, 'very likely').said!.words['very likely'] // {said: 1, right: 1}
 */
export function scored(
  belief: Belief,
  chance: number,
  right: boolean,
  word: SaidWord | undefined,
): Belief {
  const at = logit(inside(chance));
  const before = belief.said ?? { logs: rows.map(() => 0), bakes: 0, words: {} };
  const counted = word && (before.words[word] ?? { said: 0, right: 0 });
  return {
    ...belief,
    said: {
      // Of what is all but certain the chance itself has no digits left: its logarithm has.
      logs: rows.map(
        ({ by }, i) => (before.logs[i] ?? 0) - Math.log1p(Math.exp(right ? -by * at : by * at)),
      ),
      bakes: before.bakes + 1,
      words: {
        ...before.words,
        ...(word && counted
          ? { [word]: { said: counted.said + 1, right: counted.right + Number(right) } }
          : {}),
      },
    },
  };
}
