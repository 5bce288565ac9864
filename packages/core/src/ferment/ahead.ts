import { commonPractice, figure, type Figure } from '../figure/figure.ts';
import { isFlour } from '../formula/base.ts';
import type { Change, StageHead, StageKind, Taken } from '../formula/formula.ts';
import { isPouredWater } from '../formula/poured-water.ts';
import type { Process } from '../formula/process.ts';
import type { ResolvedLine } from '../formula/resolve.ts';
import { convertYeast, massPerWork, type YeastWork } from '../ingredient/yeast.ts';
import { refuse, type Refused } from '../quantity/refusal.ts';
import { sumGrams } from '../quantity/sum-grams.ts';
import { leavenFor } from './leaven-for.ts';
import { ripeEnd } from './ripe-end.ts';
import { prefermentDough } from './rising-dough.ts';
import type { Paces } from './rise-doubt.ts';
import { usualRise, type RiseModel } from './rise.ts';

/** A part of a dough that is mixed before it. */
interface Ahead {
  readonly label: string;
  readonly kind: Extract<StageKind, 'preferment' | 'soaker'>;
  /** The name of its stage: by it the lines' state is told, too. */
  readonly name: string;
  /** Which of the dough's lines it takes. */
  readonly of: 'flour' | 'whole' | 'grain';
  /** What it takes of those. */
  readonly share: Figure;
  /** Its water for 100 g of that. */
  readonly water: Figure;
  readonly process: Process;
  /** Hours in which the yeast that it is given makes it ripe; none that is not leavened. */
  readonly hours?: Figure;
  readonly says: string;
}

const share = (value: number) => figure(value, 'share', 0.1, commonPractice);
const water = (value: number) => figure(value, 'g per 100 g', 10, commonPractice);
const hours = (value: number) => figure(value, 'h', 2, commonPractice);
/** A scald is stirred with water that boils. */
const boiling = 100;

/** One row a kind. */
export const aheadKinds = {
  poolish: {
    label: 'Poolish, overnight',
    kind: 'preferment',
    name: 'Poolish',
    of: 'flour',
    share: share(0.3),
    water: water(100),
    process: { minutes: 720, mostMinutes: 960, place: 'room', end: 'peak' },
    hours: hours(13),
    says: 'a batter of flour, water and a trace of yeast: aroma and a thin crust; too sour past a day',
  },
  biga: {
    label: 'Biga, overnight',
    kind: 'preferment',
    name: 'Biga',
    of: 'flour',
    share: share(0.35),
    water: water(55),
    process: { minutes: 720, mostMinutes: 960, place: 'room', end: 'doubled' },
    hours: hours(14),
    says: 'a stiff one: strength and a nutty taste',
  },
  soaker: {
    label: 'Soak oats, flakes and seeds',
    kind: 'soaker',
    name: 'Soaker',
    of: 'grain',
    share: share(1),
    water: water(120),
    process: { minutes: 240, mostMinutes: 960, place: 'room', end: 'time' },
    says: 'they soak up water now, not from the dough later',
  },
  'whole-soaker': {
    label: 'Soak the whole-grain flour',
    kind: 'soaker',
    name: 'Soaker',
    of: 'whole',
    share: share(0.5),
    water: water(80),
    process: { minutes: 60, mostMinutes: 720, place: 'room', end: 'time' },
    says: 'bran softens and cuts less',
  },
  scald: {
    label: 'Scald a little flour',
    kind: 'soaker',
    name: 'Scald',
    of: 'flour',
    share: share(0.06),
    water: water(300),
    process: { minutes: 30, mostMinutes: 960, celsius: boiling, place: 'room', end: 'time' },
    says: 'flour in boiling water holds it: a soft crumb that keeps; mind the steam',
  },
  discard: {
    label: 'Use starter discard',
    kind: 'soaker',
    name: 'Discard',
    of: 'flour',
    share: share(0.1),
    water: water(100),
    process: { place: 'fridge' },
    says: 'spare flour and water with some tang; it raises nothing',
  },
} as const satisfies Record<string, Ahead>;

export type AheadKind = keyof typeof aheadKinds;
export const aheadKindIds = Object.keys(aheadKinds) as AheadKind[];

const whole = (grams: number): number => Math.round(grams);
const hundredth = (grams: number): number => Math.round(grams * 100) / 100;

/** What it can be made of: lines of the dough itself. */
const takenFrom = (dough: readonly ResolvedLine[], of: Ahead['of']): ResolvedLine[] =>
  [...dough]
    .filter((l) =>
      of === 'flour'
        ? isFlour(l)
        : of === 'whole'
          ? isFlour(l) && (l.of.whole ?? 0) > 0.5
          : l.of.role === 'grain',
    )
    .sort((a, b) => b.grams - a.grams);

/** The first of `ahead`, `ahead2` … that is no stage yet. */
function freeStage(lines: readonly ResolvedLine[], kind: AheadKind): string {
  const used = new Set(lines.map((l) => l.stage));
  let id: string = kind;
  for (let n = 2; used.has(id); n += 1) id = `${kind}-${n}`;
  return id;
}

/**
 * A part of a dough mixed ahead of it: flour and water move into a stage of its own, and nothing else changes.
 * A pre-ferment gets as much of the dough's yeast as makes it ripe in its hours.
 *
 * @param celsius of the room that it stands in
 * @returns the correction that does it; refused where the dough has not what it takes
 * @example a poolish of a dough of 500 g of flour: 150 g of it and 150 of water, and .15 g of its yeast
 */
export function aheadOf(
  lines: readonly ResolvedLine[],
  kind: AheadKind,
  celsius: number,
  paces: Paces = {},
  work: YeastWork = massPerWork,
  model: RiseModel = usualRise,
): Omit<Taken, 'id'> | Refused {
  const row: Ahead = aheadKinds[kind];
  const dough = lines.filter((l) => l.stageKind === 'dough' && l.grams > 0);
  const sources = takenFrom(dough, row.of);
  const [source] = sources;
  if (!source) {
    return refuse(
      'nothing-for-it',
      row.of === 'grain' ? 'No oats, flakes or seeds to soak.' : 'No such flour in the dough.',
    );
  }
  const all = sumGrams(row.of === 'flour' ? lines.filter(isFlour) : sources);
  const solid = whole(Math.min(source.grams, all * row.share.value));
  const wet = whole((solid * row.water.value) / 100);
  const well = dough.filter(isPouredWater).sort((a, b) => b.grams - a.grams)[0];
  if (!well || well.grams < wet) {
    return refuse(
      'too-little-water',
      `It takes ${wet} g of water, and the dough pours too little of it: it is wetted by milk or egg.`,
    );
  }
  const stage: StageHead = {
    id: freeStage(lines, kind),
    kind: row.kind,
    name: row.name,
    process: row.process,
  };
  const move = (line: ResolvedLine, grams: number): Change[] => [
    {
      stage: stage.id,
      ingredient: line.ingredient,
      grams,
      ...(line.bag === undefined ? {} : { bag: line.bag }),
    },
    { stage: line.stage, ingredient: line.ingredient, grams: -grams },
  ];
  const changes = [...move(source, solid), ...move(well, wet)];
  if (row.hours) {
    const yeast = dough.filter((l) => l.of.yeast).sort((a, b) => b.grams - a.grams)[0];
    if (!yeast?.of.yeast) {
      return refuse('no-yeast', 'Its yeast comes from the dough, which has none.');
    }
    const ferment = prefermentDough(
      [
        { ...source, grams: solid },
        { ...well, grams: wet },
      ],
      celsius,
      work,
    )!;
    const end = ripeEnd({ ...ferment, yeast: 1 }, model);
    const found = leavenFor(ferment, 'yeast', row.hours.value, end, paces, model);
    const percent = found.percent ? found.percent.middle : found.nearest?.percent;
    if (percent === undefined) {
      return refuse('never-ripe', 'It never gets ripe there.');
    }
    const own = convertYeast((percent * solid) / 100, 'instant', yeast.of.yeast, work);
    changes.push(...move(yeast, Math.min(yeast.grams, Math.max(0.02, hundredth(own)))));
  }
  return {
    correction: `ahead:${kind}`,
    reason: `${row.label}: ${row.says}`,
    basis: commonPractice,
    changes,
    stages: [stage],
  };
}

/**
 * What is mixed ahead put back into the dough: flour, water and yeast as they were in all.
 *
 * @param stage of a pre-ferment or soaker
 * @param main the stage that it goes into
 * @example foldIn(lines, 'poolish', 's1').changes.length // two for each of its lines
 */
export function foldIn(
  lines: readonly ResolvedLine[],
  stage: string,
  main: string,
): Omit<Taken, 'id'> | undefined {
  const own = lines.filter((l) => l.stage === stage && l.grams > 0);
  if (own.length === 0) return undefined;
  return {
    correction: `ahead:none:${stage}`,
    reason: 'Mix everything at once',
    basis: commonPractice,
    changes: own.flatMap((l) => [
      { stage, ingredient: l.ingredient, grams: -l.grams },
      {
        stage: main,
        ingredient: l.ingredient,
        grams: l.grams,
        ...(l.bag === undefined ? {} : { bag: l.bag }),
      },
    ]),
  };
}
