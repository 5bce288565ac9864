import { expect } from 'chai';
import { defaultHousehold } from '@tender-crumb/core/household';
import { machines, type Appliance, type DeviceId } from '@tender-crumb/core/machine';
import { deviceFor } from '@tender-crumb/core/process';
import { build } from '../build.ts';

const plain = build({ 'bread-flour': 500, water: 310 });
const saying = (...steps: string[]) => ({ ...plain, steps: steps.map((says) => ({ says })) });
const withMachine = {
  ...defaultHousehold,
  appliances: [
    {
      id: 'm',
      kind: 'machine',
      name: 'Ours',
      holds: 1,
      machine: { ...machines['two-paddle']!, loading: 'dry-first' },
    },
  ] as unknown as readonly Appliance[],
};
const ovenOnly = {
  ...defaultHousehold,
  appliances: [{ id: 'o', kind: 'oven', name: 'Range', holds: 1 }] as readonly Appliance[],
};

describe('in what a bread is made until somebody says otherwise', () => {
  it('by hand, where nobody said anything', () => {
    expect(deviceFor(plain)).to.equal('hand');
    expect(deviceFor(plain, {}, withMachine)).to.equal('hand');
  });

  it('as was chosen on the formula, before all else', () => {
    const chosen = { ...saying('Knead by hand for 10 minutes.'), device: 'mixer' };
    expect(deviceFor(chosen, { last: 'hand', lately: ['hand'] })).to.equal('mixer');
    expect(deviceFor({ ...plain, device: 'liquids-first' }, {}, ovenOnly)).to.equal(
      'liquids-first',
    );
  });

  const said: ReadonlyArray<readonly [text: string, device: DeviceId]> = [
    ['Knead by hand for 10 minutes.', 'hand'],
    ['Turn out onto a floured surface and knead until smooth.', 'hand'],
    ['Stir everything together without kneading.', 'hand'],
    ['Mix with a dough hook for 8 minutes.', 'mixer'],
    ['Put it all into the bread machine and start the basic programme.', 'liquids-first'],
  ];
  for (const [text, device] of said)
    it(`“${text}” says ${device}, against the last bake and the habit`, () => {
      const other = device === 'mixer' ? 'hand' : 'mixer';
      expect(deviceFor(saying(text), { last: other, lately: [other] })).to.equal(device);
    });

  it('a recipe that leaves the choice decides nothing', () => {
    const either = saying('Knead by hand or with a mixer for 10 minutes.');
    expect(deviceFor(either)).to.equal('hand');
    expect(deviceFor(either, { last: 'mixer' })).to.equal('mixer');
  });

  it('the last bake of it goes before the habit of the house, the habit before nothing', () => {
    expect(deviceFor(plain, { last: 'hand', lately: ['mixer', 'mixer'] })).to.equal('hand');
    expect(deviceFor(plain, { lately: ['hand', 'mixer', 'mixer'] })).to.equal('mixer');
    expect(deviceFor(plain, { lately: ['hand', 'mixer'] })).to.equal('hand');
  });

  it('a machine that the kitchen does not have is not taken for granted; its own order of loading is', () => {
    const before = { last: 'liquids-first', lately: ['liquids-first', 'mixer'] } as const;
    expect(deviceFor(plain, before)).to.equal('mixer');
    expect(deviceFor(plain, before, ovenOnly)).to.equal('mixer');
    expect(deviceFor(plain, before, withMachine)).to.equal('liquids-first');
    const inMachine = saying('Into the bread machine.');
    expect(deviceFor(inMachine, {}, ovenOnly)).to.equal('hand');
    expect(deviceFor(inMachine, {}, withMachine)).to.equal('dry-first');
  });
});
