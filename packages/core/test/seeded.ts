/** For tests that draw many households. */
export { seeded } from '../src/practice/chance.ts';
