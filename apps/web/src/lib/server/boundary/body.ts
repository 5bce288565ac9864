import { Problem } from '../problem.ts';

/** Largest body that a route reads, bytes: hundreds of recipes. */
export const largestBody = 512 * 1024;

/**
 * What is too large is read on for a while and thrown away: broken off in the middle, nobody would hear the answer. For
 * so many bytes, and so long, ms: what has no end is answered and closed.
 */
const patience = { bytes: 30 * largestBody, ms: 5000 } as const;

/** The pieces of a body, until it ends or patience does. */
async function* pieces(body: ReadableStream<Uint8Array>): AsyncGenerator<Uint8Array> {
  const reader = body.getReader();
  let size = 0;
  let pending: Promise<unknown> | undefined;
  let late: Promise<{ done: true; value?: undefined }> | undefined;
  try {
    for (;;) {
      if (size > largestBody)
        late ??= new Promise((done) => setTimeout(() => done({ done: true }), patience.ms).unref());
      const next = reader.read();
      pending = next;
      const { done, value } = await (late ? Promise.race([next, late]) : next);
      if (done || !value) return;
      size += value.byteLength;
      yield value;
      if (size > patience.bytes) return;
    }
  } finally {
    // Let go of, not cancelled: that would tear the connection before the answer is out.
    pending?.catch(() => undefined);
    reader.releaseLock();
  }
}

/**
 * The body of a request as text.
 *
 * @throws Problem 413 where it is too large, 400 where it breaks off or is not UTF-8
 */
export async function readText(request: Request): Promise<string> {
  const tooLarge = () =>
    new Problem(413, 'Too much at once', [
      { where: 'body', what: `larger than ${largestBody / 1024} kB` },
    ]);
  // What is a little too large is read all the same: who still writes hears no answer.
  if (Number(request.headers.get('content-length') ?? 0) > patience.bytes) throw tooLarge();
  if (!request.body) return '';
  const chunks: Uint8Array[] = [];
  let size = 0;
  try {
    for await (const chunk of pieces(request.body)) {
      size += chunk.byteLength;
      if (size <= largestBody) chunks.push(chunk);
    }
    if (size > largestBody) throw tooLarge();
    return new TextDecoder('utf-8', { fatal: true }).decode(Buffer.concat(chunks));
  } catch (fault) {
    if (fault instanceof Problem) throw fault;
    if ((fault as { status?: number }).status === 413) throw tooLarge();
    throw new Problem(400, 'The text cannot be read', [
      { where: 'body', what: 'not complete, or not UTF-8' },
    ]);
  }
}

/** How deep and how many values JSON may be: several times what the largest formula needs. */
export const jsonLimits = { depth: 20, values: 20_000 } as const;

/**
 * Looks how deep and how large JSON is before anything is made of it: one pass over its letters.
 *
 * @throws Problem 400 where it is more than any formula needs
 */
export function bounded(text: string): void {
  let depth = 0;
  let values = 0;
  let inString = false;
  for (let i = 0; i < text.length; i += 1) {
    const letter = text.charCodeAt(i);
    if (inString) {
      if (letter === 0x5c) i += 1;
      else if (letter === 0x22) inString = false;
    } else if (letter === 0x22) inString = true;
    else if (letter === 0x7b || letter === 0x5b) depth += 1;
    else if (letter === 0x7d || letter === 0x5d) depth -= 1;
    else if (letter === 0x2c) values += 1;
    if (depth > jsonLimits.depth) throw refused(`nested deeper than ${jsonLimits.depth}`);
    if (values > jsonLimits.values) throw refused(`more than ${jsonLimits.values} values`);
  }
}

const refused = (what: string): Problem =>
  new Problem(400, 'More than a formula can be', [{ where: 'body', what }]);

/**
 * The body of a request as JSON.
 *
 * @throws Problem 415 where another type was sent, 400 where it is not JSON or more than one can be
 */
export async function readJson(request: Request): Promise<unknown> {
  const type = request.headers.get('content-type') ?? '';
  if (!/^application\/(?:[\w.+-]+\+)?json\b/i.test(type)) {
    throw new Problem(415, 'JSON is expected', [
      { where: 'content-type', what: `“${type || 'none'}” is not application/json` },
    ]);
  }
  const text = await readText(request);
  bounded(text);
  try {
    return JSON.parse(text);
  } catch (fault) {
    throw new Problem(400, 'Not JSON', [{ where: 'body', what: (fault as Error).message }]);
  }
}
