import type { Page } from '@playwright/test';

/** What is to be touched on a page and is lower than so many pixels, by its name. */
export const tooLow = (page: Page, least: number, part = 'body'): Promise<string[]> =>
  page.evaluate(
    ([within, px]) =>
      [
        ...document.querySelectorAll(
          ['button', 'a', 'input:not([type=checkbox])', 'select', 'summary']
            .map((of) => `${within} ${of}`)
            .join(),
        ),
      ]
        .filter((e) => {
          const { width: w, height: h } = e.getBoundingClientRect();
          // A link within a sentence is as high as its line (WCAG 2.2, 2.5.8, exception "inline").
          const inline = getComputedStyle(e).display === 'inline';
          // What lies around a small thing without being seen takes the finger too.
          const around = getComputedStyle(e, '::after');
          const more = around.position === 'absolute' ? -2 * parseFloat(around.top) : 0;
          return w > 1 && h > 1 && h + more < px - 0.5 && !inline && !e.closest('.sr-only');
        })
        .map((e) => `${e.tagName} ${e.getAttribute('aria-label') ?? e.textContent}`),
    [part, least] as const,
  );
