import { deviceFor } from '@tender-crumb/core/process';
import { shownText } from '../away/shown-text.ts';
import type { PlanData } from '../server/plan-data.ts';
import type { BenchShown } from '../server/shown/bench.ts';
import { outbox } from '../sync/here.ts';

/** What a plan has to know of the breads in it. */
export type OfBreads = Pick<PlanData, 'formulas' | 'versions' | 'devices'>;

export const ofNoBread: OfBreads = { formulas: {}, versions: {}, devices: {} };

/**
 * What this browser knows of breads that were planned on it and that the server has yet to say something of: as their
 * benches showed them last.
 *
 * @param plans of which formulas, by the ids of the planned bakes; of those whose bench was not opened here, nothing is known
 */
export async function breadsHere(
  plans: ReadonlyArray<{ readonly id: string; readonly formulaId: string }>,
): Promise<OfBreads> {
  const found = await Promise.all(
    plans.map(async ({ id, formulaId }) => {
      const place = shownText(`bench/${formulaId}`);
      const bench = (await outbox().keep.readText(place)) as BenchShown | undefined;
      if (!bench) return [];
      const { formula, version, made, household } = bench;
      return [{ id, formula, version, device: deviceFor(formula, made, household) }];
    }),
  );
  return {
    formulas: Object.fromEntries(found.flat().map((f) => [f.id, f.formula])),
    versions: Object.fromEntries(found.flat().map((f) => [f.id, f.version])),
    devices: Object.fromEntries(found.flat().map((f) => [f.id, f.device])),
  };
}
