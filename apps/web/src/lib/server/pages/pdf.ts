import { rowsOfPage, type PageRow, type PrintedWord } from '@tender-crumb/core/picture';
import { NotRead } from './not-read.ts';
import type { PageStep } from './read-page.ts';

/** So many pages are read: a booklet has more than anybody bakes from at once. */
export const mostPdfPages = 40;

interface TextItem {
  readonly str: string;
  readonly transform: readonly number[];
  readonly width: number;
  readonly height: number;
}

/** Pieces of a page's text as words with their places: from the top, as on a picture. */
function wordsOf(items: readonly TextItem[], pageHeight: number): PrintedWord[] {
  return items.flatMap(({ str, transform, width, height }) => {
    const text = str.trim();
    if (!text) return [];
    const [left, foot] = [transform[4]!, pageHeight - transform[5]!];
    const high = height || Math.hypot(transform[2]!, transform[3]!);
    const share = width / Math.max(1, str.length);
    // A piece may be a whole row: its words stand where their letters do, each as wide as the others.
    return [...str.matchAll(/\S+/g)].map((match) => ({
      text: match[0],
      confidence: 1,
      box: {
        x0: left + share * match.index,
        x1: left + share * (match.index + match[0].length),
        y0: foot - 0.75 * high,
        y1: foot,
      },
    }));
  });
}

/**
 * The rows of a PDF that has text in it, page after page.
 *
 * @throws NotRead with a password, without text, with too many pages, or damaged
 */
export async function readPdf(bytes: Uint8Array, step: PageStep): Promise<PageRow[]> {
  const { getDocument, VerbosityLevel } = await import('pdfjs-dist/legacy/build/pdf.mjs');
  const task = getDocument({
    data: Uint8Array.from(bytes),
    useSystemFonts: false,
    disableFontFace: true,
    verbosity: VerbosityLevel.ERRORS,
    isEvalSupported: false,
  });
  try {
    const file = await task.promise.catch((fault: Error) => {
      if (fault.name === 'PasswordException')
        throw new NotRead('It has a password. Save it without one, or take a photo of the page.');
      throw new NotRead('This PDF is damaged: it cannot be opened.');
    });
    if (file.numPages > mostPdfPages)
      throw new NotRead(
        `It has ${file.numPages} pages, and up to ${mostPdfPages} are read: save the pages of the recipe as a PDF of their own.`,
      );
    const rows: PageRow[] = [];
    for (let n = 1; n <= file.numPages; n += 1) {
      await step('Reading its pages', n, file.numPages);
      const page = await file.getPage(n);
      const { items } = await page.getTextContent();
      const [, , , top] = page.view as [number, number, number, number];
      const found = rowsOfPage(wordsOf(items as unknown as TextItem[], top));
      if (rows.length > 0 && found.length > 0)
        rows.push({ text: '', box: found[0]!.box, figures: 1, words: 1 });
      rows.push(...found);
      page.cleanup();
    }
    if (rows.every((r) => r.text === ''))
      throw new NotRead(
        'There is no text in this PDF: it is a scan. Take a photo of the page instead.',
      );
    return rows;
  } finally {
    await task.destroy();
  }
}
