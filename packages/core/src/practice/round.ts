import { seeded, type Chance } from './chance.ts';
import { styles, type StyleId } from '../style/style.ts';
import { coefficients } from '../coefficients/coefficients.ts';
import { normalBelow } from '../quantity/normal.ts';
import { kneadSigns, proofSigns, type Sign } from './signs.ts';

/** What a baker is asked to judge. */
export const lessons = {
  knead: 'A dough in the bowl',
  proof: 'A loaf before the oven',
} as const;
export type LessonId = keyof typeof lessons;

/** What can be called of a dough in the bowl, and of a loaf before the oven. */
export const calls = {
  knead: {
    leave: 'Leave it alone',
    water: 'A spoon of water',
    flour: 'A spoon of flour',
    wait: 'Wait, then look again',
  },
  proof: {
    'proof-on': 'Let it proof on',
    bake: 'Into the oven now',
    hurry: 'It is over: bake at once',
  },
} as const;
type KneadCall = keyof (typeof calls)['knead'];
type ProofCall = keyof (typeof calls)['proof'];
export type Call = KneadCall | ProofCall;

/** Kinds of dough to practise on: each has the window of its style, and so many points of slow absorption. */
export const practiceDoughs = {
  white: { says: 'white tin loaf', style: 'pan', slow: 0 },
  whole: { says: 'fresh-milled whole wheat', style: 'pan', slow: 5 },
  plait: { says: 'enriched plait', style: 'plait', slow: 0 },
  hearth: { says: 'slack hearth loaf', style: 'slack', slow: 1.5 },
} as const satisfies Record<string, { says: string; style: StyleId; slow: number }>;
const windowOf = (dough: PracticeDough) => styles[practiceDoughs[dough].style].window;
type PracticeDough = keyof typeof practiceDoughs;

/** One dough, with what is true of it and what it shows. */
export interface Round {
  readonly seed: number;
  readonly lesson: LessonId;
  readonly dough: PracticeDough;
  /** Where it really stands once it has drunk, points; or for a proof how far it is, 1 being ripe. */
  readonly truth: number;
  /** How it feels now: looser while slow flour has still to drink. */
  readonly now: number;
  /** Minutes since the kneading began, or since it was shaped. */
  readonly minute: number;
  readonly signs: readonly Sign[];
}

/** Minutes after which slow flour has drunk: the practice doughs are nobody’s own. */
const drunkAfter = coefficients.restMinutes.value;
/** A proof that is ripe is so for a tenth of its time before and after. Common practice, no source. */
const ripe = [0.88, 1.12] as const;
/** Points a dough is drawn outside its window at most. Own choice. */
const beyond = 11;

/** Points by which slow flour that has still to drink leaves a dough looser, at a minute. Common practice, no source. */
export const stillLoose = (slow: number, minute: number): number =>
  1.6 * slow * Math.max(0, 1 - minute / drunkAfter);

function kneadRound(seed: number, chance: Chance): Round {
  const doughs = Object.keys(practiceDoughs) as PracticeDough[];
  const dough = doughs[Math.floor(chance.uniform() * doughs.length)]!;
  const { slow } = practiceDoughs[dough];
  const [low, high] = windowOf(dough);
  // A third of the doughs are right: who always corrects must be wrong often enough to notice.
  const third = chance.uniform();
  const truth =
    third < 0.36
      ? low + (high - low) * chance.uniform()
      : third < 0.68
        ? low - 1.5 - (beyond - 1.5) * chance.uniform()
        : high + 1.5 + (beyond - 1.5) * chance.uniform();
  const minute = Math.round(4 + 22 * chance.uniform());
  const now = truth + stillLoose(slow, minute);
  return {
    seed,
    lesson: 'knead',
    dough,
    truth,
    now,
    minute,
    signs: kneadSigns(now, minute, chance),
  };
}

function proofRound(seed: number, chance: Chance): Round {
  const doughs = ['white', 'whole', 'hearth'] as const;
  const dough = doughs[Math.floor(chance.uniform() * doughs.length)]!;
  const truth = 0.45 + 1.1 * chance.uniform();
  const usual = dough === 'white' ? 55 : dough === 'whole' ? 90 : 110;
  const minute = Math.round((usual * truth * (0.8 + 0.4 * chance.uniform())) / 5) * 5;
  return {
    seed,
    lesson: 'proof',
    dough,
    truth,
    now: truth,
    minute,
    signs: proofSigns(truth, dough === 'whole', chance),
  };
}

/**
 * A dough to judge. The same seed is the same dough; no two seeds are.
 *
 * @param seed a whole number
 * @example practiceRound('knead', 7).signs.length // 4
 */
export function practiceRound(lesson: LessonId, seed: number): Round {
  const chance = seeded(seed * 2 + (lesson === 'knead' ? 0 : 1));
  return lesson === 'knead' ? kneadRound(seed, chance) : proofRound(seed, chance);
}

/** How a call is judged. */
interface CallJudged {
  readonly right: boolean;
  readonly best: Call;
  /** Of the best call: why. */
  readonly says: string;
  /** Points by which the call takes the dough for looser than it is: above 0 for “too wet”. Absent for a proof. */
  readonly lean?: number;
}

/** Slow flour that has so much still to drink is waited for, points. As tellingDifference in the verdict. */
const waits = 3;

/** The level that a call speaks of: where a dough would have to stand for it to be right. */
function calledAt(call: KneadCall, [low, high]: readonly [number, number], now: number): number {
  if (call === 'water') return low - 4;
  if (call === 'flour') return high + 4;
  return Math.min(high, Math.max(low, now));
}

function bestOfKnead({ truth, now, dough }: Round): { best: KneadCall; says: string } {
  const [low, high] = windowOf(dough);
  if (now - truth >= waits && now > high)
    return {
      best: 'wait',
      says: 'The flour still takes up water, so it feels wetter now. Wait, then judge.',
    };
  if (truth < low)
    return {
      best: 'water',
      says: 'Too tight for this bread: a spoon of water, and look again.',
    };
  if (truth > high)
    return {
      best: 'flour',
      says: 'Too loose for this bread: a spoon of flour, and look again.',
    };
  return { best: 'leave', says: 'Just right. Leave it.' };
}

function bestOfProof({ truth, dough }: Round): { best: ProofCall; says: string } {
  const whole = dough === 'whole' ? ' Whole grain is baked filled out and puffy, not doubled.' : '';
  if (truth < ripe[0])
    return {
      best: 'proof-on',
      says: `It has ${Math.round(100 * (1 - truth))} % of its way to go.${whole}`,
    };
  if (truth > ripe[1])
    return {
      best: 'hurry',
      says: 'Over-proofed: bake at once, hot. Or knock it back and shape it again.',
    };
  return { best: 'bake', says: `It is ripe.${whole}` };
}

/**
 * Judges a call.
 *
 * @throws RangeError for a call of another lesson
 * @example judgeCall(practiceRound('knead', 7), 'leave').best // 'water'
 */
export function judgeCall(round: Round, call: Call): CallJudged {
  if (!Object.hasOwn(calls[round.lesson], call)) throw new RangeError(`no such call: ${call}`);
  if (round.lesson === 'proof') {
    const { best, says } = bestOfProof(round);
    return { right: call === best, best, says };
  }
  const { best, says } = bestOfKnead(round);
  const window = windowOf(round.dough);
  const lean =
    call === 'wait' || call === best
      ? 0
      : calledAt(call as KneadCall, window, round.now) - round.truth;
  return { right: call === best, best, says, lean };
}

/** Where somebody's judgement leans, after some rounds. */
interface Leaning {
  readonly rounds: number;
  readonly right: number;
  /** Mean points by which doughs are called looser than they are, with its standard error; of doughs in the bowl. */
  readonly lean?: {
    readonly mean: number;
    readonly error: number;
    readonly of: number;
    /** As the household's own figure of its touch would have it: a tenth, within what that may be. */
    readonly touch: number;
  };
  /** Proofs called too early less those called too late, as a share of them. */
  readonly early?: number;
  readonly says: string;
}

/** A lean as a figure of the touch. */
const touchFrom = (mean: number): number => {
  const { least, most } = coefficients.touch;
  return Math.min(most, Math.max(least, Math.round(10 * mean) / 10));
};

/** Calls judged too few to say where they lean. Own choice, no source. */
const least = 6;
/** Proofs judged too few to say whether they are called early. Own choice, no source. */
const leastProofs = 4;
/** A lean is told where chance alone would show it so rarely. Own choice, no source. */
const told = 0.1;

/**
 * Where judgement leans, by what was called.
 *
 * @example leaningOf([]).says // 'Nothing was called yet.'
 */
export function leaningOf(
  called: ReadonlyArray<{ readonly round: Round; readonly call: Call }>,
): Leaning {
  const judged = called.map(({ round, call }) => ({ round, call, ...judgeCall(round, call) }));
  const right = judged.filter((j) => j.right).length;
  const leans = judged.flatMap((j) => (j.lean === undefined ? [] : [j.lean]));
  const proofs = judged.filter((j) => j.round.lesson === 'proof');
  const order: readonly Call[] = ['proof-on', 'bake', 'hurry'];
  const early =
    proofs.length < leastProofs
      ? undefined
      : proofs.reduce(
          (sum, p) => sum + Math.sign(order.indexOf(p.call) - order.indexOf(p.best)),
          0,
        ) / proofs.length;
  if (called.length === 0) return { rounds: 0, right: 0, says: 'Nothing was called yet.' };
  const mean = leans.reduce((s, l) => s + l, 0) / Math.max(1, leans.length);
  const spread = leans.reduce((s, l) => s + (l - mean) ** 2, 0) / Math.max(1, leans.length - 1);
  const error = Math.sqrt(spread / Math.max(1, leans.length));
  const lean =
    leans.length >= least ? { mean, error, of: leans.length, touch: touchFrom(mean) } : undefined;
  const by = lean && error > 0 ? 2 * (1 - normalBelow(Math.abs(mean) / error)) : 1;
  const says =
    lean && by < told
      ? mean > 0
        ? 'Doughs feel wetter to you than they are: wait before you add flour.'
        : 'Doughs feel drier to you than they are: wait before you add water.'
      : called.length < least
        ? 'A few more rounds to see where you lean.'
        : 'It leans neither way.';
  return {
    rounds: called.length,
    right,
    ...(lean ? { lean } : {}),
    ...(early === undefined ? {} : { early }),
    says,
  };
}
