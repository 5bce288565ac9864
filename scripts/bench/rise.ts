/** What a rise and its inverse cost. */
import {
  answerLeaven,
  answerRise,
  doughAsked,
  riseFor,
  type RiseAsked,
} from '@tender-crumb/core/ferment';
import { print, time } from './measure.ts';

const asked: RiseAsked = {
  leavens: [{ kind: 'instant', percent: 0.1 }],
  saltPercent: 2,
  sugarPercent: 3,
  fatPercent: 4,
  waterPercent: 65,
  wholeShare: 0.2,
  doughC: 24,
  air: [
    { hours: 2, celsius: 22 },
    { hours: 12, celsius: 5 },
    { hours: 1, celsius: 24 },
  ],
  vessel: 'bowl',
  kilograms: 0.9,
  until: { volume: 2 },
};
const dough = doughAsked(asked);
const open: RiseAsked = { ...asked, leavens: [{ kind: 'instant' }] };

const runs = { runs: 40, warm: 8 };
print({
  measure: 'a rise followed for 48 h',
  ...(await time(() => riseFor(dough, 48), runs)),
  unit: 'ms',
  aim: '< 10',
});
print({
  measure: 'when is it ready, with its band and its curve',
  ...(await time(() => answerRise(asked), runs)),
  unit: 'ms',
});
print({
  measure: 'leaven for 12 h, with its band',
  ...(await time(() => answerLeaven(open, 12), runs)),
  unit: 'ms',
  aim: '< 60',
});
