import { prefermentDough } from '../ferment/rising-dough.ts';
import { riseForecast } from '../ferment/rise-doubt.ts';
import { ripeEnd } from '../ferment/ripe-end.ts';
import { stagesOf, type StageHead } from '../formula/formula.ts';
import { stageNames } from '../formula/stages.ts';
import type { Bread } from './bread.ts';
import { keepsFor, riseSpan, type Stretch } from './rise-span.ts';
import { starterHours, wakingHours } from './starter-hours.ts';
import type { Task } from './task.ts';
import { dawdle, type TaskChain } from './task-chain.ts';
import { handwork, saidBy, span, usualMinutes } from './usual-minutes.ts';

/** A pre-ferment is too sour past a day, hours. Common practice, no source. */
const tooSour = 24;
/** Share of its time that something unmodelled may be shorter and longer by. Own choice, no source. */
const blind = { least: 2 / 3, most: 2 } as const;
/** Spread of the logarithm of a rise that goes by the eye. Own choice, no source. */
export const blindDoubt = 0.25;
/** What was soaked may stand on, minutes. Common practice, no source. */
const soakedKeeps = 600;

/** What is mixed ahead of the dough: each last step with the minutes that it may stand on. */
export function aheadTasks(
  bread: Bread,
  chain: TaskChain,
): ReadonlyArray<readonly [last: Task, keeps: number]> {
  const ahead: Array<readonly [Task, number]> = [];
  for (const stage of stagesOf(bread.formula)) {
    const lines = bread.lines.filter((l) => l.stage === stage.id && l.grams > 0);
    if (lines.length === 0 || (bread.ripe && stage.kind !== 'dough')) continue;
    if (stage.kind === 'starter' || stage.kind === 'preferment') {
      const woken = stage.kind === 'starter' ? wake(bread, chain, stage) : undefined;
      const first = chain.add(
        stage.kind === 'starter' ? 'feed' : 'preferment',
        handwork(usualMinutes.feed.value),
        stage.name === stageNames[stage.kind]
          ? {}
          : { label: `${stage.kind === 'starter' ? 'Feed' : 'Stir'} ${stage.name}` },
        stage.id,
      );
      const ripe = chain.add(
        'ripen',
        ripening(bread, stage),
        { label: `${stage.name} ripens`, until: 'domed or just falling', celsius: bread.room },
        stage.id,
      );
      chain.follow(woken, first, wokenKeeps);
      ahead.push([chain.follow(first, ripe), dawdle]);
    } else if (stage.kind === 'soaker') {
      const said = saidBy(stage.process);
      const soaks = said ?? span(60, usualMinutes.soak.value, 2 * usualMinutes.soak.value);
      ahead.push([
        chain.add('soak', soaks, { label: `Soak ${stage.name}` }, stage.id),
        soakedKeeps,
      ]);
    }
  }
  return ahead;
}

/** A woken starter goes on within so many minutes. Common practice, no source. */
const wokenKeeps = 120;

/** Feedings that wake a starter which was left to itself: the last of them. */
function wake(bread: Bread, chain: TaskChain, { id }: StageHead): Task | undefined {
  let last: Task | undefined;
  const takes = wakingHours(bread);
  for (let nth = 1; nth <= (bread.wakes ?? 0); nth += 1) {
    const task = chain.add('refresh', takes, { until: 'risen and bubbly' }, id, nth);
    last = chain.follow(last, task, wokenKeeps);
  }
  return last;
}

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
  if (stage.kind === 'starter')
    return starterHours(bread, lines, bread.fitsBuild ? undefined : stage.process?.seed);
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
