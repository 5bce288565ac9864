import { expect } from 'chai';
import { type BakeState } from '@tender-crumb/core/bake';
import { courseReady, lookInto, machineClock } from '@tender-crumb/core/lead';
import type { Course } from '@tender-crumb/core/course';
import {
  machineLater,
  machineReading,
  machineStandIn,
  machines,
  power,
} from '@tender-crumb/core/machine';

const at = (time: string) => `2026-11-26T${time}:00.000Z`;
const course: Course = {
  machine: machines['two-paddle'],
  kind: 'whole',
  programme: machines['two-paddle'].programmes[0],
  size: '2lb',
  crust: 'medium',
};
const minute = 60_000;

describe('a machine by the clock of the kitchen', () => {
  const clock = (now: string, cuts: BakeState['power'] = [], delay = 0) =>
    machineClock(at('08:00'), { ...course, delay }, cuts, at(now));

  it('is where the minutes since its start are; before a delay is over it has not begun', () => {
    expect(clock('08:42').minute).to.equal(42);
    expect(clock('08:30', [], 60).minute).to.equal(0);
    expect(clock('09:10', [], 60).minute).to.equal(10);
    expect(clock('08:42').at(214)).to.equal(at('11:34'));
    expect(clock('08:42', [], 60).at(0)).to.equal(at('09:00'));
  });

  it('stands while the power is out, and all that comes is later by that', () => {
    const cut = { what: 'cut', at: at('09:00') } as const;
    const back = { what: 'back', at: at('09:05') } as const;
    expect(clock('09:03', [cut])).to.deep.include({ minute: 60, cut: true, dark: 3 });
    const after = clock('09:30', [cut, back]);
    expect(after).to.deep.include({ minute: 85, cut: false, dark: 5 });
    expect(after.at(214)).to.equal(at('11:39'));
  });

  it('two tablets that both say so, and a “back” that nobody missed, change nothing', () => {
    const cut = { what: 'cut', at: at('09:00') } as const;
    const again = { what: 'cut', at: at('09:02') } as const;
    const back = { what: 'back', at: at('09:05') } as const;
    expect(clock('09:30', [cut, again, back, back]).dark).to.equal(5);
    expect(clock('09:30', [back]).dark).to.equal(0);
  });

  it('is where a machine that plays the same programme is', () => {
    const played = machineLater(
      power(
        machineLater(
          power(machineLater(machineStandIn(course.programme), 60 * minute), false),
          5 * minute,
        ),
        true,
      ),
      25 * minute,
    );
    const cuts = [
      { what: 'cut', at: at('09:00') },
      { what: 'back', at: at('09:05') },
    ] as const;
    expect(clock('09:30', cuts).minute).to.be.closeTo(machineReading(played).minute, 1e-9);
  });

  it('is looked into five to ten minutes into its kneading (handbook section 11), and is ready at its end', () => {
    // It rests for 25 minutes first.
    expect(lookInto(at('08:00'), course)).to.deep.equal({ from: at('08:30'), to: at('08:35') });
    expect(lookInto(at('08:00'), { ...course, delay: 60 }).from).to.equal(at('09:30'));
    expect(courseReady(at('08:00'), course)).to.equal(at('11:34'));
    expect(courseReady(at('08:00'), { ...course, crust: 'dark', delay: 60 })).to.equal(at('12:42'));
  });
});
