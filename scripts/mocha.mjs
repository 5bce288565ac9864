/**
 * `npm run test:core [-- FILE …]`, and so with test:server and each with :long: the tests of a part of the project, or those
 * of the files that are named. Anything with a dash goes to the test runner: `-- -g "a rise"`.
 */
import { spawnSync } from 'node:child_process';
import { join } from 'node:path';
import { root } from './root.mjs';

const parts = { core: 'packages/core', server: 'apps/web' };
const [part, ...given] = process.argv.slice(2);
const long = given[0] === 'long';
const rest = long ? given.slice(1) : given;
const folder = parts[part];
if (!folder)
  throw new Error(`“${part}” is no part of the project: ${Object.keys(parts).join(', ')}`);

const files = rest.filter((a) => /\.test\.ts$/.test(a));
const args = [
  '--config',
  `${folder}/.mocharc${long ? '.long' : ''}.json`,
  ...rest.filter((a) => !files.includes(a)),
  // A file that is named runs, whichever tier it is of.
  ...(files.length > 0
    ? files
    : [
        ...(long ? [] : ['--ignore', '**/*.long.test.ts']),
        `${folder}/test/**/*${long ? '.long' : ''}.test.ts`,
      ]),
];
const { status } = spawnSync(
  process.execPath,
  [join(root, 'node_modules/mocha/bin/mocha.js'), ...args],
  {
    cwd: root,
    stdio: 'inherit',
  },
);
process.exit(status ?? 1);
