/** `npm run bench`: medians as JSON lines, each beside a baseline of the same run where it has one. */
import { spawnSync } from 'node:child_process';
import { join } from 'node:path';
import { build, install } from '../prepare.mjs';
import { root } from '../root.mjs';

install();
build();
for (const part of [
  'core',
  'flours',
  'rise',
  'plan',
  'bake',
  'book',
  'server',
  'pages',
  'bytes',
  'page',
  'first-minute',
  'photo',
]) {
  const file = join(root, `scripts/bench/${part}.ts`);
  const { status } = spawnSync(process.execPath, ['--import=tsx', file], {
    cwd: root,
    stdio: 'inherit',
  });
  if (status !== 0) process.exit(status ?? 1);
}
