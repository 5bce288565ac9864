/** `npm run demo` and `npm start`: from a fresh clone to an address that answers. */
import { spawn } from 'node:child_process';
import { join } from 'node:path';
import { build, install } from './prepare.mjs';
import { root } from './root.mjs';

const demo = process.argv[2] === 'demo';
install();
build();
const server = spawn(process.execPath, [join(root, 'apps/web/build/serve.js')], {
  stdio: 'inherit',
  env: { ...process.env, NODE_ENV: 'production', TENDER_CRUMB_DEMO: demo ? '1' : '0' },
});
for (const signal of ['SIGTERM', 'SIGINT']) process.on(signal, () => server.kill(signal));
server.on('exit', (code) => process.exit(code ?? 0));
