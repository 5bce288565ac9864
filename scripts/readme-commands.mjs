/** Each of README's commands once, shortened where it is long, on a data folder of its own. A command that README names and no row knows is a fault. */
import { spawn, spawnSync } from 'node:child_process';
import { mkdtempSync, readFileSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { root } from './root.mjs';
import './test-clock.mjs';

const folder = mkdtempSync(join(tmpdir(), 'tender-crumb-commands-'));
const env = {
  ...process.env,
  TENDER_CRUMB_DATA: folder,
  TENDER_CRUMB_SHORT: '1',
  PORT: '0',
  LOG_LEVEL: 'silent',
};

/** Runs a command to its end. */
function ends(command, ...more) {
  const { status, stdout, stderr } = spawnSync('bash', ['-c', [command, ...more].join(' ')], {
    cwd: root,
    env,
    encoding: 'utf8',
  });
  if (status !== 0) throw new Error(`${command} ended with ${status}:\n${stdout}\n${stderr}`);
  return stdout;
}

/** Starts a command that serves, opens its first page, and ends it. */
async function answers(command) {
  const child = spawn('bash', ['-c', `exec env ${command}`], { cwd: root, env, detached: true });
  let said = '';
  try {
    const address = await new Promise((done, failed) => {
      const read = (chunk) => {
        said += chunk;
        // Colours of a terminal stand between the letters.
        const found = /https?:\/\/(?:127\.0\.0\.1|localhost):\d+/.exec(
          said.replace(/\u001b\[[\d;]*m/g, ''),
        );
        if (found) done(found[0]);
      };
      child.stdout.on('data', read);
      child.stderr.on('data', read);
      child.once('exit', (code) => failed(new Error(`${command} ended with ${code}:\n${said}`)));
      setTimeout(() => failed(new Error(`${command} gave no address:\n${said}`)), 120_000).unref();
    });
    const { status } = await fetch(address);
    if (status !== 200) throw new Error(`${command}: ${address} answered with ${status}`);
    // An address is printed once the server listens; it ends as somebody’s Ctrl C ends it.
    const gone = new Promise((done) => child.once('exit', done));
    process.kill(-child.pid, 'SIGINT');
    await gone;
  } finally {
    try {
      process.kill(-child.pid, 'SIGKILL');
    } catch {
      // Gone already.
    }
  }
}

/** How each command is run here; those that are tests themselves are not run by a test. */
const rows = [
  [/^npm run demo$/, answers],
  [/^(?:HOST=0\.0\.0\.0 )?npm start$/, answers],
  [/^npm run dev$/, answers],
  [/^npm run backup$/, (c) => ends(c)],
  [/^npm run backup -- \S+\.db$/, () => ends('npm run backup --', join(folder, 'stick.db'))],
  [/^npm run restore$/, (c) => ends(c)],
  [/^npm run restore -- NAME-OR-PATH$/, () => ends('npm run restore --', join(folder, 'stick.db'))],
  [/^npm run fit$/, (c) => ends(c, '-- --print')],
  [/^npm run bench$/, (c) => ends(c)],
  [/^npm run validation$/, (c) => ends(c)],
  [/^npm run words$/, (c) => ends(c, '-- written')],
  [/^npm run pictures$/, (c) => ends(c, `-- shelf --to=${folder}`)],
  [/^(?:npm test(?: -- \S+)?|npm run test:(?:quick|long)|\S+=\S+ npm test)$/, () => {}],
  // A test of its own does it with a file of the demo; the record takes as long as a tier of tests.
  [/^npm run (?:replay FILE\.zip|golden)$/, () => {}],
];

const blocks = readFileSync(join(root, 'README.md'), 'utf8').matchAll(/```sh\n([^]*?)```/g);
const commands = [...blocks].flatMap(([, text]) =>
  text
    .split('\n')
    .map((line) => line.replace(/\s+#.*$/, '').trim())
    .filter(Boolean),
);
let done = 0;
try {
  for (const command of commands) {
    const row = rows.find(([pattern]) => pattern.test(command));
    if (!row) throw new Error(`README names “${command}”, and nothing here knows how to try it.`);
    const begun = performance.now();
    await row[1](command);
    done += 1;
    console.log(`${command}: ${((performance.now() - begun) / 1000).toFixed(0)} s`);
  }
  console.log(`${done} passed, 0 failed`);
} catch (fault) {
  console.error(fault.message);
  console.log(`${done} passed, 1 failed`);
  process.exitCode = 1;
} finally {
  rmSync(folder, { recursive: true, force: true });
}
