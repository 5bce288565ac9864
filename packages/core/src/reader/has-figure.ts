/**
 * Whether there is a figure in a text, or what a photo makes of a fraction.
 *
 * @example hasFigure('½ cup') // true
 * @example hasFigure('a cup') // false
 */
export const hasFigure = (text: string): boolean => /[\d½¼¾⅓⅔⅛%]/.test(text);
