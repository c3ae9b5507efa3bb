import { randomUUID } from 'node:crypto';
import type { ShareId } from '@/core/order/animal';
import type { Stage } from '@/core/order/stage';
import type { Database } from '@/data/database';
import { DEMO_USERS } from '@/server/demo/people';
import { told, type Measured } from './measure';

export type Timed = Measured & {
  readonly name: string;
  readonly bytes: number;
  /** The longest that the health route waited while this was asked for. */
  readonly longestWait: number;
};

/** Tags of one run are not those of the one before. */
const RUN = Date.now().toString(36);
const CALLS = 20;
const WARM_UP = 3;
/** How often the health route is asked meanwhile, milliseconds. */
const HEALTH_EVERY = 5;

/** What is asked of the running app: pages, actions, and the statement. */
type Asked = { readonly name: string; readonly path: string; readonly body?: (turn: number) => object };

async function signedIn(address: string): Promise<string> {
  const { name, secret } = DEMO_USERS[0]!;
  const response = await fetch(`${address}/api/sign-in`, {
    method: 'POST',
    headers: { 'content-type': 'application/json' },
    body: JSON.stringify({ name, secret }),
  });
  return response.headers.getSetCookie()[0]!.split(';')[0]!;
}

async function shareAt(db: Database, stage: Stage | 'gone'): Promise<ShareId> {
  const row = await db('shareStages')
    .where({ stage })
    .modify((query) => stage === 'wrap' && query.where({ onBlock: true }))
    .modify((query) => stage === 'sheet' && query.where({ hasSheet: true }))
    .orderBy('number', 'desc')
    .first();
  return row.shareId as ShareId;
}

async function everything(db: Database): Promise<Asked[]> {
  const lists = ['today', 'book', 'hang', 'sheet', 'wrap', 'reconcile', 'settle', 'settle?gone=1'];
  const [onSheet, onWrap, packed, settled, gone] = [
    await shareAt(db, 'sheet'),
    await shareAt(db, 'wrap'),
    await shareAt(db, 'reconcile'),
    await shareAt(db, 'settle'),
    await shareAt(db, 'gone'),
  ];
  const sheet = await db('sheets').where({ shareId: onSheet }).orderBy('version', 'desc').first();
  const draft = await db('sheetDrafts').where({ shareId: onSheet }).first('version');
  let version: number = draft?.version ?? sheet?.version ?? 0;
  const acted = (name: string, input: (turn: number) => object): Asked => ({
    name,
    path: `api/act/${name}`,
    body: input,
  });
  return [
    ...lists.map((list) => ({ name: `/${list}`, path: list })),
    { name: '/sheet/…', path: `sheet/${onSheet}` },
    { name: '/wrap/…', path: `wrap/${onWrap}` },
    { name: '/reconcile/…', path: `reconcile/${packed}` },
    { name: '/settle/…', path: `settle/${settled}` },
    { name: '/ticket/…', path: `ticket/${packed}` },
    { name: '/settle/… gone home', path: `settle/${gone}` },
    acted('findView', (turn) => ({ words: ['ott', 'h01', 'low tarn', '12', 'br'][turn % 5]! })),
    acted('wrapView', () => ({ shareId: onWrap })),
    acted('noteCall', (turn) => ({
      clientId: randomUUID(),
      shareId: onSheet,
      reached: 'spoken',
      said: `call ${turn}`,
    })),
    ...(sheet
      ? [
          acted('saveSheet', (turn) => ({
            shareId: onSheet,
            baseVersion: version++,
            sheet: { ...JSON.parse(sheet.sheet), instructions: `turn ${turn}` },
          })),
        ]
      : []),
    acted('bookOrder', (turn) => ({ clientId: randomUUID(), document: bookingOf(turn) })),
    { name: 'statement (PDF)', path: `api/statement/${settled}` },
  ];
}

function bookingOf(turn: number): object {
  return {
    format: 'fractum.order',
    version: 1,
    unit: 'lb',
    farm: { name: 'Low Tarn' },
    animal: { tag: `X${RUN}${turn}`, species: 'hog', killDate: '2026-01-05', inspection: 'custom-exempt' },
    shares: [{ part: 'whole', owner: { name: `Bench ${turn}` }, sheet: { houseForTheRest: true } }],
  };
}

/** Asks the health route all the time, and remembers the longest wait. */
function watchHealth(address: string): { stop: () => Promise<number> } {
  let longest = 0;
  let going = true;
  const watching = (async () => {
    while (going) {
      const start = performance.now();
      await fetch(`${address}/api/health`);
      longest = Math.max(longest, performance.now() - start);
      await new Promise((done) => setTimeout(done, HEALTH_EVERY));
    }
  })();
  return {
    stop: async () => {
      going = false;
      await watching;
      return longest;
    },
  };
}

/** Times every page and action of the running app. */
export async function measurePages(address: string, db: Database): Promise<Timed[]> {
  const cookie = await signedIn(address);
  const results: Timed[] = [];
  for (const asked of await everything(db)) {
    const taken: number[] = [];
    let bytes = 0;
    const call = async (turn: number) => {
      const start = performance.now();
      const response = await fetch(`${address}/${asked.path}`, {
        headers: { cookie, ...(asked.body ? { 'content-type': 'application/json' } : {}) },
        ...(asked.body ? { method: 'POST', body: JSON.stringify(asked.body(turn)) } : {}),
      });
      bytes = (await response.arrayBuffer()).byteLength;
      if (!response.ok) throw new Error(`${asked.name} answered ${response.status}`);
      return performance.now() - start;
    };
    for (let turn = 0; turn < WARM_UP; turn += 1) await call(turn);
    const health = watchHealth(address);
    for (let turn = WARM_UP; turn < WARM_UP + CALLS; turn += 1) taken.push(await call(turn));
    results.push({ name: asked.name, ...told(taken), bytes, longestWait: await health.stop() });
  }
  return results;
}
