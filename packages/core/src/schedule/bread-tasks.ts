import { isRaisingAgent } from '../ferment/raising-agent.ts';
import { mixingAdvice } from '../dough/mixing.ts';
import { devices, kneadingOf } from '../machine/device.ts';
import { loadingOrders } from '../machine/loading-order.ts';
import { stepKinds } from '../process/step-kind.ts';
import { isUnkneaded, stirring } from '../process/unkneaded.ts';
import { bakesOnly, courseTimes, risesInMachine, type Course } from '../course/course.ts';
import { mayWait } from '../course/timer.ts';
import { coreAt } from '../style/baking.ts';
import { coolingOf } from '../style/cooling.ts';
import { isTurned } from '../style/nature.ts';
import { styles } from '../style/style.ts';
import { aheadTasks, blindDoubt } from './ahead-tasks.ts';
import { isShapedCold } from '../ferment/shaped-cold.ts';
import { pieceKilograms } from '../ferment/shaped-in.ts';
import { loavesOf } from '../process/shaping.ts';
import { stepsWritten, type Bread } from './bread.ts';
import { inOven, ovenSpan } from './in-oven.ts';
import { sheetsInARow } from './sheets-in-a-row.ts';
import type { Stretch } from './rise-span.ts';
import type { Link, Task } from './task.ts';
import { dawdle, TaskChain } from './task-chain.ts';
import { handwork, saidBy, span, usualMinutes } from './usual-minutes.ts';
import type { RiseWay, RiseWays } from './ways.ts';

/** The steps of one bread with their spans, in the order of work. */
export interface BreadTasks {
  readonly tasks: readonly Task[];
  readonly links: readonly Link[];
}

/** Minutes of shaping, whatever the pieces: then somebody helps. Own choice, no source. */
const mostShaping = 45;
/** A machine's clock is kept to the minute or so; its loaf may stand in it a while, minutes. Own choice, no source. */
const clockworkSlack = 5;
const kneadedStands = 15;

/** Whether the machine does all of it: as it is chosen, else a loaf of a machine's dough whose recipe has no oven. */
export function bakedByMachine(bread: Bread): boolean {
  if (bread.course) return bread.course.kind === 'whole';
  const { style } = bread.formula;
  const says = stepsWritten(bread);
  const oven = says.bake?.process.place === 'oven' || says.heat !== undefined;
  return (
    devices[bread.device].loading !== loadingOrders.bowl &&
    styles[style].machine &&
    !oven &&
    loavesOf(bread.shaping) === 1 &&
    !bread.lines.some((l) => l.stageKind === 'starter')
  );
}

/** A machine's own time, with the delay that it is set to. */
const clockwork = (minutes: number): Stretch => span(minutes, minutes, minutes + clockworkSlack);

/**
 * The steps of a bread that rises so: what is mixed ahead, the dough, its rises, shaping, the oven, the
 * cooling. As its recipe has them where it says so, else from its style and from what it is made in.
 *
 * @param rises how it rises; none where no model tells
 * @example breadTasks(bread, ways['as-it-is'].of(bread)).tasks.map((t) => t.kind) // ['mix', 'first-rise', …]
 */
export function breadTasks(bread: Bread, rises: RiseWays | undefined): BreadTasks {
  const chain = new TaskChain(bread);
  const ahead = aheadTasks(bread, chain);
  const last = bakedByMachine(bread)
    ? loaf(bread, chain, ahead)
    : baked(bread, chain, raised(bread, chain, mixed(bread, chain, ahead), rises));
  const cool = saidBy(stepsWritten(bread).cool?.process);
  const { formula, lines, shaping } = bread;
  const { cut } = coolingOf(formula.style, 1000 * pieceKilograms(formula, lines, shaping));
  const hot = !cool && cut === 0;
  chain.follow(last, chain.add('cool', cool ?? cooling(cut), hot ? { label: 'To the table' } : {}));
  const { tasks, links } = chain;
  return { tasks, links };
}

type Ahead = ReturnType<typeof aheadTasks>;

/** A loaf that the machine makes from the button to the end, its timer set to when it is wanted. */
function loaf({ course, lines, runs }: Bread, chain: TaskChain, ahead: Ahead): Task {
  const { value } = usualMinutes.programme;
  const takes = course ? clockwork(programmeTime(course)) : span(value - 20, value, value + 25);
  const waits = course && !runs && course.delay === undefined ? mayWait(course, lines) : 0;
  const task = chain.add(
    'programme',
    { ...takes, most: takes.most + waits },
    waits > 0 ? { waits: true } : {},
  );
  for (const [before, most] of ahead) chain.follow(before, task, most);
  return task;
}

const programmeTime = (course: Course): number => {
  const { first, delay } = courseTimes(course);
  return first + delay + usualMinutes.weigh.value;
};

/** The dough, weighed and kneaded, with a rest of flour and water before it where the recipe has one. */
function mixed(bread: Bread, chain: TaskChain, ahead: Ahead): Task {
  const says = stepsWritten(bread);
  const rested = says.autolyse && saidBy(says.autolyse.process);
  // The rest comes before the kneading.
  const autolyse = rested && chain.add('autolyse', rested);
  const mix = chain.add('mix', kneading(bread), worked(bread));
  for (const [before, most] of ahead) chain.follow(before, mix, most);
  if (autolyse) chain.follow(autolyse, mix, 0);
  return mix;
}

/** Minutes of weighing and kneading. */
function kneading(bread: Bread): Stretch {
  const { course } = bread;
  if (course) return clockwork(programmeTime(course));
  if (isUnkneaded(bread.formula)) return handwork(usualMinutes.weigh.value + stirring.value);
  const by = kneadingOf(bread.device);
  const kneads =
    saidBy(stepsWritten(bread).mix?.process)?.usual ??
    mixingAdvice(bread.lines).find((m) => m.by === by)!.minutes;
  return handwork((usualMinutes.weigh.value + kneads) * (bread.mixings?.count ?? 1));
}

/** Whose hands and what device a dough takes hold of while it is worked. */
function worked({ device, course, formula }: Bread): Partial<Task> {
  if (devices[device].loading === loadingOrders.bowl)
    return {
      uses: device === 'mixer' ? [{ resource: 'mixer' }] : [],
      ...(isUnkneaded(formula) ? { label: 'Weigh and stir' } : {}),
    };
  return {
    attended: 'start',
    hands: usualMinutes.weigh.value,
    uses: [{ resource: 'machine' }],
    ...(course
      ? {
          label: risesInMachine(course)
            ? 'The machine kneads and rises it'
            : 'The machine kneads it',
        }
      : {}),
  };
}

/** Its rises with shaping between them. */
function raised(bread: Bread, chain: TaskChain, mix: Task, rises: RiseWays | undefined): Task {
  const says = stepsWritten(bread);
  const inMachine = bread.course !== undefined && bakesOnly(bread.course) !== undefined;
  const shape = () => {
    const { pieces } = bread.shaping;
    const { shape: base, shapePiece } = usualMinutes;
    return chain.add(
      'shape',
      handwork(Math.min(mostShaping, base.value + shapePiece.value * pieces)),
      inMachine ? { label: 'Fold it, and the paddle out' } : {},
    );
  };
  const raisedByPowder = bread.lines.some((l) => isRaisingAgent(l) && l.grams > 0);
  const raisedBySomething = bread.lines.some(
    (l) => (l.of.yeast || l.stageKind === 'starter') && l.grams > 0,
  );
  let last = mix;
  if (rises) {
    const rise = (kind: 'first-rise' | 'final-proof', way: RiseWay): Task =>
      chain.add(kind, way.span, {
        until: way.rise.until,
        celsius: way.celsius,
        uses: [
          ...(way.cold ? [{ resource: 'fridge' } as const] : []),
          // It stands in its pan, and nothing else goes into that.
          ...(inMachine && !way.cold ? [{ resource: 'machine' } as const] : []),
        ],
        label: way.cold ? `${called(kind)} in the fridge` : called(kind),
      });
    const called = (kind: 'first-rise' | 'final-proof') =>
      rises.final ? stepKinds[kind].label : 'Rise';
    if (rises.frozen) {
      last = chain.follow(last, chain.add('freeze', rises.frozen.freezer));
      last = chain.follow(last, chain.add('thaw', rises.frozen.thawing), dawdle);
    }
    // One rise: it is shaped before it, or poured into its pan.
    if (!rises.final) {
      last = chain.follow(last, shape(), bread.course ? kneadedStands : dawdle);
      return chain.follow(last, rise('first-rise', rises.first));
    }
    if (!bread.course || !risesInMachine(bread.course))
      last = chain.follow(last, rise('first-rise', rises.first));
    if (isShapedCold(bread.lines) && !rises.first.cold) {
      const { value, sd } = usualMinutes.chill;
      const chill = span(value - sd, value, 2 * value);
      last = chain.follow(last, chain.add('chill', chill, { until: 'firm, and easy to shape' }));
    }
    last = chain.follow(last, shape(), bread.course ? kneadedStands : dawdle);
    return chain.follow(last, rise('final-proof', rises.final));
  }
  if (raisedBySomething) {
    last = chain.follow(last, shape(), dawdle);
    const { value, sd } = usualMinutes.blindProof;
    const proof = saidBy(says['final-proof']?.process ?? says['first-rise']?.process);
    return chain.follow(
      last,
      chain.add(
        'final-proof',
        { ...(proof ?? span(value - sd, value, value + 1.5 * sd)), doubt: blindDoubt },
        { until: 'puffy: go by the eye' },
      ),
    );
  }
  if (raisedByPowder) return chain.follow(last, shape(), dawdle);
  const { value } = usualMinutes.rest;
  last = chain.follow(
    last,
    chain.add('first-rise', span(value / 2, value, value * 4), { label: 'The dough rests' }),
  );
  return chain.follow(last, shape(), dawdle);
}

/** The oven, heated for it; or the machine's own baking. */
function baked(bread: Bread, chain: TaskChain, risen: Task): Task {
  const says = stepsWritten(bread);
  const { baking } = styles[bread.formula.style];
  const core = coreAt(baking, bread.altitude);
  const until = `${core[0] === core[1] ? core[0] : `${core[0]} to ${core[1]}`} °C in the middle`;
  const inMachine = bread.course && bakesOnly(bread.course);
  if (inMachine !== undefined) {
    const bake = chain.add('bake', ovenSpan(inMachine), {
      uses: [{ resource: 'machine' }],
      label: 'Bake only',
      until,
    });
    return chain.follow(risen, bake, dawdle);
  }
  if (styles[bread.formula.style].stands === 'steamer') return steamed(bread, chain, risen);
  const celsius = Math.round(
    says.bake?.process.celsius ?? says.heat?.process.celsius ?? baking.celsius.value,
  );
  const { value } = baking.heating;
  const heat = chain.add('heat', span(value, value, value), { celsius });
  // Under a lid of its recipe's own it is hot all round too.
  const lid = says.bake?.phases.some((p) => p.lid !== undefined) ?? false;
  const turns = isTurned(styles[bread.formula.style].stands) && !lid;
  const rounds = sheetsInARow(bread);
  const bake = chain.add('bake', inOven(bread), {
    celsius,
    until,
    ...(turns ? { turns: true as const } : {}),
    ...(rounds > 1 ? { rounds, label: `Bake, ${rounds} sheets in a row` } : {}),
  });
  chain.follow(heat, bake, stepKinds.heat.keeps);
  return chain.follow(risen, bake, dawdle);
}

/** Over boiling water: no oven is taken, and nothing is set. */
function steamed(bread: Bread, chain: TaskChain, risen: Task): Task {
  const { value } = styles[bread.formula.style].baking.heating;
  const heat = chain.add('heat', span(value, value, value), {
    uses: [],
    label: 'Bring the water to the boil',
  });
  const steam = chain.add('bake', inOven(bread), {
    uses: [],
    label: 'Steam',
    until: 'they spring back under a finger',
  });
  chain.follow(heat, steam, stepKinds.heat.keeps);
  return chain.follow(risen, steam, dawdle);
}

/** Cooled for so long at least; it may stand on, twice that and an hour. Own choice, no source. */
const cooling = (minutes: number): Stretch => span(minutes, minutes, minutes * 2 + 60);
