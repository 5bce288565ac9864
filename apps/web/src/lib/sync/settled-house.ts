import type { Household } from '@tender-crumb/core/household';
import { withPantry } from './pantry-overlay.ts';
import { sync } from './sync.svelte.ts';

/** A household as the server has it, with what was said of it here and is not there yet: pages that know flours ask here. */
export const settledHouse = (household: Household): Household =>
  withPantry(sync.settled(household), sync.said);
