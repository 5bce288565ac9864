import type { Form } from './form.ts';
import { styles, type StyleId } from './style.ts';

/**
 * Whether a bread is baked in a tin: a loaf that goes into no pot, under no steam and over no water, and is risen or stirred.
 * What is plaited, rolled or flat stands on a tray. Common practice, no source.
 *
 * @example inTin('pan', 'loaf') // true
 * @example inTin('plait', 'plait') // false
 */
export function inTin(style: StyleId, form: Form): boolean {
  const { stands, rises, kneaded } = styles[style];
  return form === 'loaf' && stands === 'form' && (rises || !kneaded);
}
