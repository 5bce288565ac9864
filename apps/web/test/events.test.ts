import { expect } from 'chai';
import {
  bakeEventKinds,
  eventKinds,
  leastGrams,
  mostGrams,
  outcomeWords,
  type Field,
} from '@tender-crumb/core';
import { eventsBody } from '../src/lib/server/boundary/schemas.ts';

/** Values that a field just takes, and values that it just does not. */
function edges(field: Field): { taken: unknown[]; refused: unknown[] } {
  switch (field.kind) {
    case 'text':
      return { taken: ['', 'x'.repeat(field.most)], refused: ['x'.repeat(field.most + 1), 7] };
    case 'id':
      return { taken: ['a', 'A-z_9'.repeat(16)], refused: ['', 'a b', 'x'.repeat(81)] };
    case 'ingredient':
      return { taken: ['water', 'own-bean-flour'], refused: ['sand', '', 3] };
    case 'grams':
      return {
        taken: [0, leastGrams, mostGrams],
        refused: [leastGrams * 0.99, mostGrams + 1, -leastGrams, '1 g'],
      };
    case 'number': {
      const step = field.whole ? 1 : 1e-6;
      return {
        taken: [field.least, field.most],
        refused: [
          field.least - step,
          field.most + step,
          ...(field.whole ? [field.least + 0.5] : []),
          NaN,
        ],
      };
    }
    case 'flag':
      return { taken: [true, false], refused: [1, 'perhaps'] };
    case 'words':
      return {
        taken: [[], [...field.of]],
        refused: [['no such word'], [...field.of, field.of[0]], field.of[0]],
      };
  }
}

const usual = (shape: Readonly<Record<string, Field>>) =>
  Object.fromEntries(Object.entries(shape).map(([name, field]) => [name, edges(field).taken[0]]));
const accepts = (kind: string, data: unknown) =>
  eventsBody.validate({ events: [{ id: 'e', at: '2026-05-01T08:00:00Z', kind, data }] }).error ===
  undefined;

describe('an event at the door', () => {
  for (const kind of bakeEventKinds) {
    const { shape } = eventKinds[kind] as { shape: Readonly<Record<string, Field>> };

    it(`${kind}: every field up to its edge and not beyond, and no other field`, () => {
      expect(accepts(kind, usual(shape))).to.equal(true);
      expect(accepts(kind, { ...usual(shape), more: 1 })).to.equal(false);
      expect(accepts(kind, undefined)).to.equal(false);
      for (const [name, field] of Object.entries(shape)) {
        const { taken, refused } = edges(field);
        const at = (value: unknown) => accepts(kind, { ...usual(shape), [name]: value });
        for (const value of taken) expect(at(value), `${name} ${String(value)}`).to.equal(true);
        for (const value of refused) expect(at(value), `${name} ${String(value)}`).to.equal(false);
        expect(at(undefined), `without ${name}`).to.equal(field.optional === true);
      }
    });
  }

  it('is of a kind that is known', () => {
    expect(accepts('sung to', {})).to.equal(false);
    expect(accepts('constructor', {})).to.equal(false);
  });

  it('has the limits that the API’s description gives', () => {
    expect(eventKinds.outcome.shape.stars).to.include({ least: 1, most: 5, whole: true });
    expect(eventKinds.felt.shape.points).to.include({ least: -40, most: 40 });
    expect(eventKinds.outcome.shape.words.of).to.equal(outcomeWords);
  });
});
