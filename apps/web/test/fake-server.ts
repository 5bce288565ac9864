/** What a server was asked. */
export interface Sent {
  readonly method: string;
  readonly path: string;
  // eslint-disable-next-line @typescript-eslint/no-explicit-any
  readonly body: any;
}

/** A server that answers as it is told, and remembers what it was sent. */
export class FakeServer {
  readonly sent: Sent[] = [];
  /** Status and body of the answer; none where it cannot be reached. */
  answers: (sent: Sent) => readonly [status: number, body: object] | undefined = () => [200, {}];
  /** It does what it is asked, and its answers get lost. */
  forgets = false;
  readonly #fetch = globalThis.fetch;

  constructor() {
    globalThis.fetch = (async (path: string, init: { method: string; body?: unknown }) => {
      // A photo goes as its bytes.
      const body: unknown = typeof init.body === 'string' ? JSON.parse(init.body) : init.body;
      const sent = { method: init.method, path, body };
      const answer = this.answers(sent);
      if (!answer) throw new TypeError('no network');
      this.sent.push(sent);
      if (this.forgets) throw new TypeError('no answer');
      return new Response(JSON.stringify(answer[1]), { status: answer[0] });
    }) as typeof fetch;
  }

  end(): void {
    globalThis.fetch = this.#fetch;
  }
}
