import type { BakeEvent } from '@tender-crumb/core/bake';
import { nanoid } from 'nanoid';
import { eventEntry } from '../sync/kinds.ts';
import { mustSay } from '../sync/said.ts';
import { refresh } from '../ui/refresh.ts';
import { tapped } from '../clock.ts';

/** Says something more of a bake that is in the book; what is shown is fetched anew. */
export async function tellBake<K extends BakeEvent['kind']>(
  bake: string,
  kind: K,
  data: Extract<BakeEvent, { kind: K }>['data'],
): Promise<void> {
  const event = { id: nanoid(), ...tapped(), kind, data } as BakeEvent;
  await mustSay(eventEntry(bake, event));
  await refresh();
}
