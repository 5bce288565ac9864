import { wayIds } from '../schedule/way-id.ts';
import { crustIds, machineSizeIds } from '../machine/machine.ts';
import { courseIds } from '../course/courses.ts';
import { deviceIds } from '../machine/device.ts';
import {
  flag,
  grams,
  id,
  ingredient,
  list,
  maybe,
  number,
  object,
  text,
  whole,
  word,
  type DataOf,
  type Shape,
} from '../quantity/shape.ts';
import { forms } from '../style/form.ts';
import { outcomeShape } from './outcome.ts';
import type { BakeState, RiseNoted, StepNoted } from './state.ts';

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

interface EventOf<S extends Shape> {
  readonly id: string;
  readonly at: string;
  readonly data: DataOf<S>;
}

const kind = <S extends Shape>(row: EventKind<S>): EventKind<S> => row;

/** The rises of a bread that are noted, and what can be noted of one. */
const riseIds = ['first', 'final'] as const;
const riseSenses = ['begun', 'not-yet', 'there', 'past'] as const;
/** What a thermometer is held into. */
const warmthPlaces = ['water', 'dough', 'air'] as const;
export type WarmthPlace = (typeof warmthPlaces)[number];
/** What can be said of a step of the run. */
const stepSenses = ['begun', 'done', 'skipped', 'later', 'longer'] as const;
/** What of a step or a rise was said, in words. */
export const senseSays: Readonly<
  Record<(typeof stepSenses)[number] | (typeof riseSenses)[number], string>
> = {
  begun: 'begun',
  done: 'done',
  skipped: 'left out',
  later: 'put off',
  longer: 'takes longer',
  'not-yet': 'not yet',
  there: 'ready',
  past: 'gone over',
};
/** What a poked dough does. */
export const pokes = ['at-once', 'slowly', 'stays'] as const;
export type Poke = (typeof pokes)[number];
/** Name of a step within its bake. */
const stepName = text(120, 1);
/** From the tap on: a step is put off, or takes longer, until then. */
const minutes = number(1, 14 * 24 * 60);
/** Of what a starter is fed. */
const fedGrams = number(0, 20_000);
/** A thermometer's tip in bread. */
export const coreSpan = [0, 115] as const;
/** Pieces of one dough. */
export const mostOfPieces = 200;

/** What can be said of a dough that stood off. */
export const sackSenses = ['new', 'odd', 'neither'] as const;
export type SackSense = (typeof sackSenses)[number];
/** A batch may be so small, and so large, against its formula. */
const batchSpan = [0.1, 6] as const;

/** What was noted of a rise, with one thing more: begun again, it begins anew. */
const noted = (
  before: RiseNoted | undefined,
  sense: (typeof riseSenses)[number],
  at: string,
): RiseNoted =>
  sense === 'begun'
    ? { begunAt: at, notes: [] }
    : { ...before, notes: [...(before?.notes ?? []), { sense, at }] };

const later = (at: string, minutes: number): string =>
  new Date(Date.parse(at) + minutes * 60_000).toISOString();

/** What was said of a step, with one thing more. */
function said(
  before: StepNoted | undefined,
  sense: (typeof stepSenses)[number],
  at: string,
  by = 0,
): StepNoted {
  const over = before?.doneAt ?? before?.skippedAt;
  if (sense === 'begun') return { begunAt: at };
  if (sense === 'done') return { ...before, doneAt: over ?? at };
  if (sense === 'skipped') return { ...before, skippedAt: over ?? at };
  return { ...before, [sense === 'later' ? 'notFrom' : 'notBefore']: later(at, by) };
}

/** Points further than this are no dough's. */
const furthest = 40;

const put = <V>(map: ReadonlyMap<string, V>, key: string, value: V): ReadonlyMap<string, V> =>
  new Map(map).set(key, value);

/** One row a kind: its data, what it makes of a bake, whether it teaches, what it is called. */
export const eventKinds = {
  weighed: kind({
    shape: { item: text(200), grams, byScale: flag },
    teaches: true,
    says: 'a weight',
    fold: (state, { at, data }) => ({
      ...state,
      weighed: put(state.weighed, data.item, { ...data, at }),
    }),
  }),
  unweighed: kind({
    shape: { item: text(200) },
    teaches: true,
    says: 'a weight undone',
    fold(state, { data }) {
      const weighed = new Map(state.weighed);
      weighed.delete(data.item);
      return { ...state, weighed };
    },
  }),
  /** Of a line that is missing, another thing goes in, or more or less of it. */
  instead: kind({
    shape: {
      of: text(200),
      says: text(200),
      changes: list(object({ stage: text(80), ingredient, grams: number(-50_000, 50_000) }), 20),
    },
    teaches: true,
    says: 'a swapped ingredient',
    fold: (state, { id, data }) => ({
      ...state,
      instead: [...state.instead, { event: id, ...data }],
    }),
  }),
  /** A share of the formula is made. */
  batch: kind({
    shape: { share: number(...batchSpan) },
    teaches: true,
    says: 'the batch size',
    fold: (state, { data }) => ({ ...state, batch: data.share }),
  }),
  /** Who stands at the bowl. */
  baker: kind({
    shape: { baker: text(80, 1) },
    teaches: true,
    says: 'who bakes it',
    fold: (state, { data }) => ({ ...state, baker: data.baker }),
  }),
  /** In what its dough is made after all, and in what it was to be until then: a programme of another machine is none of it. */
  made: kind({
    shape: { device: word(deviceIds), was: word(deviceIds) },
    teaches: true,
    says: 'how it is kneaded',
    fold({ course, ...state }, { data }) {
      void course;
      return { ...state, device: data.device };
    },
  }),
  /** How it goes through a machine, and which way it rises. */
  course: kind({
    shape: {
      machine: text(80),
      programme: text(80),
      kind: word(courseIds),
      size: word(machineSizeIds),
      crust: word(crustIds),
      delay: maybe(number(0, 24 * 60)),
    },
    teaches: false,
    says: 'the programme',
    fold: (state, { data }) => ({ ...state, course: data }),
  }),
  way: kind({
    shape: { way: word(wayIds) },
    teaches: false,
    says: 'how it rises',
    fold: (state, { data }) => ({ ...state, way: data.way }),
  }),
  /** In which of the household's ovens; as it goes in, with what that was known to be warmer than it says. */
  oven: kind({
    shape: { oven: text(80, 1), offset: maybe(number(-60, 60)) },
    teaches: true,
    says: 'the oven',
    fold: (state, { data }) => ({ ...state, oven: data }),
  }),
  /** As it was planned: no thermometer said it, and it teaches nothing. */
  wished: kind({
    shape: {
      air: maybe(number(-25, 70)),
      dough: maybe(number(-25, 70)),
      wakes: maybe(whole(1, 3)),
    },
    teaches: false,
    says: 'the plan',
    fold: (state, { data }) => ({ ...state, wished: data }),
  }),
  added: kind({
    shape: { ingredient, grams: number(0.1, 2000) },
    teaches: true,
    says: 'what was added at the check',
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
  /** A step of the run: begun, done, left out, put off, or longer than thought. */
  step: kind({
    shape: { step: stepName, sense: word(stepSenses), minutes: maybe(minutes) },
    teaches: false,
    says: 'a step',
    fold: (state, { at, data: { step, sense, minutes } }) => ({
      ...state,
      steps: { ...state.steps, [step]: said(state.steps[step], sense, at, minutes) },
    }),
  }),
  /** A rise begins, is looked at and not ready, is ready, or has gone over. */
  rise: kind({
    shape: { rise: word(riseIds), sense: word(riseSenses) },
    teaches: true,
    says: 'how the rise was going',
    fold: (state, { at, data: { rise, sense } }) => ({
      ...state,
      rises: { ...state.rises, [rise]: noted(state.rises[rise], sense, at) },
    }),
  }),
  poked: kind({
    shape: { rise: word(riseIds), answer: word(pokes) },
    teaches: false,
    says: 'the poke test',
    fold: (state, { at, data }) => ({ ...state, pokes: [...state.pokes, { ...data, at }] }),
  }),
  /** Times the volume that it began with, by a mark on its vessel. */
  marked: kind({
    shape: { rise: word(riseIds), volume: number(0.5, 8) },
    teaches: false,
    says: 'how far it had risen',
    fold: (state, { at, data }) => ({ ...state, marks: [...state.marks, { ...data, at }] }),
  }),
  /** Of the water as it is poured, of the dough after mixing, or of where it stands. */
  warmth: kind({
    shape: { of: word(warmthPlaces), celsius: number(-25, 70) },
    teaches: true,
    says: 'a temperature',
    fold: (state, { at, data: { of, celsius } }) => ({
      ...state,
      warmth: { ...state.warmth, [of]: celsius },
      thermometer: [...state.thermometer, { of, celsius, at }],
    }),
  }),
  /** A starter of the dough was fed for this bake: its jar was fed. */
  fed: kind({
    shape: { stage: text(80, 1), jar: maybe(id), seed: fedGrams, flour: fedGrams, water: fedGrams },
    teaches: false,
    says: 'a feeding',
    fold: (state, { id, at, data }) => ({
      ...state,
      fed: [...state.fed, { event: id, at, ...data }],
    }),
  }),
  /** It stands highest now. */
  peaked: kind({
    shape: { stage: text(80, 1) },
    teaches: false,
    says: 'its peak',
    fold: (state, { at, data }) => ({
      ...state,
      peaks: [...state.peaks, { ...data, at }],
    }),
  }),
  /** In the middle of the bread. */
  core: kind({
    shape: { celsius: number(...coreSpan) },
    teaches: false,
    says: 'the core temperature',
    fold: (state, { at, data }) => ({ ...state, core: [...state.core, { ...data, at }] }),
  }),
  /** Into how many pieces it is divided, and what they become. */
  divided: kind({
    shape: { pieces: whole(1, mostOfPieces), form: word(forms), pan: maybe(text(80)) },
    teaches: false,
    says: 'the pieces',
    fold: (state, { data }) => ({ ...state, divided: data }),
  }),
  /** One piece, on the scale. */
  piece: kind({
    shape: { grams: number(1, 20_000) },
    teaches: false,
    says: 'a piece weighed',
    fold: (state, { id, data }) => ({
      ...state,
      pieces: [...state.pieces, { event: id, grams: data.grams }],
    }),
  }),
  /** By the household's custom. */
  aside: kind({
    shape: { grams: number(1, 20_000) },
    teaches: false,
    says: 'a piece set aside',
    fold: (state, { data }) => ({ ...state, aside: data.grams }),
  }),
  photo: kind({
    shape: { photo: id, step: stepName },
    teaches: false,
    says: 'a photo',
    fold: (state, { id, at, data }) => ({
      ...state,
      photos: [...state.photos, { event: id, at, ...data }],
    }),
  }),
  /** For the next time, at its step; said again it takes the place of what was said there. */
  note: kind({
    shape: { step: stepName, text: text(4000) },
    teaches: false,
    says: 'a note',
    fold: (state, { data }) => ({ ...state, notes: { ...state.notes, [data.step]: data.text } }),
  }),
  power: kind({
    shape: { what: word(['cut', 'back']), minute: maybe(number(0, 24 * 60)) },
    teaches: false,
    says: 'the power',
    fold: (state, { at, data }) => ({ ...state, power: [...state.power, { ...data, at }] }),
  }),
  /** It is led sentence by sentence, or not any more. */
  guided: kind({
    shape: { on: flag },
    teaches: false,
    says: 'how it is explained',
    fold: (state, { data }) => ({ ...state, guided: data.on }),
  }),
  /** Sentences of a step that were read. */
  read: kind({
    shape: { step: stepName, count: whole(0, 100) },
    teaches: false,
    says: 'how far it was read',
    fold: (state, { data }) => ({ ...state, read: { ...state.read, [data.step]: data.count } }),
  }),
  retracted: kind({
    shape: { event: id },
    teaches: true,
    says: 'something undone',
    fold: (state) => state,
    retracts: ({ event }) => event,
  }),
  /** Whether the book learns from it: an odd bake is set aside, and taken up again. */
  /** Whether its flour came from another sack, as far as anybody knows. */
  sack: kind({
    shape: { sense: word(sackSenses) },
    teaches: true,
    says: 'whether the sack was new',
    fold: (state, { data }) => ({ ...state, sack: data.sense }),
  }),
  counts: kind({
    shape: { counts: flag },
    teaches: true,
    says: 'whether this bake counts',
    fold: (state, { data }) => ({ ...state, counts: data.counts }),
  }),
  /** Read off a meter. */
  energy: kind({
    shape: { kilowattHours: number(0, 100) },
    teaches: false,
    says: 'the power used',
    fold: (state, { data }) => ({ ...state, kilowattHours: data.kilowattHours }),
  }),
  outcome: kind({
    shape: outcomeShape,
    teaches: true,
    says: 'the result',
    fold: (state, { data }) => ({ ...state, outcome: data }),
  }),
  finished: kind({
    shape: {},
    teaches: true,
    says: 'the end of the bake',
    fold: (state, { at }) => ({ ...state, finishedAt: state.finishedAt ?? at }),
  }),
  abandoned: kind({
    shape: {},
    teaches: false,
    says: 'the bake was cancelled',
    fold: (state, { at }) => ({ ...state, abandonedAt: state.abandonedAt ?? at }),
  }),
} as const;

export type BakeEventKind = keyof typeof eventKinds;
export const bakeEventKinds = Object.keys(eventKinds) as BakeEventKind[];
