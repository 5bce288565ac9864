/** The two schools of baker's percentages; each can always be had from the other. */
export const percentageSchools = ['total', 'added'] as const;
export type PercentageSchool = (typeof percentageSchools)[number];

/** Which water a hydration counts: only what is poured, or also what is in milk, egg, butter, honey. */
export const waterSchools = ['poured', 'effective'] as const;
export type WaterSchool = (typeof waterSchools)[number];

/** How net carbohydrate is reckoned: as on a US label or as on an EU one. */
export const carbSchools = ['eu', 'us'] as const;
export type CarbSchool = (typeof carbSchools)[number];
