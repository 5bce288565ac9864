import {
  judgeCall,
  leaningOf,
  practiceRound,
  type Call,
  type LessonId,
  type Round,
} from '@tender-crumb/core/practice';
import { nanoid } from 'nanoid';
import { outbox } from '../sync/here.ts';
import { deed } from '../sync/deeds.ts';
import { practiceEntry } from '../sync/kinds.ts';
import { sync } from '../sync/sync.svelte.ts';

/** What was called before, as the server keeps it. */
interface Called {
  readonly lesson: LessonId;
  readonly seed: number;
  readonly call: Call;
}

const newSeed = (): number => crypto.getRandomValues(new Uint32Array(1))[0]! % 1_000_000_000;

/** Rounds of practice: a dough, a call, what was true. */
export class Practice {
  lesson = $state<LessonId>('knead');
  seed = $state(newSeed());
  call = $state<Call>();
  /** A round that could not be kept is told, and counts here all the same. */
  readonly #before: () => readonly Called[];
  #since = $state<readonly Called[]>([]);

  readonly round: Round = $derived(practiceRound(this.lesson, this.seed));
  readonly judged = $derived(this.call && judgeCall(this.round, this.call));
  /** What the server has, what is on its way there, what was said here: a dough is called once, whoever tells of it. */
  readonly all = $derived.by(() => [
    ...new Map(
      [...this.#before(), ...sync.bodies<Called>('practice'), ...this.#since].map(
        (c) => [`${c.lesson} ${c.seed}`, c] as const,
      ),
    ).values(),
  ]);
  readonly leaning = $derived(
    leaningOf(this.all.map((c) => ({ round: practiceRound(c.lesson, c.seed), call: c.call }))),
  );

  constructor(before: () => readonly Called[]) {
    this.#before = before;
  }

  pick(lesson: LessonId): void {
    this.lesson = lesson;
    this.next();
  }

  say(call: Call): void {
    if (this.call) return;
    this.call = call;
    const { lesson, seed } = this;
    this.#since = [...this.#since, { lesson, seed, call }];
    void outbox().add(practiceEntry({ id: nanoid(), lesson, seed, call }));
  }

  next(): void {
    this.seed = newSeed();
    this.call = undefined;
  }

  async forget(): Promise<void> {
    await deed('forget-practice');
    this.#since = [];
  }
}
