import { spawn, type ChildProcess } from 'node:child_process';
import { randomUUID } from 'node:crypto';
import { once } from 'node:events';
import { mkdtempSync, readdirSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { parseArgs } from 'node:util';
import type { ShareId } from '@/core/order/animal';
import { planOf } from '@/core/order/standing';
import { failure, type Result } from '@/core/quantity/result';
import { bookProblems } from '@/data/ledger';
import { readShareFile } from '@/data/rail';
import { signReading } from '@/devices/scale/signature';
import { seedLiveWeek } from '@/server/demo/liveWeek';
import { DEMO_USERS } from '@/server/demo/people';
import { setUpDemoShop } from '@/server/demo/setUpDemo';
import { freshRow } from '@/server/rail/restage';
import { migrate } from '@/data/database';
import { Outbox, type FloorAnswer, type FloorWrite, type WeighInput } from '@/ui/outbox/outbox';
import { surroundingsOf } from './bench/folder';

/**
 * `npm run kill-test [-- --kills 100 --minutes 60]`, whichever comes first: two stations weigh and take back without pause, each through the queue of its table, while
 * the app is killed again and again; some requests are sent twice, some answers are never seen and asked for again.
 * Then everything is counted: nothing that was acknowledged is lost or doubled, the ledger balances, and every label was
 * printed once. Needs a build.
 */
const { values } = parseArgs({
  options: { kills: { type: 'string', default: '100' }, minutes: { type: 'string', default: '600' } },
});
const MOST_KILLS = Number(values.kills);
const MOST_MS = Number(values.minutes) * 60_000;
const PORT = Number(process.env.PORT ?? 4780);
const ADDRESS = `http://127.0.0.1:${PORT}`;
const KEY = 'kill test';
/** A thousandth: however many packs the stations make, there is meat for them. */
const NET = 1;
/** Of so many packs one is taken back again. */
const TAKEN_BACK = 0.1;
process.env.FRACTUM_SCALE_KEY = KEY;

const folder = mkdtempSync(join(tmpdir(), 'fractum-kill-'));
const pause = (ms: number) => new Promise((done) => setTimeout(done, ms));

function launch(): ChildProcess {
  const env = { ...process.env, PORT: String(PORT), FRACTUM_DATA: folder, FRACTUM_LOG: 'fatal' };
  return spawn('node', ['scripts/serve.mjs'], { env, stdio: 'ignore' });
}

async function isUp(): Promise<boolean> {
  return fetch(`${ADDRESS}/api/health`, { signal: AbortSignal.timeout(2000) }).then(
    (response) => response.ok,
    () => false,
  );
}

/** Shares to weigh for: one that is on the block, and one that goes there now; with a line to weigh to. */
type Station = { readonly shareId: ShareId; readonly lineKey: string };

async function fillFolder(): Promise<ShareId[]> {
  const around = surroundingsOf(folder);
  await migrate(around.db);
  await setUpDemoShop(around.db, 'lb');
  await seedLiveWeek(around, (reading, at) => signReading(reading, at, KEY));
  const rows = await around
    .db('shareStages')
    .where({ stage: 'wrap', species: 'Hog' })
    .orderBy('onBlock', 'desc');
  await around.db.destroy();
  return rows.slice(0, 2).map((row) => row.shareId as ShareId);
}

async function linesOf(shareIds: readonly ShareId[]): Promise<Station[]> {
  const { db, setUps } = surroundingsOf(folder);
  const stations: Station[] = [];
  for (const shareId of shareIds) {
    const file = (await readShareFile(db, setUps, shareId))!;
    const line = planOf(file).expected.lines.find((each) => each.kind === 'cut' && each.cure === null)!;
    stations.push({ shareId, lineKey: line.key });
  }
  await db.destroy();
  return stations;
}

const acknowledged = new Map<string, string>();
const takenBack = new Set<string>();
let asked = 0;
let repeated = 0;
let going = true;

type Said = Result<{ id: string }, string>;

/** Sends one thing once, or twice at the same moment; what was killed under way was not answered. */
async function send(cookie: string, { name, input }: Pick<FloorWrite, 'name' | 'input'>): Promise<Said> {
  const once = async (): Promise<Said> => {
    try {
      const response = await fetch(`${ADDRESS}/api/act/${name}`, {
        method: 'POST',
        headers: { 'content-type': 'application/json', cookie },
        body: JSON.stringify(input),
        signal: AbortSignal.timeout(5000),
      });
      if (response.status < 500) return (await response.json()) as Said;
    } catch {
      // Killed under way: the same is asked again with the same id.
    }
    repeated += 1;
    return failure('offline', 'away');
  };
  const answers = await Promise.all(Math.random() < 0.15 ? [once(), once()] : [once()]);
  const known = new Set(answers.flatMap((answer) => (answer.ok ? [answer.value.id] : [])));
  if (known.size > 1) throw new Error(`${input.clientId} was done twice`);
  return answers.find(({ ok }) => ok) ?? answers[0]!;
}

/** A table with its queue, as it stands in a browser. */
async function station(cookie: string, { shareId, lineKey }: Station): Promise<void> {
  let kept: string | null = null;
  const store = { read: () => kept, write: (text: string) => (kept = text) };
  const queue = new Outbox(store, (write) => send(cookie, write) as Promise<FloorAnswer>);
  const who = { id: cookie, name: 'station', role: 'owner' };
  queue.onAnswer(({ name, input }, answer) => {
    if (!answer.ok) throw new Error(`${name} was refused: ${JSON.stringify(answer)}`);
    const { id } = answer.value as { id: string };
    if (name === 'weigh') acknowledged.set(input.clientId, id);
    else takenBack.add(id);
    return true;
  });
  while (going || queue.waiting.get().length > 0) {
    if (going) {
      asked += 1;
      const clientId = randomUUID();
      queue.add({ name: 'weigh', input: weighing(clientId, { shareId, lineKey }) }, who);
      if (Math.random() < TAKEN_BACK) {
        const input = { clientId: randomUUID(), weighedAs: clientId, reason: '' };
        queue.add({ name: 'voidWeighing', input }, who);
      }
    }
    await queue.flush(who.id);
    if (queue.waiting.get().length > 0) await pause(30);
  }
}

function weighing(clientId: string, { shareId, lineKey }: Station): WeighInput {
  const load = { scaleId: 'kill', loadId: clientId, gross: NET, tare: 0, net: NET } as const;
  const reading = { ...load, unit: 'lb', state: 'steady' } as const;
  return {
    clientId,
    shareId,
    purpose: { kind: 'package', from: 'share', lineKey },
    pieces: 1,
    reading: signReading(reading, new Date(), KEY),
    sure: true,
  };
}

async function signIn(): Promise<string> {
  const { name, secret } = DEMO_USERS[0]!;
  const response = await fetch(`${ADDRESS}/api/sign-in`, {
    method: 'POST',
    headers: { 'content-type': 'application/json' },
    body: JSON.stringify({ name, secret }),
  });
  return response.headers.getSetCookie()[0]!.split(';')[0]!;
}

async function untilUp(): Promise<void> {
  while (!(await isUp())) await pause(50);
}

async function untilPrinted(): Promise<void> {
  for (;;) {
    const { labels } = (await (await fetch(`${ADDRESS}/api/health`)).json()) as {
      labels: { waiting: number };
    };
    if (labels.waiting === 0) return;
    await pause(200);
  }
}

/** Everything that must be so afterwards, each with what was found. */
async function checks(): Promise<[what: string, found: unknown, wanted: unknown][]> {
  const { db, setUps } = surroundingsOf(folder);
  const ours = await db('weighings').where({ scaleId: 'kill' });
  const byClient = new Map(ours.map((row) => [row.clientId as string, row]));
  const lost = [...acknowledged].filter(([clientId, id]) => byClient.get(clientId)?.id !== id);
  const voided = new Set<string>(await db('weighingVoids').pluck('weighingId'));
  const crooked = await bookProblems(db, new Date().toISOString());
  const serials = await db('weighings').orderBy('serial').pluck('serial');
  const jobs = await db('labelJobs');
  const files = readdirSync(join(folder, 'labels'));
  const shareIds = await db('shares').pluck('id');
  const stale = [];
  for (const shareId of shareIds) {
    const kept = await db('shareStages').where({ shareId }).first('packsMade', 'stage');
    const fresh = (await freshRow(db, setUps, shareId))!;
    if (kept.packsMade !== fresh.packsMade || kept.stage !== fresh.stage) stale.push(shareId);
  }
  const [whole] = await db.raw('PRAGMA integrity_check');
  const found: [string, unknown, unknown][] = [
    ['acknowledged and lost', lost.length, 0],
    ['taken back and still there', [...takenBack].filter((id) => !voided.has(id)).length, 0],
    ['doubled', ours.length - byClient.size, 0],
    ['of another weight', ours.filter((row) => row.net !== NET).length, 0],
    ['what the book cannot prove', crooked.length, 0],
    ['serials without gap or repeat', serials.every((serial, at) => serial === at + 1), true],
    ['labels not printed', jobs.filter((job) => job.file === null && !voided.has(job.weighingId)).length, 0],
    [
      'labels printed, each once',
      files.filter((file) => file.endsWith('.svg')).length,
      jobs.filter((job) => job.file !== null).length,
    ],
    ['unfinished labels', files.filter((file) => file.endsWith('.part')).length, 0],
    ['stages that are not fresh', stale.length, 0],
    ['integrity', whole.integrity_check, 'ok'],
    ['references hanging', (await db.raw('PRAGMA foreign_key_check')).length, 0],
  ];
  await db.destroy();
  return found;
}

const started = performance.now();
if (await isUp()) throw new Error(`Port ${PORT} is taken; choose another: PORT=4790 npm run kill-test`);
const shareIds = await fillFolder();
let app = launch();
process.on('exit', () => app.kill('SIGKILL'));
await untilUp();
const cookie = await signIn();
const begun = { clientId: randomUUID(), shareId: shareIds[1], reason: 'kill test' };
await fetch(`${ADDRESS}/api/act/startBlock`, {
  method: 'POST',
  headers: { 'content-type': 'application/json', cookie },
  body: JSON.stringify(begun),
});
const stations = await linesOf(shareIds);
const working = stations.map((each) => station(cookie, each));
let kills = 0;
for (; kills < MOST_KILLS && performance.now() - started < MOST_MS; kills += 1) {
  // Some kills come while the app is starting, most while it works.
  if (Math.random() > 0.1) await untilUp();
  await pause(Math.random() * 1500);
  app.kill('SIGKILL');
  // One that has ended by itself, because its port was not free yet, says so no more.
  if (app.exitCode === null && app.signalCode === null) await once(app, 'exit');
  app = launch();
}
await untilUp();
await pause(1000);
going = false;
await Promise.all(working);
await untilPrinted();
app.kill('SIGTERM');
await once(app, 'exit');
const results = await checks();
const wrong = results.filter(([, found, wanted]) => found !== wanted);
process.stdout.write(
  `${kills} kills in ${Math.round((performance.now() - started) / 1000)} s, ${stations.length} stations: ` +
    `${asked} weighings asked, ${acknowledged.size} acknowledged, ${repeated} requests repeated\n` +
    results
      .map(([what, found, wanted]) => `${found === wanted ? 'ok   ' : 'WRONG'} ${what}: ${String(found)}\n`)
      .join(''),
);
rmSync(folder, { recursive: true, force: true });
process.exitCode = wrong.length === 0 ? 0 : 1;
