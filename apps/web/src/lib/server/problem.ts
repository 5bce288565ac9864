import { storageWords, type StorageFault } from './database/fault.ts';

/** One fault of what was sent: where it stands and what is wrong with it. */
export interface Fault {
  readonly where: string;
  readonly what: string;
}

/** A refusal that the route answers with; thrown inside a route, never shown with its stack. */
export class Problem extends Error {
  readonly status: number;
  readonly faults: readonly Fault[];
  readonly more: Record<string, unknown>;

  constructor(
    status: number,
    title: string,
    faults: readonly Fault[] = [],
    more: Record<string, unknown> = {},
  ) {
    super(title);
    this.status = status;
    this.faults = faults;
    this.more = more;
  }
}

export const problemType = 'application/problem+json; charset=utf-8';

/** The text of a refusal. */
export const problemText = ({ status, message, faults, more }: Problem): string =>
  JSON.stringify({
    type: 'about:blank',
    title: message,
    status,
    detail: faults.map((f) => `${f.where}: ${f.what}`).join('; ') || message,
    errors: faults,
    ...more,
  });

/**
 * A refusal as `application/problem+json` (RFC 9457), with what is wrong and where under `errors`.
 *
 * @example problemResponse(new Problem(422, 'No flour', [{where: 'body', what: '…'}]))
 */
export const problemResponse = (problem: Problem): Response => {
  const { status } = problem;
  return new Response(problemText(problem), {
    status,
    headers: {
      'content-type': problemType,
      ...(status === 503 || status === 429 ? { 'retry-after': '2' } : {}),
      // What was sent has perhaps no end: nothing more is read on this connection.
      ...(status === 413 ? { connection: 'close' } : {}),
    },
  });
};

/** A bad day of the data as a refusal: what was sent may be sent again. */
export const storageProblem = ({ trouble, status }: StorageFault): Problem =>
  new Problem(status, storageWords[trouble].title, [
    { where: 'data', what: storageWords[trouble].says },
  ]);
