import { mainStage, stagesOf, type Formula } from '../formula/formula.ts';
import type { FormulaJson, FormulaJson1 } from './formula-shape.ts';

/**
 * A formula of the first version in the words of the second: *slip* has become *correction*.
 *
 * @example upgrade1({stages: [{lines: []}], taken: []}).format // 'tender-crumb/formula-2'
 */
export const upgrade1 = (json: FormulaJson1): FormulaJson => ({
  ...json,
  format: 'tender-crumb/formula-2',
  taken: json.taken?.map(({ id, slip, ...rest }) => ({ id, correction: slip, ...rest })),
});

/** A formula that was written by a version that is yet to come. */
export class NewerFormat extends RangeError {
  constructor(format: string) {
    super(`“${format}” is a format of a newer version`);
  }
}

/**
 * A formula as it stood in a store, in today's format. Every read goes through here. In the first format
 * a change whose stage was nowhere worked in the main stage: now it stands there.
 *
 * @param stored whole, as any version of the program wrote it
 * @throws NewerFormat where a later version wrote it
 * @example upgrade(JSON.parse(body)).format // 'tender-crumb/formula-2'
 */
export function upgrade(stored: unknown): Formula {
  const { format } = stored as { format: string };
  if (format === 'tender-crumb/formula-2') return stored as Formula;
  if (format !== 'tender-crumb/formula-1') throw new NewerFormat(format);
  const formula = upgrade1(stored as FormulaJson1) as Formula;
  const known = new Set(stagesOf(formula).map((s) => s.id));
  const main = mainStage(formula).id;
  return {
    ...formula,
    taken: formula.taken.map((t) =>
      t.changes.every((c) => known.has(c.stage))
        ? t
        : {
            ...t,
            changes: t.changes.map((c) => (known.has(c.stage) ? c : { ...c, stage: main })),
          },
    ),
  };
}
