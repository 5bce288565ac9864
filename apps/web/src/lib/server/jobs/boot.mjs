/** In development a worker reads the sources as they stand: the build has the worker as one file. */
import { register } from 'tsx/esm/api';

register();
await import('./worker.ts');
