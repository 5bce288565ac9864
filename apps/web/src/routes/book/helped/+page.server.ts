import { bakeRecord, helped, judgedBy, turnOf, type BakeRecord } from '@tender-crumb/core/book';
import { windowIn } from '@tender-crumb/core/dough';
import { kitchenOf } from '@tender-crumb/core/belief';
import { forBread } from '@tender-crumb/core/learn';
import { saidInUrl } from '$lib/server/boundary/said-in-url.ts';
import { kitchen } from '$lib/server/kitchen.ts';
import { bookAsked } from '$lib/server/boundary/book-query.ts';
import { bookEntries } from '$lib/server/store/book-entries.ts';
import { breadsOfBook } from '$lib/server/store/book-list.ts';
import { readBelief } from '$lib/server/store/belief.ts';
import { readFormula } from '$lib/server/store/formulas.ts';
import { readHousehold } from '$lib/server/store/household.ts';
import type { PageServerLoad } from './$types';

/** Older ones were baked in another house, with another hand. */
const newest = 80;
/** So many changes are told, the surest first. */
const told = 8;

/** A judged loaf where its dough was felt. */
const lookOf = ({ id, circumstances, lesson, state }: BakeRecord) =>
  lesson?.felt === undefined || state.outcome?.stars === undefined || state.counts === false
    ? []
    : [{ id, day: circumstances.day, felt: lesson.felt, stars: state.outcome.stars }];

export const load: PageServerLoad = async ({ url }) => {
  const db = await kitchen();
  const wished = bookAsked(url.searchParams).formula;
  const find = saidInUrl(url, 'find');
  const breads = await breadsOfBook(db, { find, also: wished ? [wished] : [] });
  const bread = (breads.rows.find((b) => b.id === wished) ?? breads.rows[0])?.id;
  const [entries, household, { belief }] = await Promise.all([
    bread === undefined ? [] : bookEntries(db, { bread, newest }),
    readHousehold(db),
    readBelief(db),
  ]);
  const records = entries.map((e) => bakeRecord(e, household));
  const last = records.at(-1);
  const there = judgedBy(records);
  const by = there.find((id) => id === url.searchParams.get('by')) ?? there[0];
  const head = bread === undefined ? undefined : await readFormula(db, bread);
  const asked = head?.formula.asked;
  const result = by && helped(records, by, household, asked?.by === by ? asked : undefined);
  return {
    breads,
    find,
    bread,
    bakes: records.length,
    there,
    ...(head ? { head: { version: head.version, formula: head.formula } } : {}),
    ...(asked ? { turn: turnOf(asked, records, household) } : {}),
    today: household.today,
    ...(result ? { result: { ...result, effects: result.effects.slice(0, told) } } : {}),
    looks: records.flatMap(lookOf),
    ...(last
      ? {
          style: last.formula.style,
          wanted: windowIn(
            last.formula.style,
            last.lesson?.dryness ?? 0,
            kitchenOf(household, forBread(belief, bread)),
          ),
        }
      : {}),
  };
};
