import { api } from './sync/api.ts';

/**
 * Asks the server something, and changes nothing there.
 *
 * @throws ApiError where it refuses; TypeError where it cannot be reached
 */
export const question = <T>(path: string): Promise<T> => api<T>('GET', path);

/** Formulas on the shelf that came from the same text. */
export const twinsOf = <T>(source: string): Promise<{ readonly twins: T }> =>
  api('POST', '/api/v1/formulas/twins', { source });
