import type { Household } from '@tender-crumb/core/household';
import { ingredientFromLabel, type Bag, type Label } from '@tender-crumb/core/ingredient';
import type { Changed } from './kinds.ts';
import { withChanges, type Waiting } from './overlay.ts';

/** Own ingredients and bags with what was said of them here. */
export function withPantry<H extends Pick<Household, 'bags' | 'own'>>(
  household: H,
  waiting: Waiting,
): H {
  const bags = withChanges<Bag>(household.bags, waiting, 'bag');
  const labels = waiting.filter((e) => e.kind === 'own');
  if (bags === household.bags && labels.length === 0) return household;
  const own = labels.reduce((all, { body }) => {
    const { id, change } = body as Changed;
    // A label whole is what makes an ingredient; of one that is there, the server has the rest.
    if (Object.keys(change.was).length > 0) return all;
    return [
      ...all.filter((o) => o.id !== id),
      ingredientFromLabel(id, change.now as unknown as Label),
    ];
  }, household.own);
  return { ...household, bags, own };
}
