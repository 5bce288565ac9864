import { formulaFormat, type Formula } from '../formula/formula.ts';
import { plainName } from '../quantity/plain-name.ts';
import type { Refusal } from '../quantity/refusal.ts';
import { usualStyle, type StyleId } from '../style/style.ts';
import { formatLimits } from './format-limits.ts';
import type { FormulaJson } from './formula-shape.ts';

/** A formula that is larger than a kitchen's, or that speaks of what is not in it: the field is a path. */
type FormulaProblem = Refusal<'too-many' | 'unknown-stage' | 'unknown-line'> & {
  readonly field: string;
};

/** Every name of a stage or line in a formula, with its path. */
function* mentions(
  json: FormulaJson,
): Generator<{ readonly of: 'stage' | 'line'; readonly id: string; readonly field: string }> {
  for (const [i, { changes }] of (json.taken ?? []).entries()) {
    for (const [j, { stage }] of changes.entries()) {
      yield { of: 'stage', id: stage, field: `taken[${i}].changes[${j}].stage` };
    }
  }
  for (const [i, { stage }] of (json.steps ?? []).entries()) {
    if (stage !== undefined) yield { of: 'stage', id: stage, field: `steps[${i}].stage` };
  }
  for (const [i, { stage, after }] of (json.unread ?? []).entries()) {
    if (stage !== undefined) yield { of: 'stage', id: stage, field: `unread[${i}].stage` };
    if (after !== undefined) yield { of: 'line', id: after, field: `unread[${i}].after` };
  }
}

const idsIn = (parts: ReadonlyArray<{ readonly id?: string }>): Set<string | undefined> =>
  new Set(parts.map((p) => p.id));

/**
 * What a shape cannot say of a formula: sums over its parts, and that what it names is in it.
 *
 * @param json of the format's shape
 * @example formulaProblems({stages: [{lines: [{ingredient: 'water', grams: 1}]}]}) // []
 */
export function formulaProblems(json: FormulaJson): FormulaProblem[] {
  const lines = json.stages.reduce((sum, s) => sum + s.lines.length, 0);
  const changes = (json.taken ?? []).reduce((sum, t) => sum + t.changes.length, 0);
  const problems: FormulaProblem[] = [];
  const tooMany = (field: string, has: string, most: number) =>
    problems.push({ code: 'too-many', field, says: `has ${has}, and ${most} are the most` });
  if (lines > formatLimits.allLines) tooMany('stages', `${lines} lines`, formatLimits.allLines);
  if (changes > formatLimits.allChanges) {
    tooMany('taken', `${changes} changes`, formatLimits.allChanges);
  }
  const known = {
    stage: idsIn([...json.stages, ...(json.taken ?? []).flatMap((t) => t.stages ?? [])]),
    line: idsIn(json.stages.flatMap((s) => s.lines)),
  };
  // A formula whose stages have no ids yet gets s1, s2 … in their order.
  json.stages.forEach((s, i) => s.id ?? known.stage.add(`s${i + 1}`));
  for (const { of, id, field } of mentions(json)) {
    if (!known[of].has(id)) {
      problems.push({ code: `unknown-${of}`, field, says: `there is no ${of} “${id}” in it` });
    }
  }
  return problems;
}

/** The first of prefix1, prefix2 … that is not taken; takes it. */
function freeId(prefix: string, used: Set<string>): string {
  let n = 1;
  while (used.has(`${prefix}${n}`)) n += 1;
  used.add(`${prefix}${n}`);
  return `${prefix}${n}`;
}

/** Keeps an id that is given and not used before, or else finds a free one. */
function ownId(
  given: string | undefined,
  prefix: string,
  used: Set<string>,
  seen: Set<string>,
): string {
  if (given === undefined || seen.has(given)) return freeId(prefix, used);
  seen.add(given);
  return given;
}

/**
 * Fills in what a formula in the JSON format left unsaid. Ids that stand twice are made distinct.
 *
 * @param json of the format's shape
 * @example completeFormula({stages: [{lines: [{ingredient: 'bread-flour', grams: 500}]}]}).style // 'pan'
 */
export function completeFormula(json: FormulaJson, style: StyleId = usualStyle): Formula {
  const lineIds = new Set(json.stages.flatMap((s) => s.lines.flatMap((l) => l.id ?? [])));
  const stageIds = new Set(json.stages.flatMap((s) => s.id ?? []));
  const seenLines = new Set<string>();
  const seenStages = new Set<string>();
  const { format, stages, taken, left, name, style: own, ...rest } = json;
  void format;
  return {
    format: formulaFormat,
    name: (name && plainName(name)) || 'Formula',
    style: own ?? style,
    stages: stages.map((s) => ({
      ...s,
      id: ownId(s.id, 's', stageIds, seenStages),
      kind: s.kind ?? 'dough',
      name: s.name ?? (s.kind && s.kind !== 'dough' ? s.kind : 'Dough'),
      lines: s.lines.map((l) => ({
        ...l,
        id: ownId(l.id, 'l', lineIds, seenLines),
        measured: l.measured ?? 'scale',
      })),
    })),
    taken: (taken ?? []).map((t) => ({ ...t, reason: t.reason ?? '', basis: t.basis ?? '' })),
    left: left ?? [],
    ...rest,
  };
}
