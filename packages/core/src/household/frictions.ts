import type { KneadingId } from '../machine/kneading.ts';

/** Warmth that a household's own mixing puts into a dough, °C, by the way of working: as it was measured by hand. */
export type Frictions = Readonly<Partial<Record<KneadingId, number>>>;
