import { NotRead } from './not-read.ts';
import { readFileAsPage, type FileRead } from './read-page.ts';

/** What the process that reads is told: a file. */
export interface Asked {
  readonly file: string;
}

/** What it tells: how far it is, and once what came of it. */
export type Told =
  | { readonly doing: string; readonly done: number; readonly total?: number }
  | { readonly read: FileRead }
  | { readonly refused: string }
  | { readonly failed: string };

const tell = (told: Told): Promise<void> =>
  new Promise((done) => {
    if (process.connected) process.send!(told, () => done());
    else done();
  });

/** Who asked is gone, or wants it no more: there is nothing here to be left half done. */
process.once('disconnect', () => process.exit(0));

process.once('message', ({ file }: Asked) => {
  void readFileAsPage(file, (doing, done, total) =>
    tell({ doing, done, ...(total === undefined ? {} : { total }) }),
  )
    .then(
      (read) => tell({ read }),
      (fault: unknown) =>
        tell(
          fault instanceof NotRead
            ? { refused: fault.message }
            : { failed: (fault as Error).message },
        ),
    )
    .finally(() => process.exit(0));
});
