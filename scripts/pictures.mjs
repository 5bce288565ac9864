/**
 * `npm run pictures`: takes the pictures in docs/screenshots anew, from the demo household. Names take
 * some of them; `--size=phone`, `--dark` and `--to=folder` show another look elsewhere.
 */
import { chromium } from '@playwright/test';
import { spawn } from 'node:child_process';
import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { parseArgs } from 'node:util';
import { build, install } from './prepare.mjs';
import { root } from './root.mjs';
import { launchOptions } from './chromium.mjs';

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
const upright = { width: 768, height: 1024 };
const phone = { width: 390, height: 844 };

/** Goes to a page and waits until its scripts have taken over. */
async function visit(page, path) {
  await page.goto(`${address}${path}`);
  await page.locator('html[data-ready]').waitFor({ state: 'attached' });
}

/** Begins a bake and goes to it. */
async function bake(page, formula) {
  const begun = await page.request.post(`${address}/api/v1/bakes`, {
    data: { formulaId: formula, formulaVersion: 1, method: 'liquids-first' },
  });
  const { id } = await begun.json();
  await visit(page, `/bake/${id}`);
}

/** Plans breads, and nothing else, so many days from now at an hour. */
async function plan(page, breads) {
  const { plans } = await (await page.request.get(`${address}/api/v1/plans`)).json();
  for (const { id } of plans) await page.request.delete(`${address}/api/v1/plans/${id}`);
  for (const [formulaId, days, hour] of breads) {
    const moment = new Date(Date.now() + days * 86_400_000);
    moment.setUTCHours(hour, 0, 0, 0);
    await page.request.put(`${address}/api/v1/plans/${formulaId}-${days}`, {
      data: { version: 0, formulaId, readyBy: moment.toISOString() },
    });
  }
  await visit(page, '/bake');
  await page.getByRole('list', { name: 'Do this at' }).waitFor();
}

const pictures = [
  { name: 'shelf', path: '/' },
  { name: 'bench-plain', path: '/bench/lockside-whole', whole: false },
  { name: 'bench', path: '/bench/wash-house-hundred' },
  {
    name: 'bench-phone-dark',
    path: '/bench/wash-house-hundred',
    size: phone,
    dark: true,
    whole: false,
  },
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
    name: 'bench-rise',
    path: '/bench/lockside-white',
    size: { width: 1280, height: 1560 },
    async go(page) {
      await page.getByRole('tab', { name: 'Rise' }).click();
      await page.getByLabel('First rise ready in').fill('4');
      await page.getByText('stand now').waitFor();
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
      await page.getByRole('button', { name: 'What to do with strong bread flour' }).click();
      await page.getByRole('menuitem', { name: 'Something in its place' }).click();
      const dialog = page.getByRole('dialog');
      await dialog.getByRole('button', { name: 'whole wheat flour', exact: true }).click();
    },
  },
  {
    name: 'bench-leaven',
    path: '/bench/towpath-sourdough',
    size: { width: 1280, height: 1900 },
    async go(page) {
      await page.getByRole('tab', { name: 'Leaven' }).click();
      await page.getByRole('slider', { name: 'Starter' }).waitFor();
    },
  },
  {
    name: 'plan-two',
    size: { width: 1280, height: 1500 },
    go: (page) =>
      plan(page, [
        ['lockside-white', 1, 18],
        ['sluice-gate-plait', 1, 18],
      ]),
  },
  {
    name: 'plan-poolish',
    size: { width: 1280, height: 1250 },
    go: (page) => plan(page, [['overnight-flatbread', 2, 13]]),
  },
  {
    name: 'plan-sourdough',
    size: upright,
    go: (page) => plan(page, [['towpath-sourdough', 2, 18]]),
  },
  {
    name: 'leavens',
    path: '/pantry/leavens',
    size: { width: 1280, height: 1000 },
    async go(page) {
      const moment = new Date(Date.now() + 2 * 86_400_000).toISOString().slice(0, 10);
      await page.getByLabel('Ripe at').first().fill(`${moment}T09:00`);
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
  {
    name: 'bake-rise',
    size: tablet,
    async go(page) {
      await bake(page, 'towpath-sourdough');
      await page.getByRole('button', { name: '3 Rise' }).click();
      const first = page.getByRole('region', { name: 'First rise' });
      await first.getByRole('button', { name: 'It rises from now' }).click();
      await first.getByText(/^Look at/).waitFor();
    },
  },
  {
    name: 'bake-away',
    size: tablet,
    async go(page) {
      await bake(page, 'lockside-white');
      await page.route('**/api/v1/**', (route) => route.abort());
      for (const tick of (await page.locator('button.tick').all()).slice(0, 2)) await tick.click();
      await page.getByText('The server is away').waitFor();
    },
  },
];

const browser = await chromium.launch(launchOptions);
try {
  const { values: other, positionals: wanted } = parseArgs({
    allowPositionals: true,
    options: { size: { type: 'string' }, dark: { type: 'boolean' }, to: { type: 'string' } },
  });
  const sizes = { desk, tablet, upright, phone };
  for (const { name, path, size = desk, dark = false, whole = true, go } of pictures) {
    if (wanted.length > 0 && !wanted.includes(name)) continue;
    const page = await browser.newPage({
      viewport: sizes[other.size] ?? size,
      colorScheme: (other.dark ?? dark) ? 'dark' : 'light',
      reducedMotion: 'reduce',
    });
    await page
      .context()
      .addCookies([{ name: 'bench', value: whole ? 'whole' : 'plain', url: address }]);
    if (path) await visit(page, path);
    await go?.(page);
    await page.waitForTimeout(300);
    await page.screenshot({
      path: join(other.to ?? join(root, 'docs/screenshots'), `${name}.png`),
    });
    await page.close();
    console.log(name);
  }
} finally {
  await browser.close();
  server.kill('SIGTERM');
  await new Promise((done) => server.once('exit', done));
  rmSync(folder, { recursive: true, force: true });
}
