/** Whether what is shown came from this browser, because the server did not answer. */
class Away {
  now = $state(false);

  /** Follows the worker, and has it keep what a kitchen needs. On a plain-http page there is none: nothing is kept. */
  follow(): () => void {
    const container = navigator.serviceWorker as ServiceWorkerContainer | undefined;
    if (!container) return () => {};
    const heard = ({ data }: MessageEvent) => {
      const { away } = data as { away?: boolean };
      if (away !== undefined) this.now = away;
    };
    container.addEventListener('message', heard);
    void container.ready.then(({ active }) => active?.postMessage({ wanted: 'pages' }));
    return () => container.removeEventListener('message', heard);
  }
}

export const away = new Away();
