/**
 * The page that was asked for, within those that there are: any text and any size comes out as one.
 *
 * @example pageIn(new URLSearchParams('page=1e300'), 95, 20) // {page: 5, pages: 5, offset: 80}
 */
export function pageIn(
  query: URLSearchParams,
  total: number,
  perPage: number,
): { page: number; pages: number; offset: number } {
  const pages = Math.max(1, Math.ceil(total / perPage));
  const asked = Math.trunc(Number(query.get('page')));
  const page = Math.min(pages, Math.max(1, asked || 1));
  return { page, pages, offset: (page - 1) * perPage };
}
