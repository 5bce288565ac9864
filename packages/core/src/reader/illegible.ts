/** Stands in a text for a row that is there in its picture, and of which nothing could be read. */
export const illegible = '[?]';
