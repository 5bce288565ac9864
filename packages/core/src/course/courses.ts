/** How a bread goes through a machine. */
export const courses = {
  whole: { label: 'all in the machine', says: 'kneads, rises and bakes' },
  dough: {
    label: 'dough only, then the oven',
    says: 'it kneads and rises it; shaped and baked by you',
  },
  'by-eye': {
    label: 'kneaded there, risen by eye, baked there',
    says: 'the dough stage, then switched off so that it does not overheat; baked with bake-only when it has risen',
  },
} as const;
export type CourseId = keyof typeof courses;
export const courseIds = Object.keys(courses) as CourseId[];
