import { question } from '../question.ts';
import { answerHeard } from '../sync/api.ts';

/** How often a page that waits for the server asks for it, ms. */
const askEveryMs = 5000;

/** Whether what is shown came from this browser, because the server did not answer. */
class Away {
  now = $state(false);
  /** How often the server did not answer a page: who fetches anew sees by it whether that came to anything. */
  missed = 0;

  /** The server did not answer for a page. */
  miss(): void {
    this.missed += 1;
    this.now = true;
  }

  /** The server answered. */
  back(): void {
    if (!this.now) return;
    this.now = false;
    for (const tell of this.#returned) tell();
  }

  readonly #returned = new Set<() => void>();

  /**
   * Follows the server, and the worker, and has that keep what a kitchen needs. On a plain-http page there is none.
   *
   * @param returned told when the server is there again
   */
  follow(returned: () => void): () => void {
    const back = () => this.back();
    answerHeard.add(back);
    this.#returned.add(returned);
    const asking = setInterval(() => {
      if (this.now && document.visibilityState === 'visible')
        void question('/api/v1/learning').catch(() => undefined);
    }, askEveryMs);
    const container = navigator.serviceWorker as ServiceWorkerContainer | undefined;
    const heard = ({ data }: MessageEvent) => {
      const { away } = data as { away?: boolean };
      if (away === true) this.now = true;
      if (away === false) this.back();
    };
    container?.addEventListener('message', heard);
    void container?.ready.then(({ active }) => active?.postMessage({ wanted: 'pages' }));
    return () => {
      answerHeard.delete(back);
      this.#returned.delete(returned);
      clearInterval(asking);
      container?.removeEventListener('message', heard);
    };
  }
}

export const away = new Away();
