import type { LucideIcon } from '@lucide/svelte';

/** Something that can be done to a thing: a row of its menu. */
export interface Deed {
  readonly says: string;
  readonly icon: LucideIcon;
  readonly does: () => void;
  /** Keys that do it without the menu. */
  readonly keys?: string;
  /** It cannot be done now. */
  readonly not?: boolean;
}
