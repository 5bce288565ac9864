import { aheadKindIds, aheadKinds, aheadOf, foldIn } from '../ferment/ahead.ts';
import { dopingFor } from '../ferment/doping.ts';
import type { Rise } from '../ferment/rises.ts';
import { tangIds, type TangId } from '../ferment/souring.ts';
import { starterHydration } from '../starter/hydration.ts';
import { starterGrams, starterIn } from '../starter/starter-in.ts';
import { forTang, starterLadder, starterStep, withinShare } from '../starter/ladder.ts';
import { starterShare } from '../ferment/starter-share.ts';
import { warmAndCold } from '../ferment/warm-and-cold.ts';
import { mainStage } from '../formula/formula.ts';
import type { ResolvedLine } from '../formula/resolve.ts';
import { isRefused } from '../quantity/refusal.ts';
import { risesBy } from '../schedule/coming-rises.ts';
import type { BenchView } from './bench-of.ts';
import { lazily } from './lazily.ts';

/** What is asked of a dough's leavens. */
export interface LeavensAsked {
  /** The share of starter that is looked at, % of all flour; the formula's own where absent. */
  readonly looked?: number | undefined;
  /** Water of the starter that is wanted, % of its flour. */
  readonly wet?: number | undefined;
  /** Hours in which a doped dough is wanted. */
  readonly hours?: number | undefined;
}

/** Yeast that a household has, where it did not say. Own choice, no source. */
const usualYeast = 'instant-yeast';
/** Water of a starter that can be asked for, % of its flour. Common practice, no source. */
const wetness = [40, 250] as const;

/** All that the bench shows of the leavens of a dough, and of what else they could be. */
export interface LeavensView {
  readonly lines: readonly ResolvedLine[];
  readonly room: number;
  readonly rises: readonly Rise[];
  readonly starter: ReturnType<typeof starterIn>;
  readonly hasStarter: boolean;
  readonly ladder: ReturnType<typeof starterLadder>;
  /** As the formula has it, and as it is looked at. */
  readonly own: ReturnType<typeof starterStep> | undefined;
  readonly shown: ReturnType<typeof starterStep> | undefined;
  /** Tastes that this dough can have here. */
  readonly tastes: readonly TangId[];
  readonly changes: ReturnType<typeof starterShare> | undefined;
  readonly stiffer: ReturnType<typeof starterHydration>;
  readonly yeast: ResolvedLine | undefined;
  readonly doping: ReturnType<typeof dopingFor> | undefined;
  /** What could be mixed ahead of this dough, each with the correction that does it. */
  readonly ahead: ReadonlyArray<{
    readonly id: string;
    readonly label: string;
    readonly says: string;
    readonly correction: Exclude<ReturnType<typeof aheadOf>, { refused: unknown }>;
  }>;
  /** What is mixed ahead and could go back into the dough. */
  readonly back: ReadonlyArray<{
    readonly stage: string;
    readonly name: string;
    readonly correction: NonNullable<ReturnType<typeof foldIn>>;
  }>;
  /** Warm and fast beside cold and slow. */
  readonly schools: ReturnType<typeof warmAndCold>;
  /** Ripe starter of a share, its water with it, grams. */
  readonly gramsOf: (percent: number) => number;
  /** The share that tastes so. */
  readonly shareFor: (id: TangId) => number | undefined;
}

/**
 * The leavens of the dough on a bench, as the bread that plan and bake have in view.
 *
 * @example leavensOf(benchOf({formula, household, belief}), {}).hasStarter // true
 */
export function leavensOf(
  { formula, household, pantry, bread, evaluation }: BenchView,
  { looked, wet, hours }: LeavensAsked,
): LeavensView {
  const { paces, work, model, room, friction } = bread;
  const main = mainStage(formula).id;
  const pair = ({ rises, hasStarter }: LeavensView) => {
    const [first, final] = rises;
    return first && final && hasStarter ? ([first, final] as const) : undefined;
  };
  return lazily<LeavensView>({
    lines: () => evaluation?.lines ?? [],
    room: () => room,
    rises: () => risesBy(bread, 'as-it-is'),
    starter: ({ lines }) => starterIn(lines),
    hasStarter: ({ starter }) => starter !== undefined,
    ladder: (all) => {
      const both = pair(all);
      return both ? starterLadder(both, paces, model) : [];
    },
    own: (all) => {
      const both = pair(all);
      return both && all.starter ? starterStep(both, all.starter.percent, paces, model) : undefined;
    },
    shown: (all) => {
      const both = pair(all);
      return both && looked !== undefined
        ? starterStep(both, withinShare(looked), paces, model)
        : all.own;
    },
    tastes: ({ ladder }) => tangIds.filter((id) => ladder.some((s) => s.tang === id)),
    changes: ({ lines, shown, own }) =>
      shown && own && shown !== own ? starterShare(lines, shown.percent / own.percent) : undefined,
    stiffer: ({ lines, starter }) => {
      if (!starter || wet === undefined || wet < wetness[0] || wet > wetness[1]) return undefined;
      const changes = starterHydration(lines, starter.stage, wet);
      return changes && changes.length > 0 ? changes : undefined;
    },
    yeast: ({ lines }) =>
      lines.find((l) => l.of.yeast && l.grams > 0 && l.stageKind !== 'preferment'),
    doping: ({ lines, rises: [first], hasStarter, yeast }) => {
      if (!first || !hasStarter || yeast || hours === undefined) return undefined;
      const ingredient = household.yeastKept ?? usualYeast;
      const kind = pantry.ingredient(ingredient).yeast ?? 'instant';
      return dopingFor(lines, first, hours, { ingredient, kind, stage: main }, paces, work, model);
    },
    ahead: ({ lines }) =>
      aheadKindIds
        .filter((kind) => !lines.some((l) => l.stage === kind && l.grams > 0))
        .flatMap((kind) => {
          const correction = aheadOf(lines, kind, room, paces, work, model);
          const { label, says } = aheadKinds[kind];
          return isRefused(correction) ? [] : [{ id: kind, label, says, correction }];
        }),
    back: ({ lines }) =>
      formula.stages
        .filter((s) => s.kind === 'preferment' || s.kind === 'soaker')
        .flatMap(({ id, name }) => {
          const correction = foldIn(lines, id, main);
          return correction ? [{ stage: id, name, correction }] : [];
        }),
    schools: ({ lines }) => warmAndCold(lines, room, friction, paces, work, model),
    gramsOf:
      ({ starter }) =>
      (percent) =>
        starter ? starterGrams(starter, percent) : 0,
    shareFor: (all) => (id) => {
      const both = pair(all);
      return both && forTang(both, id, paces, model)?.percent;
    },
  });
}
