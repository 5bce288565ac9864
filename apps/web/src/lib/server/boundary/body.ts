import { Problem } from '../problem.ts';

/** Largest body that a route reads, bytes: hundreds of recipes. */
export const largestBody = 512 * 1024;

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
  if (Number(request.headers.get('content-length') ?? 0) > largestBody) throw tooLarge();
  if (!request.body) return '';
  const chunks: Uint8Array[] = [];
  let size = 0;
  try {
    for await (const chunk of request.body as unknown as AsyncIterable<Uint8Array>) {
      size += chunk.byteLength;
      if (size > largestBody) throw tooLarge();
      chunks.push(chunk);
    }
    return new TextDecoder('utf-8', { fatal: true }).decode(Buffer.concat(chunks));
  } catch (fault) {
    if (fault instanceof Problem) throw fault;
    if ((fault as { status?: number }).status === 413) throw tooLarge();
    throw new Problem(400, 'The text cannot be read', [
      { where: 'body', what: 'not complete, or not UTF-8' },
    ]);
  }
}

/**
 * The body of a request as JSON.
 *
 * @throws Problem 415 where another type was sent, 400 where it is not JSON
 */
export async function readJson(request: Request): Promise<unknown> {
  const type = request.headers.get('content-type') ?? '';
  if (!/^application\/(?:[\w.+-]+\+)?json\b/i.test(type)) {
    throw new Problem(415, 'JSON is expected', [
      { where: 'content-type', what: `“${type || 'none'}” is not application/json` },
    ]);
  }
  const text = await readText(request);
  try {
    return JSON.parse(text);
  } catch (fault) {
    throw new Problem(400, 'Not JSON', [{ where: 'body', what: (fault as Error).message }]);
  }
}
