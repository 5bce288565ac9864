import { fedIn } from '../bake/jar-feedings.ts';
import { totals } from '../formula/totals.ts';
import { peaksTeach } from '../starter/peaks-teach.ts';
import { breadMade, wayOf, type BreadNoted } from '../bake/bread-made.ts';
import type { BakeState, RiseNoted } from '../bake/state.ts';
import { isForecast } from '../ferment/rise-doubt.ts';
import { notedForecast } from '../ferment/rise-noted.ts';
import { freshPace, learnPace } from '../ferment/learn-pace.ts';
import { pacesFor } from '../ferment/believed-paces.ts';
import { leavenKeys } from '../ferment/leaven-key.ts';
import type { LeavenKind } from '../ferment/leaven-for.ts';
import type { Rise } from '../ferment/rises.ts';
import { figure } from '../figure/figure.ts';
import type { Belief, KnownMeasure, KnownPace } from '../belief/belief.ts';
import { comingRises, risesBy } from '../schedule/coming-rises.ts';
import type { MadeBake } from './made-bake.ts';
import type { Measured } from './measure.ts';

/**
 * The rises of a bake as they are forecast by what is believed.
 *
 * @example bakeRises({formula, lines, state: bakeState(events), household}, belief)[0]?.forecast
 */
export function bakeRises(
  bake: Omit<BreadNoted, 'state'> & { readonly state: BakeState },
  belief: Belief,
): Rise[] {
  const bread = breadMade(bake, belief);
  return risesBy(bread, wayOf(bake.state, bread));
}

const hourMs = 3_600_000;

/** Of “not yet” after “not yet” the last says all; “there” says all that went before it. */
function telling({
  begunAt,
  notes,
}: RiseNoted): Array<{ hours: number; sense: 'not-yet' | 'there' | 'past' }> {
  if (begunAt === undefined) return [];
  const after = notes
    .map(({ sense, at }) => ({ sense, hours: (Date.parse(at) - Date.parse(begunAt)) / hourMs }))
    .filter((n) => n.hours > 0);
  const there = after.findLast((n) => n.sense === 'there');
  if (there) return [there];
  const ends = [
    after.findLast((n) => n.sense === 'not-yet'),
    after.find((n) => n.sense === 'past'),
  ];
  return ends.flatMap((n) => (n ? [n] : []));
}

/** A leaven’s pace from one bake to the next, spread of its logarithm: packets age, starters change. */
const wander = figure(0.03, 'ln of its pace', 0.02, 'own estimate, no source');

/** What is believed of a leaven when it is baked with again: a little less sure, and never less than at first. */
function met(known: KnownPace | undefined, leaven: LeavenKind): KnownPace {
  const fresh = freshPace(leaven);
  return known
    ? { ...known, sd: Math.min(fresh.sd, Math.hypot(known.sd, wander.value)) }
    : { ...fresh, rises: 0 };
}

/** A belief with what noted rises taught it, and what each leaven was believed to be before and after. */
interface FromRises {
  readonly belief: Belief;
  readonly measured: readonly Measured[];
}

const asMeasure = ({ mean, sd, rises: bakes }: KnownPace): KnownMeasure => ({ mean, sd, bakes });

/**
 * What the noted rises of a finished bake teach of the pace of its leavens: of yeast where there is any,
 * else of the starter; of a doped dough, of both.
 *
 * @returns the belief with those paces; the same where nothing was noted
 * @example learnFromRises(bake, nothingLearned).measured // [] where nobody looked at its rises
 */
export function learnFromRises(bake: MadeBake, belief: Belief): FromRises {
  const { formula, lines, state } = bake;
  const nothing = { belief, measured: [] };
  const peaks = fedIn(state).filter((f) => f.peakAt !== undefined);
  if (Object.keys(state.rises).length === 0 && peaks.length === 0) return nothing;
  const keys = leavenKeys(lines, formula);
  const leavens = (['yeast', 'starter'] as const).flatMap((leaven) => {
    const key = keys[leaven];
    return key === undefined ? [] : [{ leaven, key }];
  });
  // Forecast and lesson are made with the same doubt.
  const before = Object.fromEntries(
    leavens.map(({ leaven, key }) => [key, met(belief.paces?.[key], leaven)] as const),
  );
  const bread = breadMade(bake, belief);
  const { model } = bread;
  const way = wayOf(state, bread);
  let now: Belief = { ...belief, paces: { ...belief.paces, ...before } };
  let learned = false;
  const jar = keys.starter;
  if (jar !== undefined && peaks.length > 0) {
    const pace = now.paces![jar]!;
    const whole = totals(lines.filter((l) => l.stageKind === 'starter'))?.wholeShare ?? 0;
    const seen = peaks.map((f) => ({ ...f, celsius: bread.room, whole }));
    const after = peaksTeach(pace, seen, model);
    if (after && after !== pace) {
      learned = true;
      now = {
        ...now,
        paces: { ...now.paces, [jar]: { ...after, rises: pace.rises + peaks.length } },
      };
    }
  }
  const rises = comingRises(bread, way) ? (['first', 'final'] as const) : [];
  for (const id of rises) {
    for (const note of telling(state.rises[id] ?? { notes: [] })) {
      const believed = pacesFor(now, keys);
      const coming = comingRises({ ...bread, paces: believed }, way)![id];
      // A rise that this bread does not have by its recipe teaches nothing of one that it has.
      if (!coming) continue;
      const { dough, end } = coming;
      const forecast = notedForecast(dough, end, believed, model);
      if (!isForecast(forecast)) continue;
      const paces = { ...now.paces };
      for (const { leaven, key } of leavens) {
        const pace = now.paces![key]!;
        const after = learnPace(pace, forecast, leaven, note);
        if (after !== pace) paces[key] = { ...after, rises: pace.rises + 1 };
      }
      learned = true;
      now = { ...now, paces };
    }
  }
  if (!learned) return nothing;
  const measured = Object.entries(before).flatMap(([key, pace]): Measured[] => {
    const after = now.paces![key]!;
    return after === pace ? [] : [{ key, before: asMeasure(pace), after: asMeasure(after) }];
  });
  return { belief: now, measured };
}
