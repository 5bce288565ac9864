import { defineConfig } from '@playwright/test';
import { launchOptions } from '../scripts/chromium.mjs';
import '../scripts/test-clock.mjs';

export default defineConfig({
  testDir: '.',
  workers: 2,
  fullyParallel: true,
  forbidOnly: true,
  // A whole bake is walked in half a minute; a machine that is busy with something else may be ten times slower.
  timeout: 400_000,
  expect: { timeout: 60_000 },
  reporter: [['list'], ['./closing-line.ts']],
  outputDir: '../test-results',
  use: {
    viewport: { width: 1280, height: 800 },
    // What the tests put in the server’s way must reach the page; one of them is about the worker itself.
    serviceWorkers: 'block',
    // Only what really moves on the page may be waited for.
    contextOptions: { reducedMotion: 'reduce' },
    launchOptions,
  },
});
