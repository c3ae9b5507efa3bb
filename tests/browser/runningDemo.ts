import { execFileSync, spawn, type ChildProcess } from 'node:child_process';
import { once } from 'node:events';
import { mkdtempSync, rmSync } from 'node:fs';
import { createServer } from 'node:net';
import { tmpdir } from 'node:os';
import { join } from 'node:path';

/** The panels of the demo's devices answer this many ports above the app. */
const SCALE_OFFSET = 10;

function isFree(port: number): Promise<boolean> {
  return new Promise((resolve) => {
    const server = createServer();
    server.once('error', () => resolve(false));
    server.listen(port, '127.0.0.1', () => server.close(() => resolve(true)));
  });
}

/** Suites that run beside each other look for their ports in ranges of their own. */
const PORTS_EACH = 400;

export async function freePort(): Promise<number> {
  const first = 4200 + PORTS_EACH * (Number(process.env.JEST_WORKER_ID ?? 1) - 1);
  for (let port = first; port < first + PORTS_EACH; port += 20) {
    if ((await isFree(port)) && (await isFree(port + SCALE_OFFSET))) return port;
  }
  throw new Error('No port is free.');
}

/** Fractum as `npm run demo` or `npm start` starts it, on data of its own that goes when it stops. */
export class RunningDemo {
  private constructor(
    private readonly program: ChildProcess,
    readonly data: string,
    readonly address: string,
    readonly scaleAddress: string,
  ) {}

  static start(unit: 'lb' | 'kg' = 'lb'): Promise<RunningDemo> {
    return RunningDemo.launch('fractum-demo-', ['scripts/demo.mjs', '--fresh', '--unit', unit]);
  }

  /** A shop that nobody has worked in yet, as `npm start` begins it for its owner. */
  static ownShop({
    shop,
    owner,
    secret,
  }: {
    shop: string;
    owner: string;
    secret: string;
  }): Promise<RunningDemo> {
    const said = [
      '--shop',
      shop,
      '--unit',
      'lb',
      '--currency',
      '$',
      '--zone',
      'Europe/London',
      '--owner',
      owner,
    ];
    return RunningDemo.launch('fractum-shop-', ['scripts/start.mjs', ...said, '--empty'], {
      FRACTUM_OWNER_SECRET: secret,
    });
  }

  private static async launch(
    prefix: string,
    command: readonly string[],
    more: Readonly<Record<string, string>> = {},
  ): Promise<RunningDemo> {
    const port = await freePort();
    const data = mkdtempSync(join(tmpdir(), prefix));
    const program = spawn('node', [...command], {
      env: { ...process.env, ...more, PORT: String(port), FRACTUM_DATA: data, FRACTUM_LOG: 'silent' },
      stdio: ['ignore', 'pipe', 'inherit'],
    });
    await new Promise<void>((resolve, reject) => {
      let said = '';
      program.stdout!.on('data', (chunk: Buffer) => {
        said += chunk;
        if (said.includes('Fractum runs at')) resolve();
      });
      program.once('exit', () => reject(new Error(`Fractum did not start:\n${said}`)));
    });
    return new RunningDemo(
      program,
      data,
      `http://localhost:${port}`,
      `http://localhost:${port + SCALE_OFFSET}`,
    );
  }

  async stop(): Promise<void> {
    const isRunning = this.program.exitCode === null && this.program.signalCode === null;
    if (isRunning) {
      this.program.kill('SIGTERM');
      await once(this.program, 'exit');
    }
    rmSync(this.data, { recursive: true, force: true });
  }

  /** Kills the app, not what keeps it running: it is started again. @returns when it answers */
  async kill(): Promise<void> {
    const children = execFileSync('pgrep', ['-P', String(this.program.pid), '-f', 'serve.mjs']);
    process.kill(Number(children.toString().trim()), 'SIGKILL');
    for (;;) {
      const answer = await fetch(`${this.address}/api/health`).catch(() => undefined);
      if (answer?.ok) return;
      await new Promise((done) => setTimeout(done, 100));
    }
  }

  /** Puts a weight on a simulated scale, as the hand at its panel does; 0 takes it off. */
  async put(units: number, scale: '' | '/rail' | '/spice' = ''): Promise<void> {
    await this.post(`${scale}/place`, { weight: units, again: true });
  }

  async shake(shaking: boolean): Promise<void> {
    await this.post('/shake', { on: shaking });
  }

  /** What a hand does at a device: `/printer/jam`, `/unplug`. */
  async post(path: string, body: object): Promise<void> {
    const response = await fetch(`${this.scaleAddress}${path}`, {
      method: 'POST',
      body: JSON.stringify(body),
    });
    if (!response.ok) throw new Error(await response.text());
  }
}
