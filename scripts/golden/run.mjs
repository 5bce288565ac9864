/** `npm run golden`: writes anew what the pages say, see record.ts; what git then shows is what changed. */
import { spawnSync } from 'node:child_process';
import { join } from 'node:path';
import { build, install } from '../prepare.mjs';
import { root } from '../root.mjs';

install();
build();
const { status } = spawnSync(
  process.execPath,
  ['--import=tsx', join(root, 'scripts/golden/record.ts'), ...process.argv.slice(2)],
  { cwd: root, stdio: 'inherit' },
);
process.exit(status ?? 1);
