import type { Household, Settings } from '@tender-crumb/core';
import { nanoid } from 'nanoid';
import { outbox } from './here.ts';
import { settingsEntry } from './kinds.ts';
import { settingsPatch } from './settings-patch.ts';

/** What became of settling something, in words. */
export interface Settled {
  readonly refused: boolean;
  readonly says: string;
  /** The server's own answer where it refused. */
  readonly body?: Record<string, unknown>;
}

/** Settles something for the household: here at once, and on the server as soon as it hears of it. */
export async function settle(household: Household, change: Partial<Settings>): Promise<Settled> {
  const patch = settingsPatch(household, change);
  if (!patch) return { refused: false, says: 'Remembered.' };
  const result = await outbox().ask(settingsEntry(patch, nanoid()));
  if (result?.kind === 'delivered') return { refused: false, says: 'Remembered.' };
  if (result?.kind === 'refused') return { refused: true, says: result.why, body: result.body };
  return {
    refused: false,
    says: 'The server does not hear it just now: it is kept in this browser and goes out by itself.',
  };
}
