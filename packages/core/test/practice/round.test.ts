import { expect } from 'chai';
import {
  calls,
  judgeCall,
  leaningOf,
  practiceDoughs,
  practiceRound,
  type Call,
  type LessonId,
} from '@tender-crumb/core/practice';
import { styles } from '@tender-crumb/core/style';

const rounds = (lesson: LessonId, count = 400) =>
  Array.from({ length: count }, (_, seed) => practiceRound(lesson, seed));

describe('a round of practice', () => {
  it('is the same for a seed, and no two are alike', () => {
    expect(practiceRound('knead', 7)).to.deep.equal(practiceRound('knead', 7));
    for (const lesson of ['knead', 'proof'] as const)
      expect(new Set(rounds(lesson).map((r) => r.truth)).size).to.equal(400);
  });

  it('every call is the best one now and then, none of them nearly always', () => {
    for (const lesson of ['knead', 'proof'] as const) {
      const best = rounds(lesson).map(
        (r) => judgeCall(r, Object.keys(calls[lesson])[0] as Call).best,
      );
      for (const call of Object.keys(calls[lesson])) {
        const share = best.filter((b) => b === call).length / best.length;
        expect(share, call).to.be.within(0.02, 0.6);
      }
    }
  });

  it('what is best is what the window of its style says, waiting for slow flour', () => {
    for (const round of rounds('knead')) {
      const [low, high] = styles[practiceDoughs[round.dough].style].window;
      const { best } = judgeCall(round, 'leave');
      if (best === 'wait') expect(round.now - round.truth).to.be.at.least(3);
      else
        expect(best).to.equal(round.truth < low ? 'water' : round.truth > high ? 'flour' : 'leave');
    }
  });

  it('its signs follow where it stands: the drier the dough, the earlier the words of its row', () => {
    const dry = rounds('knead').filter((r) => r.now < -11);
    const wet = rounds('knead').filter((r) => r.now > 16);
    const finger = (r: (typeof dry)[number]) => r.signs.find((s) => s.test === 'finger')!.says;
    expect(dry.every((r) => /^Dry/.test(finger(r)))).to.equal(true);
    expect(wet.every((r) => /^(Sticks|It runs)/.test(finger(r)))).to.equal(true);
    for (const r of rounds('proof').filter((p) => p.truth < 0.5))
      expect(r.signs.find((s) => s.test === 'poke')!.says).to.match(/^Springs back at once/);
  });

  it('refuses a call of another lesson', () => {
    expect(() => judgeCall(practiceRound('knead', 1), 'bake')).to.throw(RangeError);
  });
});

describe('where judgement leans', () => {
  const always = (call: Call, count: number) =>
    leaningOf(rounds('knead', count).map((round) => ({ round, call })));

  it('who always takes flour calls doughs wetter than they are, who always takes water drier', () => {
    expect(always('flour', 40).lean!.mean).to.be.greaterThan(2);
    expect(always('flour', 40).says).to.contain('wetter');
    expect(always('water', 40).lean!.mean).to.be.lessThan(-2);
    expect(always('water', 40).says).to.contain('drier');
  });

  it('who is right leans nowhere; who called little is told nothing', () => {
    const right = rounds('knead', 40).map((round) => ({
      round,
      call: judgeCall(round, 'leave').best,
    }));
    expect(leaningOf(right)).to.include({ rounds: 40, right: 40, says: 'It leans neither way.' });
    expect(leaningOf([]).says).to.equal('Nothing was called yet.');
    expect(always('flour', 5).lean).to.equal(undefined);
    expect(always('flour', 6).lean!.of).to.be.at.most(6);
  });

  it('proofs called too early and too late', () => {
    const of = (call: Call) =>
      leaningOf(rounds('proof', 30).map((round) => ({ round, call }))).early!;
    expect(of('hurry')).to.be.greaterThan(0.3);
    expect(of('proof-on')).to.be.lessThan(-0.3);
  });
});
