import { bookCsvPages } from '$lib/server/archive/book-csv.ts';
import { kitchen } from '$lib/server/kitchen.ts';
import { route } from '$lib/server/route.ts';

export const GET = route(async ({ url }) => {
  const of = url.searchParams.get('of') === 'lines' ? 'lines' : 'bakes';
  const pages = bookCsvPages(await kitchen(), of);
  const text = new TextEncoder();
  // What opens it in a spreadsheet looks for this mark, and else takes letters for others.
  let begun = false;
  const stream = new ReadableStream<Uint8Array>({
    async pull(controller) {
      const { value, done } = await pages.next();
      if (done) controller.close();
      else controller.enqueue(text.encode(begun ? value : `\uFEFF${value}`));
      begun = true;
    },
  });
  return new Response(stream, {
    headers: {
      'content-type': 'text/csv; charset=utf-8',
      'content-disposition': `attachment; filename="${of}.csv"`,
    },
  });
});
