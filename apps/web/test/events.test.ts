import { expect } from 'chai';
import { bakeEventKinds, eventKinds, outcomeWords } from '@tender-crumb/core/bake';
import type { Field } from '@tender-crumb/core/quantity';
import { eventsBody } from '../src/lib/server/boundary/schemas.ts';
import { edges, full } from './edges.ts';

const accepts = (kind: string, data: unknown) =>
  eventsBody.validate({ events: [{ id: 'e', at: '2026-05-01T08:00:00Z', kind, data }] }).error ===
  undefined;

describe('an event at the door', () => {
  for (const kind of bakeEventKinds) {
    const { shape } = eventKinds[kind] as { shape: Readonly<Record<string, Field>> };

    it(`${kind}: every field up to its edge and not beyond, and no other field`, () => {
      expect(accepts(kind, full(shape))).to.equal(true);
      expect(accepts(kind, { ...full(shape), more: 1 })).to.equal(false);
      expect(accepts(kind, undefined)).to.equal(false);
      for (const [name, field] of Object.entries(shape)) {
        const { taken, refused } = edges(field);
        const at = (value: unknown) => accepts(kind, { ...full(shape), [name]: value });
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
