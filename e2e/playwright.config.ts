import { defineConfig } from '@playwright/test';

const port = 4399;

export default defineConfig({
  testDir: '.',
  workers: 1,
  fullyParallel: false,
  forbidOnly: true,
  timeout: 120_000,
  reporter: [['list'], ['./closing-line.ts']],
  outputDir: '../test-results',
  use: {
    baseURL: `http://127.0.0.1:${port}`,
    viewport: { width: 1280, height: 800 },
    launchOptions: {
      executablePath: '/usr/bin/chromium',
      args: [
        '--no-sandbox',
        '--disable-gpu',
        '--disable-quic',
        '--no-first-run',
        '--disable-background-networking',
        '--disable-component-update',
        '--disable-sync',
      ],
    },
  },
  webServer: {
    command: 'node e2e/serve-fresh.mjs',
    cwd: '..',
    env: { PORT: String(port), HOST: '127.0.0.1', TENDER_CRUMB_DEMO: '1' },
    url: `http://127.0.0.1:${port}/`,
    reuseExistingServer: false,
    timeout: 120_000,
  },
});
