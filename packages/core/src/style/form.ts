/** What the pieces of a dough are shaped to. */
export const forms = ['loaf', 'rolls', 'rings', 'balls', 'plait', 'sticks', 'flat'] as const;
export type Form = (typeof forms)[number];
