import { expect } from 'chai';
import { householdOn, kitchenNow, type BakeEvent } from '@tender-crumb/core/bake';
import { firstLoaves } from '@tender-crumb/core/exchange';
import { isForecast } from '@tender-crumb/core/ferment';
import { wayIds, type TimedPlan } from '@tender-crumb/core/schedule';
import { bakeOf, planOf } from '@tender-crumb/core/view';
import { agrees, belief, breads, houses, now } from './one-answer.ts';

describe('one question, one answer', () => {
  const [usual, warm, cold] = Object.values(houses);
  const ways = [undefined, ...wayIds];

  it('every bread as it comes, and by one way in one kitchen', function () {
    this.timeout(60_000);
    let planned = 0;
    for (const [i, formula] of breads.entries()) {
      const way = wayIds[i % wayIds.length]!;
      planned += Number(agrees({ formula, household: usual! }));
      planned += Number(agrees({ formula, household: i % 2 ? warm! : cold!, way, roomC: 18 }));
    }
    expect(planned).to.be.above(1.5 * breads.length);
  });

  it('one bread by every way, as warm as was wished', function () {
    this.timeout(60_000);
    for (const way of ways)
      agrees({
        formula: firstLoaves[0]!,
        household: cold!,
        roomC: 27,
        doughC: 28,
        ...(way ? { way } : {}),
      });
  });

  it('a pour that differs moves the rise that is led, the one that teaches and the plan alike', () => {
    const formula = firstLoaves[0]!;
    const household = houses['usual']!;
    const yeast = formula.stages.flatMap((s) => s.lines).find((l) => /yeast/.test(l.ingredient))!;
    const circumstances = { day: now.slice(0, 10), kitchen: kitchenNow(household, formula) };
    const asked = (grams: number) => {
      const events = [
        { id: 'w', at: now, kind: 'weighed', data: { item: yeast.id, grams, byScale: true } },
      ] as readonly BakeEvent[];
      const onDay = householdOn(household, circumstances);
      const bake = bakeOf({ id: 'p', formula, method: 'hand', events, household: onDay, belief });
      const plan = {
        id: 'p',
        formulaId: 'f',
        version: 0,
        bakeId: 'p',
        begun: { startedAt: now, method: 'hand' as const, events, circumstances },
      };
      const { answer } = planOf(
        { plans: [plan], formulas: { p: formula }, devices: {}, household, belief, zone: 'UTC' },
        now,
      );
      const rise = (answer as TimedPlan).steps.find((s) => s.kind === 'first-rise')!;
      const forecast = bake.rises[0]!.forecast;
      return { led: isForecast(forecast) ? forecast.middle * 60 : NaN, planned: rise.minutes };
    };
    const [usual, half] = [asked(yeast.grams), asked(yeast.grams / 2)];
    expect(half.led).to.be.above(usual.led * 1.2);
    expect(half.planned).to.be.closeTo(half.led, 1);
    expect(usual.planned).to.be.closeTo(usual.led, 1);
  });
});
