/**
 * Puts a text on the clipboard. On plain http a page has no clipboard of its own: there a selection
 * is copied as by hand.
 *
 * @returns whether it is there
 */
export async function copyText(text: string): Promise<boolean> {
  try {
    if (navigator.clipboard) {
      await navigator.clipboard.writeText(text);
      return true;
    }
  } catch {
    // Refused: by hand, then.
  }
  const field = document.createElement('textarea');
  field.value = text;
  field.setAttribute('readonly', '');
  field.style.cssText = 'position:fixed;top:0;opacity:0';
  document.body.append(field);
  const before = document.activeElement as HTMLElement | null;
  field.select();
  try {
    return document.execCommand('copy');
  } catch {
    return false;
  } finally {
    field.remove();
    before?.focus();
  }
}
