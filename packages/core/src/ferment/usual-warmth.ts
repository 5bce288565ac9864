/** A dough is mixed to this where nobody measured it, °C, one full of butter cooler, and stands in such air. Common practice, no source. */
export const usualWarmth = { dough: 25, buttery: 23, air: 22 } as const;
