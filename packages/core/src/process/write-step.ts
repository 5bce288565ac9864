import { capital } from '../quantity/capital.ts';
import type { Place } from '../formula/process.ts';
import type { Step } from '../formula/step.ts';
import { refuse, type Refused } from '../quantity/refusal.ts';
import { clausesOf, sentencesOf } from './clauses.ts';
import { methodIn, type Method } from './method-in.ts';
import { stepKindIds, stepKinds, type StepKindId } from './step-kind.ts';

/** What is written of a step by its fields. */
export interface StepSaid {
  readonly minutes?: number;
  readonly celsius?: number;
  readonly place?: Extract<Place, 'room' | 'fridge' | 'warm'>;
}

/** Fields of a step that are written down, kind by kind: of the others the bread, its leaven and the kitchen decide. */
export const stepFields: Readonly<Partial<Record<StepKindId, ReadonlyArray<keyof StepSaid>>>> = {
  autolyse: ['minutes'],
  mix: ['minutes'],
  'first-rise': ['place'],
  'final-proof': ['place'],
  heat: ['celsius'],
  bake: ['minutes', 'celsius'],
  cool: ['minutes'],
};

const places: Readonly<Record<NonNullable<StepSaid['place']>, string>> = {
  room: ' in the room',
  fridge: ' in the fridge',
  warm: ' in a warm place',
};

/** A step as the sheet writes it where its recipe has no words for it. */
const sentences: Readonly<Partial<Record<StepKindId, (said: StepSaid) => string>>> = {
  autolyse: ({ minutes }) =>
    `Stir flour and water together and let them rest${lasts(minutes)}; salt and leaven come later.`,
  mix: ({ minutes }) => `Knead${lasts(minutes)}.`,
  'first-rise': ({ place }) => `First rise${place ? places[place] : ''}.`,
  'final-proof': ({ place }) => `Final proof${place ? places[place] : ''}.`,
  heat: ({ celsius }) => `Heat the oven${celsius === undefined ? '' : ` to ${celsius} °C`}.`,
  bake: ({ minutes, celsius }) =>
    `Bake${celsius === undefined ? '' : ` at ${celsius} °C`}${lasts(minutes)}.`,
  cool: ({ minutes }) => `Let it cool${lasts(minutes)}.`,
};
const lasts = (minutes: number | undefined): string =>
  minutes === undefined ? '' : ` for ${minutes} minutes`;

/** A time, and a warmth, as a recipe writes them. */
const times =
  /(?:\d+(?:[.,]\d+)?\s*[¼½¾]?|[¼½¾]|half an?|an?|\w+(?:-\w+)?)(?:\s*(?:-|–|to)\s*\d+)?\s*(?:hours?(?: and a half)?|hrs?|h|minutes?|mins?|min)\b(?:\s*(?:and\s+)?\d+\s*min\w*)?/gi;
const warmths = /\d{3}(?:\s*\/\s*\d{3}\s*(?:fan)?)?\s*(?:(?:°|º|degrees?)\s*[CF]?|[CF]\b)?/g;

/** Texts with each of the matches replaced in turn. */
const replaced = (text: string, pattern: RegExp, by: string): string[] =>
  [...text.matchAll(pattern)].map(
    (m) => text.slice(0, m.index) + by + text.slice(m.index + m[0].length),
  );

/** Rows with one of them exchanged for others. */
const exchanged = (steps: readonly Step[], i: number, says: readonly string[]): Step[] => {
  const { stage } = steps[i]!;
  const rows = says.map((s): Step => ({ says: s, ...(stage ? { stage } : {}) }));
  return [...steps.slice(0, i), ...rows, ...steps.slice(i + 1)];
};

/** The same words with other figures. */
function otherFigures(steps: readonly Step[], kind: StepKindId, said: StepSaid): Step[][] {
  const rows = steps.flatMap((_, i) => (methodIn(steps.slice(0, i + 1)).steps[kind] ? [i] : []));
  return rows.slice(0, 1).flatMap((i) => {
    const { says } = steps[i]!;
    const timed =
      said.minutes === undefined ? [says] : replaced(says, times, `${said.minutes} minutes`);
    return timed.flatMap((text) =>
      (said.celsius === undefined ? [text] : replaced(text, warmths, `${said.celsius} °C`)).map(
        (t) => exchanged(steps, i, [t]),
      ),
    );
  });
}

const asSentence = (clause: string): string => {
  const text = clause.replace(/[.;,\s]+$/, '');
  return `${capital(text)}.`;
};

/** The clause that speaks of it exchanged for the sheet's own sentence, the others kept as sentences. */
function otherClause(steps: readonly Step[], sentence: string): Step[][] {
  return steps.flatMap(({ says }, i) => {
    const clauses = sentencesOf(says).flatMap((s) => clausesOf(s));
    return clauses.map((_, k) =>
      exchanged(
        steps,
        i,
        [...clauses.slice(0, k), sentence, ...clauses.slice(k + 1)].map(asSentence),
      ),
    );
  });
}

/** A row of its own, where it belongs by the order of work first. */
function ownRow(steps: readonly Step[], kind: StepKindId, sentence: string): Step[][] {
  const place = stepKindIds.indexOf(kind);
  const before = steps.findLastIndex((_, i) =>
    stepKindIds
      .slice(0, place)
      .some(
        (k) =>
          methodIn(steps.slice(0, i)).steps[k] === undefined &&
          methodIn(steps.slice(0, i + 1)).steps[k],
      ),
  );
  const at = [before + 1, ...Array.from({ length: steps.length + 1 }, (_, i) => i)];
  return at.map((i) => [...steps.slice(0, i), { says: sentence }, ...steps.slice(i)]);
}

const facts = ({ steps, pieces, folds }: Method, except: StepKindId): string =>
  JSON.stringify([
    stepKindIds
      .filter((k) => k !== except)
      .map((k) => steps[k] && [steps[k].process, steps[k].phases.length]),
    pieces,
    folds?.times,
    folds?.every,
  ]);

/**
 * A method in which a step is so long, so warm, or stands there: by other figures in the recipe's own words where they
 * allow it, else by a sentence in their place, else by a row of its own. What it says of all other steps stays.
 *
 * @param steps the method's rows
 * @param said what is written; what it leaves out stays as it was
 * @returns refused where the words cannot be changed without changing another step: then they are edited themselves
 * @example writeStep([{says: 'Bake at 220 °C for 35 minutes.'}], 'bake', {minutes: 40}) // [{says: 'Bake at 220 °C for 40 minutes.'}]
 */
export function writeStep(
  steps: readonly Step[],
  kind: StepKindId,
  said: StepSaid,
): readonly Step[] | Refused<'words'> {
  const before = methodIn(steps);
  const { minutes, celsius, place } = before.steps[kind]?.process ?? {};
  const kept = before.steps[kind]?.phases.length === 1 || !before.steps[kind];
  const whole: StepSaid = {
    ...(minutes === undefined ? {} : { minutes }),
    ...(celsius === undefined ? {} : { celsius }),
    ...(place === 'room' || place === 'fridge' || place === 'warm' ? { place } : {}),
    ...said,
  };
  const sentence = sentences[kind]?.(whole);
  const others = facts(before, kind);
  const isSo = (next: readonly Step[]): boolean => {
    const method = methodIn(next);
    const now = method.steps[kind]?.process;
    return (
      (said.minutes === undefined || (now?.minutes === said.minutes && !now.mostMinutes)) &&
      (said.celsius === undefined || now?.celsius === said.celsius) &&
      (said.place === undefined || now?.place === said.place) &&
      facts(method, kind) === others
    );
  };
  const found = [
    ...otherFigures(steps, kind, said),
    ...(sentence && kept ? otherClause(steps, sentence) : []),
    ...(sentence && !before.steps[kind] ? ownRow(steps, kind, sentence) : []),
  ].find(isSo);
  return (
    found ??
    refuse(
      'words',
      `The recipe says “${stepKinds[kind].label}” in words that a figure does not change: edit the words.`,
    )
  );
}
