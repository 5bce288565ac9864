/**
 * A "no" that a baker can cause, in the one shape that it has everywhere: for the program, for the baker,
 * and for the form that it came from. What only a programmer can cause is thrown.
 */
export interface Refusal<Code extends string = string, FieldName extends string = string> {
  /** Stays the same however the words change. */
  readonly code: Code;
  /** In the baker's words. */
  readonly says: string;
  /** The field or path that it is about, where it is about one. */
  readonly field?: FieldName;
}

/** What is refused in place of what was asked for. */
export interface Refused<Code extends string = string> {
  readonly refused: Refusal<Code>;
}

/** Whether an answer is a "no". */
export const isRefused = <T extends object>(answer: T | Refused): answer is Refused =>
  'refused' in answer;

/**
 * Refuses.
 *
 * @example refuse('only-flour', 'The only flour is always 100 %').refused.code // 'only-flour'
 */
export const refuse = <Code extends string>(code: Code, says: string): Refused<Code> => ({
  refused: { code, says },
});
