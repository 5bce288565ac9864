/** What a request writes, for the page that says who wrote what: the first that fits. */
const rows: ReadonlyArray<readonly [path: RegExp, what: string]> = [
  [/^\/api\/v1\/formulas/, 'a formula'],
  [/^\/api\/v1\/bakes\/[^/]+\/photos/, 'a photo'],
  [/^\/api\/v1\/pages/, 'a photo of a recipe'],
  [/^\/api\/v1\/bakes/, 'a bake'],
  [/^\/api\/v1\/bags\/[^/]+\/feedings/, 'a feeding'],
  [/^\/api\/v1\/bags/, 'a bag or leaven'],
  [/^\/api\/v1\/ingredients/, 'an ingredient'],
  [/^\/api\/v1\/household/, 'the house’s settings'],
  [/^\/api\/v1\/plans/, 'a plan'],
  [/^\/api\/v1\/timers/, 'a timer'],
  [/^\/api\/v1\/practice/, 'a round of practice'],
  [/^\/api\/v1\/devices/, 'a device'],
  [/^\/api\/v1\/kitchen\/backups/, 'a copy put back'],
  [/^\/api\/v1\/kitchen\/away/, 'everything taken away'],
  [/^\/api\/v1\/kitchen/, 'a kitchen taken in'],
];

/** What only asks, though it is sent like something that writes. */
const asks = /^\/api\/v1\/(?:evaluate|plan|rise|leaven)$/;

/**
 * What a request wrote; undefined where it only asked.
 *
 * @example writingOf('PUT', '/api/v1/plans/p') // 'a plan'
 */
export const writingOf = (method: string, path: string): string | undefined =>
  method === 'GET' || method === 'HEAD' || method === 'OPTIONS' || asks.test(path)
    ? undefined
    : rows.find(([pattern]) => pattern.test(path))?.[1];
