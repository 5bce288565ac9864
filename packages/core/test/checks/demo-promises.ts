import { demoData } from '../../../../demo/household.ts';
import { thirstierBag } from '../../../../demo/story.ts';
import { kitchenNow } from '@tender-crumb/core/bake';
import { bakeRecord, helped, type BakeRecord, type Conclusion } from '@tender-crumb/core/book';
import { windowIn } from '@tender-crumb/core/dough';
import {
  departure,
  nothingLearned,
  absorptionKey,
  type Belief,
  kitchenOf,
} from '@tender-crumb/core/belief';
import { defaultHousehold, type Household } from '@tender-crumb/core/household';
import { learnFromBake, forBread, type Lesson } from '@tender-crumb/core/learn';

/** What the book of the invented household says, filled on one day. */
export interface Said {
  /** Of the warm water, by height: it was planted to help. */
  readonly warmWater: Conclusion | 'unsaid';
  /** Of the borrowed mixer, by how the rolls came out: it was planted to do nothing. */
  readonly mixer: Conclusion | 'unsaid';
  /** The bake into which water was poured twice is told as an odd one. */
  readonly slipIsOdd: boolean;
  /** Bakes that are told as odd, of all. */
  readonly odd: number;
  readonly bakes: number;
  /** Points by which the plait's window stands looser than its kind's; it was planted 7 looser. */
  readonly plait: number;
  /** Share of the thirstier bag's planted absorption that was found, beside the bag before it. */
  readonly bag: number;
}

/**
 * What the demo's book says when the demo is filled on a day: the same fold as the server's.
 *
 * @param today the day on which it is filled; with its own seed, as everybody gets it
 */
export function saidOn(today: Date): Said {
  const { bakes, formulas, bags, settings } = demoData(today);
  const now: Household = { ...defaultHousehold, ...settings, bags };
  let belief: Belief = nothingLearned;
  const records: BakeRecord[] = [];
  const lessons = new Map<string, Lesson>();
  for (const { id, formulaId, version, events, room, startedAt, method } of bakes) {
    const { formula } = formulas.find((f) => f.id === formulaId)!.versions[version - 1]!;
    const household = { ...now, room, today: startedAt.slice(0, 10) };
    const learned = learnFromBake(formula, events, household, belief, formulaId, method)!;
    belief = learned.belief;
    lessons.set(id, learned.lesson);
    records.push(
      bakeRecord(
        {
          id,
          bread: formulaId,
          name: formula.name,
          method,
          startedAt,
          formula,
          events,
          circumstances: {
            day: startedAt.slice(0, 10),
            kitchen: kitchenNow(household, formula),
          },
          lesson: learned.lesson,
        },
        now,
      ),
    );
  }
  const of = (bread: string) =>
    records.filter((r) => r.bread === bread).sort((a, b) => (a.startedAt < b.startedAt ? -1 : 1));
  const conclusion = (bread: string, by: 'height' | 'stars', key: RegExp) =>
    helped(of(bread), by, now)?.effects.find((e) => key.test(e.key))?.conclusion ?? 'unsaid';
  const slip = bakes.find((b) =>
    b.events.some(
      (e) => e.kind === 'outcome' && (e.data as { note: string }).note.startsWith('Like soup'),
    ),
  );
  const absorption = (bag: string) =>
    departure(belief, absorptionKey({ ingredient: 'whole-wheat', bag }));
  const plait = windowIn('plait', 0, kitchenOf(now, forBread(belief, 'sluice-gate-plait')));
  return {
    warmWater: conclusion('wash-house-hundred', 'height', /^doughWarmth/),
    mixer: conclusion('porridge-rolls', 'stars', /=mixer$/),
    slipIsOdd: slip !== undefined && lessons.get(slip.id)?.odd !== undefined,
    odd: [...lessons.values()].filter((l) => l.odd).length,
    bakes: bakes.length,
    plait: (plait.window[0] + plait.window[1] - plait.style[0] - plait.style[1]) / 2,
    bag:
      (absorption(thirstierBag.id) - absorption(thirstierBag.id.replace('autumn', 'spring'))) /
      thirstierBag.by,
  };
}

/** Days on which the demo might be opened, from one on, spread over the year by a step that no season fits. */
export const daysFrom = (first: string, count: number, step: number): Date[] =>
  Array.from({ length: count }, (_, i) => new Date(Date.parse(first) + i * step * 86_400_000));
