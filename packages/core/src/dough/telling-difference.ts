/** Points by which a first touch must differ to be told, drawn or asked about. Own estimate, no source. */
export const tellingDifference = 3;
