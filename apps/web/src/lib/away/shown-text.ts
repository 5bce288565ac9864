/** Under which a browser keeps what a page showed last. */
export const shownText = (place: string): string => `shown/${place}`;
