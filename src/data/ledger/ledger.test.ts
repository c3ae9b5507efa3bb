import fc from 'fast-check';
import { randomUUID } from 'node:crypto';
import { move, UnbalancedTransactionError, type Posting } from '@/core/ledger/ledger';
import type { Weight } from '@/core/quantity/weight';
import type { Database } from '../database';
import { balancesOf, reverseTransaction, writeTransaction } from '.';
import { freshDatabase } from '../tests/freshDatabase';

let db: Database;
beforeEach(async () => {
  db = await freshDatabase();
});
afterEach(() => db.destroy());

const entry = (id: string = randomUUID()) => ({
  id,
  kind: 'test',
  at: '2026-11-24T09:00:00.000Z',
  actorId: 'me',
});
const OWNERS = ['s1', 's1/ham.0.0'];
const share = { kind: 'share', owner: 's1' } as const;
const bone = { kind: 'bone', owner: 's1' } as const;

/** What the database says when it refuses; fails when it does not. */
async function refusal(asked: PromiseLike<unknown>): Promise<string> {
  try {
    await asked;
  } catch (error) {
    return (error as { message: string }).message;
  }
  throw new Error('The database took it.');
}

describe('the ledger in the database', () => {
  it('holds what was posted', async () => {
    await writeTransaction(db, entry(), move({ kind: 'side', owner: 'a' }, share, 91_000 as Weight));
    await writeTransaction(db, entry(), move(share, bone, 5_000 as Weight));
    expect(await balancesOf(db, OWNERS)).toEqual([
      { kind: 'bone', owner: 's1', weight: 5_000 },
      { kind: 'share', owner: 's1', weight: 86_000 },
    ]);
    expect(await balancesOf(db, ['a'])).toEqual([{ kind: 'side', owner: 'a', weight: -91_000 }]);
  });

  it('finds the cures of a share, and of no other', async () => {
    for (const owner of ['s1/ham.0.0', 's10/ham.0.0', 's1']) {
      await writeTransaction(db, entry(), move(share, { kind: 'cure', owner }, 1_000 as Weight));
    }
    const cures = (await balancesOf(db, OWNERS)).filter((posting) => posting.kind === 'cure');
    expect(cures.map((posting) => posting.owner)).toEqual(['s1', 's1/ham.0.0']);
  });

  it('leaves out accounts that are empty again', async () => {
    const there = entry();
    await writeTransaction(db, there, move(share, bone, 5_000 as Weight));
    await reverseTransaction(db, { ...entry(), reversesId: there.id });
    expect(await balancesOf(db, OWNERS)).toEqual([]);
  });

  it('undoes a transaction once', async () => {
    const there = entry();
    await writeTransaction(db, there, move(share, bone, 5_000 as Weight));
    await reverseTransaction(db, { ...entry(), reversesId: there.id });
    expect(await refusal(reverseTransaction(db, { ...entry(), reversesId: there.id }))).toMatch(/UNIQUE/);
  });

  it('is refused by the core when it does not balance', async () => {
    const crooked: Posting[] = [
      { ...share, weight: -3 as Weight },
      { ...bone, weight: 2 as Weight },
    ];
    await expect(writeTransaction(db, entry(), crooked)).rejects.toThrow(UnbalancedTransactionError);
    expect(await db('ledgerPostings')).toEqual([]);
  });
});

describe('whoever writes past the core', () => {
  const posting = (transactionId: string, weight: unknown) => ({
    transactionId,
    kind: 'bone',
    owner: 's1',
    weight,
  });

  it('cannot seal postings that do not add up', async () => {
    const crooked = db.transaction(async (trx) => {
      await trx('ledgerPostings').insert([posting('t', -3), posting('t', 2)]);
      await trx('ledgerTransactions').insert(entry('t'));
    });
    expect(await refusal(crooked)).toContain('must add up to zero');
    expect(await db('ledgerPostings')).toEqual([]);
  });

  it('cannot write a transaction of nothing', async () => {
    expect(await refusal(db('ledgerTransactions').insert(entry('t')))).toContain('must add up to zero');
  });

  it('cannot leave postings unsealed', async () => {
    const unsealed = db('ledgerPostings').insert([posting('t', 2), posting('t', -2)]);
    expect(await refusal(unsealed)).toContain('FOREIGN KEY');
  });

  it('cannot add to a sealed transaction', async () => {
    const sealed = entry();
    await writeTransaction(db, sealed, move(share, bone, 5 as Weight));
    expect(await refusal(db('ledgerPostings').insert(posting(sealed.id, 7)))).toContain('is sealed');
  });

  it.each([0, 1.5, 'much'])('cannot post %p', async (weight) => {
    expect(await refusal(db('ledgerPostings').insert(posting('t', weight)))).toMatch(/CHECK/);
  });

  it.each(['ledgerPostings', 'ledgerTransactions'])('cannot change or remove from %s', async (table) => {
    await writeTransaction(db, entry(), move(share, bone, 5 as Weight));
    expect(await refusal(db(table).update({ kind: 'fat' }))).toContain('append-only');
    expect(await refusal(db(table).delete())).toContain('append-only');
  });
});

describe('any set of postings', () => {
  it('is taken by the database exactly when it adds up to zero', async () => {
    const anyWeights = fc.array(
      fc.integer({ min: -50, max: 50 }).filter((w) => w !== 0),
      { minLength: 1, maxLength: 4 },
    );
    await fc.assert(
      fc.asyncProperty(anyWeights, fc.boolean(), async (weights, close) => {
        const gap = weights.reduce((a, b) => a + b, 0);
        const all = close && gap !== 0 ? [...weights, -gap] : weights;
        const id = randomUUID();
        const written = await db
          .transaction(async (trx) => {
            await trx('ledgerPostings').insert(
              all.map((weight) => ({ transactionId: id, kind: 'bone', owner: 's1', weight })),
            );
            await trx('ledgerTransactions').insert(entry(id));
          })
          .then(
            () => true,
            () => false,
          );
        expect(written).toBe(all.reduce((a, b) => a + b, 0) === 0);
      }),
      { numRuns: 200, seed: 7 },
    );
    const [sum] = await db('ledgerPostings').sum({ all: 'weight' });
    expect(Number(sum!.all ?? 0)).toBe(0);
  });
});
