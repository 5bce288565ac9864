import { expect, test } from '@playwright/test';

/** Prints its figure; the aim is one frame. Only an order of magnitude beyond it fails the test. */
test('from a keystroke on the bench to the level redrawn', async ({ page }) => {
  await page.goto('/bench/lockside-white', { waitUntil: 'networkidle' });
  const water = page.getByLabel('Grams of water');
  await water.focus();
  const times = await water.evaluate(async (input: HTMLInputElement) => {
    const eye = document.querySelector<HTMLElement>('.bench .eye')!;
    const spent: number[] = [];
    for (let i = 0; i < 60; i += 1) {
      const before = eye.style.left;
      input.value = String(240 + (i % 30));
      const start = performance.now();
      input.dispatchEvent(new InputEvent('input', { bubbles: true }));
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
  console.log(
    JSON.stringify({
      measure: 'keystroke to level',
      median,
      worst: times.at(-1),
      unit: 'ms',
      aim: 16,
    }),
  );
  expect(median).toBeLessThan(160);
});

/** Prints its figures; the aim is that drawing beside the page never holds the page up. */
test('the page stays free while the dough is drawn twenty thousand times', async ({ page }) => {
  await page.goto('/bench/porridge-rolls', { waitUntil: 'networkidle' });
  await page.getByRole('tab', { name: 'How sure' }).click();
  await expect(page.getByText(/land in the window/).last()).toBeVisible();
  const figures = await page.evaluate(async () => {
    const water = document.querySelector<HTMLInputElement>(
      'input[aria-label="Grams of whole milk"]',
    )!;
    water.value = '215';
    water.dispatchEvent(new InputEvent('input', { bubbles: true }));
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
  console.log(
    JSON.stringify({
      measure: 'drawing 20,000 doughs beside the page',
      took: Math.round(figures.took),
      longestHold: Math.round(figures.longest * 10) / 10,
      unit: 'ms',
      aim: 'never held for over 20',
    }),
  );
  // Whatever the machine has to do besides, the drawing must come to its end and say so.
  expect(figures.took).toBeGreaterThan(0);
  await expect(page.getByText('What would make it surer')).toBeVisible();
});
