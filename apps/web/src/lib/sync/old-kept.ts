import type { BakeEvent } from '@tender-crumb/core/bake';
import { upgrade } from '@tender-crumb/core/exchange';
import { nanoid } from 'nanoid';
import { draftEntry, eventEntry } from './kinds.ts';
import type { NewEntry } from './entry.ts';

const prefix = 'tender-crumb:';

/** What the first version of the program left waiting in this browser, under its names then. */
export function oldKept(storage: Storage): Array<{ name: string; entries: NewEntry[] }> {
  return Object.keys(storage)
    .filter((name) => name.startsWith(prefix))
    .flatMap((name) => {
      try {
        const [, of, id] = name.split(':') as [string, string, string];
        const kept = JSON.parse(storage.getItem(name) ?? '') as unknown;
        if (of === 'draft') {
          const { version, formula } = kept as { version: number; formula: unknown };
          return [
            {
              name,
              entries: [draftEntry({ id, version, formula: upgrade(formula), draft: nanoid() })],
            },
          ];
        }
        if (of === 'bake') {
          return [{ name, entries: (kept as BakeEvent[]).map((e) => eventEntry(id, e)) }];
        }
      } catch {
        // Not ours, or broken: it stays where it is and harms nothing.
      }
      return [];
    });
}
