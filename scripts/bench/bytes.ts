/** Bytes of JavaScript that pages really load first, as they go over the wire. */
import { chromium } from '@playwright/test';
import { rmSync } from 'node:fs';
import { serve } from '../../e2e/fixtures.ts';
import { launchOptions } from '../chromium.mjs';
import { many, print } from './measure.ts';

const pages = [
  ['the bench', '/bench/wash-house-hundred', 170],
  ['the shelf', '/', 120],
  ['bake day', '/bake', 170],
  ['a bake under way', '/bake/under-way', 170],
  ['the book', '/book', 120],
  ['the pantry', '/pantry', 120],
] as const;

const server = await serve();
const browser = await chromium.launch(launchOptions);
try {
  for (const [name, path, aim] of pages.slice(0, many(pages.length, 1))) {
    // Each page for somebody who comes to it first, with nothing kept.
    const context = await browser.newContext({ serviceWorkers: 'block' });
    const page = await context.newPage();
    // What is fetched while nothing else is, nobody waits for.
    await page.addInitScript(() => (globalThis.requestIdleCallback = () => 0));
    const session = await context.newCDPSession(page);
    await session.send('Network.enable');
    const scripts = new Set<string>();
    let bytes = 0;
    session.on('Network.responseReceived', ({ requestId, response }) => {
      if (/javascript/.test(response.mimeType)) scripts.add(requestId);
    });
    session.on('Network.loadingFinished', ({ requestId, encodedDataLength }) => {
      if (scripts.has(requestId)) bytes += encodedDataLength;
    });
    await page.goto(`${server.url}${path}`, { waitUntil: 'networkidle' });
    print({
      measure: `JavaScript on first load of ${name}, compressed`,
      median: Math.round(bytes / 100) / 10,
      unit: 'kB',
      aim: `< ${aim}`,
      files: scripts.size,
    });
    await context.close();
  }
} finally {
  await browser.close();
  await server.stop();
  rmSync(server.folder, { recursive: true, force: true });
}
