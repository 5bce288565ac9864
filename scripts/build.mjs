/** `npm run build`: builds the application where a source is newer than what was built. */
import { build } from './prepare.mjs';

build();
