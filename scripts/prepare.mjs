/** What a fresh clone lacks: installed packages and a build that is not older than its sources. */
import { spawnSync } from 'node:child_process';
import { existsSync, readdirSync, statSync } from 'node:fs';
import { join } from 'node:path';
import { oneAtATime } from './one-at-a-time.mjs';
import { root } from './root.mjs';

/** Runs a command in the project and ends this process with its code where it fails. */
export function must(command, args, options = {}) {
  const { status, error } = spawnSync(command, args, { cwd: root, stdio: 'inherit', ...options });
  if (error) console.error(error.message);
  if (status !== 0) process.exit(status ?? 1);
}

const changed = (path) => (existsSync(path) ? statSync(path).mtimeMs : 0);

function newest(path) {
  if (!existsSync(path)) return 0;
  if (!statSync(path).isDirectory()) return changed(path);
  return readdirSync(path).reduce((latest, name) => {
    // What tests and type checks leave beside the sources is no source.
    const skip =
      ['node_modules', 'build', '.svelte-kit', 'test'].includes(name) ||
      name.endsWith('.tsbuildinfo');
    return skip ? latest : Math.max(latest, newest(join(path, name)));
  }, 0);
}

/** Installs what package-lock.json names, where that was not done since it changed. */
export function install() {
  const done = changed(join(root, 'node_modules/.package-lock.json'));
  if (done > 0 && done >= changed(join(root, 'package-lock.json'))) return;
  console.log('Installing what is missing (about a minute) …');
  must('npm', ['ci', '--no-audit', '--no-fund', '--loglevel=error']);
}

/** Builds where a source is newer than the build. */
export function build() {
  const end = oneAtATime('build');
  const built = changed(join(root, 'apps/web/build/worker.js'));
  const sources = ['apps/web', 'packages/core/src', 'demo', 'package-lock.json'];
  if (built > 0 && sources.every((s) => newest(join(root, s)) <= built)) return end();
  console.log('Building (about half a minute) …');
  must('npm', ['run', 'build', '--workspace', 'apps/web', '--loglevel=error'], {
    stdio: ['ignore', 'ignore', 'inherit'],
  });
  end();
}
