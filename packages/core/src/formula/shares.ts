import { roles, type Role } from '../ingredient/role.ts';
import type { ResolvedLine } from './resolve.ts';
import type { Totals } from './totals.ts';

/** What one role has in a formula. */
export interface Share {
  readonly role: Role;
  readonly label: string;
  readonly grams: number;
  /** Of total flour. */
  readonly percent: number;
}

/**
 * A formula by roles, largest first.
 *
 * @example shares(lines, totals)[0] // {role: 'flour', percent: 100, …}
 */
export function shares(lines: readonly ResolvedLine[], totals: Totals): Share[] {
  const grams = new Map<Role, number>();
  for (const line of lines) {
    const { role } = line.of;
    grams.set(role, (grams.get(role) ?? 0) + line.grams);
  }
  return [...grams]
    .filter(([, g]) => g > 0)
    .sort(([, a], [, b]) => b - a)
    .map(([role, g]) => ({
      role,
      label: roles[role].label,
      grams: g,
      percent: (100 * g) / totals.flourGrams,
    }));
}
