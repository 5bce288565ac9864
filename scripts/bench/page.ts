/** What the page costs the one who types: in a real browser, on the demo household. */
import { chromium, type Page } from '@playwright/test';
import { rmSync } from 'node:fs';
import { serve } from '../../e2e/fixtures.ts';
import { formatLimits } from '@tender-crumb/core/exchange';

import { many, print } from './measure.ts';
import { launchOptions } from '../chromium.mjs';

const ready = async (page: Page, url: string) => {
  await page.goto(url);
  await page.locator('html[data-ready]').waitFor({ state: 'attached' });
};

/** From a keystroke on the bench to the level redrawn. */
async function keystroke(page: Page, url: string): Promise<void> {
  await ready(page, `${url}/bench/lockside-white`);
  const water = page.getByLabel('Grams of water');
  await water.focus();
  const times = await water.evaluate(async (input) => {
    const field = input as HTMLInputElement;
    const eye = document.querySelector<HTMLElement>('.bench .eye')!;
    const spent: number[] = [];
    for (let i = 0; i < 60; i += 1) {
      const before = eye.style.left;
      field.value = String(240 + (i % 30));
      const start = performance.now();
      field.dispatchEvent(new InputEvent('input', { bubbles: true }));
      // Svelte redraws in a microtask: what is drawn after it is what the keystroke cost in scripting.
      await Promise.resolve();
      while (eye.style.left === before && performance.now() - start < 500) {
        await new Promise((resolve) => setTimeout(resolve));
      }
      spent.push(performance.now() - start);
    }
    return spent.slice(10).sort((a, b) => a - b);
  });
  const median = times[Math.floor(times.length / 2)]!;
  print({ measure: 'keystroke to level', median, worst: times.at(-1), unit: 'ms', aim: '< 16' });
}

/** Drawing twenty thousand doughs beside the page, which must stay free meanwhile. */
async function drawing(page: Page, url: string): Promise<void> {
  await ready(page, `${url}/bench/porridge-rolls`);
  await page.getByRole('button', { name: 'Show everything' }).click();
  await page.getByRole('tab', { name: 'How sure' }).click();
  await page.getByText('What would make it surer').waitFor();
  await page.locator('progress').waitFor({ state: 'detached' });
  const { longest, took } = await page.evaluate(async () => {
    const field = document.querySelector<HTMLInputElement>(
      'input[aria-label="Grams of whole milk"]',
    )!;
    field.value = '215';
    field.dispatchEvent(new InputEvent('input', { bubbles: true }));
    let last = performance.now();
    let longest = 0;
    let begun: number | undefined;
    for (;;) {
      await new Promise((resolve) => setTimeout(resolve));
      const now = performance.now();
      const running = document.querySelector('progress') !== null;
      if (running) {
        begun ??= now;
        longest = Math.max(longest, now - last);
      } else if (begun !== undefined) return { longest, took: now - begun };
      last = now;
    }
  });
  print({
    measure: 'drawing 20,000 doughs beside the page',
    median: Math.round(took),
    unit: 'ms',
    aim: 'page held < 20',
    longestHold: Math.round(longest * 10) / 10,
  });
}

/** The largest formula that is allowed, drawn on the bench. */
async function largest(page: Page, url: string): Promise<void> {
  const lines = Array.from({ length: formatLimits.allLines }, (_, i) => ({
    ingredient: ['bread-flour', 'water', 'honey', 'milk', 'whole-wheat'][i % 5]!,
    grams: 10 + (i % 7),
  }));
  const taken = Array.from({ length: 100 }, (_, i) => ({
    id: `t${i}`,
    correction: `water:${i}`,
    changes: Array.from({ length: formatLimits.allChanges / 100 }, (_, n) => ({
      stage: 's1',
      ingredient: ['bread-flour', 'water', 'honey', 'milk', 'whole-wheat', 'salt'][n]!,
      grams: 1,
    })),
  }));
  const stages = [{ id: 's1', lines }];
  const added = await page.request.post(`${url}/api/v1/formulas`, {
    data: { name: 'Largest', stages, taken },
  });
  const { id } = (await added.json()) as { id: string };
  const spent: number[] = [];
  const drawn: number[] = [];
  for (let i = 0; i < many(5, 1); i += 1) {
    const start = performance.now();
    await ready(page, `${url}/bench/${id}`);
    spent.push(performance.now() - start);
    drawn.push(
      await page.evaluate(
        () => performance.getEntriesByName('first-contentful-paint')[0]!.startTime,
      ),
    );
  }
  const median = (of: number[]) => Math.round(of.sort((a, b) => a - b)[Math.floor(of.length / 2)]!);
  print({
    measure: 'the bench of the largest formula, from the link to its being drawn',
    median: median(drawn),
    toHands: median(spent),
    unit: 'ms',
    aim: '< 1000',
  });
}

/** The trainer's dough as it moves: how long a frame is, and how long its drawing. */
async function practice(page: Page, url: string): Promise<void> {
  await page.emulateMedia({ reducedMotion: 'no-preference' });
  await ready(page, `${url}/book/practice?frames=1`);
  await page.waitForTimeout(4000);
  const frames = await page.evaluate(
    () => (globalThis as unknown as { practiceFrames: number[] }).practiceFrames,
  );
  const sorted = frames.slice(20).sort((a, b) => a - b);
  const at = (share: number) => Number(sorted[Math.floor(sorted.length * share)]!.toFixed(1));
  print({
    measure: 'the trainer’s dough: from frame to frame',
    median: at(0.5),
    p90: at(0.9),
    unit: 'ms',
    aim: '16.7: 60 a second',
  });
}

/** Bake day, opened again: when the last plan stands, and when the new one is there, after the page's own scripts run. */
async function bakeDay(page: Page, url: string): Promise<void> {
  await page.addInitScript(() => {
    new MutationObserver(() => {
      for (const [name, at] of [
        ['runs', 'html[data-ready]'],
        ['stands', 'ol[aria-label="Do this at"] li'],
      ] as const)
        if (document.querySelector(at) && performance.getEntriesByName(name).length === 0)
          performance.mark(name);
    }).observe(document, { subtree: true, childList: true, attributes: true });
  });
  const spent: Array<{ stands: number; planned: number }> = [];
  for (let i = 0; i < many(8, 2); i += 1) {
    await ready(page, `${url}/bake`);
    await page.waitForFunction(
      () =>
        performance.getEntriesByName('planned').length *
          performance.getEntriesByName('stands').length >
        0,
    );
    const [runs, stands, planned] = await page.evaluate(() =>
      ['runs', 'stands', 'planned'].map((name) => performance.getEntriesByName(name)[0]!.startTime),
    );
    spent.push({ stands: stands! - runs!, planned: planned! - runs! });
  }
  // From another page, whose thread is awake.
  const awake: number[] = [];
  for (let i = 0; i < many(8, 2); i += 1) {
    await page.getByRole('link', { name: 'Pantry', exact: true }).first().click();
    await page.waitForURL('**/pantry');
    await page.evaluate(() => {
      performance.clearMarks();
      performance.mark('clicked');
      document.querySelector<HTMLAnchorElement>('header a[href="/bake"]')!.click();
    });
    await page.waitForFunction(() => performance.getEntriesByName('planned').length > 0);
    awake.push(
      await page.evaluate(
        () =>
          performance.getEntriesByName('planned')[0]!.startTime -
          performance.getEntriesByName('clicked')[0]!.startTime,
      ),
    );
  }
  // The first has nothing to show yet.
  const median = (of: number[]) => Math.round(of.sort((a, b) => a - b)[Math.floor(of.length / 2)]!);
  print({
    measure:
      'Bake day opened again: from the page’s own scripts to the last plan, and to the new one',
    median: median(spent.slice(1).map((s) => s.stands)),
    toNew: median(awake),
    withItsThread: median(spent.slice(1).map((s) => s.planned)),
    first: Math.round(spent[0]!.planned),
    unit: 'ms',
    aim: '0, the new one < 400',
  });
}

const server = await serve();
const browser = await chromium.launch(launchOptions);
try {
  const page = await browser.newPage({ viewport: { width: 1280, height: 800 } });
  for (const measure of [bakeDay, keystroke, drawing, largest, practice])
    await measure(page, server.url);
} finally {
  await browser.close();
  await server.stop();
  rmSync(server.folder, { recursive: true, force: true });
}
