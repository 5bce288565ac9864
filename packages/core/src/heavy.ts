/** What takes long enough for a worker, by name: pages do not load it. */
export { findBread } from './goal/find-bread.ts';
export { candidatesOf } from './goal/offered.ts';
export { learnBook } from './learn/book.ts';
export {
  replayBook,
  type KeptBake,
  type ReplayedBake,
  type ReplayedStep,
  type WasAndIs,
} from './book/replay.ts';
export { simulateLevel } from './dough/simulation.ts';
export { whatToWeigh } from './dough/what-to-weigh.ts';
export { drawRise } from './ferment/rise-draws.ts';
