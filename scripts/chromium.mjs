/** The browser that tests, pictures and measures use: Debian's Chromium without a window. */
import { existsSync } from 'node:fs';
import { must } from './prepare.mjs';

/** The shell without a window takes a sixth less of the processor than the whole browser. */
const name = 'chromium-headless-shell';

/** How it is started. */
export const launchOptions = {
  executablePath: `/usr/bin/${name}`,
  args: [
    '--no-sandbox',
    '--disable-gpu',
    '--disable-quic',
    '--no-first-run',
    '--disable-background-networking',
    '--disable-component-update',
    '--disable-sync',
  ],
};

/** What tells that browser whom to trust, and the package that it is in. */
const trusts = { file: '/usr/bin/certutil', name: 'libnss3-tools' };

/** Installs both from Debian's packages where they are not there. */
export function installChromium() {
  const missing = [
    ...(existsSync(launchOptions.executablePath) ? [] : [name]),
    ...(existsSync(trusts.file) ? [] : [trusts.name]),
  ];
  if (missing.length === 0) return;
  console.log('Installing Chromium from the Debian packages …');
  must('apt-get', ['update', '-qq']);
  must('apt-get', ['install', '-y', '-qq', ...missing]);
}
