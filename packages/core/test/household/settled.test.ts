import { expect } from 'chai';
import {
  defaultSettings,
  hasSettled,
  houseQuestionIds,
  settledWith,
  wantsFineScale,
  type Settings,
} from '@tender-crumb/core/household';
import { machines } from '@tender-crumb/core/machine';

describe('what a household is asked of itself', () => {
  it('is all open in a kitchen that said nothing', () => {
    expect(houseQuestionIds.filter((id) => hasSettled(id, defaultSettings))).to.deep.equal([]);
  });

  it('is settled by an answer, also by one that leaves the usual as it is', () => {
    for (const id of houseQuestionIds) {
      const settled = settledWith(id, defaultSettings);
      expect(houseQuestionIds.filter((of) => hasSettled(of, { ...defaultSettings, settled })))
        .to //
        .deep.equal([id]);
    }
    expect(settledWith('cup', { settled: ['scale', 'cup'] })).to.deep.equal(['scale', 'cup']);
  });

  it('is settled where it was set by hand', () => {
    const { writing, measures } = defaultSettings;
    const told: ReadonlyArray<readonly [of: string, Partial<Settings>]> = [
      ['degrees', { writing: { ...writing, temperature: 'F' } }],
      ['scale', { scaleStep: 0.1 }],
      ['cup', { measures: { ...measures, cup: 'imperial' } }],
      ['bakers', { people: 2 }],
      ['bakers', { bakers: [{ id: 'usual', name: 'Mill' }] }],
      [
        'machine',
        {
          appliances: [
            {
              id: 'b',
              kind: 'machine',
              name: 'Box',
              holds: 1,
              machine: machines['two-paddle'],
            },
          ],
        },
      ],
    ];
    for (const [of, change] of told)
      expect(
        houseQuestionIds.filter((id) => hasSettled(id, { ...defaultSettings, ...change })),
      ).to.deep.equal([of]);
  });

  it('leaves a mixer, and a machine of which nothing is told, open', () => {
    for (const kind of ['mixer', 'machine'] as const) {
      const one = { id: 'o', kind, name: 'One', holds: 1 };
      expect(hasSettled('machine', { ...defaultSettings, appliances: [one] })).to.equal(false);
    }
  });

  it('asks for a fine scale below five grams, not at five, and not of nothing', () => {
    expect([0, 0.2, 4.99, 5, 9].map(wantsFineScale)).to.deep.equal([
      false,
      true,
      true,
      false,
      false,
    ]);
  });
});
