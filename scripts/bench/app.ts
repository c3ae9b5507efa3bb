import { spawn } from 'node:child_process';
import { existsSync, mkdirSync, mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { parseArgs } from 'node:util';
import { fill, surroundingsOf } from './folder';
import { measurePages, type Timed } from './pages';
import { measureWeighing } from './weighing';

/**
 * `npm run bench [-- --times 1,10,100]`: fills the demo's season so many times over, runs the built app on it, and
 * prints what every page and action costs at each size, with the longest that the health route waited meanwhile, and
 * what a weighing costs beside its bare rows. Filling a hundred seasons takes a while: `--in FOLDER` keeps what was filled
 * and measures on it again. Needs a build (`npx next build`).
 */
const { values } = parseArgs({
  options: {
    times: { type: 'string', default: '1,10,100' },
    in: { type: 'string' },
    fill: { type: 'boolean' },
  },
});
const PORT = Number(process.env.PORT ?? 4790);
const KEY = 'bench';
process.env.FRACTUM_SCALE_KEY = KEY;

async function withApp<T>(folder: string, work: (address: string) => Promise<T>): Promise<T> {
  const env = {
    ...process.env,
    PORT: String(PORT),
    FRACTUM_DATA: folder,
    FRACTUM_SCALE_KEY: KEY,
    FRACTUM_LOG: 'fatal',
  };
  const app = spawn('node', ['scripts/serve.mjs'], { env, stdio: 'inherit' });
  const address = `http://127.0.0.1:${PORT}`;
  try {
    for (;;) {
      const ok = await fetch(`${address}/api/health`).then(
        (response) => response.status < 600,
        () => false,
      );
      if (ok) break;
      await new Promise((done) => setTimeout(done, 200));
    }
    return await work(address);
  } finally {
    app.kill('SIGKILL');
  }
}

function ms(value: number): string {
  return value.toFixed(value < 10 ? 2 : 0).padStart(7);
}

function print(times: number, rows: readonly Timed[], first: readonly Timed[]): void {
  process.stdout.write(
    `\n${'page or action'.padEnd(24)}  median ms   p95 ms      bytes  health ms  against 1x\n`,
  );
  for (const row of rows) {
    const base = first.find((each) => each.name === row.name);
    const ratio = base ? (row.median / base.median).toFixed(2) : '';
    process.stdout.write(
      `${row.name.padEnd(24)} ${ms(row.median)}   ${ms(row.p95)}  ${String(row.bytes).padStart(9)}   ${ms(row.longestWait)}  ${times === 1 ? '' : ratio.padStart(9)}\n`,
    );
  }
}

/** A folder that holds so many seasons: one that was kept, or a new one. */
async function filledFolder(times: number): Promise<string> {
  const folder = values.in ? join(values.in, `${times}x`) : mkdtempSync(join(tmpdir(), 'fractum-bench-'));
  if (existsSync(join(folder, 'fractum.db'))) return folder;
  mkdirSync(folder, { recursive: true });
  const { orders, weighings, seconds } = await fill(folder, times, KEY);
  process.stdout.write(`${times}x: ${orders} orders, ${weighings} weighings, filled in ${seconds} s\n`);
  return folder;
}

async function measure(times: number, first: readonly Timed[]): Promise<readonly Timed[]> {
  const folder = await filledFolder(times);
  if (values.fill) return [];
  const around = surroundingsOf(folder);
  try {
    const { weigh, bare, queries } = await measureWeighing(around, KEY);
    process.stdout.write(
      `\n${times}x: weigh ${ms(weigh.median)} ms (p95 ${ms(weigh.p95)}), bare rows ${ms(bare.median)} ms (p95 ${ms(bare.p95)}): ` +
        `${(weigh.median / bare.median).toFixed(2)} times; ${queries} queries\n`,
    );
    const rows = await withApp(folder, (address) => measurePages(address, around.db));
    print(times, rows, first.length === 0 ? rows : first);
    return rows;
  } finally {
    await around.db.destroy();
    if (!values.in) rmSync(folder, { recursive: true, force: true });
  }
}

let first: readonly Timed[] = [];
for (const times of values.times.split(',').map(Number)) {
  const rows = await measure(times, first);
  if (first.length === 0) first = rows;
}
