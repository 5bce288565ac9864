import { formulaShape, formulaShape1 } from './formula-shape.ts';
import { jsonSchemaOf, type JsonSchema } from './json-schema.ts';

const published = (version: number, shape: Parameters<typeof jsonSchemaOf>[0]): JsonSchema => ({
  $schema: 'https://json-schema.org/draft/2020-12/schema',
  $id: `/schemas/formula-${version}.json`,
  title: `Bread formula, version ${version}`,
  ...jsonSchemaOf(shape),
});

/** The published schemas of the formula format, by their version: the newest is what is written. */
export const formulaSchemas: Readonly<Record<1 | 2, JsonSchema>> = {
  1: published(1, formulaShape1),
  2: published(2, formulaShape),
};
