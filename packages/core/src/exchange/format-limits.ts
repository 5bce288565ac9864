/** Longest texts and lists of the format. */
export const formatLimits = {
  name: 200,
  text: 2000,
  source: 65_536,
  stages: 12,
  /** Lines of all stages together: what a page can still show at once. */
  allLines: 200,
  /** Changes of all corrections together. */
  allChanges: 300,
  /** Changes of one correction: a bread for a goal may change everything that is in it. */
  changes: 60,
} as const;
