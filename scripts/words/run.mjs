/** `npm run words`: prints every text that a person can see, and counts them, see print.ts. */
import { spawnSync } from 'node:child_process';
import { join } from 'node:path';
import { build, install } from '../prepare.mjs';
import { root } from '../root.mjs';

install();
build();
const { status } = spawnSync(
  process.execPath,
  ['--import=tsx', join(root, 'scripts/words/print.ts'), ...process.argv.slice(2)],
  { cwd: root, stdio: 'inherit' },
);
process.exit(status ?? 1);
