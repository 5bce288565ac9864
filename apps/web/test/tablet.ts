import { completeFormula } from '@tender-crumb/core/exchange';
import { defaultSettings } from '@tender-crumb/core/household';
import type { Bag } from '@tender-crumb/core/ingredient';
import type { NewEntry } from '../src/lib/sync/entry.ts';
import { Keep } from '../src/lib/sync/keep.ts';
import {
  beginEntry,
  changeEntry,
  draftEntry,
  eventEntry,
  photoEntry,
  practiceEntry,
  rowEntry,
  theHouse,
  type ChangingName,
  type KindName,
} from '../src/lib/sync/kinds.ts';
import { changeOf } from '../src/lib/wire/merge.ts';
import { Outbox } from '../src/lib/sync/outbox.ts';
import { nettleMeal } from './nettle-meal.ts';

/** Something that was said, as it must be found. */
export interface Said {
  readonly kind: KindName;
  readonly id: string;
  /** Of a thing that is changed again and again: how far it has come. It never goes back. */
  readonly step?: number;
}

type Saying = readonly [NewEntry, Said];

export const nameOf = ({ kind, id }: Said): string => `${kind.replace('-off', '')} ${id}`;

let tablets = 0;

/** A tablet of somebody who does everything that can be done, by the outbox that the pages have. */
export class Tablet {
  readonly box: Outbox;
  /** The last word on each thing that the server said it has. */
  readonly acknowledged = new Map<string, Said>();
  /** The last word on each thing, acknowledged or not. */
  readonly said = new Map<string, Said>();
  /** What became of anything but that it was taken. */
  readonly otherwise: string[] = [];
  readonly #name: string;
  readonly #device: string;
  readonly #photo: ArrayBuffer;
  readonly #of = new Map<string, Said>();
  #version = 0;
  #turn = 0;
  #bake = '';
  #starter: Partial<Bag> = {};
  #settings = defaultSettings;

  /**
   * @param device its id with the server, whose name it changes
   * @param photo of which it sends one again and again
   * @param keep where its browser keeps what waits
   */
  constructor(
    name: string,
    device: string,
    photo: ArrayBuffer,
    keep = new Keep(`tablet ${(tablets += 1)}`),
  ) {
    this.#name = name;
    this.#device = device;
    this.#photo = photo;
    // It sends when it is told to: what a test waits for is not the patience of a browser.
    this.box = new Outbox({ keep, pause: () => 3_600_000 });
    this.box.subscribe(({ outcome }) => {
      if (!outcome) return;
      const { entry, result } = outcome;
      const said = this.#of.get(entry.key)!;
      if (result.kind === 'delivered') this.acknowledged.set(nameOf(said), said);
      else this.otherwise.push(`${entry.key}: ${JSON.stringify(result)}`);
      if (entry.kind === 'draft' && result.kind === 'delivered')
        this.#version = (result.answer as { version: number }).version;
    });
  }

  /** Says the next thing, of each kind in turn; it is not sent yet. */
  async says(): Promise<void> {
    const turns = Object.values(this.#turns);
    const round = Math.floor(this.#turn / turns.length);
    const sayings = turns[this.#turn % turns.length]!(round);
    this.#turn += 1;
    for (const [entry, said] of sayings) {
      this.#of.set(entry.key, said);
      this.said.set(nameOf(said), said);
      await this.box.hold(entry);
    }
  }

  /** How often everything was said. */
  get rounds(): number {
    return Math.floor(this.#turn / Object.keys(this.#turns).length);
  }

  /** Key of the entry in which the last word on a thing went. */
  keyOf(name: string): string {
    const said = this.said.get(name);
    return [...this.#of].find(([, one]) => one === said)?.[0] ?? '';
  }

  /** What is on its way: of that it is not known whether the server has it. */
  async onItsWay(): Promise<ReadonlySet<string>> {
    return new Set((await this.box.keep.waiting()).map(({ key }) => nameOf(this.#of.get(key)!)));
  }

  readonly #turns: Readonly<Record<string, (round: number) => readonly Saying[]>> = {
    draft: (round) => {
      const lines = [{ ingredient: 'bread-flour', grams: 500 + round }];
      const formula = completeFormula({ name: this.#id('loaf'), stages: [{ lines }] });
      const draft = { id: this.#id('loaf'), version: this.#version, draft: this.#name, formula };
      return [[draftEntry(draft), { kind: 'draft', id: draft.id, step: 500 + round }]];
    },
    begin: (round) => {
      this.#bake = this.#id('bake', round);
      const id = this.#bake;
      const begun = {
        id,
        formulaId: this.#id('loaf'),
        draft: this.#name,
        startedAt: at(round),
      };
      return [[beginEntry({ ...begun, events: [weighed('first', round)] }), { kind: 'begin', id }]];
    },
    // To its end, so that the book learns of it.
    event: (round) =>
      (
        [
          weighed('weighed', round),
          { id: 'felt', at: at(round), kind: 'felt', data: { points: round % 5 } },
          { id: 'finished', at: at(round), kind: 'finished', data: {} },
        ] as const
      ).map((event) => [
        eventEntry(this.#bake, event),
        { kind: 'event', id: `${this.#bake} ${event.id}` },
      ]),
    bag: (round) => {
      const before = this.#starter;
      const kept = { kind: 'starter', ingredient: 'rye-whole', keptAt: 'fridge' } as const;
      this.#starter = { ...kept, name: this.#id('starter'), hydration: 1 + round / 1000 };
      return this.#changes('bag', this.#id('starter'), before, this.#starter, 1 + round / 1000);
    },
    feeding: (round) => {
      const [id, bag] = [this.#id('feeding', round), this.#id('starter')];
      const row = { at: at(round), seed: 20, flour: 50, water: 50 };
      const gone = { id: this.#id('feeding', round - 1), bag };
      return [
        [rowEntry('feeding', { id, bag, row }), { kind: 'feeding', id }],
        [rowEntry('peak', { id, bag, row: { at: at(round) } }), { kind: 'peak', id }],
        ...(round > 0 ? [this.#gone('feeding-off', gone)] : []),
      ];
    },
    own: (round) => {
      const id = `own-${this.#id('meal', round)}`;
      return this.#changes('own', id, {}, { ...nettleMeal, name: this.#id('meal', round) });
    },
    plan: (round) => {
      const id = this.#id('plan', round);
      const plan = { formulaId: this.#id('loaf'), ripe: true, readyBy: at(round) };
      return [
        ...this.#changes('plan', id, {}, plan),
        ...(round > 0 ? [this.#gone('plan-off', { id: this.#id('plan', round - 1) })] : []),
      ];
    },
    timer: (round) => {
      const id = this.#id('timer', round);
      return [
        [rowEntry('timer', { id, row: { name: 'Tea', dueAt: at(round) } }), { kind: 'timer', id }],
        ...(round > 0 ? [this.#gone('timer-off', { id: this.#id('timer', round - 1) })] : []),
      ];
    },
    // Each tablet settles something else: what two say of one field is tested by itself.
    house: (round) => {
      const before = this.#settings;
      const step = round / 10_000;
      const { room } = before;
      this.#settings = {
        ...before,
        ...(this.#name === 'kitchen'
          ? { scaleStep: 0.01 + step }
          : { room: { ...room, humidity: step } }),
      };
      const [entry] = this.#changes('house', theHouse, before, this.#settings)[0]!;
      return [[entry, { kind: 'house', id: this.#name, step }]];
    },
    photo: (round) => {
      const photo = this.#id('photo', round);
      const sent = { bake: this.#bake, photo, step: 'bake', bytes: this.#photo };
      return [[photoEntry(sent), { kind: 'photo', id: photo }]];
    },
    practice: (round) => {
      const called = { id: this.#id('call', round), lesson: 'knead', seed: round, call: 'leave' };
      return [[practiceEntry(called), { kind: 'practice', id: called.id }]];
    },
    device: (round) => {
      const row = { name: `${this.#name} ${round}` };
      const said: Said = { kind: 'device', id: this.#device, step: round };
      return [[rowEntry('device', { id: this.#device, row }), said]];
    },
  };

  #id(of: string, round?: number): string {
    return [this.#name, of, ...(round === undefined ? [] : [round])].join('-');
  }

  #changes(
    kind: ChangingName,
    id: string,
    before: object,
    after: object,
    step?: number,
  ): readonly Saying[] {
    const change = changeOf(before, after)!;
    const said = { kind, id, ...(step === undefined ? {} : { step }) };
    return [[changeEntry(kind, { id, change }, `${this.#turn}`), said]];
  }

  #gone(
    kind: 'feeding-off' | 'plan-off' | 'timer-off',
    of: { readonly id: string; readonly bag?: string },
  ): Saying {
    return [rowEntry(kind, of), { kind, id: of.id }];
  }
}

/** A day on which no test runs. */
const at = (round: number): string => new Date(Date.UTC(2026, 4, 1, 8, 0, round)).toISOString();

const weighed = (id: string, round: number) =>
  ({
    id,
    at: at(round),
    kind: 'weighed',
    data: { item: id, grams: round + 1, byScale: true },
  }) as const;
