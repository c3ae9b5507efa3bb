import { randomUUID } from 'node:crypto';
import type { ShareId } from '@/core/order/animal';
import { seedSeason } from '../demo/season';
import { hogDocument, TestShop } from '../tests/testShop';
import type { InputOf, UseCaseName } from '../useCases';

/** Every reading and every action of the day, at a share of each stage. */
type Probe = { readonly [Name in UseCaseName]?: () => InputOf<Name> };

let shop: TestShop;
let packing: ShareId;
let waiting: ShareId;

/** How many queries one question takes. */
async function queriesOf(name: UseCaseName, input: never): Promise<number> {
  let queries = 0;
  const count = () => (queries += 1);
  shop.files.forgetAll();
  shop.db.on('query', count);
  const result = await passQuietly(name, input);
  shop.db.removeListener('query', count);
  if (!result.ok) throw new Error(`${name}: ${result.reason}: ${result.message}`);
  return queries;
}

async function passQuietly(name: UseCaseName, input: never) {
  const { passDoorway } = await import('./doorway');
  const { USE_CASES } = await import('../useCases');
  const owner = { kind: 'staff', id: 'id-owner', name: 'owner', role: 'owner' } as const;
  return passDoorway(USE_CASES[name] as never, input, owner, shop.around());
}

const probes = (): Probe => ({
  railView: () => ({}),
  stageView: () => ({ stage: 'gone', page: 0 }),
  findView: () => ({ words: 'ott' }),
  hangView: () => ({}),
  todayView: () => ({}),
  ticketView: () => ({ shareId: packing }),
  bookingView: () => ({}),
  sheetView: () => ({ shareId: waiting }),
  wrapView: () => ({ shareId: packing }),
  balanceView: () => ({ shareId: packing }),
  settleView: () => ({ shareId: packing }),
  weigh: () => shop.weighing(packing, { kind: 'package', from: 'share', lineKey: 'center-loin.0.0' }, 1290),
  noteLine: () => ({ clientId: randomUUID(), shareId: packing, lineKey: 'center-loin.0.0', note: 'thin' }),
  noteCall: () => ({ clientId: randomUUID(), shareId: waiting, reached: 'nobody', said: '' }),
});

async function allQueries(): Promise<Record<string, number>> {
  const counts: Record<string, number> = {};
  for (const [name, input] of Object.entries(probes())) {
    counts[name] = await queriesOf(name as UseCaseName, input() as never);
  }
  return counts;
}

describe('reading at a flat cost', () => {
  afterEach(() => shop.close());

  it('takes the same number of queries at 10 finished shares and at 1,000', async () => {
    shop = await TestShop.open();
    await seedSeason(shop.around(), { shares: 10, seed: 0.1 });
    packing = await shop.onTheBlock();
    [waiting] = (await shop.book(hogDocument({ animal: { ...hogDocument().animal, tag: 'H901' } }))).map(
      (file) => file.share.id,
    ) as [ShareId];
    const few = await allQueries();
    await seedSeason(shop.around(), { shares: 990, seed: 0.2 });
    const many = await allQueries();
    expect(many).toEqual(few);
    // Two of them read how the shop is set up, which is kept until it changes.
    expect(few.railView).toBeLessThanOrEqual(7);
    expect(Number((await shop.db('shares').count({ all: '*' }))[0]!.all)).toBeGreaterThan(1_000);
  }, 120_000);

  it('a weighing asks no more than it writes, once its share is known', async () => {
    shop = await TestShop.open();
    packing = await shop.onTheBlock();
    const purpose = { kind: 'package', from: 'share', lineKey: 'center-loin.0.0' } as const;
    await shop.get('weigh', shop.weighing(packing, purpose, 1290));
    let queries: string[] = [];
    const note = ({ sql }: { sql: string }) => queries.push(sql.split(' ')[0]!.toLowerCase());
    shop.db.on('query', note);
    await passQuietly('weigh', shop.weighing(packing, purpose, 1290) as never);
    shop.db.removeListener('query', note);
    const reads = queries.filter((word) => word === 'select');
    const writes = queries.filter((word) => word === 'insert');
    expect(reads.length).toBeLessThanOrEqual(writes.length);
    queries = [];
  });

  it('a season is whole: balanced, packed or explained, paid and gone home', async () => {
    shop = await TestShop.open();
    await seedSeason(shop.around(), { shares: 40, seed: 0.3 });
    await shop.expectFreshStages();
    const rows = await shop.db('shareStages');
    expect(rows.every((row: { stage: string; due: number }) => row.stage === 'gone' && row.due === 0)).toBe(
      true,
    );
    expect(rows.filter((row: { verdict: string }) => row.verdict === 'usual').length).toBeGreaterThan(30);
    expect(rows.filter((row: { verdict: string }) => row.verdict === 'open')).toEqual([]);
    const [sum] = await shop.db('ledgerPostings').sum({ all: 'weight' });
    expect(sum!.all).toBe(0);
    expect(await shop.db.raw('PRAGMA foreign_key_check')).toEqual([]);
    const species = await shop.db('animals').distinct('species').orderBy('species').pluck('species');
    expect(species).toEqual(expect.arrayContaining(['beef', 'hog', 'lamb']));
  }, 60_000);

  it('a season is the same for the same seed', async () => {
    shop = await TestShop.open();
    await seedSeason(shop.around(), { shares: 6, seed: 0.4 });
    const nets = await shop.db('weighings').orderBy('serial').pluck('net');
    await shop.close();
    shop = await TestShop.open();
    await seedSeason(shop.around(), { shares: 6, seed: 0.4 });
    expect(await shop.db('weighings').orderBy('serial').pluck('net')).toEqual(nets);
  }, 60_000);
});
