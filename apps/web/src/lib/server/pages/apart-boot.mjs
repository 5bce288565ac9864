/** In development the process reads the sources as they stand: the build has it as one file. */
import { register } from 'tsx/esm/api';

register();
await import('./apart.ts');
