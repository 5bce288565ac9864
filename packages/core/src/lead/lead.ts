import { capital } from '../quantity/capital.ts';
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
import type { Cooling } from '../style/cooling.ts';
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
  /** When it leaves its tin and is cut. */
  readonly cooling: Cooling;
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

const sentence = (text: string): string => `${capital(text)}.`;

/** What is to be done at a step, sentence by sentence, the first one the whole of it in short. */
const leads: { readonly [K in RunStep['kind']]: (facts: LeadFacts) => readonly Sentence[] } = {
  refresh: () => [
    s(
      'Take 20 g of the starter, stir in 20 g of flour and 20 g of water, and let it rise.',
      'It stood a long time. A feeding or two wakes it.',
    ),
    s('The rest in the old jar is discard. If pink, orange or furry, throw all of it away.'),
  ],
  feed: () => [
    s(
      'Stir starter, flour and water together in a clean jar.',
      'Use a jar three times as large: it grows.',
    ),
    s('Put a band round the jar at the start.', 'Then you see how far it has risen.'),
  ],
  preferment: () => [
    s('Stir until no dry flour is left. Cover it.', 'No kneading: time does that.', 'pre-ferment'),
  ],
  ripen: () => [
    s(
      'Leave it until it is domed or just falling.',
      'It is strongest then. Later it turns sour and thin.',
    ),
    s('A spoonful that floats on water is ripe.'),
  ],
  soak: () => [
    s('Pour the water over, stir, cover.', 'Soaked, it takes no water from the dough.', 'soaker'),
  ],
  autolyse: () => [
    s(
      'Stir flour and water together and cover the bowl; salt and leaven come later.',
      'The gluten builds by itself, and whole grain takes up water.',
    ),
  ],
  weigh: (f) => [
    s(
      bowl(f)
        ? 'Weigh into the bowl, in this order.'
        : 'Put the paddle in, then weigh into the pan in this order.',
      f.yeast ? devices[f.device].loading.says : devices[f.device].loading.saysWithoutYeast,
    ),
    s('One at a time: set the scale to zero in between, or let it count on.'),
    ...(f.atSignal.length > 0
      ? [
          s(
            bowl(f)
              ? `${f.atSignal.join(', ')}: beside the bowl, for the end of kneading.`
              : `${f.atSignal.join(', ')}: beside the machine, not into it yet.`,
          ),
        ]
      : []),
  ],
  mix: (f) =>
    f.unkneaded && bowl(f)
      ? [
          styles[f.style].rises
            ? s('Stir until no dry flour is left. Cover it.', 'No kneading: time does that.')
            : s(
                'Stir quickly until no dry flour is left, then stop.',
                'The powder works once wet; kneading makes it tough.',
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
                    'Push with the heel of your hand, fold back, turn, repeat.',
                    'Stretching builds the gluten that holds the gas.',
                  ),
                ]),
            s('Add no flour yet: check the dough first.'),
          ]
        : machineMix(f),
  check: ({ check, state, unkneaded }) => [
    s(unkneaded && check === 'hand' ? 'Right after stirring.' : checkKinds[check].when),
    s(checkKinds[check].touch),
    s(
      checkKinds[check].right,
      state.added.length > 0 ? 'Give it two or three minutes after every spoon.' : undefined,
    ),
  ],
  freeze: () => [
    s(
      'Flatten and oil it, press the air out of the bag, freeze.',
      'Flat, it freezes before it rises.',
    ),
  ],
  thaw: () => [
    s(
      'Overnight in the fridge, in its bag.',
      'In a warm place the outside rises before the middle thaws.',
    ),
  ],
  'first-rise': ({ step, beforeCold }) => [
    s(
      'Cover it and leave it until it has risen.',
      'Use a lid or a wet cloth: a dry skin stops the rise.',
      'first rise',
    ),
    s('Mark the start with a band or a tape.', 'Half again and double look alike.'),
    ...(step.folds
      ? [
          s(
            `Fold it ${step.folds.times === 1 ? 'once' : `${step.folds.times} times`}, ${step.folds.every} minutes apart. Wet your hands, pull up a side, fold it over, all round.`,
            'Folds do the kneading.',
          ),
        ]
      : []),
    ...(step.parts ? [s(partsSay(step.parts)!, 'As the recipe has it.')] : []),
    ...(step.cold && !step.parts && beforeCold !== undefined
      ? [s(`After ${hoursText(beforeCold)} in the room, put it in the fridge.`)]
      : []),
  ],
  chill: () => [
    s(
      'Press it flat, cover it, and chill until firm.',
      'Soft butter smears; firm dough can be shaped.',
    ),
  ],
  shape: (f) => [
    ...(f.course?.kind === 'by-eye'
      ? [s('Wet your hands, fold it twice in its pan, take the paddle out.')]
      : [
          ...(f.shaping.pieces > 1 ? [s(`Divide it into ${f.shaping.pieces} equal pieces.`)] : []),
          s(formRows[f.shaping.form].how, formRows[f.shaping.form].why),
        ]),
  ],
  'final-proof': (f) => [
    s(
      'Cover it and keep it warm until puffy.',
      'A poke should come back slowly, not all the way.',
      'final proof',
    ),
    s(warmPlaces(f.oven)[0]!.says),
    s(
      'After half an hour, look every ten minutes.',
      'Too short, it bursts; too long, it falls. If in doubt, bake.',
    ),
  ],
  heat: (f) => {
    const { rack, lid, steamer } = ovenPlace(f.style, f.shaping.form, f.oven);
    if (steamer) return [s(steamer.heat, 'Let it boil hard first, and keep hot water ready.')];
    return [
      s('Look into the oven, then heat it.', `Set the rack before it is hot: ${rack}.`),
      ...(lid
        ? [s('Put the pot in now, with its lid.', 'In a cold pot the bottom stays pale.')]
        : []),
    ];
  },
  bake: (f) => {
    const place = ovenPlace(f.style, f.shaping.form, f.oven);
    if (f.course && bakesOnly(f.course) !== undefined)
      return [
        s(
          'Start bake-only.',
          'This programme is about 15 minutes short for such a loaf: start it again.',
        ),
        s('A probe in the middle says when it is done.'),
      ];
    const parts = partsSay(f.step.parts);
    if (place.steamer)
      return [
        s(`Onto ${place.rack}.`, 'They grow by half: leave room, and put paper under each.'),
        s('Keep the lid on all the time.', 'If you open it early, they fall.'),
        s('Lift the lid away from you: steam burns.'),
      ];
    return [
      s(`Into the oven: ${place.rack}.`, parts === undefined ? place.lid : undefined),
      ...(f.step.rounds
        ? [
            s(
              `It takes ${f.step.rounds} sheets, one after the other.`,
              'Keep what waits covered and cool.',
            ),
          ]
        : []),
      ...(parts === undefined ? [] : [s(parts, 'As the recipe has it.')]),
      ...(place.steam && !hasLid(f.step.parts)
        ? [s(place.steam, 'Steam keeps the skin soft while it grows.')]
        : []),
      ...(place.turn ? [s('Half-way, turn it round.', 'Every oven has a hotter side.')] : []),
      f.noProbe
        ? s(
            'Knock on the bottom, look at the sides, weigh it.',
            'Do not trust one sign alone, nor the clock.',
          )
        : s('Push the probe into the middle.', 'Do not trust colour alone, nor the clock.'),
    ];
  },
  programme: (f) => machineLoaf(f),
  cool: ({ cooling: { outOfPan, cut, says } }) => [
    outOfPan > 0
      ? s(
          `After ${outOfPan} minutes, take it out of the tin, onto a rack.`,
          'In the tin the crust turns soft.',
        )
      : s('Onto a rack.'),
    ...(cut > 0 ? [s('Then leave it until it is ready to cut.', says)] : [s(says)]),
  ],
  taste: () => [s('Cut it, look, taste.', 'The next bake learns from this.')],
};

/** A lid keeps the steam of the bread itself: no tray of water goes in beside it. */
const hasLid = (parts: RunStep['parts']): boolean =>
  parts?.some((p) => p.lid !== undefined) ?? false;

/** The parts of a step, one after another, in words. */
const partsSay = (parts: RunStep['parts']): string | undefined =>
  parts && `First ${parts.map((p) => partText(p)).join(', then ')}.`;

function machineMix(f: LeadFacts): Sentence[] {
  const { course } = f;
  if (!course) return [s('Start the dough programme.'), s('Take it out when it has risen.')];
  const { first } = courseTimes(course);
  if (course.kind === 'by-eye')
    return [
      s(
        `Start ${course.programme.label}, and switch it off after ${first} minutes.`,
        'Left on, it overheats the dough.',
      ),
    ];
  return [
    s(`Start ${course.programme.label}: ${first} minutes.`, 'It kneads and lets the dough rise.'),
    s('Take the dough out as soon as it is done.', 'It keeps rising in a warm pan.'),
  ];
}

function machineLoaf({ course, atSignal }: LeadFacts): Sentence[] {
  if (!course)
    return [
      s('Start its programme for this bread.'),
      s('Take it out of the pan within twenty minutes.'),
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
              ? `It does not beep: put ${atSignal.join(', ')} in after 15 minutes of kneading.`
              : `At its signal, ${signal} minutes in: ${atSignal.join(', ')}.`,
            'Earlier, they are crushed.',
          ),
        ]
      : []),
    ...(still === undefined
      ? []
      : [
          s(
            `From ${still} minutes on ${course.machine.paddles > 1 ? 'the paddles have stopped: with a wet hand they' : 'the paddle has stopped: with a wet hand it'} can be lifted out.`,
            'A paddle left in tears a hole.',
          ),
        ]),
    s(
      'Take it out of the pan within twenty minutes.',
      `Longer, steam softens the crust and the sides sink.${keptWarm(course) > 0 ? ` It keeps it warm for ${hoursText(keptWarm(course) / 60)}.` : ''}`,
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
  slack: 'it holds together and stretches',
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
    cool: styles[style].baking.cooling.value > 0 ? 'no longer warm' : 'hot',
    programme: 'it calls',
    thaw: 'soft right through',
  };
  return words[step.kind] ?? '';
}
