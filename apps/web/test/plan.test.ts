import { expect } from 'chai';
import { TestServer } from './server.ts';

const line = (id: string, ingredient: string, grams: number) => ({
  id,
  ingredient,
  grams,
  measured: 'scale',
});
const formula = (name: string, style: string, dough: object[], starter?: object[]) => ({
  format: 'tender-crumb/formula-2',
  name,
  style,
  stages: [
    ...(starter ? [{ id: 's0', kind: 'starter', name: 'Starter', lines: starter }] : []),
    { id: 's1', kind: 'dough', name: 'Dough', lines: dough },
  ],
  taken: [],
  left: [],
});
const white = formula('Lockside tin loaf', 'pan', [
  line('a', 'bread-flour', 500),
  line('b', 'water', 320),
  line('c', 'salt', 10),
  line('d', 'instant-yeast', 5),
]);
const sour = formula(
  'Towpath sourdough',
  'hearth-white',
  [line('a', 'bread-flour', 450), line('b', 'water', 300), line('c', 'salt', 10)],
  [line('d', 'bread-flour', 50), line('e', 'water', 50)],
);

interface Step {
  id: string;
  bake: string;
  kind: string;
  attended: string;
  earliest: string;
  start: string;
  end: string;
  latest: string;
  celsius?: number;
}
interface Answer {
  steps: Step[] | null;
  bakes: Array<{ id: string; name: string; way?: string; feedings: unknown[] }>;
  why?: string;
  drop?: Array<{ wish: string; bake?: string; ready: Record<string, string> }>;
}

const now = '2026-11-26T18:00:00+01:00';
const zone = 'Europe/Berlin';

describe('API of the plan', () => {
  const server = new TestServer();
  before(() => server.start());
  after(() => server.end());
  const ask = (bakes: object[], over: object = {}) =>
    server.ask('POST', '/api/v1/plan', { now, zone, bakes, ...over });
  const planned = async (bakes: object[], over: object = {}): Promise<Answer> => {
    const { status, json } = await ask(bakes, over);
    expect(status, JSON.stringify(json)).to.equal(200);
    return json as unknown as Answer;
  };
  const ms = (iso: string) => Date.parse(iso);

  it('steps with their earliest, start, end and latest, by the clock of the house', async () => {
    const readyBy = '2026-11-27T13:00:00+01:00';
    const { steps, bakes } = await planned([{ id: 'tin', formula: white, readyBy }]);
    expect(bakes[0]).to.include({ id: 'tin', name: 'Lockside tin loaf' });
    expect(steps!.map((s) => s.kind)).to.include.members(['mix', 'first-rise', 'bake', 'cool']);
    for (const s of steps!) {
      expect(ms(s.earliest), s.id).to.be.at.most(ms(s.start));
      expect(ms(s.start), s.id).to.be.at.most(ms(s.end));
      expect(ms(s.end), s.id).to.be.at.most(ms(s.latest));
      expect(s.start).to.match(/\+01:00$/);
    }
    expect(steps!.find((s) => s.kind === 'cool')!.end).to.equal(readyBy);
  });

  it('nobody is called in the night; what is said of the night is heard', async () => {
    const wish = { id: 'sour', formula: sour, readyBy: '2026-11-29T13:00:00+01:00' };
    const { steps } = await planned([wish]);
    const local = (iso: string) => Number(iso.slice(11, 13)) * 60 + Number(iso.slice(14, 16));
    for (const s of steps!.filter((x) => x.attended === 'all')) {
      expect(local(s.start), s.id).to.be.within(390, 1350);
      expect(local(s.end), s.id).to.be.within(390, 1350);
    }
    const short = {
      id: 'tin',
      formula: white,
      readyBy: '2026-11-27T05:00:00+01:00',
      ways: ['as-it-is'],
    };
    const late = await planned([short], { now: '2026-11-26T23:00:00+01:00' });
    expect(late.steps).to.equal(null);
    const owls = await planned([short], {
      now: '2026-11-26T23:00:00+01:00',
      asleep: [{ from: '06:00', to: '12:00' }],
    });
    expect(owls.steps).not.to.equal(null);
  });

  it('two bakes share one oven: never at once where they are not as warm', async () => {
    const readyBy = '2026-11-28T13:00:00+01:00';
    const { steps } = await planned([
      { id: 'a', formula: white, readyBy },
      { id: 'b', formula: sour, readyBy },
    ]);
    const inOven = steps!.filter((s) => s.kind === 'bake' || s.kind === 'heat');
    for (const one of inOven)
      for (const other of inOven)
        if (one.bake !== other.bake && one.celsius !== other.celsius)
          expect(ms(one.end) <= ms(other.start) || ms(other.end) <= ms(one.start)).to.equal(true);
  });

  it('what cannot be met is said, with what dropping a wish gains', async () => {
    const { steps, why, drop } = await planned([
      { id: 'tin', formula: white, readyBy: '2026-11-26T18:30:00+01:00' },
    ]);
    expect(steps).to.equal(null);
    expect(why).to.match(/can’t be ready in time/);
    expect(drop).to.have.length(1);
    expect(drop![0]).to.include({ wish: 'ready', bake: 'tin' });
    expect(ms(drop![0]!.ready['tin']!)).to.be.above(ms('2026-11-26T20:00:00+01:00'));
  });

  it('says clearly what cannot be asked', async () => {
    const no = async (bake: object, over: object = {}) => {
      const { status, json } = await ask([{ id: 'x', formula: white, ...bake }], over);
      return `${status} ${JSON.stringify(json['errors'] ?? json['why'])}`;
    };
    expect(await no({ readyBy: '2026-11-25T18:00:00+01:00' })).to.match(/^200 .*has passed/);
    expect(await no({ readyBy: '2027-11-25T18:00:00+01:00' })).to.match(/^200 .*two weeks/);
    expect(await no({ readyBy: 'yesterday' })).to.match(/^400 .*bakes\[0\].readyBy/);
    expect(await no({ readyBy: '2026-02-30T08:00:00Z' })).to.match(/^400 .*readyBy/);
    expect(await no({ roomC: 60 })).to.match(/^400 .*roomC/);
    expect(await no({ roomC: 45 })).to.match(/^200/);
    expect(await no({ formulaId: 'y' })).to.match(/^400/);
    expect(await no({}, { zone: 'Mars/Olympus' })).to.match(/^400 .*time zone/);
    expect(await no({}, { asleep: [{ from: '25:00', to: '06:00' }] })).to.match(
      /^400 .*time of day/,
    );
    expect(await no({}, { asleep: [{ from: '06:00', to: '06:00' }] })).to.match(/^400 .*same time/);
    const strange = await ask([{ id: 'x', formulaId: 'nothing-here' }]);
    expect(strange.status).to.equal(422);
    expect(JSON.stringify(strange.json)).to.match(/bakes\[0\].formulaId/);
  });

  it('a plan of forty bakes is refused in words', async () => {
    const { why } = await planned(
      Array.from({ length: 40 }, (_, i) => ({ id: `b${i}`, formula: white })),
    );
    expect(why).to.match(/40 bakes are too many/);
  });

  it('clocks that change in the night do not move the bread', async () => {
    const readyBy = '2027-03-28T12:00:00+02:00';
    const { steps } = await planned([{ id: 'sour', formula: sour, readyBy }], {
      now: '2027-03-26T18:00:00+01:00',
    });
    const last = steps!.find((s) => s.kind === 'cool')!;
    expect(ms(last.end)).to.be.at.most(ms(readyBy));
    expect(last.end).to.match(/\+02:00$/);
    const at = (kind: string) => steps!.find((s) => s.kind === kind)!;
    // Ripe, it is shaped within ten minutes, whatever the clock on the wall shows.
    const waits = ms(at('shape').start) - ms(at('first-rise').end);
    expect(waits).to.be.within(0, 10 * 60_000);
  });
});
