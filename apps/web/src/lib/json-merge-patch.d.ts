/** RFC 7396: the package comes without types. */
declare module 'json-merge-patch' {
  /** Changes `target` by `patch` and gives it back; null takes a field away. */
  export function apply<T>(target: T, patch: unknown): T;
  /** The patch that makes `after` of `before`; undefined where nothing differs. */
  export function generate(before: unknown, after: unknown): unknown;
  /** One patch that does what two do one after the other. */
  export function merge(first: unknown, second: unknown): unknown;
}
