import { commonPractice, figure } from '../figure/figure.ts';
import { isRaisingAgent } from '../ferment/raising-agent.ts';
import { prefermentDough } from '../ferment/rising-dough.ts';
import { riseForecast } from '../ferment/rise-doubt.ts';
import { ripeEnd } from '../ferment/ripe-end.ts';
import type { Process } from '../formula/process.ts';
import { stagesOf, type StageHead } from '../formula/formula.ts';
import { stageNames } from '../formula/stages.ts';
import { devices } from '../machine/device.ts';
import { loadingOrders } from '../machine/loading-order.ts';
import { stepKinds, type StepKindId } from '../process/step-kind.ts';
import { coreAt, ovenMinutes } from '../style/baking.ts';
import { styles } from '../style/style.ts';
import { pieceKilograms, stepsWritten, type Bread } from './bread.ts';
import { keepsFor, riseSpan, type Stretch } from './rise-span.ts';
import { starterHours } from './starter-hours.ts';
import type { Link, Task, Use } from './task.ts';
import type { RiseWay, RiseWays } from './ways.ts';

/** The steps of one bread with their spans, in the order of work. */
export interface BreadTasks {
  readonly tasks: readonly Task[];
  readonly links: readonly Link[];
}

const span = (least: number, usual: number, most: number, doubt = 0): Stretch => ({
  least: Math.round(least),
  usual: Math.round(usual),
  most: Math.round(most),
  doubt,
});
/** A piece of handwork takes a little less or half as long again. Own choice, no source. */
const handwork = (usual: number): Stretch => span(usual * 0.8, usual, usual * 1.5);

/** Minutes that work takes, and waits where no model tells them. Common practice, no source. */
const usualMinutes = {
  feed: figure(10, 'min', 3, commonPractice),
  weigh: figure(10, 'min', 4, commonPractice),
  shape: figure(6, 'min', 3, commonPractice),
  shapePiece: figure(1.5, 'min', 0.5, commonPractice),
  /** Of a dough whose rise cannot be told: one of gluten and fibre, or without either. */
  blindProof: figure(60, 'min', 20, commonPractice),
  /** Of a dough with nothing that raises it. */
  rest: figure(30, 'min', 15, commonPractice),
  soak: figure(480, 'min', 180, commonPractice),
  /** Of a pre-ferment that no model tells: in the fridge, or without yeast of its own. */
  preferment: figure(720, 'min', 180, commonPractice),
  /** Of a machine, from the button to the loaf. Handbook section 16. */
  programme: figure(200, 'min', 20, commonPractice),
} as const;
/** Minutes of shaping, whatever the pieces: then somebody helps. Own choice, no source. */
const mostShaping = 45;
/** A pre-ferment is too sour past a day, hours. Common practice, no source. */
const tooSour = 24;
/** Share of its time that something unmodelled may be shorter and longer by. Own choice, no source. */
const blind = { least: 2 / 3, most: 2 } as const;
/** Spread of the logarithm of a rise that goes by the eye. Own choice, no source. */
const blindDoubt = 0.25;
/** After a wait the next step may come so much later, minutes. Own choice, no source. */
const dawdle = 10;
/** What was soaked may stand on, minutes. Common practice, no source. */
const soakedKeeps = 600;

/** As a recipe has it, where it says how long. */
const saidBy = (process: Process | undefined): Stretch | undefined => {
  const { minutes, mostMinutes } = process ?? {};
  if (minutes === undefined || minutes <= 0) return undefined;
  const most = mostMinutes ?? minutes;
  return span(minutes, (minutes + most) / 2, most);
};

/** Whether the machine does all of it: a loaf of a machine's dough whose recipe has no oven. */
export function bakedByMachine(bread: Bread): boolean {
  const { style } = bread.formula;
  const says = stepsWritten(bread);
  const oven = says.bake?.process.place === 'oven' || says.heat !== undefined;
  return (
    devices[bread.device].loading !== loadingOrders.bowl &&
    styles[style].machine &&
    !oven &&
    (bread.formula.pieces ?? 1) === 1 &&
    !bread.lines.some((l) => l.stageKind === 'starter')
  );
}

/**
 * The steps of a bread that rises so: what is mixed ahead, the dough, its rises, shaping, the oven, the
 * cooling. As its recipe has them where it says so, else from its style and from what it is made in.
 *
 * @param rises how it rises; none where no model tells
 * @example breadTasks(bread, ways['as-it-is'].of(bread)).tasks.map((t) => t.kind) // ['mix', 'first-rise', …]
 */
export function breadTasks(bread: Bread, rises: RiseWays | undefined): BreadTasks {
  const tasks: Task[] = [];
  const links: Link[] = [];
  const says = stepsWritten(bread);
  const { baking } = styles[bread.formula.style];
  const add = (
    kind: StepKindId,
    takes: Stretch,
    more: Partial<Pick<Task, 'label' | 'attended' | 'hands' | 'uses' | 'until' | 'celsius'>> = {},
    stage = '',
  ): Task => {
    const row = stepKinds[kind];
    const use: readonly Use[] =
      'uses' in row
        ? [
            {
              resource: row.uses,
              ...(more.celsius === undefined ? {} : { celsius: more.celsius }),
              ...(kind === 'heat' ? { empty: true } : {}),
            },
          ]
        : [];
    const task: Task = {
      id: [bread.id, ...(stage ? [stage] : []), kind].join(':'),
      bake: bread.id,
      kind,
      label: row.label,
      attended: row.attended,
      hands: row.hands,
      uses: use,
      ...takes,
      ...(says[kind] && !stage ? { says: says[kind].says } : {}),
      ...more,
    };
    tasks.push(task);
    return task;
  };
  const follow = (
    from: Task | undefined,
    to: Task,
    most: number = stepKinds[to.kind].keeps,
  ): Task => {
    if (from) links.push({ from: [from.id, 'end'], to: [to.id, 'start'], least: 0, most });
    return to;
  };

  const ahead: Array<readonly [Task, number]> = [];
  for (const stage of stagesOf(bread.formula)) {
    const lines = bread.lines.filter((l) => l.stage === stage.id && l.grams > 0);
    if (lines.length === 0 || (bread.ripe && stage.kind !== 'dough')) continue;
    if (stage.kind === 'starter' || stage.kind === 'preferment') {
      const first = add(
        stage.kind === 'starter' ? 'feed' : 'preferment',
        handwork(usualMinutes.feed.value),
        stage.name === stageNames[stage.kind]
          ? {}
          : { label: `${stage.kind === 'starter' ? 'Feed' : 'Stir'} ${stage.name}` },
        stage.id,
      );
      const ripe = add(
        'ripen',
        ripening(bread, stage),
        { label: `${stage.name} ripens`, until: 'domed or just falling', celsius: bread.room },
        stage.id,
      );
      ahead.push([follow(first, ripe), dawdle]);
    } else if (stage.kind === 'soaker') {
      const said = saidBy(stage.process);
      const soaks = said ?? span(60, usualMinutes.soak.value, 2 * usualMinutes.soak.value);
      ahead.push([add('soak', soaks, { label: `Soak ${stage.name}` }, stage.id), soakedKeeps]);
    }
  }

  if (bakedByMachine(bread)) {
    const { value } = usualMinutes.programme;
    const loaf = add('programme', span(value - 20, value, value + 25));
    for (const [before, most] of ahead) follow(before, loaf, most);
    follow(loaf, add('cool', saidBy(says.cool?.process) ?? cooling(baking.cooling.value)));
    return { tasks, links };
  }

  const { kneading, loading } = devices[bread.device];
  const kneads = saidBy(says.mix?.process)?.usual ?? kneading.minutes.value;
  const machine = loading !== loadingOrders.bowl;
  const mix = add('mix', handwork(usualMinutes.weigh.value + kneads), {
    ...(machine ? { attended: 'start' as const, hands: usualMinutes.weigh.value } : {}),
    uses: machine
      ? [{ resource: 'machine' }]
      : bread.device === 'mixer'
        ? [{ resource: 'mixer' }]
        : [],
  });
  const rested = says.autolyse && saidBy(says.autolyse.process);
  if (rested) {
    // The rest comes before the kneading.
    tasks.pop();
    const autolyse = add('autolyse', rested);
    tasks.push(mix);
    for (const [before, most] of ahead) follow(before, mix, most);
    follow(autolyse, mix, 0);
  } else for (const [before, most] of ahead) follow(before, mix, most);

  const shape = () => {
    const pieces = bread.formula.pieces ?? 1;
    const { shape: base, shapePiece } = usualMinutes;
    return add('shape', handwork(Math.min(mostShaping, base.value + shapePiece.value * pieces)));
  };
  let last: Task = mix;
  const raisedByPowder = bread.lines.some((l) => isRaisingAgent(l) && l.grams > 0);
  const raised = bread.lines.some((l) => (l.of.yeast || l.stageKind === 'starter') && l.grams > 0);
  if (rises) {
    const rise = (kind: 'first-rise' | 'final-proof', way: RiseWay): Task =>
      add(kind, way.span, {
        until: way.rise.until,
        celsius: way.celsius,
        uses: way.cold ? [{ resource: 'fridge' }] : [],
        label: way.cold ? `${stepKinds[kind].label} in the fridge` : stepKinds[kind].label,
      });
    if (rises.frozen) {
      last = follow(last, add('freeze', rises.frozen.freezer));
      last = follow(last, add('thaw', rises.frozen.thawing), dawdle);
    }
    last = follow(last, rise('first-rise', rises.first));
    last = follow(last, shape(), dawdle);
    last = follow(last, rise('final-proof', rises.final));
  } else if (raised) {
    last = follow(last, shape(), dawdle);
    const { value, sd } = usualMinutes.blindProof;
    const proof = saidBy(says['final-proof']?.process ?? says['first-rise']?.process);
    last = follow(
      last,
      add(
        'final-proof',
        { ...(proof ?? span(value - sd, value, value + 1.5 * sd)), doubt: blindDoubt },
        {
          until: 'puffy: go by the eye',
        },
      ),
    );
  } else if (raisedByPowder) last = follow(last, shape(), dawdle);
  else {
    const { value } = usualMinutes.rest;
    last = follow(
      last,
      add('first-rise', span(value / 2, value, value * 4), { label: 'The dough rests' }),
    );
    last = follow(last, shape(), dawdle);
  }

  const celsius = Math.round(
    says.bake?.process.celsius ?? says.heat?.process.celsius ?? baking.celsius.value,
  );
  const inOven = saidBy(says.bake?.process) ?? oven(ovenMinutes(baking, pieceKilograms(bread)));
  const core = coreAt(baking, bread.altitude);
  const heat = add('heat', span(baking.heating.value, baking.heating.value, baking.heating.value), {
    celsius,
  });
  const bake = add('bake', inOven, {
    celsius,
    until: `${core[0] === core[1] ? core[0] : `${core[0]} to ${core[1]}`} °C in the middle`,
  });
  follow(heat, bake, stepKinds.heat.keeps);
  follow(last, bake, dawdle);
  follow(bake, add('cool', saidBy(says.cool?.process) ?? cooling(baking.cooling.value)));
  return { tasks, links };
}

/** An oven's minutes, a tenth less or a little more. Common practice, no source: go by the core. */
const oven = (minutes: number): Stretch => span(minutes * 0.9, minutes, minutes * 1.15);
/** Cooled for so long at least; it may stand on, twice that and an hour. Own choice, no source. */
const cooling = (minutes: number): Stretch => span(minutes, minutes, minutes * 2 + 60);

/** By bread and stage: what is mixed ahead ripens the same whichever way the dough goes. */
const ripened = new WeakMap<Bread, Map<string, Stretch>>();

/** How long what is mixed ahead ripens. */
function ripening(bread: Bread, stage: StageHead): Stretch {
  const known = ripened.get(bread) ?? new Map<string, Stretch>();
  ripened.set(bread, known);
  const found = known.get(stage.id) ?? workedOut(bread, stage);
  known.set(stage.id, found);
  return found;
}

function workedOut(bread: Bread, stage: StageHead): Stretch {
  const lines = bread.lines.filter((l) => l.stage === stage.id);
  const cold = stage.process?.place === 'fridge';
  if (stage.kind === 'starter') return starterHours(bread, lines);
  const said = saidBy(stage.process);
  const dough = prefermentDough(lines, bread.room, bread.work);
  const { value } = usualMinutes.preferment;
  const untold = said ?? span(value * blind.least, value, value * blind.most);
  if (cold || !dough || dough.yeast === 0) return untold;
  const end = ripeEnd(dough, bread.model);
  const rise = { dough, end, forecast: riseForecast(dough, end, bread.paces, bread.model) };
  const told = riseSpan(rise, bread.paces, bread.model);
  if (!told) return { ...untold, doubt: blindDoubt };
  const keeps = Math.round(60 * keepsFor(dough, end, tooSour, bread.paces, bread.model));
  return { ...told, most: Math.max(told.usual, keeps) };
}
