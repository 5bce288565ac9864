/** Every check there is, in the order in which faults are cheapest to find. Stops at the first. */
import { existsSync } from 'node:fs';
import { install, build, must } from './prepare.mjs';

install();
if (!existsSync('/usr/bin/chromium')) {
  console.log('Installing Chromium from the Debian packages …');
  must('apt-get', ['update', '-qq']);
  must('apt-get', ['install', '-y', '-qq', 'chromium']);
}
const steps = [
  ['format and lint', 'npm', ['run', 'lint']],
  ['types of the core', 'npm', ['run', 'check', '--workspace', 'packages/core']],
  ['types of the application', 'npm', ['run', 'check', '--workspace', 'apps/web']],
  ['unit tests of the core', 'npm', ['run', 'test:core']],
];
const onBuild = [
  ['server tests', 'npm', ['run', 'test:server']],
  ['browser tests', 'npm', ['run', 'test:e2e']],
];
const run = ([name, command, args]) => {
  console.log(`\n— ${name}`);
  must(command, ['--loglevel=error', ...args]);
};
steps.forEach(run);
build();
onBuild.forEach(run);
