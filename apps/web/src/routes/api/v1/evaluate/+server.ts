import {
  allLines,
  completeFormula,
  defaultHousehold,
  evaluate,
  nothingLearned,
  ownPrefix,
  readRecipe,
  type Formula,
  type Household,
  type ReadRecipe,
} from '@tender-crumb/core';
import { json } from '@sveltejs/kit';
import { evaluationAnswer, unreadAnswer } from '$lib/server/answer.ts';
import { readJson, readText } from '$lib/server/boundary/body.ts';
import { check } from '$lib/server/boundary/check.ts';
import { knownHere, sensibleFormula } from '$lib/server/boundary/known.ts';
import { evaluateQuery, formulaIn, type EvaluateQuery } from '$lib/server/boundary/schemas.ts';
import { kitchen } from '$lib/server/kitchen.ts';
import { Problem } from '$lib/server/problem.ts';
import { route } from '$lib/server/route.ts';
import { readHousehold } from '$lib/server/store/household.ts';

const householdOf = (query: EvaluateQuery): Household => ({
  ...defaultHousehold,
  measures: {
    ...defaultHousehold.measures,
    ...(query.cup && { cup: query.cup }),
    ...(query.tablespoon && { tablespoon: query.tablespoon }),
    ...(query.fill && { fill: query.fill }),
  },
  room: {
    ...(query.roomC !== undefined && { celsius: query.roomC }),
    ...(query.humidity !== undefined && { humidity: query.humidity / 100 }),
  },
});

/** Whether a formula names an ingredient of the household's own, so that the pantry is needed. */
const usesOwn = (formula: Formula): boolean =>
  allLines(formula).some((l) => l.ingredient.startsWith(ownPrefix)) ||
  formula.taken.some((t) => t.changes.some((c) => c.ingredient.startsWith(ownPrefix)));

/** Faults of an amount, not of the reader: the writer should hear of them at once. */
const refused = new Set(['negative', 'absurd', 'too-long']);

async function readFormula(
  request: Request,
  query: EvaluateQuery,
  household: Household,
): Promise<ReadRecipe> {
  const type = request.headers.get('content-type') ?? '';
  if (/^text\/plain\b/i.test(type)) {
    const text = await readText(request);
    const read = readRecipe(text, household.measures, query.style, household.figures);
    const faults = read.unread.filter((u) => refused.has(u.code));
    if (faults.length > 0) {
      throw new Problem(
        422,
        'An amount that cannot be',
        faults.slice(0, 20).map((u) => ({ where: `line ${u.line}`, what: u.says })),
        { unread: unreadAnswer(read.unread.slice(0, 200)) },
      );
    }
    return read;
  }
  if (/json/i.test(type)) {
    const body = sensibleFormula(formulaIn(await readJson(request), 'body'));
    const complete = completeFormula(body, query.style);
    const formula = query.style ? { ...complete, style: query.style } : complete;
    return { formula, unread: [], assumptions: [] };
  }
  throw new Problem(415, 'A recipe is expected', [
    { where: 'content-type', what: 'send text/plain (a recipe) or application/json (a formula)' },
  ]);
}

export const POST = route(async ({ request, url }) => {
  const query = check(evaluateQuery, Object.fromEntries(url.searchParams), 'query');
  const household = householdOf(query);
  const { formula, unread, assumptions } = await readFormula(request, query, household);
  const own = usesOwn(formula) ? await readHousehold(await kitchen()) : undefined;
  const here = own ? { ...household, own: own.own, figures: own.figures } : household;
  const evaluation = evaluate(knownHere(formula, here), here, nothingLearned);
  if (!evaluation) {
    const faults = unread.map((u) => ({ where: `line ${u.line}`, what: `${u.text}: ${u.says}` }));
    throw new Problem(
      422,
      'There is no flour in it, so that there is no 100 %',
      [{ where: 'body', what: 'nothing in it counts as flour' }, ...faults.slice(0, 20)],
      { unread: unreadAnswer(unread) },
    );
  }
  return json(evaluationAnswer(formula, evaluation, unread, assumptions));
});
