import { expect } from 'chai';
import fc from 'fast-check';
import { notWeighed, tooLittleFor, weighInNext, type WeighIn } from '@tender-crumb/core/hands';
import {
  airIs,
  isReading,
  lift,
  machineLater,
  machineReading,
  machineStandIn,
  machines,
  power,
  pour,
  probeLater,
  probeReading,
  probeStandIn,
  putInto,
  putOn,
  remembersFor,
  roomLater,
  roomReading,
  roomStandIn,
  scaleLater,
  scaleReading,
  scaleStandIn,
  tare,
  type ScaleStandIn,
} from '@tender-crumb/core/machine';

const later = (scale: ScaleStandIn, seconds: number): ScaleStandIn =>
  Array.from({ length: Math.round(seconds * 10) }).reduce<ScaleStandIn>(
    (s) => scaleLater(s, 100),
    scale,
  );
const minute = 60_000;

describe('a kitchen scale that is not there', () => {
  it('comes to rest at what lies on it, to its step, whatever that is', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 0, max: 4000, noNaN: true }),
        fc.constantFrom(0.1, 1, 2),
        (grams, step) => {
          const reading = scaleReading(later(putOn(scaleStandIn({ step }), grams), 8));
          expect(reading.settled).to.equal(true);
          expect(reading.grams).to.be.closeTo(grams, step / 2 + 0.01);
          expect(Math.abs(reading.grams / step - Math.round(reading.grams / step))).to.be.below(
            1e-6,
          );
        },
      ),
    );
  });

  it('moves while something is poured, and says when it is at rest', () => {
    const pouring = later(pour(scaleStandIn(), 20), 3);
    expect(scaleReading(pouring).settled).to.equal(false);
    expect(scaleReading(pouring).grams).to.be.within(35, 62);
    const done = later(pour(pouring, 0), 5);
    expect(scaleReading(done)).to.include({ settled: true, grams: 60 });
  });

  it('its own tare counts from there; lifted off it is below zero, put back it is where it was', () => {
    const tared = tare(later(putOn(scaleStandIn(), 634), 6));
    expect(scaleReading(tared).grams).to.equal(0);
    const filled = later(putOn(tared, 245), 6);
    expect(scaleReading(filled).grams).to.equal(245);
    const lifted = later(lift(filled), 6);
    expect(scaleReading(lifted).grams).to.equal(-634);
    expect(scaleReading(later(lift(lifted), 6)).grams).to.equal(245);
  });

  it('wanders, where its zero does, and says that too much lies on it', () => {
    const wandering = putOn(scaleStandIn({ drift: 20 }), 100);
    expect(scaleReading(later(wandering, 6)).grams).to.equal(100);
    expect(scaleReading(scaleLater(wandering, 60 * minute)).grams).to.equal(120);
    expect(scaleReading(later(putOn(scaleStandIn(), 5100), 8)).over).to.equal(true);
    expect(scaleReading(later(putOn(scaleStandIn(), 4990), 8)).over).to.equal(false);
  });

  it('plays the same again', () => {
    const run = () => scaleReading(scaleLater(putOn(scaleStandIn({ seed: 4 }), 300), 300));
    expect(run()).to.deep.equal(run());
  });
});

describe('probe and room sensor that are not there', () => {
  it('follow what they stand in, the probe within seconds, the room within minutes', () => {
    const probe = putInto(probeStandIn(20), 96);
    expect(probeReading(probeLater(probe, 4000)).celsius).to.be.closeTo(
      20 + 76 * (1 - 1 / Math.E),
      0.06,
    );
    expect(probeReading(probeLater(probe, minute)).celsius).to.equal(96);
    const room = airIs(roomStandIn(21, 0.5), { celsius: 27, humidity: 0.7 });
    expect(roomReading(roomLater(room, 10_000)).celsius).to.be.within(21.1, 22);
    expect(roomReading(roomLater(room, 30 * minute))).to.include({ celsius: 27, humidity: 0.7 });
  });

  it('a probe at 900 °C, a scale at −300 kg, a room of 80 °C are no readings', () => {
    expect([
      isReading('probe', 300),
      isReading('probe', 301),
      isReading('probe', 900),
    ]).to.deep.equal([true, false, false]);
    expect([
      isReading('grams', -300),
      isReading('grams', -300_000),
      isReading('grams', NaN),
    ]).to.deep.equal([true, false, false]);
    expect([
      isReading('room', 60),
      isReading('room', 80),
      isReading('humidity', 1.01),
    ]).to.deep.equal([true, false, false]);
  });
});

describe('a bread machine that is not there', () => {
  const [plain] = machines['two-paddle'].programmes;

  it('plays its programme: calls at the signal, when the paddle is still, when it is done, each once', () => {
    let machine = machineStandIn(plain);
    const seen: number[] = [];
    for (let i = 0; i < 300; i += 1) {
      const before = machine.calls.length;
      machine = machineLater(machine, minute);
      if (machine.calls.length > before) seen.push(i + 1);
    }
    expect(machine.calls).to.deep.equal(['signal', 'paddle', 'done']);
    expect(seen).to.deep.equal([42, 119, 214]);
  });

  it('at any speed it is where it would be', () => {
    const slow = Array.from({ length: 60 }).reduce<ReturnType<typeof machineStandIn>>(
      (m) => machineLater(m, minute),
      machineStandIn(plain, 0, 10),
    );
    const fast = machineLater(machineStandIn(plain, 0, 10), 60 * minute);
    expect(machineReading(fast).minute).to.be.closeTo(50, 1e-9);
    expect(machineReading(slow).minute).to.be.closeTo(50, 1e-9);
    expect(fast.calls).to.deep.equal(slow.calls);
  });

  it('goes on after a short cut of the power, and has forgotten its programme after a long one', () => {
    const running = machineLater(machineStandIn(plain), 30 * minute);
    const short = machineLater(power(running, false), (remembersFor - 1) * minute);
    expect(machineReading(short)).to.include({ running: false, stage: 'has no power' });
    expect(machineReading(machineLater(power(short, true), minute)).minute).to.be.closeTo(31, 1e-9);
    const long = machineLater(power(running, false), (remembersFor + 1) * minute);
    expect(long.calls).to.include('power-lost');
    expect(machineReading(machineLater(power(long, true), 60 * minute))).to.include({
      running: false,
      stage: 'has forgotten its programme',
    });
  });
});

describe('weighing in, from what a scale says', () => {
  /** Plays a scale, listened to ten times a second. */
  const play = (
    target: number,
    from: ScaleStandIn,
    seconds: number,
    before: WeighIn = notWeighed,
  ) => {
    let scale = from;
    let weighing = before;
    for (let i = 0; i < seconds * 10; i += 1) {
      scale = scaleLater(scale, 100);
      weighing = weighInNext(weighing, scaleReading(scale), target, scale.step);
    }
    return { scale, weighing };
  };

  it('counts from what lies there, and is in once it has lain at its mark for a second', () => {
    const bowl = play(245, putOn(scaleStandIn(), 634), 8);
    expect(bowl.weighing).to.include({ standing: 'empty', from: 634 });
    const half = play(245, putOn(bowl.scale, 120), 6, bowl.weighing);
    expect(half.weighing).to.include({ standing: 'pouring', grams: 120 });
    const full = play(245, putOn(half.scale, 125), 6, half.weighing);
    expect(full.weighing).to.include({ standing: 'in', grams: 245 });
  });

  it('within one per cent is near enough, beyond it is over', () => {
    const bowl = play(300, putOn(scaleStandIn(), 100), 8);
    expect(play(300, putOn(bowl.scale, 303), 8, bowl.weighing).weighing.standing).to.equal('in');
    expect(play(300, putOn(bowl.scale, 304), 8, bowl.weighing).weighing.standing).to.equal('over');
    expect(play(300, putOn(bowl.scale, 296), 8, bowl.weighing).weighing.standing).to.equal(
      'pouring',
    );
  });

  it('nothing is not a gram: so little as a step of the scale wants to be seen, and less goes by the spoon', () => {
    const bowl = play(1, putOn(scaleStandIn(), 300), 8);
    expect(bowl.weighing.standing).to.equal('empty');
    expect(play(1, bowl.scale, 10, bowl.weighing).weighing.standing).to.equal('empty');
    expect(play(1, putOn(bowl.scale, 1), 8, bowl.weighing).weighing).to.include({
      standing: 'in',
      grams: 1,
    });
    expect([tooLittleFor(0.9, 1), tooLittleFor(1, 1), tooLittleFor(0.3, 0.1)]).to.deep.equal([
      true,
      false,
      false,
    ]);
  });

  it('a bowl that is lifted is not a negative weight, and goes on where it was', () => {
    const bowl = play(245, putOn(scaleStandIn(), 634), 8);
    const half = play(245, putOn(bowl.scale, 100), 6, bowl.weighing);
    const lifted = play(245, lift(half.scale), 6, half.weighing);
    expect(lifted.weighing).to.include({ standing: 'lifted', grams: 0 });
    const back = play(245, lift(lifted.scale), 6, lifted.weighing);
    expect(back.weighing).to.include({ standing: 'pouring', grams: 100, from: 634 });
  });
});
