/** How much 200 kills amid writes lose. Not part of the benchmark: it takes minutes. */
import { killAmidWrites } from '../../apps/web/test/kills.ts';

console.log(JSON.stringify(await killAmidWrites(Number(process.argv[2] ?? 200))));
