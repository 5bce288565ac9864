import { commonPractice, figure, type Figure } from '../figure/figure.ts';

/** A way of working a dough. */
export interface Kneading {
  readonly label: string;
  /** Minutes for a strong flour. */
  readonly minutes: Figure;
  /** Warmth that it puts into a dough. */
  readonly rise: Figure;
  /** It works every dough for as long as it does strong flour. */
  readonly fixed: boolean;
  readonly says: string;
}

/** One row a way of working. */
export const kneadings = {
  hand: {
    label: 'by hand',
    minutes: figure(10, 'min', 2, commonPractice),
    rise: figure(1, '°C', 1, commonPractice),
    fixed: false,
    says: 'knead until a piece stretches thin without tearing',
  },
  mixer: {
    label: 'mixer, then hand',
    minutes: figure(16, 'min', 3, commonPractice),
    rise: figure(4, '°C', 2, commonPractice),
    fixed: false,
    says: 'half in the mixer at low speed, half by hand',
  },
  machine: {
    label: 'bread machine',
    minutes: figure(25, 'min', 4, commonPractice),
    rise: figure(5, '°C', 2, commonPractice),
    fixed: true,
    says: 'check after five to ten minutes',
  },
} as const satisfies Record<string, Kneading>;

export type KneadingId = keyof typeof kneadings;
export const kneadingIds = Object.keys(kneadings) as KneadingId[];
