import { api, ApiError } from './api.ts';

/**
 * What is done with the server or not at all: it takes away for good, lets somebody in, or is about files that only the
 * server has. Each one row; everything else waits in the outbox.
 */
const deeds = {
  'drop-bake': { method: 'DELETE', path: (id: string) => `/api/v1/bakes/${id}` },
  'drop-photo': { method: 'DELETE', path: (at: string) => at },
  'formula-off-shelf': { method: 'DELETE', path: (id: string) => `/api/v1/formulas/${id}` },
  'formula-on-shelf': { method: 'POST', path: (id: string) => `/api/v1/formulas/${id}/back` },
  'always-so': { method: 'POST', path: () => '/api/v1/household/always' },
  'forget-device': { method: 'DELETE', path: (id: string) => `/api/v1/devices/${id}` },
  'another-code': { method: 'POST', path: () => '/api/v1/devices/code' },
  'make-copy': { method: 'POST', path: () => '/api/v1/kitchen/backups' },
  'put-back': { method: 'PUT', path: () => '/api/v1/kitchen/backups' },
  'delete-all': { method: 'POST', path: () => '/api/v1/kitchen/away' },
  'old-bakes': { method: 'POST', path: () => '/api/v1/kitchen/old' },
  'take-in': { method: 'POST', path: (id: string) => `/api/v1/kitchen/incoming/${id}` },
  'leave-incoming': { method: 'DELETE', path: (id: string) => `/api/v1/kitchen/incoming/${id}` },
  'read-page': { method: 'PUT', path: (id: string) => `/api/v1/pages/${id}` },
  'drop-page': { method: 'DELETE', path: (id: string) => `/api/v1/pages/${id}` },
  'forget-practice': { method: 'DELETE', path: () => '/api/v1/practice' },
} as const satisfies Record<
  string,
  { method: 'POST' | 'PUT' | 'DELETE'; path: (of: string) => string }
>;

/** Where the server is not there, in words. */
const away = 'The server does not answer. Try again later.';

/**
 * Does something that needs the server.
 *
 * @param of the id of what it is done to
 * @throws ApiError where the server refuses, or does not answer
 */
export async function deed<T = unknown>(
  name: keyof typeof deeds,
  {
    of = '',
    body,
    signal,
  }: {
    readonly of?: string;
    readonly body?: unknown;
    /** Ends the waiting for an answer. */
    readonly signal?: AbortSignal;
  } = {},
): Promise<T> {
  const { method, path } = deeds[name];
  try {
    return await api<T>(
      method,
      path(of),
      method === 'DELETE' ? body : (body ?? {}),
      signal ? { signal } : {},
    );
  } catch (fault) {
    if (fault instanceof ApiError) throw fault;
    throw new ApiError(0, { detail: away });
  }
}

/**
 * Sends a piece of a file from this device.
 *
 * @throws TypeError where the server does not answer
 */
export const sendPiece = (id: string, at: number, piece: Blob): Promise<Response> =>
  fetch(`/api/v1/kitchen/incoming/${id}?at=${at}`, {
    method: 'PUT',
    body: piece,
    headers: { 'content-type': 'application/octet-stream' },
  });
