import { spawn, type ChildProcess } from 'node:child_process';
import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join, resolve } from 'node:path';

/** An answer of the API, whose shape each test knows for itself. */
// eslint-disable-next-line @typescript-eslint/no-explicit-any
type Json = Record<string, any>;

/** The built application as a process of its own, on a data folder of its own. */
export class TestServer {
  readonly folder: string;
  #process: ChildProcess | undefined;
  #url = '';
  #said = '';

  constructor(folder = mkdtempSync(join(tmpdir(), 'tender-crumb-test-'))) {
    this.folder = folder;
  }

  /** Starts it and waits for its address. */
  async start(env: Record<string, string> = {}, uid?: number): Promise<this> {
    const child = spawn(process.execPath, [resolve('apps/web/build/serve.js')], {
      env: {
        ...process.env,
        PORT: '0',
        TENDER_CRUMB_DATA: this.folder,
        LOG_LEVEL: 'silent',
        ...env,
      },
      stdio: ['ignore', 'pipe', 'pipe'],
      ...(uid === undefined ? {} : { uid }),
    });
    this.#process = child;
    this.#said = '';
    child.stderr!.on('data', (chunk: Buffer) => (this.#said += chunk.toString()));
    this.#url = await new Promise<string>((done, failed) => {
      child.stdout!.on('data', (chunk: Buffer) => {
        this.#said += chunk.toString();
        const address = /https?:\/\/[\d.:]+\/\s/.exec(this.#said)?.[0];
        if (address) done(address.replace(/\/\s$/, ''));
      });
      child.once('exit', (code) =>
        failed(new Error(`the server ended with ${code}: ${this.#said}`)),
      );
    });
    return this;
  }

  /** What stands on its terminal. */
  get said(): string {
    return this.#said;
  }

  /** The household's own database file. */
  get file(): string {
    return join(this.folder, 'own', 'tender-crumb.db');
  }

  get url(): string {
    return this.#url;
  }

  /** Asks it; a body that is not text is sent as JSON. */
  async ask(
    method: string,
    path: string,
    body?: unknown,
    headers: Record<string, string> = {},
  ): Promise<{
    status: number;
    type: string;
    json: Json;
  }> {
    const text =
      typeof body === 'string' ? body : body === undefined ? undefined : JSON.stringify(body);
    const response = await fetch(`${this.#url}${path}`, {
      method,
      ...(text === undefined ? {} : { body: text }),
      headers: {
        ...(text === undefined
          ? {}
          : { 'content-type': typeof body === 'string' ? 'text/plain' : 'application/json' }),
        ...headers,
      },
    });
    const answer = await response.text();
    let json: Json = {};
    try {
      json = JSON.parse(answer) as Json;
    } catch {
      // A page, not an answer of the API.
    }
    return { status: response.status, type: response.headers.get('content-type') ?? '', json };
  }

  /** Waits until the book is learned, as a page does that shows how far it is. */
  async learned(): Promise<void> {
    while (!(await this.ask('GET', '/api/v1/learning')).json['learned']) {
      await new Promise((done) => setTimeout(done, 20));
    }
  }

  /** Ends it at once, as a power cut would; gives its code, or what it was ended by. */
  async kill(signal: NodeJS.Signals = 'SIGKILL'): Promise<number | string | null> {
    const child = this.#process;
    this.#process = undefined;
    if (!child || child.exitCode !== null) return null;
    const gone = new Promise<number | string | null>((done) =>
      child.once('exit', (code, by) => done(code ?? by)),
    );
    child.kill(signal);
    return gone;
  }

  async end(): Promise<void> {
    await this.kill('SIGTERM');
    rmSync(this.folder, { recursive: true, force: true });
  }
}
