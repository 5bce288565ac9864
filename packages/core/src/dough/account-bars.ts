import type { Role } from '../ingredient/role.ts';
import type { WaterAccount } from './account.ts';

/** One piece of a bar of the water account. */
export interface AccountSegment {
  readonly line: string;
  readonly name: string;
  readonly role: Role;
  readonly kind: 'brings' | 'softens' | 'drinks';
  readonly grams: number;
  /** Start and end on a scale that both bars share, 0 to 1. */
  readonly from: number;
  readonly to: number;
}

interface AccountBars {
  readonly brings: readonly AccountSegment[];
  readonly drinks: readonly AccountSegment[];
  /** Grams at the end of the scale. */
  readonly scale: number;
}

/** Grams of water below which a scale shows nothing, and nobody has to read of it. Own choice, no source. */
const leastSeen = 0.1;

/**
 * The water account as two bars on one gram scale: what brings water, then what softens as water
 * would, over what drinks it. What no kitchen scale would show is left out.
 *
 * @example accountBars(level.account).drinks[0] // the thirstiest line
 */
export function accountBars({ entries, brings, softens, drinks }: WaterAccount): AccountBars {
  const scale = Math.max(brings + softens, drinks) || 1;
  const lay = (kind: AccountSegment['kind'], start: number): AccountSegment[] => {
    let at = start;
    return entries
      .filter((e) => e[kind] >= leastSeen)
      .sort((a, b) => b[kind] - a[kind])
      .map((e) => {
        const from = at / scale;
        at += e[kind];
        const { name, role } = e.of;
        return { line: e.line, name, role, kind, grams: e[kind], from, to: at / scale };
      });
  };
  return {
    brings: [...lay('brings', 0), ...lay('softens', brings)],
    drinks: lay('drinks', 0),
    scale,
  };
}
