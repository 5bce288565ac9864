import { catalogue } from '../ingredient/catalogue.ts';
import { ownIdPattern } from '../ingredient/label.ts';
import { leastGrams, mostGrams } from '../quantity/mass.ts';
import type { Field, Shape } from '../quantity/shape.ts';

/** A part of a JSON Schema. */
export type JsonSchema = Readonly<Record<string, unknown>>;

/** Plain words; a colon marks the ids that the program makes by itself. */
const idPattern = '^[A-Za-z0-9_-]{1,80}$';

/** What each kind of field is in JSON Schema. */
const fields: {
  readonly [K in Field['kind']]: (field: Extract<Field, { kind: K }>) => JsonSchema;
} = {
  text: ({ most, least }) => ({
    type: 'string',
    ...(least ? { minLength: least } : {}),
    maxLength: most,
  }),
  id: () => ({ type: 'string', pattern: idPattern }),
  ingredient: () => ({
    anyOf: [
      { type: 'string', enum: catalogue.map((i) => i.id) },
      { type: 'string', pattern: ownIdPattern.source },
    ],
  }),
  grams: () => ({
    anyOf: [{ const: 0 }, { type: 'number', minimum: leastGrams, maximum: mostGrams }],
  }),
  number: ({ least, most, whole }) => ({
    type: whole ? 'integer' : 'number',
    minimum: least,
    maximum: most,
  }),
  flag: () => ({ type: 'boolean' }),
  day: () => ({ type: 'string', format: 'date' }),
  word: ({ of }) => (of.length === 1 ? { const: of[0] } : { type: 'string', enum: [...of] }),
  words: ({ of }) => ({
    type: 'array',
    items: { type: 'string', enum: [...of] },
    maxItems: of.length,
  }),
  object: ({ of }) => jsonSchemaOf(of),
  list: ({ of, least, most }) => ({
    type: 'array',
    ...(least ? { minItems: least } : {}),
    maxItems: most,
    items: fieldSchema(of),
  }),
};

function fieldSchema(field: Field): JsonSchema {
  const schema = fields[field.kind](field as never);
  return field.means ? { ...schema, description: field.means } : schema;
}

/**
 * The JSON Schema (draft 2020-12) of what a shape describes.
 *
 * @example jsonSchemaOf({stars: whole(1, 5)}).required // ['stars']
 */
export const jsonSchemaOf = (shape: Shape): JsonSchema => ({
  type: 'object',
  required: Object.keys(shape).filter((name) => !shape[name]!.optional),
  additionalProperties: false,
  properties: Object.fromEntries(
    Object.entries(shape).map(([name, field]) => [name, fieldSchema(field)]),
  ),
});
