import { leastGrams, mostGrams, type Field, type Shape } from '@tender-crumb/core/quantity';

/** Values that a field just takes, and values that it just does not. */
export function edges(field: Field): { taken: unknown[]; refused: unknown[] } {
  switch (field.kind) {
    case 'text':
      return {
        taken: ['x'.repeat(field.least || 1), ...(field.least ? [] : ['']), 'x'.repeat(field.most)],
        refused: ['x'.repeat(field.most + 1), 7, ...(field.least ? [''] : [])],
      };
    case 'id':
      return { taken: ['a', 'A-z_9'.repeat(16)], refused: ['', 'a b', 'x'.repeat(81)] };
    case 'ingredient':
      return { taken: ['water', 'own-bean-flour'], refused: ['sand', '', 3] };
    case 'grams':
      return {
        taken: [0, leastGrams, mostGrams],
        refused: [leastGrams * 0.99, mostGrams + 1, -leastGrams, '1 g'],
      };
    case 'number': {
      const step = field.whole ? 1 : 1e-6;
      return {
        taken: [field.least, field.most],
        refused: [
          field.least - step,
          field.most + step,
          ...(field.whole ? [field.least + 0.5] : []),
          NaN,
        ],
      };
    }
    case 'flag':
      return { taken: [true, false], refused: [1, 'perhaps'] };
    case 'day':
      return { taken: ['2026-02-28'], refused: ['2026-02-30', 'today', 3] };
    case 'word':
      return { taken: [...field.of], refused: ['no such word', '', 3] };
    case 'object':
      return {
        taken: [usual(field.of), full(field.of)],
        refused: [{ ...usual(field.of), more: 1 }, [], 'x'],
      };
    case 'list': {
      const [one] = edges(field.of).taken;
      const of = (n: number) => Array<unknown>(n).fill(one);
      return {
        taken: [of(field.least ?? 0), of(Math.max(1, field.least ?? 0))],
        refused: [
          ...(field.least ? [of(field.least - 1)] : []),
          of(field.most + 1),
          [edges(field.of).refused[0]],
          'x',
        ],
      };
    }
    case 'words':
      return {
        taken: [[], [...field.of]],
        refused: [['no such word'], [...field.of, field.of[0]], field.of[0]],
      };
  }
}

/** The least that a shape takes. */
export const usual = (shape: Shape): Record<string, unknown> =>
  Object.fromEntries(
    Object.entries(shape)
      .filter(([, field]) => !field.optional)
      .map(([name, field]) => [name, edges(field).taken[0]]),
  );

/** With every field that it has. */
export const full = (shape: Shape): Record<string, unknown> =>
  Object.fromEntries(Object.entries(shape).map(([name, field]) => [name, edges(field).taken[0]]));

/** Every field of a shape and of what is in it, with a way to put something else in its place. */
export function* fieldsOf(
  shape: Shape,
  path = '',
  within: (part: Record<string, unknown>) => unknown = (part) => part,
): Generator<{ path: string; field: Field; with: (value: unknown) => unknown }> {
  for (const [name, field] of Object.entries(shape)) {
    const whole = full(shape);
    const at = `${path}.${name}`;
    yield { path: at, field, with: (value) => within({ ...whole, [name]: value }) };
    if (field.kind === 'object') {
      yield* fieldsOf(field.of, at, (part) => within({ ...whole, [name]: part }));
    } else if (field.kind === 'list' && field.of.kind === 'object') {
      yield* fieldsOf(field.of.of, `${at}[]`, (part) => within({ ...whole, [name]: [part] }));
    }
  }
}
