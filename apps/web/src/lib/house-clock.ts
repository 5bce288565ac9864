/** In which headers the house says what time it is, and a device what it is there, ms since 1970. */
export const clockHeaders = { house: 'x-house-time', device: 'x-device-time' } as const;

/** A difference of clocks that matters to a bake, ms. Common practice, no source: nobody times a dough to two minutes. */
export const tellingMs = 120_000;
