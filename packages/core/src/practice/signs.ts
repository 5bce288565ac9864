import type { Chance } from './chance.ts';

/** What a test of the dough shows. */
export interface Sign {
  readonly test: 'eye' | 'finger' | 'windowpane' | 'knock' | 'poke' | 'volume' | 'skin';
  readonly says: string;
}

/** A sign by where a dough stands: the first row whose end lies above it. Common practice, no source. */
type Row = readonly [below: number, says: string];

const eye: readonly Row[] = [
  [-12, 'Dry flour lies about it; it falls into two lumps.'],
  [-6, 'A rough ball that cracks where it folds.'],
  [-1, 'A firm ball, its skin a little rough.'],
  [5, 'A smooth ball that just clings at the foot.'],
  [11, 'It spreads at the foot and leaves a smear on the wall.'],
  [18, 'It does not gather; it shines and pools at the edge.'],
  [Infinity, 'A thick batter.'],
];
const finger: readonly Row[] = [
  [-10, 'Dry; a crumb of it falls off.'],
  [-4, 'Dry to the touch, and it presses back hard.'],
  [0, 'Barely tacky; it lets go at once.'],
  [5, 'Tacky; it lets go of the finger clean.'],
  [10, 'Sticks, and draws a short thread.'],
  [17, 'Sticks and comes away with the finger.'],
  [Infinity, 'It runs off the finger.'],
];
const knock: readonly Row[] = [
  [-8, 'The paddle knocks and the machine jumps.'],
  [-3, 'A dull thump with each turn.'],
  [6, 'A quiet, even slap.'],
  [13, 'A wet slap.'],
  [Infinity, 'No sound but a hiss.'],
];
const pane: readonly Row[] = [
  [0.3, 'Tears at once.'],
  [0.6, 'Stretches a little, with a ragged edge, then tears.'],
  [0.85, 'Thin and cloudy before it tears.'],
  [Infinity, 'So thin that light comes through.'],
];

const at = (rows: readonly Row[], value: number): string =>
  rows.find(([below]) => value < below)![1];

/** A finger errs by so much, and eye and ear by more, points. As the spread of a feel. */
const errs = { eye: 2, finger: 1.5, knock: 2.5 } as const;
/** Minutes of kneading that make a windowpane. Common practice, no source. */
const kneaded = 16;

/** What a dough in the bowl shows, where it feels to stand now. */
export const kneadSigns = (now: number, minute: number, { normal }: Chance): Sign[] => [
  { test: 'eye', says: at(eye, now + errs.eye * normal()) },
  { test: 'finger', says: at(finger, now + errs.finger * normal()) },
  { test: 'knock', says: at(knock, now + errs.knock * normal()) },
  { test: 'windowpane', says: at(pane, minute / kneaded + 0.1 * normal()) },
];

const poke: readonly Row[] = [
  [0.7, 'Springs back at once.'],
  [0.88, 'Springs back, a little slower.'],
  [1.12, 'Comes back slowly, and not all the way.'],
  [1.3, 'Hardly comes back.'],
  [Infinity, 'Stays, and the loaf sighs.'],
];
const skin: readonly Row[] = [
  [0.75, 'Tight and smooth.'],
  [1.05, 'Full, with a few small bubbles under the skin.'],
  [1.25, 'Bubbles at the skin; it trembles when the tin is moved.'],
  [Infinity, 'Slack, with dimples where bubbles have sunk.'],
];

/** What a shaped loaf shows; `truth` 1 where it is ripe. */
export function proofSigns(truth: number, whole: boolean, { normal }: Chance): Sign[] {
  const gain = (whole ? 0.75 : 1.05) * Math.min(1.1, truth + 0.05 * normal());
  return [
    {
      test: 'volume',
      says: `${(1 + Math.max(0, gain)).toFixed(1)} times as high as it was shaped.`,
    },
    { test: 'poke', says: at(poke, truth + 0.05 * normal()) },
    { test: 'skin', says: at(skin, truth + 0.07 * normal()) },
  ];
}
