import { formulaSchema } from '@tender-crumb/core';

/** The published format of a formula. */
export const GET = () =>
  new Response(JSON.stringify(formulaSchema, null, 2), {
    headers: { 'content-type': 'application/schema+json', 'cache-control': 'max-age=3600' },
  });
