/** Lets a worker thread read TypeScript, as its parent does. */
import { register } from 'tsx/esm/api';

register();
await import('./simulate-worker.ts');
