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
    when: 'After five to ten minutes of kneading, open the lid and scrape the sides down.',
    touch: 'Stop it, or wait for a pause, then touch the top with a fingertip.',
    right: 'It should be one tacky ball that lets go of your finger.',
    within: true,
    drawn: 'ball',
  },
  hand: {
    label: 'hand dough',
    when: 'After five minutes of kneading, before any flour goes on the bench.',
    touch: 'Press a fingertip in and lift it off.',
    right: 'It should be smooth and just tacky, and hold its shape.',
    within: true,
    drawn: 'ball',
  },
  slack: {
    label: 'slack dough',
    when: 'After the first fold, or after half an hour’s rest. Use a wet hand.',
    touch: 'Lift an edge: it stretches like a curtain before it tears.',
    right: 'It should stick to the bottom of the bowl but not to the sides.',
    within: false,
    drawn: 'sheet',
  },
  rye: {
    label: 'rye paste',
    when: 'Ten minutes after stirring.',
    touch: 'Draw a wet spatula through it. Without gluten it does not stretch: do not knead it.',
    right: 'It should be a paste that keeps the furrow.',
    within: false,
    drawn: 'paste',
  },
  'low-carb': {
    label: 'low-carb dough',
    when: 'Five minutes into the one short knead; fibre still drinks for ten.',
    touch: 'Pull a piece: it is springy like rubber, and wet on its face.',
    right:
      'It should be one springy, slightly sticky lump. If too wet, add oat fibre or gluten, not flour.',
    within: true,
    drawn: 'rubber',
  },
  stirred: {
    label: 'stirred dough',
    when: 'Once no dry flour is left; whole grain has drunk after ten minutes more.',
    touch: 'Drag a wet spoon through it and lift it.',
    right: 'It should cling to the spoon and drop off in one lump.',
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
