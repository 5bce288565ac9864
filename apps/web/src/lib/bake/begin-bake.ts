import type { DeviceId } from '@tender-crumb/core';
import { api } from '../api.ts';
import { bakerHere } from './baker-here.ts';

/** What a bake is begun with. */
interface Begun {
  readonly id: string;
  readonly formulaId?: string;
  readonly formulaVersion?: number;
  readonly name?: string;
  readonly method?: DeviceId;
}

/**
 * Begins a bake, by whoever stands at this device. Sent twice under one id it is one bake.
 *
 * @throws ApiError where the server refused it
 */
export function beginBake(bake: Begun): Promise<{ id: string }> {
  const baker = bakerHere(document.cookie);
  return api('POST', '/api/v1/bakes', { ...bake, ...(baker === undefined ? {} : { baker }) });
}
