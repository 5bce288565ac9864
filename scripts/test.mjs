/**
 * `npm test`: every check there is. What needs the build waits for it, what does not runs beside it;
 * the browser tests come when the processor is free for them. `npm run test:quick` leaves those out.
 * The first fault ends the run.
 */
import { spawn } from 'node:child_process';
import { installChromium } from './chromium.mjs';
import { oneAtATime } from './one-at-a-time.mjs';
import { install } from './prepare.mjs';
import { root } from './root.mjs';

const quick = process.argv.includes('quick');
install();
if (!quick) installChromium();
oneAtATime('test');

const running = new Set();

/** Runs a check; what it says comes out in one piece when it is done. */
function check(name, command, args) {
  const begun = performance.now();
  return new Promise((done) => {
    const child = spawn(command, args, {
      cwd: root,
      stdio: ['ignore', 'pipe', 'pipe'],
      detached: true,
    });
    running.add(child);
    let said = '';
    for (const out of [child.stdout, child.stderr]) out.on('data', (chunk) => (said += chunk));
    child.on('close', (code) => {
      running.delete(child);
      console.log(
        `\n— ${name} (${((performance.now() - begun) / 1000).toFixed(0)} s)\n${said.trim()}`,
      );
      if (code === 0) done();
      else fail(name);
    });
  });
}

function fail(name) {
  for (const child of running) process.kill(-child.pid, 'SIGKILL');
  console.log(`\n${name}: failed`);
  process.exit(1);
}

const npm = (name, ...args) => check(name, 'npm', ['run', '--loglevel=error', ...args]);
const inOrder = async (...checks) => {
  for (const one of checks) await one();
};

const begun = performance.now();
await Promise.all([
  inOrder(
    () => npm('build', 'build'),
    () => npm('server tests', 'test:server'),
  ),
  inOrder(
    () => npm('unit tests of the core', 'test:core'),
    () => npm('types', 'types'),
    () => npm('format and lint', 'lint'),
  ),
]);
if (!quick) await npm('browser tests', 'test:e2e');
console.log(`\nAll in ${((performance.now() - begun) / 1000).toFixed(0)} s.`);
