import { expect } from 'chai';
import { machines, withMachine, type Appliance } from '@tender-crumb/core/machine';

describe('a bread machine that a kitchen tells of', () => {
  const oven: Appliance = { id: 'o', kind: 'oven', name: 'Oven', holds: 1 };
  const untold: Appliance = { id: 'm', kind: 'machine', name: 'The old one', holds: 2 };

  it('is one more thing beside what is there', () => {
    const [first, second, ...more] = withMachine([oven], machines.upright, 'new');
    expect(first).to.equal(oven);
    expect(second).to.include({ id: 'new', kind: 'machine', machine: machines.upright });
    expect(more).to.deep.equal([]);
  });

  it('is the one that stands there untold, under its own name', () => {
    expect(withMachine([untold, oven], machines.upright, 'new')).to.deep.equal([
      { ...untold, machine: machines.upright },
      oven,
    ]);
  });

  it('is not the one of which all is told', () => {
    const told = { ...untold, machine: machines['two-paddle'] };
    const has = withMachine([told], machines.upright, 'new');
    expect(has[0]).to.equal(told);
    expect(has).to.have.length(2);
  });
});
