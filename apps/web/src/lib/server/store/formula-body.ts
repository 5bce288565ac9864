import { upgrade } from '@tender-crumb/core/exchange';
import type { Formula } from '@tender-crumb/core/formula';

/**
 * A formula from its stored body, in today's format: the one way from the store to a formula.
 *
 * @throws NewerFormat where a later version of the program wrote it
 */
export const formulaOf = (body: string): Formula => upgrade(JSON.parse(body));
