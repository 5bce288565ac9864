import { isReadable, textOf, type ScannedPage } from '@tender-crumb/core/picture';
import { nanoid } from 'nanoid';
import { question } from '../question.ts';
import { deed } from '../sync/deeds.ts';
import { largestPhoto } from '../wire/largest-photo.ts';

/** How often it is asked how far the reading is, ms. */
const every = 400;

/** Files that are read as pages, and not as text. */
export const isPage = (file: File): boolean =>
  file.type.startsWith('image/') ||
  file.type === 'application/pdf' ||
  /\.(?:jpe?g|png|webp|heic|heif|pdf)$/i.test(file.name);

/** What came of a file: a page with its text, or why there is none. */
export type PageRead =
  | { readonly page: ScannedPage; readonly text: string; readonly hard: boolean }
  | { readonly refused: string }
  | { readonly stopped: true };

/** How far a reading is, as it is told. */
export interface HowFar {
  readonly doing?: string;
  readonly done?: number;
  readonly total?: number;
}

/**
 * Has a photo or a PDF read by the kitchen's own computer.
 *
 * @param told how far it is
 * @param stop ends it
 */
export async function readFileOf(
  file: File,
  told: (how: HowFar) => void,
  stop: AbortSignal,
): Promise<PageRead> {
  const called = file.name ? `“${file.name}”` : 'That picture';
  if (file.size > largestPhoto)
    return {
      refused: `${called} has ${Math.round(file.size / 1024 / 1024)} MB. Up to ${largestPhoto / 1024 / 1024} MB are read: take the photo smaller.`,
    };
  const id = nanoid();
  const timer = setInterval(
    () => void question<HowFar>(`/api/v1/pages/${id}/reading`).then(told, () => undefined),
    every,
  );
  try {
    const page = await deed<ScannedPage>('read-page', { of: id, body: file, signal: stop });
    const hard = !isReadable(page.rows);
    return { page, hard, text: hard ? '' : textOf(page.rows) };
  } catch (fault) {
    if (stop.aborted) {
      // Said, so that the computer does not go on for nobody.
      await deed('drop-page', { of: id }).catch(() => undefined);
      return { stopped: true };
    }
    const { status, body, message } = fault as {
      status: number;
      body: { errors?: ReadonlyArray<{ what?: string }> };
      message: string;
    };
    if (status === 0)
      return {
        refused:
          'Photos are read by the kitchen’s computer, which does not answer. Your photo is still here: try again later.',
      };
    return { refused: `${called}: ${body.errors?.[0]?.what ?? message}` };
  } finally {
    clearInterval(timer);
  }
}
