import { expect } from 'chai';
import { readdirSync } from 'node:fs';
import { resolve } from 'node:path';
import { listFeedings } from '../src/lib/server/store/feedings.ts';
import { readHousehold } from '../src/lib/server/store/household.ts';
import { readKitchens } from '../src/lib/server/store/kitchens.ts';
import { TestFolder } from './kitchen.ts';

describe('kitchens of bakes from before their ovens were kept', () => {
  for (const name of readdirSync(resolve('apps/web/test/fixtures')).filter((n) =>
    n.endsWith('.db'),
  ))
    it(`${name}: they had the ovens that the house tells of today, and no bake lost its kitchen`, async () => {
      const folder = new TestFolder().from(name);
      try {
        const db = await folder.open();
        const { appliances } = await readHousehold(db);
        const told = appliances.flatMap(({ id, kind, offset }) =>
          kind === 'oven' && offset !== undefined ? [[id, offset]] : [],
        );
        const kitchens = await readKitchens(db);
        for (const { ovens } of kitchens.values())
          expect(ovens).to.deep.equal(Object.fromEntries(told));
        const bakes = await db.selectFrom('bake').select('kitchen_id').execute();
        for (const { kitchen_id: id } of bakes)
          expect(kitchens.has(id!), String(id)).to.equal(true);
      } finally {
        await folder.end();
      }
    });

  it('tenth-2026-11.db: two ovens, one told to be too cool; four bakes, and a starter’s feeding with its peak', async () => {
    const folder = new TestFolder().from('tenth-2026-11.db');
    try {
      const db = await folder.open();
      const [kitchen] = [...(await readKitchens(db)).values()];
      expect(kitchen!.ovens).to.deep.equal({ range: -20 });
      expect(await db.selectFrom('bake').selectAll().execute()).to.have.length(4);
      const [jar] = Object.values(await listFeedings(db));
      expect(jar).to.deep.equal([
        {
          id: 'f1',
          at: '2026-11-20T20:00:00Z',
          seed: 20,
          flour: 50,
          water: 50,
          peakAt: '2026-11-21T04:00:00Z',
        },
      ]);
    } finally {
      await folder.end();
    }
  });
});
