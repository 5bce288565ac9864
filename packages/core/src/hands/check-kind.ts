import { type DeviceId, devices } from '../machine/device.ts';
import { loadingOrders } from '../machine/loading-order.ts';
import { type StyleId, type Window, styles } from '../style/style.ts';

/** How a dough is looked at and touched, by what kind of dough it is. */
interface CheckKind {
  readonly label: string;
  /** When to look, and what to do first. */
  readonly when: string;
  /** How to touch it. */
  readonly touch: string;
  /** What is right, in words. */
  readonly right: string;
  /** It is looked at while it is kneaded, and not once that is over. */
  readonly within: boolean;
  /** What of the drawing tells the kinds apart. */
  readonly drawn: 'ball' | 'sheet' | 'paste' | 'rubber';
}

/** One row a kind. Handbook section 11; common practice, no source. */
export const checkKinds = {
  machine: {
    label: 'machine dough',
    when: 'Five to ten minutes into the kneading, after its rest: open the lid and scrape the sides down once.',
    touch: 'Stop it, or wait for a pause, and touch the top with a fingertip.',
    right: 'One ball round the paddle, its sides clean: tacky, and it lets go of the finger.',
    within: true,
    drawn: 'ball',
  },
  hand: {
    label: 'hand dough',
    when: 'After five minutes of kneading, before any flour goes on the bench.',
    touch: 'Press a fingertip in and lift it off.',
    right: 'Smooth, just tacky: it lets go of the finger and holds its shape.',
    within: true,
    drawn: 'ball',
  },
  slack: {
    label: 'slack dough',
    when: 'After the first fold, with a wet hand.',
    touch: 'Lift an edge: it stretches like a curtain before it tears.',
    right: 'It clings to the bowl’s bottom, comes off its sides, and folds over itself.',
    within: false,
    drawn: 'sheet',
  },
  rye: {
    label: 'rye paste',
    when: 'Once it is stirred through and has stood for ten minutes.',
    touch:
      'Draw a wet spatula through it. It has no gluten: it does not stretch, and is not kneaded.',
    right: 'A paste that keeps the furrow and shines where it is smoothed wet.',
    within: false,
    drawn: 'paste',
  },
  'low-carb': {
    label: 'low-carb dough',
    when: 'Five minutes into the one short knead; fibre still drinks for ten.',
    touch: 'Pull a piece: it is springy like rubber, and wet on its face.',
    right: 'One springy lump, slightly sticky. Too wet, it takes oat fibre or gluten, not flour.',
    within: true,
    drawn: 'rubber',
  },
  stirred: {
    label: 'stirred dough',
    when: 'Once no dry flour is left; whole grain has drunk after ten minutes more.',
    touch: 'Drag a wet spoon through it and lift it.',
    right: 'It clings to the spoon and drops off in one lump. It does not run.',
    within: false,
    drawn: 'paste',
  },
} as const satisfies Record<string, CheckKind>;

export type CheckKindId = keyof typeof checkKinds;

/** A window whose middle is from here on is of a slack dough. Own choice, no source. */
const slackFrom = 8;

/**
 * How a dough is looked at.
 *
 * @param dryBase it stands on gluten, fibre and meals for the more part
 * @param window where this household has it right; the style's own where nobody said
 * @example checkKindOf('pan', 'liquids-first', false) // 'machine'
 */
export function checkKindOf(
  style: StyleId,
  device: DeviceId,
  dryBase: boolean,
  [low, high]: Window = styles[style].window,
): CheckKindId {
  const { touch } = styles[style];
  if (dryBase || touch === 'low-carb') return 'low-carb';
  if (touch === 'rye' || touch === 'stirred') return touch;
  if ((low + high) / 2 >= slackFrom) return 'slack';
  return devices[device].loading === loadingOrders.bowl ? 'hand' : 'machine';
}
