import { clockHeaders } from '../house-clock.ts';
import { deviceMs, heardHouse } from '../clock.ts';

/** What the server answered instead of doing what was asked. */
export class ApiError extends Error {
  readonly status: number;
  readonly body: Record<string, unknown>;

  constructor(status: number, body: Record<string, unknown>) {
    super(typeof body['detail'] === 'string' ? body['detail'] : 'The server did not answer.');
    this.status = status;
    this.body = body;
  }
}

/** Who wants to hear that the server answered, whatever it said. */
export const answerHeard = new Set<() => void>();

/** Who wants to hear that this device is not let in: told why. */
export const unpairedHeard = new Set<(why: 'forgotten' | 'closed') => void>();

/** Bytes go as they are, everything else as JSON. */
const sent = (
  body: unknown,
): { readonly headers: Record<string, string>; readonly body: BodyInit } =>
  body instanceof ArrayBuffer || body instanceof Blob
    ? { headers: { 'content-type': 'application/octet-stream' }, body }
    : { headers: { 'content-type': 'application/json' }, body: JSON.stringify(body) };

/**
 * Asks our own API.
 *
 * @throws ApiError where it refuses; TypeError where it cannot be reached
 */
export async function api<T>(
  method: 'GET' | 'POST' | 'PUT' | 'PATCH' | 'DELETE',
  path: string,
  body?: unknown,
  options: Pick<RequestInit, 'keepalive' | 'signal'> = {},
): Promise<T> {
  const asked = deviceMs();
  const { headers, body: bytes } = body === undefined ? { headers: {}, body: null } : sent(body);
  const response = await fetch(path, {
    method,
    ...options,
    headers: { ...headers, [clockHeaders.device]: String(asked) },
    ...(bytes === null ? {} : { body: bytes }),
  });
  for (const tell of answerHeard) tell();
  heardHouse(Number(response.headers.get(clockHeaders.house) ?? NaN), asked);
  const answer = (await response.json().catch(() => ({}))) as Record<string, unknown>;
  if (response.status === 401)
    for (const tell of unpairedHeard) tell(answer['code'] === 'forgotten' ? 'forgotten' : 'closed');
  if (!response.ok) throw new ApiError(response.status, answer);
  return answer as T;
}
