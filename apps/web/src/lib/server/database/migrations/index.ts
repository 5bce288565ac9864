import type { Migration } from 'kysely';
import { kitchen } from './0001-kitchen.ts';

/** In order of their names. A migration that has been released is never changed. */
export const migrations: Record<string, Migration> = { '0001-kitchen': kitchen };
