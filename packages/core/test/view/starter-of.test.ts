import { expect } from 'chai';
import { defaultHousehold } from '@tender-crumb/core/household';
import type { Bag } from '@tender-crumb/core/ingredient';
import { isRefused } from '@tender-crumb/core/quantity';
import { starterOf } from '@tender-crumb/core/view';

const at = (hour: number) => new Date(Date.UTC(2026, 10, 26, hour)).toISOString();
const rye: Bag = { id: 'rye', kind: 'starter', name: 'Rye', ingredient: 'rye-whole' };

describe('a starter as it is shown', () => {
  const given = {
    bag: { ...rye, keptAt: 'fridge' } as const,
    feedings: [],
    household: defaultHousehold,
    paces: {},
    now: at(8),
  };
  const asked = { want: 100, keep: 20, at: at(20), builds: 1 };
  const refusal = (over: Partial<typeof asked> | { at: undefined; want?: number }) => {
    const { ahead } = starterOf({ ...given, asked: { ...asked, ...over } });
    return isRefused(ahead) ? ahead.refused.code : undefined;
  };

  it('stands by its last feeding, else by its day’s noon, else nobody knows', () => {
    expect(starterOf(given).standing).to.equal(undefined);
    const dated = { ...given, bag: { ...given.bag, fedOn: '2026-11-25' } };
    expect(starterOf(dated).fedAt).to.equal('2026-11-25T12:00:00Z');
    expect(starterOf(dated).standing?.label).to.equal('ripe');
    const feeding = { id: 'f', at: at(7), seed: 10, flour: 50, water: 50 };
    expect(starterOf({ ...dated, feedings: [feeding] }).standing?.label).to.equal('rising');
  });

  it('says what to feed and when, or why that cannot be', () => {
    const { ahead } = starterOf({ ...given, asked });
    if (isRefused(ahead)) throw new Error(ahead.refused.says);
    expect(ahead.map((b) => b.moment)).to.deep.equal([at(8)]);
    expect(ahead[0]!.seed + ahead[0]!.flour + ahead[0]!.water).to.be.closeTo(120, 0.01);
    expect(refusal({ want: 0 })).to.equal('beyond');
    expect(refusal({ want: 20_001 })).to.equal('beyond');
    expect(refusal({ want: 20_000 })).to.equal(undefined);
    expect(refusal({ keep: -1 })).to.equal('beyond');
    expect(refusal({ at: undefined })).to.equal('no-time');
    expect(refusal({ at: at(8) })).to.equal('past');
    expect(refusal({ at: at(10) })).to.equal('too-short');
  });
});
