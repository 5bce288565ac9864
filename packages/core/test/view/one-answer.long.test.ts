import { expect } from 'chai';
import { wayIds } from '@tender-crumb/core/schedule';
import { agrees, breads, houses } from './one-answer.ts';

describe('one question, one answer, in every way there is', () => {
  for (const [where, household] of Object.entries(houses))
    for (const wish of [{}, { roomC: 18 }, { doughC: 23 }, { roomC: 27, doughC: 28 }])
      it(`${where}, ${JSON.stringify(wish)}`, function () {
        this.timeout(120_000);
        let planned = 0;
        for (const formula of breads)
          for (const way of [undefined, ...wayIds])
            planned += Number(agrees({ formula, household, ...wish, ...(way ? { way } : {}) }));
        expect(planned).to.be.above(breads.length);
      });
});
