/**
 * `npm run pictures`: takes the pictures in docs/screenshots anew, from the demo household. Names take
 * some of them; `--size=phone`, `--dark` and `--to=folder` show another look elsewhere.
 */
import { chromium } from '@playwright/test';
import { spawn } from 'node:child_process';
import { mkdtempSync, readFileSync, rmSync } from 'node:fs';
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

/** The same household, behind a proxy: there everybody is a stranger until paired. */
async function houseServer() {
  const child = spawn(process.execPath, ['apps/web/build/serve.js'], {
    cwd: root,
    env: {
      ...process.env,
      PORT: '0',
      TENDER_CRUMB_DATA: join(folder, 'house'),
      TENDER_CRUMB_DEMO: '1',
      TENDER_CRUMB_PROXY: '1',
    },
    stdio: ['ignore', 'pipe', 'inherit'],
  });
  const said = await new Promise((done) => {
    let text = '';
    child.stdout.on('data', (chunk) => {
      text += chunk;
      if (/[A-Z0-9]{4}-[A-Z0-9]{4}/.test(text)) done(text);
    });
  });
  return {
    child,
    url: /http:\/\/[\d.:]+/.exec(said)[0],
    code: /[A-Z0-9]{4}-[A-Z0-9]{4}/.exec(said)[0],
  };
}
const house = await houseServer();

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

/** Customary breads, one of a style, pasted by themselves and looked at on the plain bench. */
async function twelveStyles(page) {
  const { breads } = JSON.parse(readFileSync(join(root, 'scripts/fit/breads.json'), 'utf8'));
  const first = new Map(breads.toReversed().map((b) => [b.style, b]));
  const shots = [];
  const { height } = page.viewportSize();
  for (const { name, style, lines } of [...first.values()].reverse().slice(0, 12)) {
    await page.setViewportSize(desk);
    await page.context().addCookies([{ name: 'bench', value: 'plain', url: address }]);
    await visit(page, '/');
    await page.locator('#recipe').fill([name.replace(/ \d+ ?%.*/, ''), '', ...lines].join('\n'));
    await page.getByLabel('It is for').selectOption(style);
    await page.getByRole('button', { name: 'Put it on the bench' }).click();
    await page.waitForURL(/bench/);
    await page.locator('html[data-ready]').waitFor({ state: 'attached' });
    await page.getByTestId('verdict').waitFor();
    shots.push(`data:image/png;base64,${(await page.screenshot()).toString('base64')}`);
  }
  await page.setViewportSize({ width: 1600, height });
  await page.setContent(
    `<body style="margin:0;display:grid;grid-template-columns:1fr 1fr;gap:6px;background:#888">${shots.map((src) => `<img style="width:797px" src="${src}">`).join('')}</body>`,
  );
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
    name: 'bench-conflict',
    path: '/bench/overnight-flatbread',
    async go(page) {
      const theirs = await (
        await page.request.get(`${address}/api/v1/formulas/overnight-flatbread`)
      ).json();
      const [stage, ...rest] = theirs.formula.stages;
      const lines = stage.lines.map((l) => (l.ingredient === 'water' ? { ...l, grams: 300 } : l));
      await page.request.put(`${address}/api/v1/formulas/overnight-flatbread`, {
        data: {
          version: theirs.version,
          formula: { ...theirs.formula, stages: [{ ...stage, lines }, ...rest] },
        },
      });
      await page.getByLabel('Grams of oil').fill('31');
      const both = page.getByRole('table', { name: 'The two versions side by side' });
      await both.waitFor();
      await both.evaluate((table) => table.scrollIntoView({ block: 'end' }));
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
  {
    name: 'refused',
    size: tablet,
    async go(page) {
      await bake(page, 'lockside-white');
      await page.route('**/api/v1/bakes/**', (route) =>
        route.fulfill({
          status: 404,
          json: {
            detail: 'path: no bake of that id',
            errors: [{ where: 'path', what: 'no bake of that id' }],
          },
        }),
      );
      await page.locator('button.tick').first().click();
      await page.getByRole('button', { name: /was refused/ }).click();
      await page.getByRole('dialog').waitFor();
    },
  },
  {
    name: 'twelve-styles',
    size: { width: 1600, height: 3024 },
    go: twelveStyles,
  },
  { name: 'pair', size: tablet, path: '/pair', host: 'stranger' },
  { name: 'devices', path: '/pantry/devices', host: 'house' },
];

const browser = await chromium.launch(launchOptions);
try {
  const { values: other, positionals: wanted } = parseArgs({
    allowPositionals: true,
    options: { size: { type: 'string' }, dark: { type: 'boolean' }, to: { type: 'string' } },
  });
  const sizes = { desk, tablet, upright, phone };
  for (const { name, path, size = desk, dark = false, whole = true, go, host } of pictures) {
    if (wanted.length > 0 && !wanted.includes(name)) continue;
    const page = await browser.newPage({
      viewport: sizes[other.size] ?? size,
      colorScheme: (other.dark ?? dark) ? 'dark' : 'light',
      reducedMotion: 'reduce',
    });
    await page
      .context()
      .addCookies([{ name: 'bench', value: whole ? 'whole' : 'plain', url: address }]);
    if (host) {
      await page.goto(`${house.url}/pair?to=${path}`);
      await page.locator('html[data-ready]').waitFor({ state: 'attached' });
      if (host === 'house') {
        for (const device of ['Phone in the apron', 'Tablet on the counter']) {
          await page.context().clearCookies();
          await page.goto(`${house.url}/pair?to=${path}`);
          await page.getByLabel('Code').fill(house.code);
          await page.getByLabel('What this device is called').fill(device);
          await page.getByRole('button', { name: 'Come in' }).click();
          await page.getByRole('heading', { name: 'Devices', exact: true }).waitFor();
        }
      }
    } else if (path) await visit(page, path);
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
  house.child.kill('SIGTERM');
  server.kill('SIGTERM');
  await new Promise((done) => server.once('exit', done));
  rmSync(folder, { recursive: true, force: true });
}
