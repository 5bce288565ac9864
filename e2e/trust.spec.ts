import { chromium } from '@playwright/test';
import { execFileSync } from 'node:child_process';
import { mkdirSync, mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { launchOptions } from '../scripts/chromium.mjs';
import { reload, expect, serve, test } from './fixtures.ts';

/** A home in which a browser trusts the house's authority, as a tablet does that was told to. */
function homeThatTrusts(certificate: string): string {
  const home = mkdtempSync(join(tmpdir(), 'tender-crumb-home-'));
  const database = join(home, '.pki/nssdb');
  mkdirSync(database, { recursive: true });
  const certutil = (...args: string[]) =>
    execFileSync('certutil', ['-d', `sql:${database}`, ...args]);
  certutil('-N', '--empty-password');
  certutil('-A', '-t', 'C,,', '-n', 'house', '-i', certificate);
  return home;
}

test(
  'https at home: a browser that trusts the house keeps pages and stays awake; one that only went on does not',
  { tag: '@long' },
  async () => {
    const server = await serve({ TENDER_CRUMB_HTTPS: '1' });
    const certificate = join(server.folder, 'authority', 'authority.pem');
    const home = homeThatTrusts(certificate);
    const trusting = await chromium.launch({
      ...launchOptions,
      env: { ...process.env, HOME: home },
    });
    const warned = await chromium.launch(launchOptions);
    try {
      const page = await (
        await trusting.newContext({ baseURL: server.url, serviceWorkers: 'allow' })
      ).newPage();
      await page.goto('/bench/lockside-white');
      await page.locator('html[data-ready]').waitFor({ state: 'attached' });
      const worker = () =>
        page.evaluate(() =>
          Promise.race([
            navigator.serviceWorker.ready.then((r) => (r.active ? 'active' : 'none')),
            new Promise((done) => setTimeout(() => done('none'), 5000)),
          ]),
        );
      expect(await worker()).toBe('active');
      expect(await page.evaluate(() => 'wakeLock' in navigator && isSecureContext)).toBe(true);
      // What was opened opens without the server, after a reload too.
      await reload(page);
      await page.locator('html[data-ready]').waitFor({ state: 'attached' });
      await expect
        .poll(() => page.evaluate(async () => (await caches.match('/bench/lockside-white'))?.ok))
        .toBe(true);
      await expect
        .poll(() => page.evaluate(async () => (await caches.match('/bake/kept'))?.ok))
        .toBe(true);
      await server.stop();
      await reload(page);
      await expect(page.getByRole('textbox', { name: 'Name of the recipe' })).toHaveValue(
        'Lockside tin loaf, white',
      );
      // A bake that is begun then is there after a reload as well, though no server ever made a page of it.
      await page.getByRole('button', { name: 'Bake this' }).click();
      await expect(page).toHaveURL(/\/bake\/.+/);
      const tick = page.locator('button.tick').first();
      await tick.click();
      await expect(tick).toHaveAttribute('aria-pressed', 'true');
      await reload(page);
      await expect(tick).toHaveAttribute('aria-pressed', 'true');
      await expect(page.getByText('The server is away.')).toBeVisible();
      const bake = page.url().split('/').at(-1)!;

      const { port } = new URL(server.url);
      const again = await serve({ TENDER_CRUMB_HTTPS: '1', PORT: port }, server.folder);
      try {
        await expect(async () => {
          const now = page.getByRole('button', { name: 'Try now' });
          if (await now.isVisible()) await now.click({ timeout: 500 });
          expect(
            await page.evaluate((id) => fetch(`/api/v1/bakes/${id}`).then((r) => r.status), bake),
          ).toBe(200);
        }).toPass();
        await reload(page);
        await expect(tick).toHaveAttribute('aria-pressed', 'true');
        const other = await warned.newPage();
        await expect(other.goto(again.url)).rejects.toThrow(/ERR_CERT_AUTHORITY_INVALID/);
        const past = await warned.newContext({ ignoreHTTPSErrors: true, serviceWorkers: 'allow' });
        const gone = await past.newPage();
        await gone.goto(`${again.url}/bench/lockside-white`);
        const refused = await gone.evaluate(() =>
          navigator.serviceWorker.register('/service-worker.js').then(
            () => 'taken',
            (fault: Error) => fault.name,
          ),
        );
        expect(refused).toBe('SecurityError');
      } finally {
        await again.stop();
      }
    } finally {
      await Promise.all([trusting.close(), warned.close()]);
      await server.stop();
      for (const folder of [home, server.folder]) rmSync(folder, { recursive: true, force: true });
    }
  },
);
