/** A dough is mixed to this where nobody measured it, °C, and stands in such air. Common practice, no source. */
export const usualWarmth = { dough: 25, air: 22 } as const;
