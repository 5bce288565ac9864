import { expect, type Locator, type Page } from '@playwright/test';
import { setClock, unfoldMore, visit } from './fixtures.ts';

/** Somebody who bakes by what stands on the screen: every figure is read from it, none is known beforehand. */
export class Baker {
  readonly page: Page;
  #now: Date;

  constructor(page: Page, now: string) {
    this.page = page;
    this.#now = new Date(now);
  }

  /** Begins a bread from its bench, in a device. */
  async begins(formula: string, device: string): Promise<string> {
    await setClock(this.page, this.#now);
    await visit(this.page, `/bench/${formula}`);
    await this.page
      .getByRole('group', { name: 'How it is made' })
      .getByText(device, { exact: true })
      .click();
    await this.page.getByRole('button', { name: 'Bake this' }).click();
    await expect(this.page).toHaveURL(/\/bake\/.+/);
    await this.page.locator('html[data-ready]').waitFor({ state: 'attached' });
    return this.page.url().split('/').at(-1)!;
  }

  /** Time passes in the kitchen. */
  async waits(minutes: number): Promise<void> {
    this.#now = new Date(this.#now.getTime() + minutes * 60_000);
    await setClock(this.page, this.#now);
  }

  get step(): Locator {
    return this.page.locator('#step');
  }
  async at(step: string | RegExp): Promise<void> {
    await expect(this.step).toHaveText(step);
  }
  async taps(name: string | RegExp): Promise<void> {
    await this.page.getByRole('button', { name }).first().click();
  }

  /** Minutes until a time on the clock that the step shows: it is waited for. */
  async waitsUntilShown(): Promise<number> {
    const shown = await this.page.locator('.when b').first().textContent();
    const [, hour, minute] = /(\d\d):(\d\d)/.exec(shown!)!;
    const then = new Date(this.#now);
    then.setUTCHours(Number(hour), Number(minute), 0, 0);
    const day = /^(Mon|Tue|Wed|Thu|Fri|Sat|Sun)/.test(shown!.trim());
    if (then < this.#now || day) then.setUTCDate(then.getUTCDate() + 1);
    const minutes = (then.getTime() - this.#now.getTime()) / 60_000;
    await this.waits(minutes);
    return minutes;
  }

  /** Switches the stand-in devices on, and their time fast. */
  async switchesOn(): Promise<void> {
    const drawer = this.drawer;
    await unfoldMore(this.page);
    if ((await drawer.getAttribute('open')) === null)
      await drawer.locator('summary').first().click();
    await drawer.getByRole('button', { name: 'Switch them on' }).click();
    await drawer.getByRole('button', { name: '60 times as fast' }).click();
  }
  get drawer(): Locator {
    return this.page.locator('details', { hasText: 'Practice scale and thermometer' }).last();
  }

  /** Puts so much on the scale. */
  async puts(grams: number): Promise<void> {
    await this.drawer.getByLabel('Grams', { exact: true }).fill(String(grams));
    await this.drawer.getByRole('button', { name: 'Put on' }).click();
  }
  async probes(celsius: number): Promise<void> {
    await this.drawer.getByLabel('Put into, °C').fill(String(celsius));
    await this.drawer.getByRole('button', { name: 'Put it in' }).click();
  }

  /** Weighs everything that is wanted, by the scale, each as the screen says. */
  async weighsAll(): Promise<number> {
    const scale = this.page.getByRole('region', { name: 'On the scale' });
    const rows = this.page.getByRole('list', { name: 'To weigh' }).locator('.tick');
    const count = await rows.count();
    for (let i = 0; i < count; i += 1) {
      const row = rows.nth(i);
      if ((await row.getAttribute('aria-pressed')) === 'true') continue;
      const name = await row.locator('.name').textContent();
      await expect(scale.locator('b').first()).toHaveText(name!);
      const spoon = scale.getByRole('button', { name: 'Added', exact: true });
      await expect(scale.locator('.of').or(spoon)).toBeVisible();
      if (await spoon.isVisible()) {
        await spoon.click();
        await expect(row).toHaveAttribute('aria-pressed', 'true');
        continue;
      }
      const wanted = /([\d.,]+)/.exec((await scale.locator('.of').textContent())!)![1]!;
      await this.puts(Number(wanted.replace(',', '')));
      await expect(row).toHaveAttribute('aria-pressed', 'true');
    }
    return count;
  }

  /** Says that the dough feels as it looks in a drawing. */
  async feels(look: string): Promise<void> {
    await this.page
      .getByRole('list', { name: 'How a dough can look' })
      .getByRole('button', { name: new RegExp(look) })
      .click();
    await this.taps('It feels like this');
  }

  /** Weighs pieces off the scale, each as heavy as the screen asks. */
  async dividesAll(): Promise<number[]> {
    const pieces = this.page.getByRole('region', { name: 'Pieces' });
    const weighed: number[] = [];
    for (;;) {
      const ask = await pieces.locator('.figure').count();
      if (ask === 0) break;
      const wanted = Number(/([\d.]+)/.exec((await pieces.locator('.figure').textContent())!)![1]);
      await this.puts(wanted);
      const lies = pieces.getByRole('button', { name: 'This piece lies there' });
      await expect(pieces.getByText(/On the scale:/)).toContainText(String(Math.round(wanted)));
      await lies.click();
      weighed.push(wanted);
      await expect(pieces.getByRole('listitem')).toHaveCount(weighed.length);
    }
    return weighed;
  }

  /** From the oven's heat to the cooled bread, as the screen leads. */
  async bakesByProbe(core: number): Promise<void> {
    await this.at('Bake');
    await this.taps(/^In the oven$/);
    await this.waits(20);
    await this.probes(core - 20);
    await this.taps(/The probe says 7\d/);
    await expect(this.page.getByText(/degrees short of/)).toBeVisible();
    await this.waits(12);
    await this.probes(core);
    await this.taps(new RegExp(`The probe says ${core} `));
    await expect(this.page.getByText(/It is done: /)).toBeVisible();
    await this.taps('Done baking');
  }

  /** Says how it came out, and ends it. */
  async judges(judgement: string): Promise<void> {
    await this.at('Result');
    await this.page.getByRole('radio', { name: judgement, exact: true }).click();
    await this.taps('even');
    await this.taps('Save the bake');
    await expect(
      this.page.getByRole('heading', { name: /What this bake taught|Saved here/ }),
    ).toBeVisible();
  }
}
