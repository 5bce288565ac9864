/** From an empty kitchen to the first grams: taps and seconds of a scripted newcomer, by door and width. */
import { chromium } from '@playwright/test';
import { rmSync } from 'node:fs';
import { doors, firstMinute } from '../../e2e/first-minute.ts';
import { serve } from '../../e2e/fixtures.ts';
import { launchOptions } from '../chromium.mjs';
import { many, print } from './measure.ts';

const widths = [390, 810, 1280];
const browser = await chromium.launch(launchOptions);
try {
  for (const door of doors.slice(0, many(doors.length, 1)))
    for (const width of widths.slice(0, many(widths.length, 1))) {
      // Each door of a kitchen that nobody was in yet.
      const kitchen = await serve({ TENDER_CRUMB_DEMO: '' });
      const context = await browser.newContext({
        viewport: { width, height: 800 },
        serviceWorkers: 'block',
        baseURL: kitchen.url,
      });
      try {
        const start = performance.now();
        const taps = await firstMinute(await context.newPage(), door);
        print({
          measure: `“${door}” to the first grams, ${width} wide, with no pause for thought`,
          median: Math.round((performance.now() - start) / 100) / 10,
          unit: 's',
          aim: '< 120',
          taps,
        });
      } finally {
        await context.close();
        await kitchen.stop();
        rmSync(kitchen.folder, { recursive: true, force: true });
      }
    }
} finally {
  await browser.close();
}
