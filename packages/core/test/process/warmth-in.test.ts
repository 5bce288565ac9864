import { expect } from 'chai';
import { processIn, writtenSteps } from '@tender-crumb/core/process';

describe('degrees of the oven are told from those of the bread', () => {
  const oven: ReadonlyArray<readonly [text: string, celsius: number | undefined]> = [
    ['Bake at 220 °C until 94 °C inside.', 220],
    ['Bake at 375 °F to an internal temperature of 190–200 °F.', 191],
    ['Bake 35 minutes, until the centre reads 94 °C (200 °F).', undefined],
    ['Bake until it is 94 °C inside.', undefined],
    ['Bake until the core temperature is 96 °C, about 40 minutes at 230 °C.', 230],
    ['Bake until a probe in the middle of the loaf reads 93 °C.', undefined],
    ['Bake until a thermometer registers 205°F.', undefined],
    ['Bake until it reaches 98 °C, about an hour.', undefined],
    ['Bake in the middle of the oven at 200 °C.', 200],
    ['Set the rack in the centre and heat the oven to 230 °C.', 230],
    ['Bake inside a lidded pot in the oven at 240 °C.', 240],
    ['Let it proof in the oven at 30 °C until doubled.', 30],
  ];
  for (const [text, celsius] of oven)
    it(`“${text}” heats the oven to ${celsius ?? 'nothing that it says'}`, () => {
      expect(processIn(text)?.celsius).to.equal(celsius);
    });

  it('ends by the core where the bread’s own degrees are said', () => {
    expect(processIn('Bake at 220 °C until 94 °C inside.')).to.deep.include({ end: 'core' });
    expect(processIn('Bake at 220 °C for 30 minutes.')).not.to.have.property('end');
  });

  it('a later sentence of the core does not become the oven’s', () => {
    const steps = [{ says: 'Bake for 40 minutes. Bake until 94 °C inside.' }];
    expect(writtenSteps({ steps }).bake?.process.celsius).to.equal(undefined);
  });
});
