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
import { testTime } from './test-clock.mjs';

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
async function bake(page, formula, method) {
  const begun = await page.request.post(`${address}/api/v1/bakes`, {
    data: { formulaId: formula, formulaVersion: 1, method },
  });
  const { id } = await begun.json();
  await visit(page, `/bake/${id}`);
}

/** Looks at a step of the bake. */
const step = (page, name) =>
  page.getByRole('navigation', { name: 'Steps of the bake' }).getByRole('button', { name }).click();

/** Plans breads, and nothing else, so many days from now at an hour. */
async function plan(page, breads) {
  const { plans } = await (await page.request.get(`${address}/api/v1/plans`)).json();
  for (const { id, bakeId } of plans) {
    await page.request.delete(`${address}/api/v1/plans/${id}`);
    if (bakeId === undefined) continue;
    const event = { id: 'given-up', at: testTime().toISOString(), kind: 'abandoned', data: {} };
    await page.request.post(`${address}/api/v1/bakes/${bakeId}/events`, {
      data: { events: [event] },
    });
  }
  for (const [formulaId, days, hour] of breads) {
    const moment = testTime(days * 86_400_000);
    moment.setUTCHours(hour, 0, 0, 0);
    await page.request.put(`${address}/api/v1/plans/${formulaId}-${days}`, {
      data: { version: 0, formulaId, readyBy: moment.toISOString() },
    });
  }
  await visit(page, '/bake');
  await page.getByRole('list', { name: 'Do this at' }).waitFor();
}

/** A recipe as somebody has it: measures of another country, a soaker, a scan, a glaze, raisins in the method alone. */
/** A card as somebody photographs it: a little askew, on a table. */
async function card(page) {
  const rows = [
    'Weir-keeper’s loaf',
    '',
    '500 g strong bread flour',
    '1½ cups warm water',
    '10 g fine salt',
    '1¼ tsp instant yeast',
    '25 g butter, soft',
    '2 tbsp runny honey',
    '',
    'Method',
    '1. Mix everything and knead for ten minutes.',
    '2. Leave until doubled, about 90 minutes.',
    '3. Bake at 220 °C for 35 minutes.',
  ];
  const other = await page
    .context()
    .browser()
    .newPage({ viewport: { width: 1000, height: 900 } });
  await other.setContent(
    `<body style="margin:0;background:#6b5a48"><div style="transform:rotate(1.6deg);margin:50px 70px;padding:50px 60px;height:680px;background:linear-gradient(120deg,#fbf5e6,#d9cfb8);font:26px/46px 'DejaVu Serif',serif;color:#2a2622">${rows
      .map((row) => `<div style="height:46px">${row}</div>`)
      .join('')}</div></body>`,
  );
  const file = join(folder, 'card.jpg');
  await other.screenshot({ path: file, type: 'jpeg', quality: 88 });
  await other.close();
  return file;
}

const pictures = [
  { name: 'shelf', path: '/' },
  {
    name: 'photo',
    path: '/',
    size: { width: 1280, height: 1400 },
    async go(page) {
      const file = await card(page);
      await page.getByLabel('From a file').setInputFiles(file);
      await page.getByRole('list', { name: 'What was read' }).waitFor();
      await page.getByText('One moment').waitFor({ state: 'detached' });
      await page.locator('#recipe').evaluate((field) => field.scrollTo(0, 0));
      await page.waitForLoadState('networkidle');
    },
  },
  { name: 'bench-plain', path: '/bench/lockside-whole', whole: false },
  { name: 'bench', path: '/bench/wash-house-hundred' },
  {
    name: 'bench-leaven',
    path: '/bench/towpath-sourdough',
    size: { width: 1280, height: 1900 },
    async go(page) {
      await page.getByRole('tab', { name: 'Leaven' }).click();
      await page.getByRole('slider', { name: 'Starter' }).waitFor();
    },
  },
  { name: 'book', path: '/book' },
  {
    name: 'book-bake',
    path: '/book?words=soup',
    async go(page) {
      await page.getByRole('link', { name: 'Lockside tin loaf, white' }).click();
      await page.getByRole('heading', { name: 'What went wrong?' }).waitFor();
    },
  },
  {
    name: 'book-helped',
    path: '/book/helped?formula=wash-house-hundred',
    go: (page) => page.getByRole('radio', { name: 'height' }).click(),
  },
  {
    name: 'starters',
    path: '/pantry/leavens',
    // Two jars that were fed alike the day before.
    go: async (page) => {
      const at = testTime(-86_400_000);
      for (const [id, celsius, hours] of [
        ['twin-warm', 28, 4],
        ['twin-cool', 20, 8.5],
      ]) {
        const feeding = `${address}/api/v1/bags/lock-white/feedings/${id}`;
        const row = { at: at.toISOString(), seed: 20, flour: 40, water: 40, celsius };
        await page.request.put(feeding, { data: row });
        const peak = new Date(at.getTime() + hours * 3_600_000).toISOString();
        await page.request.put(`${feeding}/peak`, { data: { at: peak } });
      }
      await visit(page, '/pantry/leavens');
      await page
        .getByRole('region', { name: 'Lock, of white' })
        .getByText('Test it with two jars')
        .click();
      const chart = page.getByRole('img', { name: /Hours from feeding/ });
      await chart.waitFor();
      await chart.evaluate((of) => of.scrollIntoView({ block: 'center' }));
    },
  },
  { name: 'pantry', path: '/pantry' },
  {
    name: 'bake-day',
    path: '/bake',
    go: (page) => page.getByRole('img', { name: /line of time/ }).waitFor(),
  },
  {
    name: 'bake-weigh',
    size: tablet,
    async go(page) {
      await bake(page, 'lockside-white', 'liquids-first');
      await page.getByText('More', { exact: true }).click();
      await page.getByText('Practice scale and thermometer').click();
      await page.getByRole('button', { name: 'Switch them on' }).click();
      await page.getByRole('button', { name: '10 times as fast' }).click();
      const scale = page.getByRole('region', { name: 'On the scale' });
      for (const grams of [245, 8, 12]) {
        await scale.locator('.of').waitFor();
        await page.getByLabel('Grams', { exact: true }).fill(String(grams));
        await page.getByRole('button', { name: 'Put on' }).click();
        await page.waitForTimeout(1600);
      }
      await page.evaluate(() => scrollTo(0, 0));
    },
  },
  {
    name: 'bake-check',
    size: tablet,
    async go(page) {
      await bake(page, 'lockside-white', 'liquids-first');
      await page.getByRole('button', { name: 'All in, machine started' }).click();
      await page
        .getByRole('list', { name: 'How a dough can look' })
        .getByRole('button', { name: /tight/ })
        .click();
      await page.getByRole('button', { name: 'It feels like this' }).click();
    },
  },
  {
    name: 'bake-rise',
    size: tablet,
    path: '/bake/under-way',
    go: (page) => page.getByText('done about').waitFor(),
  },
  {
    name: 'bake-oven',
    size: upright,
    async go(page) {
      await visit(page, '/bake/under-way');
      await step(page, /^Bake/);
      await page.locator('.when b').waitFor();
    },
  },
  {
    name: 'bake-phone-dark',
    size: phone,
    dark: true,
    path: '/bake/under-way',
    go: (page) => page.getByText('done about').waitFor(),
  },
  {
    name: 'rescue',
    path: '/bake/rescue',
    go: (page) => page.getByRole('button', { name: /slack/ }).click(),
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
    // What comes next is worked out after the page is there; on some pages it does not stand.
    const next = page.locator('a[aria-live] b');
    await next.waitFor({ timeout: 3000 }).catch(() => undefined);
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
