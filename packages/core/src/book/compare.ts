import type { Household } from '../household/household.ts';
import { gramsText, percentText } from '../quantity/number.ts';
import { judgements } from '../bake/outcome.ts';
import { measureIds, measureOf, valueText } from './measures.ts';
import type { BakeRecord } from './record.ts';
import { flourName, traitIds, traitOf } from './traits.ts';

/** One thing that is not the same in bakes that stand side by side. */
export interface ComparedRow {
  readonly key: string;
  readonly says: string;
  readonly of: 'line' | 'work' | 'result';
  /** One for each bake; undefined where it has none of it. */
  readonly values: ReadonlyArray<string | undefined>;
}

/** Lines nearer than this are the same, % of the flour. Own choice, no source. */
const sameLine = 0.4;

const differ = (values: ReadonlyArray<string | undefined>): boolean => new Set(values).size > 1;

/** Lines of all bakes aligned by what they are of; what was weighed alike is left out. */
function lines(records: readonly BakeRecord[]): ComparedRow[] {
  const names = new Map(
    records.flatMap((r) => r.made.map((l) => [l.ingredient, l.of.name] as const)),
  );
  return [...names].flatMap(([ingredient, says]) => {
    const each = records.map(({ made, totals }) => {
      const own = made.filter((l) => l.ingredient === ingredient);
      const grams = own.reduce((sum, l) => sum + l.grams, 0);
      return own.length === 0 || !totals
        ? undefined
        : { grams, percent: (100 * grams) / totals.flourGrams };
    });
    const shares = each.map((e) => e?.percent ?? 0);
    if (Math.max(...shares) - Math.min(...shares) < sameLine) return [];
    return [
      {
        key: `line:${ingredient}`,
        says,
        of: 'line' as const,
        values: each.map((e) => e && `${gramsText(e.grams)} · ${percentText(e.percent)}`),
      },
    ];
  });
}

/** What was said of each as it came out, and what was noted on the way: of use where it is the same, too. */
function said(records: readonly BakeRecord[]): ComparedRow[] {
  const rows: ReadonlyArray<readonly [key: string, says: string, of: (r: BakeRecord) => string]> = [
    [
      'verdict',
      'verdict',
      ({ state: { outcome } }) =>
        outcome?.stars === undefined ? '' : (judgements[outcome.stars - 1] ?? ''),
    ],
    [
      'words',
      'what it was like',
      ({ state: { outcome } }) =>
        [
          ...(outcome?.words ?? []),
          ...(outcome?.crumb ?? []),
          ...(outcome?.crust ?? []),
          ...(outcome?.taste ?? []),
        ].join(', '),
    ],
    ['said', 'in your own words', ({ state: { outcome } }) => outcome?.note.trim() ?? ''],
    [
      'notes',
      'notes on the way',
      ({ state: { notes } }) => Object.values(notes).filter(Boolean).join(' · '),
    ],
  ];
  return rows.flatMap(([key, says, of]) => {
    const values = records.map((r) => of(r) || undefined);
    return values.some((v) => v !== undefined)
      ? [{ key, says, of: 'result' as const, values }]
      : [];
  });
}

/**
 * Bakes side by side: only what differs, what went in before what was done before what came out.
 *
 * @param records two to four of them
 * @example compareBakes([last, this], household).map((r) => r.says) // ['water', 'first rise', 'verdict']
 */
export function compareBakes(records: readonly BakeRecord[], household: Household): ComparedRow[] {
  const traits = traitIds.flatMap((id): ComparedRow[] => {
    const { of, says, named } = traitOf(id);
    const each = records.map((r) => of(r));
    const whats = new Set(each.flatMap((m) => [...m.keys()]));
    return [...whats].flatMap((what) => {
      const values = each.map((m) => m.get(what)).map((v) => v && named(v, household));
      const key = what === '' ? id : `${id}:${what}`;
      const called = what === '' ? says : `${says} of ${flourName(what)}`;
      return differ(values) ? [{ key, says: called, of: 'work' as const, values }] : [];
    });
  });
  const measured = measureIds.flatMap((id): ComparedRow[] => {
    const { of, says, sort, step, ofLine } = measureOf(id);
    if (ofLine) return [];
    const values = records.map((r) => of(r));
    const there = values.filter((v) => v !== undefined);
    if (there.length === 0) return [];
    const spread = Math.max(...there) - Math.min(...there);
    if (there.length === values.length && spread < step) return [];
    return [
      {
        key: id,
        says,
        of: sort === 'result' ? ('result' as const) : ('work' as const),
        values: values.map((v) => (v === undefined ? undefined : valueText(id, v))),
      },
    ];
  });
  const work = [...traits, ...measured.filter((r) => r.of === 'work')];
  // The verdict stands there in its word, and not as a figure too.
  const results = measured.filter((r) => r.of === 'result' && r.key !== 'stars');
  return [...lines(records), ...work, ...results, ...said(records)];
}
