import { expect } from 'chai';
import { kitchenNow, type BakeEvent } from '@tender-crumb/core/bake';
import { bakeRecord, drawnPoint, judgedBy } from '@tender-crumb/core/book';
import { defaultHousehold } from '@tender-crumb/core/household';
import { at, loaf } from './a-bake.ts';

const event = (minute: number, kind: string, data: object) =>
  ({ id: `${kind}-${minute}`, at: at(1, minute), kind, data }) as BakeEvent;
const record = (events: readonly BakeEvent[]) =>
  bakeRecord(
    {
      id: 'b1',
      name: 'Loaf',
      method: 'mixer',
      startedAt: at(1, 0),
      formula: loaf,
      events,
      circumstances: { day: at(1, 0).slice(0, 10), kitchen: kitchenNow(defaultHousehold, loaf) },
    },
    defaultHousehold,
  );

describe('a bake as a point', () => {
  const judged = record([
    event(20, 'warmth', { of: 'dough', celsius: 26 }),
    event(300, 'outcome', { stars: 4, words: [], note: '' }),
  ]);

  it('stands at its moment along the calendar, and at a measure along that', () => {
    const day = drawnPoint(judged, 'stars', 'day', defaultHousehold)!;
    expect(day).to.deep.include({ id: 'b1', x: Date.parse(at(1, 0)), y: 4 });
    expect(drawnPoint(judged, 'stars', 'doughWarmth', defaultHousehold)!.x).to.equal(26);
  });

  it('is none where one of both was not noted', () => {
    expect(drawnPoint(judged, 'loss', 'day', defaultHousehold)).to.equal(undefined);
    expect(drawnPoint(judged, 'stars', 'loss', defaultHousehold)).to.equal(undefined);
  });

  it('is told apart by how it was made, and where nothing raises it by no leaven', () => {
    const { group } = drawnPoint(judged, 'stars', 'day', defaultHousehold)!;
    expect(group.device).to.not.equal('');
    expect(group.leaven).to.not.equal(group.device);
  });

  it('two of them can be judged, one cannot', () => {
    expect(judgedBy([judged])).to.deep.equal([]);
    expect(judgedBy([judged, judged])).to.deep.equal(['stars']);
  });
});
