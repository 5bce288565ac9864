/** What a page says to eyes: block by block, as they stand; what is folded, hidden or for ears alone is not in it. */
import type { Page } from '@playwright/test';

/** Texts of a page's blocks (paragraphs, buttons, labels, cells), each without line breaks. */
export async function seenOn(page: Page): Promise<string[]> {
  const blocks = await page.evaluate(() => {
    const inline = new Set(['inline', 'contents']);
    const blockOf = (node: Element): Element => {
      let at = node;
      while (at.parentElement && inline.has(getComputedStyle(at).display)) at = at.parentElement;
      return at;
    };
    const forEars = (node: Element): boolean => {
      for (let at: Element | null = node; at; at = at.parentElement) {
        const { width, height } = at.getBoundingClientRect();
        const { position, overflow } = getComputedStyle(at);
        if (position === 'absolute' && overflow.startsWith('hidden') && width <= 1 && height <= 1)
          return true;
      }
      return false;
    };
    const texts = new Map<Element, { text: string; last: Element }>();
    const walk = document.createTreeWalker(document.body, NodeFilter.SHOW_TEXT);
    for (let node = walk.nextNode(); node; node = walk.nextNode()) {
      const holder = node.parentElement!;
      if (!node.nodeValue?.trim() || holder.closest('script, style, noscript')) continue;
      const option = holder.closest('option');
      if (option ? !option.selected : false) continue;
      const range = document.createRange();
      range.selectNodeContents(node);
      const shown = option ?? range;
      const seen = option
        ? option.closest('select')!.checkVisibility()
        : [...shown.getClientRects()].some((r) => r.width > 1 && r.height > 1) &&
          holder.checkVisibility({ visibilityProperty: true, opacityProperty: true });
      if (!seen || forEars(holder)) continue;
      const block = option ?? blockOf(holder);
      const before = texts.get(block);
      // What two elements say beside each other is two words, also where no space stands in the source.
      const joint = before && before.last !== holder ? ' ' : '';
      texts.set(block, { text: `${before?.text ?? ''}${joint}${node.nodeValue}`, last: holder });
    }
    return [...texts.values()].map(({ text }) => text);
  });
  return blocks
    .map((text) =>
      text
        .replace(/\s+/gu, ' ')
        .replace(/ (?=[.,;:!?)])/gu, '')
        .trim(),
    )
    .filter((text) => text !== '');
}

/** Words of a text: runs of signs with a letter among them; figures and signs alone are none. */
export const wordsOf = (text: string): string[] =>
  text.split(/[\s\u2009\u202f]+/u).filter((word) => /\p{L}/u.test(word));
