import type { PercentageSchool } from '../household/schools.ts';
import type { Formula } from '../formula/formula.ts';
import type { Pantry } from '../ingredient/pantry.ts';
import { formulaCsv, formulaMarkdown } from './formula-tables.ts';
import { formulaText } from './formula-text.ts';
import { schemaRecipe } from './schema-recipe.ts';

/** A way of writing a formula down. */
export interface Format {
  readonly label: string;
  readonly ending: string;
  readonly type: string;
  write(formula: Formula, pantry: Pantry, school: PercentageSchool): string;
}

const rows = {
  json: {
    label: 'everything, as JSON',
    ending: 'json',
    type: 'application/json',
    write: (formula) => JSON.stringify(formula, null, 2),
  },
  recipe: {
    label: 'a recipe for the web (JSON-LD)',
    ending: 'jsonld',
    type: 'application/ld+json',
    write: (formula, pantry) => JSON.stringify(schemaRecipe(formula, pantry), null, 2),
  },
  csv: {
    label: 'lines for a spreadsheet (CSV)',
    ending: 'csv',
    type: 'text/csv',
    write: formulaCsv,
  },
  markdown: {
    label: 'a sheet in Markdown',
    ending: 'md',
    type: 'text/markdown',
    write: formulaMarkdown,
  },
  text: { label: 'plain text', ending: 'txt', type: 'text/plain', write: formulaText },
} as const satisfies Record<string, Format>;

export type FormatId = keyof typeof rows;
/** One row a format. What each writes, the reader reads back. */
export const formats: Readonly<Record<FormatId, Format>> = rows;
export const formatIds = Object.keys(formats) as FormatId[];
