import { type ChildProcess, spawn } from 'node:child_process';
import { once } from 'node:events';
import { copyFileSync, mkdirSync, mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { fileURLToPath } from 'node:url';
import { SHIFT_MS } from './clock.ts';

const ROOT = fileURLToPath(new URL('..', import.meta.url));

/** The built server, as a coach starts it, on a database of its own. */
export class Server {
  #process: ChildProcess | undefined;
  #port = 0;
  readonly #folder = mkdtempSync(join(tmpdir(), 'myokinet-e2e-'));
  readonly #file = join(this.#folder, 'e2e.sqlite');

  /** What a studio that nobody has set up writes to its console. */
  firstCode = '';

  get dataFolder(): string {
    return join(this.#folder, 'data');
  }

  get address(): string {
    return `http://127.0.0.1:${this.#port}`;
  }

  /** Starts, some days ago where that is asked, on the same port as before when there was one, and waits until it is ready. */
  async start({ demo = false, house = false, daysBack = 0 } = {}): Promise<this> {
    // A worker may come back to a file that it had finished with.
    mkdirSync(this.#folder, { recursive: true });
    if (demo) copyFileSync(process.env.MYOKINET_DEMO_DATA ?? '', this.#file);
    const child = spawn(process.execPath, ['--enable-source-maps', 'server/dist/main.js'], {
      cwd: ROOT,
      stdio: ['ignore', 'pipe', 'inherit'],
      env: {
        ...process.env,
        NODE_ENV: 'production',
        ...(house ? { MYOKINET_DB: undefined, MYOKINET_DATA: join(this.#folder, 'data') } : { MYOKINET_DB: this.#file }),
        MYOKINET_PAGES: join(ROOT, 'web/dist'),
        MYOKINET_PORT: String(this.#port),
        MYOKINET_CLOCK_SHIFT: String(SHIFT_MS - daysBack * 86_400_000),
      },
    });
    this.#process = child;
    this.#port = await new Promise<number>((resolve, reject) => {
      child.once('exit', (code, signal) => reject(new Error(`The server ended with ${code ?? signal}.`)));
      let said = '';
      child.stdout.on('data', (chunk: Buffer) => {
        said += chunk.toString();
        const port = /ready: http:\/\/127\.0\.0\.1:(\d+)/.exec(said)?.[1];
        if (port) resolve(Number(port));
        this.firstCode = /type this code there: (\S+)/.exec(said)?.[1] ?? this.firstCode;
      });
    });
    return this;
  }

  /** As whoever runs it stops it: files are closed. */
  async stop(): Promise<void> {
    const child = this.#process;
    if (!child || child.exitCode !== null || child.signalCode !== null) return;
    const gone = once(child, 'exit');
    child.kill('SIGTERM');
    await gone;
  }

  /** As a power cut would: no chance to tidy up. */
  async kill(): Promise<void> {
    const child = this.#process;
    if (!child || child.exitCode !== null || child.signalCode !== null) return;
    const gone = once(child, 'exit');
    child.kill('SIGKILL');
    await gone;
  }

  async remove(): Promise<void> {
    await this.kill();
    rmSync(this.#folder, { recursive: true, force: true });
  }

  async api<T>(path: string): Promise<T> {
    return (await (await fetch(this.address + path)).json()) as T;
  }

  /** Sends, and refuses to go on when the server refuses. */
  async send<T>(method: 'PUT' | 'POST', path: string, body: object): Promise<T> {
    const reply = await fetch(this.address + path, {
      method,
      headers: { 'content-type': 'application/json' },
      body: JSON.stringify(body),
    });
    if (!reply.ok) throw new Error(`${method} ${path}: ${reply.status} ${await reply.text()}`);
    return (await reply.json()) as T;
  }
}
