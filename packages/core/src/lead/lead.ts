import type { Appliance } from '../machine/appliance.ts';
import { type DeviceId, devices } from '../machine/device.ts';
import { loadingOrders } from '../machine/loading-order.ts';
import { styles, type StyleId } from '../style/style.ts';
import { type Course, bakesOnly, courseTimes } from '../course/course.ts';
import { keptWarm, timerText } from '../course/timer.ts';
import { hoursText } from '../quantity/duration.ts';
import type { MixingAdvice } from '../dough/mixing.ts';
import { machineSizes } from '../machine/machine.ts';
import { checkKinds, type CheckKindId } from '../hands/check-kind.ts';
import { coolingOf } from '../style/cooling.ts';
import type { Mixings } from '../machine/mixings.ts';
import { formRows } from '../hands/divide.ts';
import { ovenPlace, warmPlaces } from '../hands/oven-plan.ts';
import type { RunStep } from './run-steps.ts';
import type { BakeState } from '../bake/state.ts';
import { partText } from '../process/part-text.ts';
import type { Shaping } from '../process/shaping.ts';

/** One thing to do, in a sentence; why, for whoever has never done it; a word in it that is explained. */
export interface Sentence {
  readonly says: string;
  readonly why?: string;
  readonly word?: string;
}

/** What the sentences of a step go by. */
interface LeadFacts {
  readonly step: RunStep;
  readonly style: StyleId;
  readonly device: DeviceId;
  readonly check: CheckKindId;
  readonly course?: Course;
  readonly state: BakeState;
  readonly shaping: Shaping;
  /** Raw grams of one bread. */
  readonly pieceGrams: number;
  /** It is stirred together and never kneaded. */
  readonly unkneaded?: boolean;
  /** How long this dough is worked in that device. */
  readonly mixing: Pick<MixingAdvice, 'minutes' | 'says' | 'tooLong'>;
  /** In how many mixings it goes through the mixer; one where that takes it. */
  readonly mixings?: Mixings;
  /** Something raises it that is put into a dent. */
  readonly yeast: boolean;
  /** Things that go in at the signal, by name. */
  readonly atSignal: readonly string[];
  /** Nobody here has a thermometer to put into it. */
  readonly noProbe?: boolean;
  /** The oven that it is baked in. */
  readonly oven?: Pick<Appliance, 'lowest' | 'steam'>;
  /** Hours that its first rise stands in the room before the fridge. */
  readonly beforeCold?: number;
}

const s = (says: string, why?: string, word?: string): Sentence => ({
  says,
  ...(why === undefined ? {} : { why }),
  ...(word === undefined ? {} : { word }),
});

const bowl = ({ device }: LeadFacts): boolean => devices[device].loading === loadingOrders.bowl;

const sentence = (text: string): string => `${text.charAt(0).toUpperCase()}${text.slice(1)}.`;

/** What is to be done at a step, sentence by sentence, the first one the whole of it in short. */
const leads: { readonly [K in RunStep['kind']]: (facts: LeadFacts) => readonly Sentence[] } = {
  refresh: () => [
    s(
      'Take 20 g of the starter, stir in 20 g of flour and 20 g of water, and let it rise.',
      'It was left to itself for long: a feeding or two, and it raises a dough again.',
    ),
    s('What is left in the old jar is discard. Pink, orange or furry: throw all of it away.'),
  ],
  feed: () => [
    s(
      'Stir starter, flour and water together in a clean jar.',
      'It needs room to grow: a jar three times as large.',
    ),
    s('Mark where it stands with a band round the jar.', 'So you see how far it has risen.'),
  ],
  preferment: () => [
    s(
      'Stir it together until no dry flour is left, and cover it.',
      'It is not kneaded: time does that.',
      'pre-ferment',
    ),
  ],
  ripen: () => [
    s(
      'Leave it alone until it is domed or just falling.',
      'Then it has most strength. Past that it turns sour and thin.',
    ),
    s('A spoonful that floats on water is ripe.'),
  ],
  soak: () => [
    s(
      'Pour the water over it, stir, cover.',
      'What has drunk already takes nothing from the dough.',
      'soaker',
    ),
  ],
  autolyse: () => [
    s(
      'Stir flour and water together and cover the bowl; salt and leaven come later.',
      'It kneads itself meanwhile, and whole grain drinks.',
    ),
  ],
  weigh: (f) => [
    s(
      bowl(f)
        ? 'Weigh everything into the bowl, in this order.'
        : 'Weigh everything into the pan, in this order, the paddle in its place.',
      f.yeast ? devices[f.device].loading.says : devices[f.device].loading.saysWithoutYeast,
    ),
    s('One thing at a time: set the scale to nothing in between, or let it count on.'),
    ...(f.atSignal.length > 0
      ? [
          s(
            bowl(f)
              ? `${f.atSignal.join(', ')}: beside the bowl, for the end of the kneading.`
              : `${f.atSignal.join(', ')}: beside the machine, not into it yet.`,
          ),
        ]
      : []),
  ],
  mix: (f) =>
    f.unkneaded && bowl(f)
      ? [
          styles[f.style].rises
            ? s(
                'Stir it together until no dry flour is left, and cover it.',
                'It is not kneaded: time does that.',
              )
            : s(
                'Stir it together quickly until no dry flour is left, and stop.',
                'The powder works as soon as it is wet; kneading would make it tough.',
              ),
        ]
      : bowl(f)
        ? [
            s(
              f.mixings
                ? `Bring it together, then knead, in ${f.mixings.count} mixings: about ${f.mixing.minutes} minutes each.`
                : `Bring it together, then knead for about ${f.mixing.minutes} minutes.`,
              f.mixings
                ? 'One after the other; then all of it goes into one large bowl and is folded over a few times.'
                : sentence(f.mixing.says),
            ),
            ...(f.check === 'low-carb' || f.check === 'rye'
              ? []
              : [
                  s(
                    'Push it away with the heel of a hand, fold it back, turn it, again.',
                    'Stretching builds the gluten that holds the gas.',
                  ),
                ]),
            s('Take no more flour yet: look at the dough first.'),
          ]
        : machineMix(f),
  check: ({ check, state, unkneaded }) => [
    s(
      unkneaded && check === 'hand'
        ? 'Once it is stirred together, before it is left alone.'
        : checkKinds[check].when,
    ),
    s(checkKinds[check].touch),
    s(
      checkKinds[check].right,
      state.added.length > 0
        ? 'After every spoon it wants two or three minutes to take it up.'
        : undefined,
    ),
  ],
  freeze: () => [
    s(
      'Flatten it, oil it, into a bag without air, and into the freezer.',
      'Flat, it freezes before it rises.',
    ),
  ],
  thaw: () => [
    s(
      'Into the fridge overnight, in its bag.',
      'In the warm its outside would rise before its middle has thawed.',
    ),
  ],
  'first-rise': ({ step, beforeCold }) => [
    s(
      'Cover it and leave it until it has risen.',
      'A lid or a wet cloth: a dry skin stops it.',
      'first rise',
    ),
    s(
      'Mark where it stands now: a band round the bowl, a tape on the jar.',
      'By eye nobody sees the difference between half again and double.',
    ),
    ...(step.folds
      ? [
          s(
            `Fold it ${step.folds.times === 1 ? 'once' : `${step.folds.times} times`}, ${step.folds.every} minutes apart: wet hands, pull up a side and lay it over, all round.`,
            'Folds do the kneading.',
          ),
        ]
      : []),
    ...(step.parts ? [s(partsSay(step.parts)!, 'As the recipe has it.')] : []),
    ...(step.cold && !step.parts && beforeCold !== undefined
      ? [s(`After ${hoursText(beforeCold)} in the room it goes into the fridge.`)]
      : []),
  ],
  chill: () => [
    s(
      'Press it flat, cover it, and put it in the fridge until it is firm.',
      'Soft butter smears and sticks; firm, it can be shaped.',
    ),
  ],
  shape: (f) => [
    ...(f.course?.kind === 'by-eye'
      ? [s('Wet hands: fold it over itself twice in its pan, and take the paddle out.')]
      : [
          ...(f.shaping.pieces > 1 ? [s(`Divide it into ${f.shaping.pieces} equal pieces.`)] : []),
          s(formRows[f.shaping.form].how, 'A tight skin holds it up while it proofs.'),
        ]),
  ],
  'final-proof': (f) => [
    s(
      'Cover it, in a warm place, until it is puffy.',
      'What a finger presses in comes back slowly, and not all the way.',
      'final proof',
    ),
    s(warmPlaces(f.oven)[0]!.says),
    s(
      'Half an hour in: a look every ten minutes.',
      'Too short it bursts, too long it falls. In doubt it goes in.',
    ),
  ],
  heat: (f) => {
    const { rack, lid, steamer } = ovenPlace(f.style, f.shaping.form, f.oven);
    if (steamer)
      return [s(steamer.heat, 'Let it boil hard before anything goes in, and keep hot water by.')];
    return [
      s('Look into the oven, then heat it.', `${rack}, before it is hot.`),
      ...(lid ? [s('Put the pot in now, its lid on it.', 'A cold pot bakes no bottom.')] : []),
    ];
  },
  bake: (f) => {
    const place = ovenPlace(f.style, f.shaping.form, f.oven);
    if (f.course && bakesOnly(f.course) !== undefined)
      return [
        s(
          'Start bake-only.',
          'Its programme is about a quarter of an hour short for such a loaf: start it again for the rest.',
        ),
        s('A probe in the middle says when it is done.'),
      ];
    const parts = partsSay(f.step.parts);
    if (place.steamer)
      return [
        s(`Onto ${place.rack}.`, 'They grow by half: leave room between them, paper under each.'),
        s('Keep the lid on until the time is over.', 'Opened early they fall.'),
        s('Lift the lid away from you: steam burns.'),
      ];
    return [
      s(`Into the oven: ${place.rack}.`, parts === undefined ? place.lid : undefined),
      ...(f.step.rounds
        ? [
            s(
              `It takes ${f.step.rounds} sheets, one after the other.`,
              'What waits stands covered in a cool place, so that it does not over-proof.',
            ),
          ]
        : []),
      ...(parts === undefined ? [] : [s(parts, 'As the recipe has it.')]),
      ...(place.steam && !hasLid(f.step.parts)
        ? [s(place.steam, 'Steam keeps its skin soft while it springs.')]
        : []),
      ...(place.turn ? [s('Half-way, turn it round.', 'Every oven has a hotter side.')] : []),
      f.noProbe
        ? s(
            'Knock on its bottom, look at its sides, weigh it.',
            'One sign alone lies; so does the clock.',
          )
        : s('Push the probe into the middle.', 'Colour alone lies; so does the clock.'),
    ];
  },
  programme: (f) => machineLoaf(f),
  cool: ({ style, pieceGrams }) => {
    const { outOfPan, cut, says } = coolingOf(style, pieceGrams);
    return [
      outOfPan > 0
        ? s(
            `After ${outOfPan} minutes out of its tin, onto a rack.`,
            'In the tin it sweats and its crust turns soft.',
          )
        : s('Onto a rack.'),
      ...(cut > 0 ? [s('Then leave it alone until it may be cut.', says)] : [s(says)]),
    ];
  },
  taste: () => [
    s('Cut it, look, taste, and say how it came out.', 'The next one starts from that.'),
  ],
};

/** A lid keeps the steam of the bread itself: no tray of water goes in beside it. */
const hasLid = (parts: RunStep['parts']): boolean =>
  parts?.some((p) => p.lid !== undefined) ?? false;

/** The parts of a step, one after another, in words. */
const partsSay = (parts: RunStep['parts']): string | undefined =>
  parts && `First ${parts.map((p) => partText(p)).join(', then ')}.`;

function machineMix(f: LeadFacts): Sentence[] {
  const { course } = f;
  if (!course)
    return [
      s('Start the dough programme.'),
      s('Take it out when it has been kneaded and has risen.'),
    ];
  const { first } = courseTimes(course);
  if (course.kind === 'by-eye')
    return [
      s(
        `Start ${course.programme.label}, and switch it off after ${first} minutes.`,
        'Left on it goes on to warm the dough by its own clock, and overheats it.',
      ),
    ];
  return [
    s(
      `Start ${course.programme.label}: ${first} minutes.`,
      'It kneads the dough and lets it rise.',
    ),
    s('Take the dough out as soon as it is done.', 'In a warm pan it goes on rising.'),
  ];
}

function machineLoaf({ course, atSignal }: LeadFacts): Sentence[] {
  if (!course)
    return [
      s('Start its programme for this bread.'),
      s('Out of the pan within twenty minutes of its end.'),
    ];
  const { signal, still, delay, first } = courseTimes(course);
  return [
    s(
      `${course.programme.label}, ${machineSizes[course.size].label}, crust ${course.crust}${delay > 0 ? `, its timer at ${timerText(delay + first)}` : ''}: start.`,
      delay > 0
        ? `Hours and minutes until it is ready; it begins after ${hoursText(delay / 60)}.`
        : undefined,
    ),
    ...(atSignal.length > 0
      ? [
          s(
            signal === undefined
              ? `It does not call: put ${atSignal.join(', ')} in when it has kneaded for a quarter of an hour.`
              : `At its signal, ${signal} minutes in: ${atSignal.join(', ')}.`,
            'Earlier it is crushed, and its sugar comes into the dough.',
          ),
        ]
      : []),
    ...(still === undefined
      ? []
      : [
          s(
            `From ${still} minutes on ${course.machine.paddles > 1 ? 'the paddles turn no more: with a wet hand they' : 'the paddle turns no more: with a wet hand it'} can be lifted out.`,
            'A paddle left in tears a hole.',
          ),
        ]),
    s(
      'Out of the pan within twenty minutes of its end.',
      `Longer, its own steam makes the crust soft and the sides sink.${keptWarm(course) > 0 ? ` It keeps it warm for ${hoursText(keptWarm(course) / 60)}.` : ''}`,
    ),
  ];
}

/**
 * What is to be done at a step of a run, sentence by sentence.
 *
 * @example leadOf({step: {kind: 'heat', …}, …})[0].says // 'Look into the oven, then heat it.'
 */
export const leadOf = (facts: LeadFacts): readonly Sentence[] => leads[facts.step.kind](facts);

/** When a dough is kneaded enough, by what kind of dough it is. Common practice, no source. */
const kneaded: Readonly<Record<CheckKindId, string>> = {
  machine: 'smooth, and a piece stretches thin without tearing',
  hand: 'smooth, and a piece stretches thin without tearing',
  slack: 'it holds together, and stretches before it tears',
  rye: 'no dry flour is left',
  stirred: 'no dry flour is left',
  'low-carb': 'one springy lump',
};

/** What ends a step, in words, where its plan has none. */
export function signOf({
  step,
  style,
  unkneaded,
  noProbe,
  check,
}: Pick<LeadFacts, 'step' | 'style' | 'unkneaded' | 'noProbe' | 'check'>): string {
  if (noProbe && step.kind === 'bake') return 'it sounds hollow, and its sides are brown';
  if (step.until) return step.until;
  const words: Partial<Record<RunStep['kind'], string>> = {
    mix: unkneaded ? 'no dry flour is left' : kneaded[check],
    autolyse: 'no dry flour, and it pulls like taffy',
    soak: 'no water stands on it',
    heat: 'its light goes out, and five minutes more',
    cool: styles[style].baking.cooling.value > 0 ? 'no longer warm to the hand' : 'hot',
    programme: 'it calls',
    thaw: 'soft right through',
  };
  return words[step.kind] ?? '';
}
