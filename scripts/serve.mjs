/** Serves the built application. Settings: HOST, PORT, TENDER_CRUMB_DATA, TENDER_CRUMB_DEMO. */
import { createServer } from 'node:http';

const host = process.env.HOST || '127.0.0.1';
const port = Number(process.env.PORT || 4310);
process.env.PROTOCOL_HEADER = 'x-forwarded-proto';
process.env.BODY_SIZE_LIMIT ??= '1M';
const { handler } = await import('../apps/web/build/handler.js');

const loopback = new Set(['127.0.0.1', 'localhost', '[::1]', '::1']);
const nameOf = (header = '') => header.replace(/:\d+$/, '');

const server = createServer((request, response) => {
  // Behind loopback only the names of loopback are ours: a foreign name that resolves here is not.
  if (loopback.has(host) && !loopback.has(nameOf(request.headers.host))) {
    response
      .writeHead(421, { 'content-type': 'text/plain' })
      .end('This name is not served here.\n');
    return;
  }
  request.headers['x-forwarded-proto'] = 'http';
  // A browser always says where a post comes from; what says nothing is a tool on this machine.
  if (!request.headers.origin && !request.headers['sec-fetch-site']) {
    request.headers.origin = `http://${request.headers.host}`;
  }
  handler(request, response, () => response.writeHead(404).end());
});

server.on('error', (fault) => {
  const taken = fault.code === 'EADDRINUSE';
  console.error(taken ? `Port ${port} is taken: set PORT to another one.` : fault.message);
  process.exit(1);
});
server.listen(port, host, () => {
  const { port: bound } = server.address();
  const shown = host.includes(':') ? `[${host}]` : host;
  console.log(`Tender Crumb is at http://${shown}:${bound}/`);
});

for (const signal of ['SIGTERM', 'SIGINT']) {
  process.once(signal, () => {
    server.close(() => {
      process.emit('sveltekit:shutdown', signal);
      setTimeout(() => process.exit(0), 50);
    });
    server.closeIdleConnections();
  });
}
