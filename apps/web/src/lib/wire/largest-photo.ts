/** The largest photo that is sent and taken, bytes: what a tablet's camera makes, twice over. */
export const largestPhoto = 15 * 1024 * 1024;
