import {
  flag,
  grams,
  id,
  ingredient,
  maybe,
  number,
  text,
  word,
  type DataOf,
  type Shape,
} from '../quantity/shape.ts';
import { outcomeShape } from './outcome.ts';
import type { BakeState, RiseNoted } from './state.ts';

/** All that is known of a kind of event. */
export interface EventKind<S extends Shape> {
  /** Its data. */
  readonly shape: S;
  /** Whether it changes what a bake taught. */
  readonly teaches: boolean;
  /** What it is, for the baker. */
  readonly says: string;
  /** What it makes of a bake. */
  fold(state: BakeState, event: EventOf<S>): BakeState;
  /** The event that does not count any more. */
  retracts?(data: DataOf<S>): string;
}

export interface EventOf<S extends Shape> {
  readonly id: string;
  readonly at: string;
  readonly data: DataOf<S>;
}

const kind = <S extends Shape>(row: EventKind<S>): EventKind<S> => row;

/** The rises of a bread that are noted, and what can be noted of one. */
const riseIds = ['first', 'final'] as const;
const riseSenses = ['begun', 'not-yet', 'there', 'past'] as const;
const warmthPlaces = ['dough', 'air'] as const;

/** What was noted of a rise, with one thing more: begun again, it begins anew. */
const noted = (
  before: RiseNoted | undefined,
  sense: (typeof riseSenses)[number],
  at: string,
): RiseNoted =>
  sense === 'begun'
    ? { begunAt: at, notes: [] }
    : { ...before, notes: [...(before?.notes ?? []), { sense, at }] };

/** Points further than this are no dough's. */
const furthest = 40;

/** One row a kind: its data, what it makes of a bake, whether it teaches, what it is called. */
export const eventKinds = {
  weighed: kind({
    shape: { item: text(200), grams, byScale: flag },
    teaches: true,
    says: 'something weighed',
    fold: (state, { data }) => ({
      ...state,
      weighed: new Map(state.weighed).set(data.item, data),
    }),
  }),
  unweighed: kind({
    shape: { item: text(200) },
    teaches: true,
    says: 'a weight taken back',
    fold(state, { data }) {
      const weighed = new Map(state.weighed);
      weighed.delete(data.item);
      return { ...state, weighed };
    },
  }),
  added: kind({
    shape: { ingredient, grams: number(0.1, 2000) },
    teaches: true,
    says: 'something added at the check',
    fold: (state, { id, at, data }) => ({
      ...state,
      added: [...state.added, { event: id, at, ...data }],
    }),
  }),
  /** `rested` false: it had no time yet to drink. */
  felt: kind({
    shape: { points: number(-furthest, furthest), rested: maybe(flag) },
    teaches: true,
    says: 'how the dough felt',
    fold: (state, { at, data }) => ({
      ...state,
      felt: [...state.felt, { ...data, at, after: state.added.length }],
    }),
  }),
  /** A rise begins, is looked at and not ready, is ready, or has gone over. */
  rise: kind({
    shape: { rise: word(riseIds), sense: word(riseSenses) },
    teaches: true,
    says: 'how a rise stood',
    fold: (state, { at, data: { rise, sense } }) => ({
      ...state,
      rises: { ...state.rises, [rise]: noted(state.rises[rise], sense, at) },
    }),
  }),
  /** Of the dough after mixing, or of where it stands. */
  warmth: kind({
    shape: { of: word(warmthPlaces), celsius: number(-25, 70) },
    teaches: true,
    says: 'a temperature',
    fold: (state, { data: { of, celsius } }) => ({
      ...state,
      warmth: { ...state.warmth, [of]: celsius },
    }),
  }),
  retracted: kind({
    shape: { event: id },
    teaches: true,
    says: 'something taken back',
    fold: (state) => state,
    retracts: ({ event }) => event,
  }),
  outcome: kind({
    shape: outcomeShape,
    teaches: false,
    says: 'how it came out',
    fold: (state, { data }) => ({ ...state, outcome: data }),
  }),
  finished: kind({
    shape: {},
    teaches: true,
    says: 'its end',
    fold: (state, { at }) => ({ ...state, finishedAt: state.finishedAt ?? at }),
  }),
  abandoned: kind({
    shape: {},
    teaches: false,
    says: 'that it was given up',
    fold: (state, { at }) => ({ ...state, abandonedAt: state.abandonedAt ?? at }),
  }),
} as const;

export type BakeEventKind = keyof typeof eventKinds;
export const bakeEventKinds = Object.keys(eventKinds) as BakeEventKind[];
