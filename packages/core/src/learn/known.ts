import { departure, doubtOf, absorptionKey, type Belief } from '../belief/belief.ts';
import { cataloguePantry, type Pantry } from '../ingredient/pantry.ts';

/** What is known of one absorption: the catalogue's, and what bakes have made of it. */
export interface KnownAbsorption {
  readonly catalogue: { readonly absorption: number; readonly sd: number };
  readonly now: { readonly absorption: number; readonly sd: number };
  readonly bakes: number;
}

/**
 * What is known of the absorption of an ingredient, or of one bag of it.
 *
 * @example knownAbsorption({ingredient: 'bread-flour', bag: 'blue'}, beliefOfBlueBag).now.absorption // .605
 */
export function knownAbsorption(
  of: { readonly ingredient: string; readonly bag?: string },
  belief: Belief,
  pantry: Pantry = cataloguePantry,
): KnownAbsorption {
  const { value, sd } = pantry.stuff(of).absorption;
  const key = absorptionKey(of);
  return {
    catalogue: { absorption: value, sd },
    now: { absorption: value + departure(belief, key), sd: doubtOf(belief, key, sd) },
    bakes: belief.bakes[key] ?? 0,
  };
}
