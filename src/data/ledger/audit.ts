import type { AccountKind } from '@/core/ledger/ledger';
import { formatWeight, type Weight } from '@/core/quantity/weight';
import type { Database } from '../database';

/** What all accounts of a kind held at a moment; together they are nothing. */
export type TrialBalance = {
  readonly at: string;
  readonly transactions: number;
  readonly kinds: readonly { readonly kind: AccountKind; readonly weight: Weight }[];
  /** Zero for an honest book. */
  readonly sum: Weight;
};

/** The trial balance of the shop at a moment, from its postings alone. */
export async function trialBalanceAt(db: Database, at: string): Promise<TrialBalance> {
  const kinds: { kind: AccountKind; weight: Weight }[] = await postingsUntil(db, at)
    .groupBy('posting.kind')
    .orderBy('posting.kind')
    .select('posting.kind as kind')
    .sum({ weight: 'posting.weight' });
  const counted = await db('ledgerTransactions').where('at', '<=', at).count({ all: '*' });
  const sum = kinds.reduce((total, { weight }) => total + weight, 0) as Weight;
  return { at, transactions: Number(counted[0]!.all), kinds, sum };
}

function postingsUntil(db: Database, at: string) {
  return db({ posting: 'ledgerPostings' })
    .join({ entry: 'ledgerTransactions' }, 'entry.id', 'posting.transactionId')
    .where('entry.at', '<=', at);
}

/** Everything in the book that does not prove itself, in words; empty for an honest book. */
export async function bookProblems(db: Database, at: string): Promise<string[]> {
  return [...(await crooked(db, at)), ...(await packagesBeside(db, at)), ...(await sidesBeside(db, at))];
}

/** Transactions that do not add up to nothing, or move nothing. */
async function crooked(db: Database, at: string): Promise<string[]> {
  const rows: { id: string; gap: Weight; postings: number }[] = await db({ entry: 'ledgerTransactions' })
    .leftJoin({ posting: 'ledgerPostings' }, 'posting.transactionId', 'entry.id')
    .where('entry.at', '<=', at)
    .groupBy('entry.id')
    .havingRaw('COALESCE(SUM(posting.weight), 0) <> 0 OR COUNT(posting.weight) < 2')
    .select('entry.id as id')
    .sum({ gap: 'posting.weight' })
    .count({ postings: 'posting.weight' });
  return rows.map(
    ({ id, gap, postings }) =>
      `transaction ${id} has ${postings} postings and is off by ${formatWeight((gap ?? 0) as Weight, 3)}`,
  );
}

/** Packages whose account holds something else than what was weighed, or anything once they were taken back. */
async function packagesBeside(db: Database, at: string): Promise<string[]> {
  const held = postingsUntil(db, at)
    .where('posting.kind', 'package')
    .groupBy('posting.owner')
    .select('posting.owner as owner')
    .sum({ weight: 'posting.weight' });
  const rows: { serial: number; net: Weight; weight: Weight | null; voidedAt: string | null }[] = await db({
    weighing: 'weighings',
  })
    .leftJoin(held.as('held'), 'held.owner', 'weighing.id')
    .leftJoin({ void: 'weighingVoids' }, 'void.weighingId', 'weighing.id')
    .where('weighing.kind', 'package')
    .where('weighing.at', '<=', at)
    .select('weighing.serial', 'weighing.net', 'held.weight', 'void.at as voidedAt');
  return rows.flatMap(({ serial, net, weight, voidedAt }) => {
    const wanted = voidedAt !== null && voidedAt <= at ? 0 : net;
    if ((weight ?? 0) === wanted) return [];
    const [says, is] = [wanted, weight ?? 0].map((each) => formatWeight(each as Weight, 3));
    return [`package ${serial} was weighed as ${says} and its account holds ${is}`];
  });
}

/** Sides whose last hot ticket is not what came in. */
async function sidesBeside(db: Database, at: string): Promise<string[]> {
  const intake = new Map(
    (
      (await postingsUntil(db, at)
        .where('posting.kind', 'intake')
        .groupBy('posting.owner')
        .select('posting.owner as owner')
        .sum({ weight: 'posting.weight' })) as { owner: string; weight: Weight }[]
    ).map(({ owner, weight }) => [owner, weight]),
  );
  const tickets: { sideId: string; net: number }[] = await db('sideWeights')
    .where('kind', 'hot')
    .where('at', '<=', at)
    .orderBy('rowid')
    .select('sideId', db.raw('gross - tare AS net'));
  const last = new Map(tickets.map(({ sideId, net }) => [sideId, net]));
  return [...last].flatMap(([sideId, net]) => {
    const came = -(intake.get(sideId) ?? 0);
    if (came === net) return [];
    const [says, is] = [net, came].map((each) => formatWeight(each as Weight, 3));
    return [`side ${sideId} has a hot ticket of ${says}, and ${is} came in`];
  });
}
