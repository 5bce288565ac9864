/** `npm run pictures`: takes the pictures in docs/screenshots anew, from the demo household. */
import { chromium } from '@playwright/test';
import { spawn } from 'node:child_process';
import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { build, install, root } from './prepare.mjs';

install();
build();
const folder = mkdtempSync(join(tmpdir(), 'tender-crumb-pictures-'));
const server = spawn(process.execPath, ['apps/web/build/serve.js'], {
  cwd: root,
  env: { ...process.env, PORT: '0', TENDER_CRUMB_DATA: folder, TENDER_CRUMB_DEMO: '1' },
  stdio: ['ignore', 'pipe', 'inherit'],
});
const address = await new Promise((done) =>
  server.stdout.on('data', (chunk) => {
    const found = /http:\/\/[\d.:]+/.exec(String(chunk));
    if (found) done(found[0]);
  }),
);

const desk = { width: 1280, height: 800 };
const tablet = { width: 1024, height: 768 };
const phone = { width: 390, height: 844 };

/** Begins a bake and goes to it. */
async function bake(page, formula) {
  const begun = await page.request.post(`${address}/api/v1/bakes`, {
    data: { formulaId: formula, formulaVersion: 1, method: 'liquids-first' },
  });
  const { id } = await begun.json();
  await page.goto(`${address}/bake/${id}`, { waitUntil: 'networkidle' });
}

const pictures = [
  { name: 'shelf', path: '/' },
  { name: 'bench', path: '/bench/wash-house-hundred' },
  { name: 'bench-phone-dark', path: '/bench/wash-house-hundred', size: phone, dark: true },
  {
    name: 'bench-sure',
    path: '/bench/porridge-rolls',
    size: { width: 1280, height: 1250 },
    async go(page) {
      await page.getByRole('tab', { name: 'How sure' }).click();
      await page.getByText('What would make it surer').waitFor();
      await page.locator('progress').waitFor({ state: 'detached' });
    },
  },
  {
    name: 'bench-goal',
    path: '/bench/thin-slice-seed',
    size: { width: 1280, height: 1400 },
    async go(page) {
      await page.getByRole('tab', { name: 'Goal' }).click();
      await page.getByLabel('Net carbohydrate').fill('1.4');
      await page.getByRole('button', { name: 'Find a bread' }).click();
      await page.getByRole('table', { name: 'The bread that was found' }).waitFor();
    },
  },
  {
    name: 'bench-swap',
    path: '/bench/lockside-white',
    async go(page) {
      await page
        .getByRole('button', { name: 'Put something in place of strong bread flour' })
        .click();
      const dialog = page.getByRole('dialog');
      await dialog.getByRole('button', { name: 'whole wheat flour', exact: true }).click();
    },
  },
  { name: 'book', path: '/book' },
  { name: 'pantry', path: '/pantry' },
  {
    name: 'bake-weigh',
    size: tablet,
    async go(page) {
      await bake(page, 'lockside-white');
      for (const tick of (await page.locator('button.tick').all()).slice(0, 3)) await tick.click();
    },
  },
  {
    name: 'bake-check',
    size: tablet,
    async go(page) {
      await bake(page, 'lockside-white');
      await page.getByRole('button', { name: '2 Dough check' }).click();
      await page.getByRole('slider', { name: 'How the dough feels' }).focus();
      for (let i = 0; i < 14; i += 1) await page.keyboard.press('ArrowLeft');
      await page.getByRole('button', { name: 'It feels like this' }).click();
    },
  },
];

const browser = await chromium.launch({
  executablePath: '/usr/bin/chromium',
  args: ['--no-sandbox', '--disable-gpu', '--disable-background-networking'],
});
try {
  for (const { name, path, size = desk, dark = false, go } of pictures) {
    const page = await browser.newPage({
      viewport: size,
      colorScheme: dark ? 'dark' : 'light',
      reducedMotion: 'reduce',
    });
    if (path) await page.goto(`${address}${path}`, { waitUntil: 'networkidle' });
    await go?.(page);
    await page.waitForTimeout(300);
    await page.screenshot({ path: join(root, `docs/screenshots/${name}.png`) });
    await page.close();
    console.log(name);
  }
} finally {
  await browser.close();
  server.kill('SIGTERM');
  await new Promise((done) => server.once('exit', done));
  rmSync(folder, { recursive: true, force: true });
}
