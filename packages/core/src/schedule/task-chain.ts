import { methodOf } from '../process/written-steps.ts';
import { stepKinds, type StepKindId } from '../process/step-kind.ts';
import { isOneRise, stepsWritten, type Bread } from './bread.ts';
import type { Stretch } from './rise-span.ts';
import type { Link, Task, Use } from './task.ts';

/** After a wait the next step may come so much later, minutes. Own choice, no source. */
export const dawdle = 10;

/** A bread that rises once has that as its first rise. */
const other = (kind: StepKindId): StepKindId => (kind === 'first-rise' ? 'final-proof' : kind);

type More = Partial<
  Pick<
    Task,
    'label' | 'attended' | 'hands' | 'uses' | 'until' | 'celsius' | 'turns' | 'waits' | 'rounds'
  >
>;

/** The steps of a bread as they are put one after the other. */
export class TaskChain {
  readonly tasks: Task[] = [];
  readonly links: Link[] = [];
  readonly #bread: Bread;

  constructor(bread: Bread) {
    this.#bread = bread;
  }

  /** One step more; what its recipe says of it is its words. */
  add(kind: StepKindId, takes: Stretch, more: More = {}, stage = '', nth = 1): Task {
    const row = stepKinds[kind];
    const written = stepsWritten(this.#bread);
    // Where it rises once, that is its rise, by whatever name.
    const says = written[kind] ?? (isOneRise(this.#bread) ? written[other(kind)] : undefined);
    const { folds } = methodOf(this.#bread.formula);
    const use: readonly Use[] =
      'uses' in row
        ? [
            {
              resource: row.uses,
              ...(more.celsius === undefined ? {} : { celsius: more.celsius }),
              ...(row.uses === 'oven' && this.#bread.oven ? { oven: this.#bread.oven.id } : {}),
              ...(kind === 'heat' ? { empty: true } : {}),
            },
          ]
        : [];
    const task: Task = {
      id: [this.#bread.id, ...(stage ? [stage] : []), nth > 1 ? `${kind}-${nth}` : kind].join(':'),
      bake: this.#bread.id,
      kind,
      label: row.label,
      attended: row.attended,
      hands: row.hands,
      uses: use,
      ...takes,
      ...(says && !stage ? { says: says.says } : {}),
      ...(says && !stage && says.phases.length > 1 ? { parts: says.phases } : {}),
      ...(folds && !stage && kind === 'first-rise' ? { folds } : {}),
      ...more,
    };
    this.tasks.push(task);
    return task;
  }

  /** A step begins when another is over, so many minutes later at most. */
  follow(from: Task | undefined, to: Task, most: number = stepKinds[to.kind].keeps): Task {
    if (from) this.links.push({ from: [from.id, 'end'], to: [to.id, 'start'], least: 0, most });
    return to;
  }
}
