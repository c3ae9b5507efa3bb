import { spawn, spawnSync } from 'node:child_process';
import { join } from 'node:path';
import { quantile } from 'd3-array';
import { Person } from '../../tests/browser/browser';
import { freePort, RunningDemo } from '../../tests/browser/runningDemo';
import { choices } from './choices';
import { weightOf, type Weighed } from './weight';

/**
 * `npm run feel`: how long a choice on the beef sheet takes from the key press to the painted figures on a machine four
 * times slower than this one, where that time goes, and how much script each page loads beside a page that only says
 * hello.
 */
const THROTTLE = 4;
const PAGES = ['/today', '/book', '/hang', '/sheet', '/wrap', '/reconcile', '/settle'] as const;
/** Pages of one share, and whose; reached through the list of their stage. */
const SHARES = [
  ['sheet', 'Ysolde Marrack'],
  ['reconcile', 'Marit Fallow'],
  ['settle', 'Corwin Aske'],
  ['wrap', 'Jory Penhale'],
] as const;
const HELLO = join('scripts', 'feel', 'hello');

function say(words: string): void {
  process.stdout.write(`${words}\n`);
}

async function hello(person: Person): Promise<Weighed> {
  const env = { ...process.env, NEXT_TELEMETRY_DISABLED: '1' };
  const built = spawnSync('npx', ['next', 'build'], { cwd: HELLO, env });
  if (built.status !== 0) throw new Error(String(built.stdout) + String(built.stderr));
  const port = await freePort();
  const server = spawn('npx', ['next', 'start', '-p', String(port)], { cwd: HELLO, env, detached: true });
  try {
    const address = `http://localhost:${port}`;
    for (let tries = 0; tries < 100; tries += 1) {
      if (
        await fetch(address).then(
          () => true,
          () => false,
        )
      )
        break;
      await new Promise((done) => setTimeout(done, 200));
    }
    return await weightOf(person, address);
  } finally {
    process.kill(-server.pid!, 'SIGKILL');
  }
}

async function weights(person: Person, demo: RunningDemo): Promise<void> {
  const base = await hello(person);
  const kilobytes = (bytes: number) => `${Math.round(bytes / 1000)} kB`.padStart(7);
  const tell = (path: string, { first, later }: Weighed) =>
    say(
      `  ${path.padEnd(22)} ${kilobytes(first)}, ${(first / base.first).toFixed(2)} of hello; later ${kilobytes(later)}`,
    );
  say('Script of the first load of each page:');
  tell('hello', base);
  for (const path of PAGES) tell(path, await weightOf(person, `${demo.address}${path}`));
  for (const [stage, name] of SHARES) {
    await person.open(`/${stage}`);
    const link = await person.findWords(name, 'a');
    const address = (await link.getAttribute('href'))!;
    tell(`${stage} of a share`, await weightOf(person, new URL(address, demo.address).href));
    if (stage !== 'sheet') continue;
    const ticket = new URL(address, demo.address).href.replace('/sheet/', '/ticket/');
    tell('ticket', await weightOf(person, ticket));
  }
}

async function feel(person: Person, throttle: number): Promise<void> {
  const { painted, parts } = await choices(person, throttle);
  const at = (share: number) => Math.round(quantile(painted, share)!);
  say(
    `At ${throttle}x throttling, ${painted.length} choices on the beef half: median ${at(0.5)} ms, p95 ${at(0.95)} ms, longest ${at(1)} ms from key press to painted figures.`,
  );
  say(`  Where a choice's time goes, saving and the other ways' figures included:`);
  for (const [name, ms] of parts) say(`  ${name.padEnd(28)} ${ms.toFixed(1).padStart(6)} ms`);
}

async function main(): Promise<void> {
  const demo = await RunningDemo.start();
  const person = await Person.arrive(demo.address);
  try {
    await person.signIn('Maren');
    await feel(person, 1);
    await feel(person, THROTTLE);
    await weights(person, demo);
  } finally {
    await person.leave();
    await demo.stop();
  }
}

void main();
