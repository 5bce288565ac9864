/**
 * A text with its first letter large, as a sentence or a label begins.
 *
 * @example capital('whole milk') // 'Whole milk'
 * @example capital('½ cup') // '½ cup'
 */
export const capital = (text: string): string => text.charAt(0).toUpperCase() + text.slice(1);
