import { asLikely, evaluate, type LikelyStyle } from '@tender-crumb/core/evaluate';
import { completeFormula } from '@tender-crumb/core/exchange';
import { allLines, type Formula } from '@tender-crumb/core/formula';
import { nothingLearned } from '@tender-crumb/core/belief';
import { defaultHousehold, type Household } from '@tender-crumb/core/household';
import { ownPrefix } from '@tender-crumb/core/ingredient';
import { readRecipe, type ReadRecipe } from '@tender-crumb/core/reader';
import { json } from '@sveltejs/kit';
import { evaluationAnswer, untoldAnswer } from '$lib/server/answer.ts';
import { readJson, readText } from '$lib/server/boundary/body.ts';
import { check } from '$lib/server/boundary/check.ts';
import { boundHere, knownHere, sensibleFormula } from '$lib/server/boundary/known.ts';
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

async function readFormula(
  request: Request,
  query: EvaluateQuery,
  household: Household,
): Promise<ReadRecipe & { styled: boolean }> {
  const type = request.headers.get('content-type') ?? '';
  if (/^text\/plain\b/i.test(type)) {
    const text = await readText(request);
    const read = readRecipe(text, {
      measures: household.measures,
      ...(query.style ? { style: query.style } : {}),
      ...(query.recipe === undefined ? {} : { which: query.recipe - 1 }),
    });
    if (text.trim() === '' || read.rows.length === 0) {
      throw new Problem(422, 'There is no text in it', [
        { where: 'body', what: 'nothing to read' },
      ]);
    }
    return { ...read, styled: query.style !== undefined || read.style !== undefined };
  }
  if (/json/i.test(type)) {
    const body = sensibleFormula(formulaIn(await readJson(request), 'body'));
    const complete = completeFormula(body, query.style);
    const formula = query.style ? { ...complete, style: query.style } : complete;
    const styled = (query.style ?? body.style) !== undefined;
    return {
      formula,
      rows: [],
      unread: [],
      assumptions: [],
      recipes: [],
      sizes: [],
      disagrees: [],
      styled,
    };
  }
  throw new Problem(415, 'A recipe is expected', [
    { where: 'content-type', what: 'send text/plain (a recipe) or application/json (a formula)' },
  ]);
}

/** What is next to impossible is not told. */
const told = ({ style, because, probability, others }: LikelyStyle) => ({
  ...{ style, because, probability, others },
});

export const POST = route(async ({ request, url }) => {
  const query = check(evaluateQuery, Object.fromEntries(url.searchParams), 'query');
  const household = householdOf(query);
  const {
    formula: given,
    unread,
    assumptions,
    styled,
  } = await readFormula(request, query, household);
  const bound = given.stages.some((s) => s.bag !== undefined || s.lines.some((l) => l.bag));
  const own = bound || usesOwn(given) ? await readHousehold(await kitchen()) : undefined;
  const here = own
    ? { ...household, own: own.own, figures: own.figures, bags: own.bags }
    : household;
  const known = boundHere(knownHere(given, here), here);
  // What nobody said, the formula itself says best.
  const likely = styled ? undefined : asLikely(known, here, nothingLearned);
  const formula = likely?.formula ?? known;
  const evaluation = evaluate(formula, here, nothingLearned);
  if (!evaluation) return json(untoldAnswer(formula, unread, assumptions));
  return json({
    ...evaluationAnswer(formula, evaluation, unread, assumptions),
    ...(likely ? { likelyStyle: told(likely.likely) } : {}),
  });
});
