/** Serves the built application. Settings: HOST, PORT, TENDER_CRUMB_DATA, TENDER_CRUMB_DEMO, … */
import { createServer, type IncomingMessage, type ServerResponse } from 'node:http';
import { createServer as createSecureServer } from 'node:https';
import type { AddressInfo } from 'node:net';
import { fileURLToPath } from 'node:url';
import compression from 'compression';
import { turnAway } from '../gate/doors.ts';
import { Problem, problemText, problemType } from '../problem.ts';
import { securityHeaders, withCharset } from '../gate/headers.ts';
import { givenNames, listening, ownNames, passedOn, wasPassedOn } from '../gate/names.ts';
import { dataFolder } from '../data-folder.ts';
import { certificateIn } from './certificate.ts';
import { greeting } from './greeting.ts';
import { endJobs } from '../jobs/job.ts';
import { isSecure } from './secure.ts';

const { host } = listening();
const port = Number(process.env['PORT'] || 4310);
const proxied = process.env['TENDER_CRUMB_PROXY'] === '1';
const secure = isSecure();

// Who connects is the socket's word; no header of a request takes its place.
for (const name of ['ADDRESS_HEADER', 'HOST_HEADER', 'PORT_HEADER', 'ORIGIN']) {
  delete process.env[name];
}
process.env['PROTOCOL_HEADER'] = 'x-forwarded-proto';
// Beyond what a route takes, so that it can say so; beyond this the connection is broken off.
process.env['BODY_SIZE_LIMIT'] ??= '16M';
process.env['TENDER_CRUMB_WORKER'] ??= fileURLToPath(new URL('./worker.js', import.meta.url));

/** Text goes out smaller: a kitchen's network is slower than its processor. Little is gained by trying harder. */
const small = compression({ level: 3 }) as unknown as Serve;

type Serve = (request: IncomingMessage, response: ServerResponse, next: () => void) => void;
const built = './handler.js';
const { handler } = (await import(/* @vite-ignore */ built)) as { handler: Serve };

const one = (header: string | string[] | undefined): string | null =>
  (Array.isArray(header) ? header[0] : header) ?? null;

/** Files are answered before the application is asked: what every answer has, these have too. */
function dressFile(response: ServerResponse): void {
  for (const [name, value] of Object.entries(securityHeaders)) response.setHeader(name, value);
  const write = response.writeHead.bind(response) as (...given: unknown[]) => ServerResponse;
  response.writeHead = ((status: number, ...rest: unknown[]) => {
    const headers = rest.find((r) => typeof r === 'object' && r !== null) as
      Record<string, unknown> | undefined;
    for (const name of Object.keys(headers ?? {})) {
      if (name.toLowerCase() === 'content-type')
        headers![name] = withCharset(String(headers![name]));
    }
    return write(status, ...rest);
  }) as typeof response.writeHead;
}

const answer = (request: IncomingMessage, response: ServerResponse): void => {
  dressFile(response);
  const { headers } = request;
  if (proxied) headers.host = one(headers['x-forwarded-host']) ?? headers.host;
  const away = turnAway(
    { method: 'GET', host: headers.host ?? null, origin: null, site: null },
    listening(),
    proxied,
  );
  if (away) {
    response
      .writeHead(away.status, { 'content-type': problemType })
      .end(problemText(new Problem(away.status, away.title, [away])));
    return;
  }
  // Before our own headers are put on: what came with it says whether it was passed on.
  delete headers[passedOn.mark];
  if (!proxied && wasPassedOn(Object.keys(headers))) headers[passedOn.mark] = '1';
  const scheme =
    secure || (proxied && one(headers['x-forwarded-proto']) === 'https') ? 'https' : 'http';
  headers['x-forwarded-proto'] = scheme;
  // A browser always says where a post comes from; what says nothing is a tool.
  if (!headers.origin && !headers['sec-fetch-site']) headers.origin = `${scheme}://${headers.host}`;
  handler(request, response, () => response.writeHead(404).end());
};

// Made smaller by what stands nearest to the line: it must see what else is done to an answer.
const serve = (request: IncomingMessage, response: ServerResponse): void =>
  small(request, response, () => answer(request, response));

const server = secure
  ? createSecureServer(
      await certificateIn(dataFolder(), ownNames(listening()), givenNames(listening())),
      serve,
    )
  : createServer(serve);

/** As long as browsers keep a connection, ms: closed earlier, it is closed under somebody's next request. */
server.keepAliveTimeout = 65_000;
server.on('error', (fault: NodeJS.ErrnoException) => {
  const taken = fault.code === 'EADDRINUSE';
  console.error(taken ? `Port ${port} is taken: set PORT to another one.` : fault.message);
  process.exit(1);
});
server.listen(port, host, () => {
  const { port: bound } = server.address() as AddressInfo;
  void greeting(listening(), bound, proxied, secure).then((text) => console.log(text));
});

/** After this long the process ends, whatever is still under way, ms. */
const endsWithinMs = 2500;

let ending = false;
for (const signal of ['SIGTERM', 'SIGINT'] as const) {
  process.on(signal, () => {
    if (ending) return;
    ending = true;
    setTimeout(() => process.exit(0), endsWithinMs).unref();
    setTimeout(() => server.closeAllConnections(), endsWithinMs / 2).unref();
    server.close(() => {
      // The application closes the data, which takes a moment, and then nothing holds the process.
      process.emit('sveltekit:shutdown' as never, signal as never);
      void endJobs().then(() => setTimeout(() => process.exit(0), 300));
    });
    server.closeIdleConnections();
  });
}
