import { expect } from 'chai';
import { changedSince } from '../src/lib/sync/fields.ts';

describe('what was written in a form', () => {
  const start = { name: '', spent: false, holds: ['gluten'] };

  it('is what differs from how it began', () => {
    expect(changedSince(start, { ...start, name: 'Blue sack' })).to.eql({ name: 'Blue sack' });
    expect(changedSince(start, { ...start, holds: [] })).to.eql({ holds: [] });
    expect(changedSince(start, { ...start, holds: ['gluten'] })).to.eql({});
  });

  it('is never another field, nor one of another shape', () => {
    const nonsense = { name: 7, spent: 'yes', holds: [1], of: 'elsewhere', toString: 'x' };
    expect(changedSince(start, nonsense)).to.eql({});
    for (const nothing of [undefined, null, 'text', 3]) {
      expect(changedSince(start, nothing)).to.eql({});
    }
  });
});
