/**
 * `npm test`: what somebody waits for. `npm run test:long`: what takes longer, statistics and long walks, and each of
 * README's commands once. `npm run test:quick` is the first without the browser. What needs the build waits for it, what does not
 * runs beside it; the browser tests come when the processor is free for them. The first fault ends the run.
 * `npm test FILE …` runs the tests of those files alone, whatever they are.
 */
import { spawn } from 'node:child_process';
import { readdirSync } from 'node:fs';
import { join } from 'node:path';
import { installChromium } from './chromium.mjs';
import { oneAtATime } from './one-at-a-time.mjs';
import { install } from './prepare.mjs';
import { root } from './root.mjs';
import './test-clock.mjs';

const files = process.argv.slice(2).filter((a) => /\.(?:test|spec)\.ts$/.test(a));
const tier = files.length > 0 ? 'files' : (process.argv[2] ?? 'test');
install();
if (tier !== 'quick') installChromium();
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

/** The files of the server's tests in two lanes, every other in each: each of them waits more than it computes. */
const serverFiles = readdirSync(join(root, 'apps/web/test'))
  .filter((f) => f.endsWith('.test.ts') && !f.endsWith('.long.test.ts'))
  .sort();
const serverTests = (lane) =>
  npm(
    `server tests, ${lane + 1} of 2`,
    'test:server',
    '--',
    ...serverFiles.filter((_, i) => i % 2 === lane).map((f) => `apps/web/test/${f}`),
  );

const browser = (tier) => () => npm('browser tests', `test:e2e${tier}`);
// Two lanes of about as long.
const short = [
  [() => npm('build', 'build'), () => serverTests(0), () => npm('format and lint', 'lint')],
  [
    () => npm('unit tests of the core', 'test:core'),
    () => npm('types', 'types'),
    // The build is there by then, and what was built is not built again.
    () => npm('build', 'build'),
    () => serverTests(1),
  ],
];
const beside = {
  test: short,
  quick: short,
  long: [
    [
      () => npm('build', 'build'),
      () =>
        npm(
          'files that come in',
          'test:server:long',
          '--',
          '-g',
          '1,000 times|2,000 times|every version before',
        ),
    ],
    [
      () => npm('unit tests of the core', 'test:core:long'),
      () => npm('build', 'build'),
      () => npm('kills', 'test:server:long', '--', '-g', 'hundred kills'),
    ],
  ],
};
const after = {
  test: [browser('')],
  quick: [],
  long: [
    browser(':long'),
    () => check('README’s commands', process.execPath, ['scripts/readme-commands.mjs']),
  ],
};

if (tier === 'files') {
  const of = (start, end) => files.filter((f) => f.startsWith(start) && f.endsWith(end));
  const core = of('packages/core/', '.test.ts');
  const server = of('apps/web/', '.test.ts');
  const pages = of('e2e/', '.spec.ts');
  const known = [...core, ...server, ...pages];
  const strange = files.find((f) => !known.includes(f));
  if (strange) throw new Error(`${strange} is no test of core, server or browser.`);
  if (server.length + pages.length > 0) await npm('build', 'build');
  if (core.length > 0) await npm('core', 'test:core', '--', ...core);
  if (server.length > 0) await npm('server', 'test:server', '--', ...server);
  if (pages.length > 0)
    await check('browser', process.execPath, [
      'node_modules/@playwright/test/cli.js',
      'test',
      '--config',
      'e2e/playwright.config.ts',
      ...pages,
    ]);
  process.exit(0);
}

const begun = performance.now();
await Promise.all(beside[tier].map((lane) => inOrder(...lane)));
await inOrder(...after[tier]);
console.log(`\nAll in ${((performance.now() - begun) / 1000).toFixed(0)} s.`);
