/** How much of the bench stands open: what every bake needs, or all that can be asked of a formula. */
export const benches = ['plain', 'whole'] as const;
export type Opened = (typeof benches)[number];

/** What was chosen on this device; a newcomer's bench is plain. */
export const openedIn = (cookie: string | undefined): Opened =>
  benches.find((b) => b === cookie) ?? 'plain';

/** Remembers the choice for the next bench, before its first paint. */
export function rememberOpened(opened: Opened): void {
  document.cookie = `bench=${opened}; path=/; max-age=31536000; samesite=lax`;
}
