import { homedir } from 'node:os';
import { join } from 'node:path';

/** Where everything is kept: `TENDER_CRUMB_DATA`, else a folder in the home of whoever started it. */
export const dataFolder = (): string =>
  process.env['TENDER_CRUMB_DATA'] || join(homedir(), '.tender-crumb');
