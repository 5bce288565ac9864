import { comesThrough, olderKitchens, telling } from './older-kitchens.ts';

describe('kitchens of every version before', () => {
  for (const name of olderKitchens.filter((n) => !telling.includes(n)))
    it(`${name}: everything of it goes out, passes the description of today, and comes into an empty kitchen`, () =>
      comesThrough(name)).timeout(60_000);
});
