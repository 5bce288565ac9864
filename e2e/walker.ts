import { reload, expect, setClock } from './fixtures.ts';
import type { Page } from '@playwright/test';

const step = (page: Page) => page.locator('#step');

/** Figures keep to their units by narrow spaces. */
const plain = (text: string): string => text.replace(/[\u00a0\u202f\u2009]/g, ' ');

/** What stood on the page at a step, in all its states. */
export interface Seen {
  readonly step: string;
  says: string;
}

/**
 * Goes to the end of a bake by what the screen offers first; time passes where it waits, and the oven is heated when it is called.
 *
 * @param from ISO moment at which the walk begins
 */
export async function walks(page: Page, from: string): Promise<Seen[]> {
  const seen: Seen[] = [];
  let now = new Date(from);
  const looks = async () => {
    const at = (await step(page).textContent())!.trim();
    const says = plain(await page.locator('main').innerText());
    const last = seen.findLast((s) => s.step === at);
    if (last) last.says += `\n${says}`;
    else seen.push({ step: at, says });
    return at;
  };
  for (let i = 0; i < 60; i += 1) {
    const at = await looks();
    if (at === 'Result') return seen;
    if (/rise|proof/i.test(at)) {
      // Until shortly before it is over; the page is opened anew, as a tablet is that slept.
      const shown = /(\d\d):(\d\d)/.exec(
        (await page.locator('.when b').first().textContent()) ?? '',
      );
      if (shown) {
        const over = new Date(now);
        over.setUTCHours(Number(shown[1]), Number(shown[2]) - 2, 0, 0);
        if (over < now) over.setUTCDate(over.getUTCDate() + 1);
        now = over;
        await setClock(page, now);
        await reload(page);
        await expect(page.locator('.when b').first()).toBeVisible();
        await looks();
      }
    }
    // What is called beside the dough is done when it is called.
    const heats = page.getByRole('button', { name: 'The oven is on', exact: true });
    // It is worked out beside the page: a moment later it stands there.
    if (/rise|proof/i.test(at)) await heats.waitFor({ timeout: 2000 }).catch(() => undefined);
    if (await heats.isVisible()) await heats.click();
    // The oven is heated beside the dough: its step is looked at before the bread goes in.
    if (at.startsWith('Bake') && !seen.some((s) => s.step === 'Heat the oven')) {
      const line = page.getByRole('navigation', { name: 'Steps of the bake' });
      const heat = line.getByRole('button', { name: /^Heat the oven/ });
      if ((await heat.count()) > 0) {
        await heat.click();
        await looks();
        await line.getByRole('button', { name: /^Bake/ }).click();
      }
    }
    const taps = page.getByRole('group', { name: 'This step' }).getByRole('button');
    const name = await taps.first().innerText();
    await taps.first().click();
    await expect
      .poll(async () => [await step(page).textContent(), await taps.first().innerText()].join())
      .not.toBe([at, name].join());
    // Time passes: in a bake until its parts have changed.
    for (const minutes of /^Bake/.test(at) ? [2, 20] : [2]) {
      now = new Date(now.getTime() + minutes * 60_000);
      await setClock(page, now);
      if (minutes > 2) {
        await reload(page);
      }
      if ((await step(page).textContent())!.trim() === at) await looks();
    }
  }
  throw new Error(`never at its end: ${seen.map((s) => s.step).join(', ')}`);
}
