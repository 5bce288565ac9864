import { expect } from 'chai';
import { usualWeek, type Week } from '@tender-crumb/core/household';
import { clockFrom, closedIn, isZone, isoOf, minuteOf } from '@tender-crumb/core/schedule';

const berlin = 'Europe/Berlin';
const week = (more: Partial<Week>): Week => ({ asleep: [], away: [], power: [], ...more });
const every = [1, 2, 3, 4, 5, 6, 7];

describe('the clock of the house', () => {
  it('counts minutes as they pass, not as the clock shows them', () => {
    const clock = clockFrom('2026-03-28T22:00:00+01:00', berlin);
    // In the night to 29 March 2026 the clocks of Berlin go forward at two.
    expect(minuteOf(clock, '2026-03-29T04:00:00+02:00')).to.equal(300);
    expect(isoOf(clock, 300)).to.equal('2026-03-29T04:00:00+02:00');
    const back = clockFrom('2026-10-24T22:00:00+02:00', berlin);
    // And back at three in the night to 25 October: a night of nine hours for eight by the clock.
    expect(minuteOf(back, '2026-10-25T06:00:00+01:00')).to.equal(540);
  });

  it('a night is as long as it is: seven hours and nine where clocks change', () => {
    const nightAt = (moment: string) => {
      const clock = clockFrom(moment, berlin);
      const asleep = [{ days: every, from: '22:30', to: '06:30' }];
      return closedIn(clock, week({ asleep })).find((c) => c.from > 0)!;
    };
    const spring = nightAt('2026-03-28T18:00:00+01:00');
    expect(spring).to.deep.equal({ from: 270, to: 270 + 7 * 60, what: 'hands', wish: 'asleep' });
    const autumn = nightAt('2026-10-24T18:00:00+02:00');
    expect(autumn.to - autumn.from).to.equal(9 * 60);
    const plain = nightAt('2026-11-24T18:00:00+01:00');
    expect(plain.to - plain.from).to.equal(8 * 60);
  });

  it('the night that somebody is in already is closed from the evening before', () => {
    const clock = clockFrom('2026-11-24T03:00:00+01:00', berlin);
    const { asleep } = usualWeek;
    expect(closedIn(clock, week({ asleep }))[0]).to.deep.include({ to: 210 });
  });

  it('hours are of their own days', () => {
    // 24 November 2026 is a Tuesday.
    const clock = clockFrom('2026-11-24T00:00:00+01:00', berlin);
    const away = [{ days: [2, 4], from: '09:00', to: '17:00' }];
    const of = closedIn(clock, week({ away })).filter((c) => c.from >= 0 && c.from < 4 * 1440);
    expect(of.map((c) => c.from)).to.deep.equal([540, 2 * 1440 + 540]);
  });

  it('power is dear outside its cheap hours, and never where none are said', () => {
    const clock = clockFrom('2026-11-24T00:00:00+01:00', berlin);
    expect(closedIn(clock, week({}))).to.deep.equal([]);
    const power = [
      { days: every, from: '10:00', to: '13:00' },
      { days: every, from: '12:00', to: '15:00' },
    ];
    const dear = closedIn(clock, week({ power })).filter((c) => c.to > 0 && c.from < 1440);
    expect(dear.map((c) => [c.from, c.to])).to.deep.equal([
      [900 - 1440, 600],
      [900, 1440 + 600],
    ]);
  });

  it('knows zones from words', () => {
    expect(isZone('Europe/Berlin')).to.equal(true);
    expect(isZone('Nowhere/Land')).to.equal(false);
  });
});
