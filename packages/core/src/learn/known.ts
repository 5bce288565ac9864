import { departure, doubtOf, thirstKey, type Belief } from '../belief/belief.ts';
import { cataloguePantry, type Pantry } from '../ingredient/pantry.ts';

/** What is known of one thirst: the catalogue's, and what bakes have made of it. */
export interface KnownThirst {
  readonly catalogue: { readonly thirst: number; readonly sd: number };
  readonly now: { readonly thirst: number; readonly sd: number };
  readonly bakes: number;
}

/**
 * What is known of the thirst of an ingredient, or of one bag of it.
 *
 * @example knownThirst({ingredient: 'bread-flour', bag: 'blue'}, beliefOfBlueBag).now.thirst // .605
 */
export function knownThirst(
  of: { readonly ingredient: string; readonly bag?: string },
  belief: Belief,
  pantry: Pantry = cataloguePantry,
): KnownThirst {
  const { value, sd } = pantry.stuff(of).thirst;
  const key = thirstKey(of);
  return {
    catalogue: { thirst: value, sd },
    now: { thirst: value + departure(belief, key), sd: doubtOf(belief, key, sd) },
    bakes: belief.bakes[key] ?? 0,
  };
}
