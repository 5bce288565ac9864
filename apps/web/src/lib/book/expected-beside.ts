import { wrap, type Remote } from 'comlink';
import type { Forecaster } from '../workers/expected.worker.ts';

let remote: Remote<Forecaster> | undefined;

/** Works out beside the page where bakes were to be expected; the thread is kept for the next question. */
export function expectedBeside(
  ...question: Parameters<Forecaster['expect']>
): Promise<ReturnType<Forecaster['expect']>> {
  remote ??= wrap<Forecaster>(
    new Worker(new URL('../workers/expected.worker.ts', import.meta.url), { type: 'module' }),
  );
  return remote.expect(...question);
}
