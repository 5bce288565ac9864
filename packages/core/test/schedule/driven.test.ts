import { expect } from 'chai';
import { driven } from './driven.ts';
import { fortyPlans } from './forty-plans.ts';

describe('forty plans, begun and driven to their end by a kitchen that is never quite as foreseen', () => {
  for (const plan of fortyPlans) it(plan.what, () => expect(driven(plan, 7)).to.deep.equal([]));
});
