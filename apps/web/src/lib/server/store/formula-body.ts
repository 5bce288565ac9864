import { upgrade, type Formula } from '@tender-crumb/core';

/**
 * A formula from its stored body, in today's format: the one way from the store to a formula.
 *
 * @throws NewerFormat where a later version of the program wrote it
 */
export const formulaOf = (body: string): Formula => upgrade(JSON.parse(body));
