import {
  formatIds,
  formats,
  formulaText,
  toSend,
  type Format,
  type Labelled,
} from '@tender-crumb/core/exchange';
import { download } from '../ui/download.ts';
import type { Bench } from './bench.svelte.ts';

/** A recipe as text, as somebody reads it. */
export const asText = ({ formula, view, household }: Bench): string =>
  formulaText(formula, view.pantry, household.percentages);

/**
 * Hands the recipe out as a file.
 *
 * @returns what became of it, in words
 */
function handOut(bench: Bench, labels: readonly Labelled[], { ending, type, write }: Format) {
  const { formula, view, household } = bench;
  const { bags, each, percentages } = household;
  const { file, leftOut } = toSend(formula, { bags, each, labels });
  const text =
    ending === formats.json.ending
      ? JSON.stringify(file, null, 2)
      : write(formula, view.pantry, percentages);
  const name = formula.name.replace(/[^\p{L}\p{N} -]+/gu, '').trim() || 'formula';
  download(`${name}.${ending}`, type, text);
  return leftOut.length > 0
    ? `Saved as a file. It opens in any kitchen: ${leftOut.join(', ')} ${leftOut.length === 1 ? 'stays' : 'stay'} here; the file names the flour instead.`
    : 'Saved as a file.';
}

/** Each way of writing it down, with what hands it out so. */
export const waysOut = (
  bench: Bench,
  labels: readonly Labelled[],
): ReadonlyArray<{ readonly says: string; go(): string }> =>
  formatIds.map((id) => ({
    says: formats[id].label,
    go: () => handOut(bench, labels, formats[id]),
  }));
