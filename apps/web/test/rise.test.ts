import { expect } from 'chai';
import { TestServer } from './server.ts';

const dough = {
  saltPercent: 2,
  sugarPercent: 0,
  fatPercent: 0,
  waterPercent: 62,
  wholeShare: 0,
  doughC: 26,
  air: [{ hours: 1, celsius: 26 }],
  vessel: 'bowl',
  kilograms: 0.85,
  until: { volume: 2 },
};
const yeast = (percent?: number, kind = 'instant') => ({
  leavens: [{ kind, ...(percent === undefined ? {} : { percent }) }],
});

describe('API of the rise', () => {
  const server = new TestServer();
  before(() => server.start());
  after(() => server.end());
  const rise = (over: object) => server.ask('POST', '/api/v1/rise', { ...dough, ...over });
  const leaven = (over: object) => server.ask('POST', '/api/v1/leaven', { ...dough, ...over });

  it('says when, with its band, and the curve that leads there', async () => {
    const { status, json } = await rise(yeast(1));
    expect(status).to.equal(200);
    const { hours, curve } = json as {
      hours: { middle: number; low: number; high: number };
      curve: Array<{ hours: number; volume: number; celsius: number }>;
    };
    // Common practice, no source: 1 % instant at 26 °C doubles in 1 to 1.5 h.
    expect(hours.middle).to.be.within(1, 1.5);
    expect(hours.low).to.be.below(hours.middle).and.above(0.8);
    expect(hours.high).to.be.above(hours.middle).and.below(1.9);
    expect(curve.length).to.be.within(60, 200);
    expect(curve[0]).to.include({ hours: 0, volume: 1, celsius: 26 });
    expect(curve.some((p) => p.hours >= hours.middle && p.volume >= 2)).to.equal(true);
    for (let i = 1; i < curve.length; i += 1)
      expect(curve[i]!.hours).to.be.above(curve[i - 1]!.hours);
  });

  it('kinds of yeast by their work; a starter, a doped dough, a pre-ferment that is ripe', async () => {
    const middle = async (over: object) => (await rise(over)).json['hours'].middle as number;
    const [instant, fresh] = [await middle(yeast(1)), await middle(yeast(3, 'fresh'))];
    expect(fresh).to.be.closeTo(instant, 1e-9);
    expect(await middle(yeast(1, 'active-dry'))).to.be.above(instant);
    const sour = { leavens: [{ kind: 'starter', percent: 10 }], until: { ripe: true } };
    const doped = {
      ...sour,
      leavens: [...sour.leavens, { kind: 'instant', percent: 0.2 }],
      until: { volume: 1.55 },
    };
    expect(await middle(doped)).to.be.below(await middle(sour));
    const poolish = {
      ...yeast(0.1),
      saltPercent: 0,
      waterPercent: 100,
      liquid: true,
      doughC: 20,
      air: [{ hours: 1, celsius: 20 }],
      until: { ripe: true },
    };
    expect(await middle(poolish)).to.be.within(10, 13);
  });

  it('the inverse: leaven for a time, in the kind that was asked for', async () => {
    const at = await leaven({ ...yeast(), hours: 3 });
    expect(at.status).to.equal(200);
    const { middle, low, high } = at.json['percent'];
    expect(low).to.be.below(middle);
    expect(high).to.be.above(middle);
    const back = (await rise(yeast(middle))).json['hours'].middle as number;
    expect(back).to.be.closeTo(3, 0.01);
    const fresh = (await leaven({ ...yeast(undefined, 'fresh'), hours: 3 })).json['percent'];
    expect(fresh.middle).to.be.closeTo(3 * middle, 1e-6);
  });

  it('where nothing fits it says why, and what is nearest', async () => {
    const cold = { doughC: 12, air: [{ hours: 1, celsius: 12 }] };
    const soon = await leaven({ ...yeast(), ...cold, hours: 40 / 60 });
    expect(soon.status).to.equal(200);
    expect(soon.json).to.include({ percent: null });
    expect(soon.json['why']).to.contain('Too soon');
    expect(soon.json['nearest'].hours).to.be.above(1);
    const whole = await rise({
      ...yeast(1),
      wholeShare: 1,
      waterPercent: 72,
      until: { volume: 3 },
    });
    expect(whole.json).to.include({ hours: null });
    expect(whole.json['why']).to.match(/^It comes to [12]\.\d\d times its volume at most/);
    expect(whole.json['reaches'].volume).to.be.within(1.9, 2.4);
    const oven = await rise({ ...yeast(1), doughC: 60, air: [{ hours: 1, celsius: 60 }] });
    expect(oven.json['why']).to.contain('At 60 °C yeast dies');
    expect((await rise(yeast(0))).json['why']).to.contain('Nothing here makes it rise');
    const high = await rise({ ...yeast(1), fromVolume: 2.5 });
    expect(high.json['hours'] ?? high.json['why']).to.not.equal(undefined);
  });

  it('what cannot be is refused at its place', async () => {
    const faults = async (ask: typeof rise, over: object) => {
      const { status, json } = await ask(over);
      return [status, (json['errors'] as Array<{ where: string }>).map((e) => e.where)] as const;
    };
    expect(await faults(rise, { ...yeast(1), doughC: 90 })).to.deep.equal([400, ['body.doughC']]);
    expect(await faults(rise, yeast())).to.deep.equal([400, ['body.leavens[0].percent']]);
    expect(await faults(rise, { ...yeast(1), air: [] })).to.deep.equal([400, ['body.air']]);
    expect(await faults(rise, { ...yeast(1), vessel: 'boot' })).to.deep.equal([
      400,
      ['body.vessel'],
    ]);
    expect(await faults(rise, { ...yeast(1), until: { volume: 2, ripe: true } })).to.deep.equal([
      400,
      ['body.until'],
    ]);
    expect(await faults(rise, { ...yeast(21) })).to.deep.equal([400, ['body.leavens[0].percent']]);
    expect(await faults(leaven, { ...yeast(1), hours: 3 })).to.deep.equal([422, ['body.leavens']]);
    expect(await faults(leaven, { ...yeast(), hours: 0 })).to.deep.equal([400, ['body.hours']]);
    expect(await faults(rise, { ...yeast(1), air: [{ hours: 90000, celsius: 20 }] })).to.deep.equal(
      [400, ['body.air[0].hours']],
    );
  });
});
