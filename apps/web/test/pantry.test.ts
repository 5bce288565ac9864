import { expect } from 'chai';
import { defaultSettings } from '@tender-crumb/core/household';
import { nettleMeal } from './nettle-meal.ts';
import { TestServer } from './server.ts';

const bag = { name: 'Blue sack', ingredient: 'whole-wheat', protein: 13, moisture: 12 };
describe('the pantry', () => {
  const server = new TestServer();
  const ask = server.ask.bind(server);
  before(() => server.start());
  after(() => server.end());

  it('keeps bags with what is said of them', async () => {
    const added = await ask('POST', '/api/v1/bags', { ...bag, openedOn: '2026-10-01' });
    expect(added.status).to.equal(201);
    const changed = await ask('PUT', `/api/v1/bags/${added.json['id']}`, {
      ...bag,
      grind: 'sifted',
    });
    expect(changed.status).to.equal(200);
    const { json } = await ask('GET', '/api/v1/bags');
    expect(json['bags']).to.deep.equal([{ ...bag, grind: 'sifted', id: added.json['id'] }]);
    expect((await ask('PUT', '/api/v1/bags/nobody', bag)).status).to.equal(404);
    expect((await ask('PUT', '/api/v1/bags/nobody?since=once', bag)).status).to.equal(400);
  });

  it('a bag’s moisture holds from today, or always did, as it is said', async () => {
    const { json: own } = await ask('POST', '/api/v1/bags', { ...bag, moisture: 13 });
    const { json: formula } = await ask('POST', '/api/v1/formulas', {
      stages: [
        {
          lines: [
            { ingredient: bag.ingredient, grams: 500, bag: own['id'] },
            { ingredient: 'water', grams: 310 },
          ],
        },
      ],
    });
    const { json: begun } = await ask('POST', '/api/v1/bakes', {
      formulaId: formula['id'],
      formulaVersion: 1,
    });
    const moistureThen = async () => {
      const { json } = await ask('GET', `/api/v1/bakes/${begun['id']}`);
      return json['circumstances'].kitchen.bags[own['id']].moisture as number;
    };
    const path = `/api/v1/bags/${own['id']}`;
    await ask('PUT', path, { ...bag, moisture: 10 });
    expect(await moistureThen()).to.equal(13);
    await ask('PUT', `${path}?since=always`, { ...bag, moisture: 11 });
    expect(await moistureThen()).to.equal(11);
  });

  const wrong: ReadonlyArray<readonly [string, object, string]> = [
    ['45 % protein', { protein: 45 }, 'body.protein'],
    ['40 % moisture', { moisture: 40 }, 'body.moisture'],
    ['−2 kg', { price: { paid: 3, kilograms: -2 } }, 'body.price'],
    [
      'yeast in a packet of flour’s figures',
      { kind: 'yeast', ingredient: 'instant-yeast', protein: 12 },
      'body.protein',
    ],
    [
      'flour in a packet of yeast',
      { kind: 'yeast', protein: undefined, moisture: undefined, grind: undefined },
      'body.ingredient',
    ],
    [
      'a starter that is fed yeast',
      {
        kind: 'starter',
        ingredient: 'instant-yeast',
        protein: undefined,
        moisture: undefined,
        grind: undefined,
      },
      'body.ingredient',
    ],
    ['no name but spaces', { name: '  ' }, 'body.name'],
    ['a kind that nobody has', { ingredient: 'own-nobody' }, 'body.ingredient'],
  ];
  for (const [what, over, where] of wrong) {
    it(`a bag of ${what} is refused, said where, and nothing is stored`, async () => {
      const before = (await ask('GET', '/api/v1/bags')).json['bags'].length;
      const { status, type, json } = await ask('POST', '/api/v1/bags', { ...bag, ...over });
      expect(status).to.equal(422);
      expect(type).to.equal('application/problem+json; charset=utf-8');
      expect(json['errors'][0].where).to.equal(where);
      expect((await ask('GET', '/api/v1/bags')).json['bags'].length).to.equal(before);
    });
  }

  it('bakes keep how they were measured, until it is said that it was always so', async () => {
    const { json: loaf } = await ask('POST', '/api/v1/formulas', {
      stages: [{ lines: [{ ingredient: 'bread-flour', grams: 500, measured: 'volume' }] }],
    });
    const { json: begun } = await ask('POST', '/api/v1/bakes', {
      formulaId: loaf['id'],
      formulaVersion: 1,
    });
    const then = async () =>
      (await ask('GET', `/api/v1/bakes/${begun['id']}`)).json['circumstances'].kitchen;
    const before = await then();
    const { json: settings } = await ask('GET', '/api/v1/household');
    const measures = { ...settings['measures'], fill: 'dipped' };
    await ask('PATCH', '/api/v1/household', { measures, room: { celsius: 31 } });
    expect(await then()).to.deep.equal(before);
    const { json } = await ask('POST', '/api/v1/household/always', {});
    expect(json['bakes']).to.be.above(0);
    // The measures alone: the room of that day stays that day's.
    expect(await then()).to.deep.equal({ ...before, measures });
    expect((await ask('POST', '/api/v1/household/always', {})).json).to.deep.equal({ bakes: 0 });
    await ask('PATCH', '/api/v1/household', {
      measures: settings['measures'],
      room: settings['room'] ?? null,
    });
  });

  it('keeps yeast and starters beside flour; lines and stages are bound to those of their kind', async () => {
    const keep = async (of: object) => (await ask('POST', '/api/v1/bags', of)).json['id'] as string;
    const yeast = await keep({
      name: 'Tin from June',
      kind: 'yeast',
      ingredient: 'instant-yeast',
      bestBefore: '2027-06-01',
    });
    const starter = await keep({
      name: 'Lock-keeper’s',
      kind: 'starter',
      ingredient: 'rye-whole',
      hydration: 1,
      seed: 0.5,
      keptAt: 'fridge',
    });
    const { json } = await ask('GET', '/api/v1/bags');
    const kept = json['bags'].find((b: { id: string }) => b.id === starter);
    expect(kept).to.include({ kind: 'starter', hydration: 1, seed: 0.5, keptAt: 'fridge' });
    const formula = (stageBag: string, lineBag: string) => ({
      stages: [
        {
          id: 's',
          kind: 'starter',
          bag: stageBag,
          lines: [{ ingredient: 'rye-whole', grams: 50 }],
        },
        {
          id: 'd',
          lines: [
            { ingredient: 'bread-flour', grams: 450 },
            { id: 'y', ingredient: 'instant-yeast', grams: 3, bag: lineBag },
          ],
        },
      ],
    });
    const post = (f: object) => ask('POST', '/api/v1/formulas', f);
    expect((await post(formula(starter, yeast))).status).to.equal(201);
    const crossed = await post(formula(yeast, starter));
    expect(crossed.status).to.equal(422);
    expect(crossed.json['errors'].map((e: { where: string }) => e.where)).to.deep.equal([
      'body.stages[0].bag',
      'body.stages[1].lines[1].bag',
    ]);
  });

  it('takes an ingredient from its label, into formulas and evaluations', async () => {
    const bad = await ask('POST', '/api/v1/ingredients', { ...nettleMeal, carbohydrate: 90 });
    expect(bad.status).to.equal(422);
    expect(bad.json['errors'][0].where).to.equal('body.carbohydrate');
    const { status, json } = await ask('POST', '/api/v1/ingredients', nettleMeal);
    expect(status).to.equal(201);
    expect(json['id']).to.equal('own-nettle-meal');
    const second = await ask('POST', '/api/v1/ingredients', nettleMeal);
    expect(second.json['id']).to.equal('own-nettle-meal-2');

    const stages = (ingredient: string) => [
      {
        lines: [
          { ingredient: 'bread-flour', grams: 450 },
          { ingredient, grams: 50 },
          { ingredient: 'water', grams: 330 },
        ],
      },
    ];
    const own = await ask('POST', '/api/v1/evaluate', { stages: stages('own-nettle-meal') });
    expect(own.status).to.equal(200);
    expect(own.json['level'].early).to.be.greaterThan(own.json['level'].points);
    const strange = await ask('POST', '/api/v1/evaluate', { stages: stages('own-nobody') });
    expect(strange.status).to.equal(422);
    expect(strange.json['errors'][0].what).to.contain('own-nobody');
    expect(
      (await ask('POST', '/api/v1/formulas', { stages: stages('own-nobody') })).status,
    ).to.equal(422);

    const changed = await ask('PUT', '/api/v1/ingredients/own-nettle-meal', {
      ...nettleMeal,
      protein: 20,
    });
    expect(changed.status).to.equal(200);
    expect((await ask('PUT', '/api/v1/ingredients/own-nobody', nettleMeal)).status).to.equal(404);
  });

  it('a correction may bring a starter in, and the formula is stored with it', async () => {
    const formula = {
      name: 'Sour',
      stages: [
        {
          id: 's1',
          lines: [
            { ingredient: 'bread-flour', grams: 500 },
            { ingredient: 'water', grams: 320 },
          ],
        },
      ],
      taken: [
        {
          id: 't1',
          slip: 'swap:instant-yeast:starter',
          stages: [{ id: 'starter', kind: 'starter', name: 'Starter' }],
          changes: [
            { stage: 'starter', ingredient: 'bread-flour', grams: 50 },
            { stage: 'starter', ingredient: 'water', grams: 50 },
            { stage: 's1', ingredient: 'bread-flour', grams: -50 },
            { stage: 's1', ingredient: 'water', grams: -50 },
          ],
        },
      ],
    };
    const { json } = await ask('POST', '/api/v1/evaluate', formula);
    expect(json['totals'].prefermentedFlourPercent).to.be.closeTo(10, 1e-9);
    const { status, json: added } = await ask('POST', '/api/v1/formulas', formula);
    expect(status).to.equal(201);
    const stored = await ask('GET', `/api/v1/formulas/${added['id']}`);
    expect(stored.json['formula'].taken[0].stages).to.have.length(1);
  });

  it('other figures have the book learned again', async () => {
    const formula = {
      stages: [
        {
          lines: [
            { ingredient: 'bread-flour', grams: 500 },
            { ingredient: 'water', grams: 310 },
          ],
        },
      ],
    };
    const { json } = await ask('POST', '/api/v1/formulas', formula);
    const bake = await ask('POST', '/api/v1/bakes', { formulaId: json['id'], formulaVersion: 1 });
    const at = '2026-11-01T08:00:00Z';
    await ask('POST', `/api/v1/bakes/${bake.json['id']}/events`, {
      events: [
        { id: 'f1', at, kind: 'felt', data: { points: -4, rested: true } },
        { id: 'e1', at, kind: 'finished', data: {} },
      ],
    });
    const learned = async () => {
      await server.learned();
      const { belief } = (await ask('GET', '/api/v1/belief')).json;
      return belief.mean[belief.keys.indexOf('thirst:bread-flour')] as number;
    };
    const before = await learned();
    expect(before).to.be.greaterThan(0);
    const set = { ...defaultSettings, figures: { 'thirst:bread-flour': 0.66 } };
    expect((await ask('PUT', '/api/v1/household', set)).status).to.equal(200);
    // With a thirstier flour to begin with, a dough at −4 is no surprise.
    expect(await learned()).to.be.closeTo(0, 0.005);
    await ask('PUT', '/api/v1/household', defaultSettings);
    expect(await learned()).to.be.closeTo(before, 1e-9);
  });

  it('says of a formula of gluten alone that it cannot tell', async () => {
    const { status, json } = await ask(
      'POST',
      '/api/v1/evaluate',
      '200 g vital wheat gluten\n200 g water',
    );
    expect(status).to.equal(200);
    expect(json['level'].state).to.equal('cannot tell');
    expect(json['corrections'].map((c: { kind: string }) => c.kind)).not.to.include('water');
  });
});
