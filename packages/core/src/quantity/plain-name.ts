/** Signs that are not seen and change what is: control characters, and marks that turn the direction of a text. */
const unseen =
  /[\u0000-\u001f\u007f-\u009f\u061c\u200b\u200e\u200f\u2028-\u202e\u2066-\u2069\ufeff]/g;

/**
 * A name without what is not seen in it.
 *
 * @example plainName('Lock\u202eside') // 'Lockside'
 */
export const plainName = (name: string): string => name.replace(unseen, '').trim();
