import { noFlour, unknownState } from '@tender-crumb/core/dough';
import type { Evaluation } from '@tender-crumb/core/evaluate';
import type { ReadRecipe } from '@tender-crumb/core/reader';

/** Lines that could not be read, in the words of the API. */
const unreadAnswer = (unread: ReadRecipe['unread']) =>
  unread.map(({ line, text, says, might }) => ({ line, text, why: says, might }));

/** What was read of a text in which no flour was found: its level cannot be told. */
export const untoldAnswer = (
  formula: ReadRecipe['formula'],
  unread: ReadRecipe['unread'],
  assumptions: ReadRecipe['assumptions'],
) => ({
  formula,
  level: {
    state: unknownState.id,
    points: null,
    why: noFlour.code,
    ask:
      unread.length > 0
        ? 'No flour was found: it may be among the lines that were not read.'
        : noFlour.says,
  },
  corrections: [],
  cautions: [],
  unread: unreadAnswer(unread),
  assumptions,
});

/** An evaluation in the words of the API. Grams as numbers, percentages of total flour. */
export const evaluationAnswer = (
  formula: ReadRecipe['formula'],
  evaluation: Evaluation,
  unread: ReadRecipe['unread'] = [],
  assumptions: ReadRecipe['assumptions'] = [],
) => {
  const { totals, level, state, window, corrections, cautions } = evaluation;
  return {
    formula,
    totals: {
      flourGrams: totals.flourGrams,
      pouredWaterGrams: totals.pouredWaterGrams,
      effectiveWaterGrams: totals.effectiveWaterGrams,
      doughGrams: totals.doughGrams,
      hydrationTotalFlour: totals.hydrationTotalFlour,
      hydrationAddedFlour: totals.hydrationAddedFlour,
      effectiveHydration: totals.effectiveHydration,
      saltPercent: totals.saltPercent,
      prefermentedFlourPercent: totals.prefermentedFlourPercent,
      proteinPercent: totals.proteinPercent,
    },
    level: {
      points: level.points,
      low: level.low,
      high: level.high,
      early: level.early,
      state: state.id,
      window,
    },
    corrections: corrections.map((correction) => ({
      kind: correction.kind,
      ingredient: correction.ingredient,
      grams: correction.grams,
      spoons: correction.spoons,
      reason: correction.reason,
      basis: correction.basis,
      certainty: correction.certainty,
      alongside: correction.changes
        .slice(1)
        .map(({ ingredient, grams }) => ({ ingredient, grams })),
    })),
    cautions,
    unread: unreadAnswer(unread),
    assumptions,
  };
};
