import { formulaSchemas } from '@tender-crumb/core/exchange';
import { error } from '@sveltejs/kit';
import type { RequestHandler } from './$types';

/** The published formats of a formula. */
export const GET: RequestHandler = ({ params: { version } }) => {
  if (!Object.hasOwn(formulaSchemas, version)) error(404, 'There is no such format.');
  return new Response(JSON.stringify(formulaSchemas[Number(version) as 1 | 2], null, 2), {
    headers: { 'content-type': 'application/schema+json', 'cache-control': 'max-age=3600' },
  });
};
