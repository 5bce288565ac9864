import { chromium } from '@playwright/test';
import { spawn } from 'node:child_process';
import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { print } from './measure.ts';
import { launchOptions } from '../chromium.mjs';

/** Bytes of JavaScript that the bench page really loads first, as they go over the wire. */
const folder = mkdtempSync(join(tmpdir(), 'tender-crumb-bytes-'));
const server = spawn(process.execPath, ['apps/web/build/serve.js'], {
  env: {
    ...process.env,
    PORT: '0',
    TENDER_CRUMB_DATA: folder,
    TENDER_CRUMB_DEMO: '1',
    LOG_LEVEL: 'silent',
  },
  stdio: ['ignore', 'pipe', 'inherit'],
});
const url = await new Promise<string>((done) =>
  server.stdout.on('data', (chunk: Buffer) => {
    const found = /http:\/\/[\d.:]+/.exec(chunk.toString());
    if (found) done(found[0]);
  }),
);
const browser = await chromium.launch(launchOptions);
try {
  const page = await browser.newPage();
  const session = await page.context().newCDPSession(page);
  await session.send('Network.enable');
  const scripts = new Set<string>();
  let bytes = 0;
  session.on('Network.responseReceived', ({ requestId, response }) => {
    if (/javascript/.test(response.mimeType)) scripts.add(requestId);
  });
  session.on('Network.loadingFinished', ({ requestId, encodedDataLength }) => {
    if (scripts.has(requestId)) bytes += encodedDataLength;
  });
  await page.goto(`${url}/bench/wash-house-hundred`, { waitUntil: 'networkidle' });
  print({
    measure: 'JavaScript on first load of the bench page, compressed',
    median: Math.round(bytes / 100) / 10,
    unit: 'kB',
    aim: '< 170',
    files: scripts.size,
  });
} finally {
  await browser.close();
  server.kill('SIGTERM');
  rmSync(folder, { recursive: true, force: true });
}
