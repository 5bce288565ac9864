/** The room that a dough stands in. */
export interface Room {
  readonly celsius?: number;
  /** Relative, 0 to 1; unknown where absent. */
  readonly humidity?: number;
}
