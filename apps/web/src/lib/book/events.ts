import type { BakeEvent } from '@tender-crumb/core';
import { nanoid } from 'nanoid';
import { api } from '../api.ts';
import { refresh } from '../ui/refresh.ts';
import { currentIso } from '../clock.ts';

/** Says something more of a bake that is in the book; what is shown is fetched anew. */
export async function tellBake<K extends BakeEvent['kind']>(
  bake: string,
  kind: K,
  data: Extract<BakeEvent, { kind: K }>['data'],
): Promise<void> {
  const event = { id: nanoid(), at: currentIso(), kind, data };
  await api('POST', `/api/v1/bakes/${bake}/events`, { events: [event] });
  await refresh();
}
