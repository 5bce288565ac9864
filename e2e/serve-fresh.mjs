/** Serves the demo household from a data folder of its own that is gone afterwards. */
import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';

const folder = mkdtempSync(join(tmpdir(), 'tender-crumb-e2e-'));
process.env.TENDER_CRUMB_DATA = folder;
process.on('exit', () => rmSync(folder, { recursive: true, force: true }));
await import('../apps/web/build/serve.js');
