import { randomUUID } from 'node:crypto';
import type { WeighingPurpose } from '@/core/ledger/ledger';
import type { ShareId } from '@/core/order/animal';
import { planOf } from '@/core/order/standing';
import type { ShareFile } from '@/core/order/shareFile';
import type { Database } from '@/data/database';
import { liveShares, readShareFile } from '@/data/rail';
import { signReading } from '@/devices/scale/signature';
import { passDoorway } from '@/server/house/doorway';
import type { Surroundings } from '@/server/house/surroundings';
import { USE_CASES } from '@/server/useCases';
import { timed, type Measured } from './measure';

const CALLS = 150;
/** Loads of one run are not those of the one before. */
const SCALE = `bench-${Date.now().toString(36)}`;
/** A server weighs all day; what the first calls cost to be compiled is not asked. */
const WARM_UP = 100;

/** What one weighing costs through the doorway, what its rows alone cost, and how many queries it takes. */
export type Weighing = { readonly weigh: Measured; readonly bare: Measured; readonly queries: number };

/** A share that is on the block and still has meat on it. */
async function shareOnTheBlock({ db, setUps }: Surroundings): Promise<ShareFile> {
  for (const shareId of await liveShares(db, ['wrap'])) {
    const file = await readShareFile(db, setUps, shareId);
    if (file?.start) return file;
  }
  throw new Error('No share is on the block.');
}

function weighingOf(shareId: ShareId, purpose: WeighingPurpose, turn: number, key: string) {
  const reading = {
    scaleId: SCALE,
    loadId: String(turn),
    gross: 10,
    tare: 0,
    net: 10,
    unit: 'lb',
    state: 'steady',
  } as const;
  return {
    clientId: randomUUID(),
    shareId,
    purpose,
    pieces: 1,
    reading: signReading(reading, new Date(), key),
    sure: true,
  };
}

/**
 * In one run and one process: `weigh` through the doorway, and the same rows inserted bare. Every weighing meets the
 * share as it is in the middle of its work, not after hundreds of packs.
 */
export async function measureWeighing(around: Surroundings, key: string): Promise<Weighing> {
  const file = await shareOnTheBlock(around);
  const line = planOf(file).expected.lines.find((each) => each.kind === 'cut' && each.cure === null)!;
  const purpose = { kind: 'package', from: 'share', lineKey: line.key } as const;
  const scale = { ...around.devices.scale, vouches: () => true };
  const actor = { kind: 'staff', id: 'bench', name: 'Bench', role: 'owner' } as const;
  const weighOnce = async (turn: number) => {
    around.files.replace(file.share.id, file);
    const here = { ...around, devices: { ...around.devices, scale }, now: new Date() };
    const result = await passDoorway(
      USE_CASES.weigh,
      weighingOf(file.share.id, purpose, turn, key),
      actor,
      here,
    );
    if (!result.ok) throw new Error(result.message);
  };
  const weigh = await timed(CALLS, weighOnce, WARM_UP);
  let queries = 0;
  const counting = () => (queries += 1);
  around.db.on('query', counting);
  await weighOnce(CALLS + WARM_UP);
  around.db.removeListener('query', counting);
  return { weigh, bare: await bareInsert(around.db), queries };
}

/** The rows of one weighing, written as they are in one transaction, with nothing read and nothing checked. */
async function bareInsert(db: Database): Promise<Measured> {
  const last = await db('weighings').orderBy('serial', 'desc').first();
  const postings: { id: number; kind: string; owner: string }[] = await db('ledgerPostings').where({
    transactionId: last.transactionId,
  });
  const transaction = await db('ledgerTransactions').where({ id: last.transactionId }).first();
  const label = await db('labelJobs').where({ weighingId: last.id }).first();
  const stage = await db('shareStages').where({ shareId: last.shareId }).first();
  const { id: _audit, ...audit } = await db('audit').orderBy('id', 'desc').first();
  const answer = await db('answers').where({ clientId: last.clientId }).first();
  let { serial } = last;
  const insert = async () => {
    const [id, transactionId, clientId] = [randomUUID(), randomUUID(), randomUUID()];
    serial += 1;
    await db.transaction(async (trx) => {
      const moved = postings.map(({ id: _id, ...posting }) => ({
        ...posting,
        owner: posting.kind === 'package' ? id : posting.owner,
        transactionId,
      }));
      await trx('ledgerPostings').insert(moved);
      await trx('ledgerTransactions').insert({ ...transaction, id: transactionId });
      await trx('weighings').insert({ ...last, id, clientId, serial, transactionId, loadId: id });
      await trx('labelJobs').insert({ ...label, id: randomUUID(), weighingId: id, clientId });
      await trx('shareStages').insert(stage).onConflict('number').merge();
      await trx('audit').insert(audit);
      await trx('answers').insert({ ...answer, clientId });
    });
  };
  return timed(CALLS, insert, WARM_UP);
}
