import type { Posting } from '@/core/ledger/ledger';
import { balanced } from '@/core/ledger/ledger';
import type { Animal, Person, Share, Side } from '@/core/order/animal';
import type { Plan } from '@/core/order/plan';
import type { Closing, Payment, PickUp } from '@/core/order/settlement';
import type { StageRow } from '@/core/order/stageRow';
import type {
  BlockStart,
  LineNote,
  SheetVersion,
  SideWeight,
  Weighing,
  WeighingVoid,
} from '@/core/order/work';
import type { LessonRow } from '@/core/learning/lessons';
import type { YieldRow } from '@/core/yields/yieldRow';
import { animalRow, shareRow } from '../book';
import type { Database } from '../database';
import type { Entry } from '../ledger';
import type { LabelJob } from '../wrap';
import { writeLessons } from '../learning';
import { writeYields } from '../yields';

/** A weight transaction as it is written: its head and what it moves. */
export type Booked = {
  readonly entry: Entry & { readonly reversesId?: string };
  readonly postings: readonly Posting[];
};

/** Finished orders with everything that was ever written of them. */
export type History = {
  readonly people: readonly Person[];
  readonly animals: readonly Animal[];
  readonly sides: readonly Side[];
  readonly shares: readonly Share[];
  readonly transactions: readonly Booked[];
  readonly sideWeights: readonly SideWeight[];
  readonly sheets: readonly SheetVersion[];
  readonly starts: readonly { readonly start: BlockStart; readonly plan: Plan }[];
  readonly weighings: readonly Weighing[];
  readonly voids: readonly WeighingVoid[];
  readonly labels: readonly LabelJob[];
  readonly notes: readonly LineNote[];
  readonly closings: readonly Closing[];
  readonly payments: readonly Payment[];
  readonly pickUps: readonly PickUp[];
  readonly stages: readonly StageRow[];
  readonly yields: readonly YieldRow[];
  readonly lessons: readonly LessonRow[];
};

/** Rows of one statement: SQLite takes some thirty thousand values at once. */
const ROWS_AT_ONCE = 400;

async function insertAll(db: Database, table: string, rows: readonly object[]): Promise<void> {
  for (let start = 0; start < rows.length; start += ROWS_AT_ONCE) {
    await db(table).insert(rows.slice(start, start + ROWS_AT_ONCE));
  }
}

/**
 * Writes a history in one go, through the same guards as a day's work: every transaction is checked by the core and
 * sealed by the database.
 *
 * @throws UnbalancedTransactionError when a transaction does not add up to zero
 */
export async function writeHistory(db: Database, history: History): Promise<void> {
  await insertAll(db, 'people', history.people);
  await insertAll(db, 'animals', history.animals.map(animalRow));
  await insertAll(db, 'sides', history.sides);
  await insertAll(db, 'shares', history.shares.map(shareRow));
  await insertAll(
    db,
    'ledgerPostings',
    history.transactions.flatMap(({ entry, postings }) =>
      balanced(postings).map(({ kind, owner, weight }) => ({ transactionId: entry.id, kind, owner, weight })),
    ),
  );
  await insertAll(
    db,
    'ledgerTransactions',
    history.transactions.map(({ entry }) => ({ reversesId: null, ...entry })),
  );
  await insertAll(db, 'sideWeights', history.sideWeights);
  await insertAll(
    db,
    'sheets',
    history.sheets.map((version) => ({ ...version, sheet: JSON.stringify(version.sheet) })),
  );
  await insertAll(
    db,
    'blockStarts',
    history.starts.map(({ start }) => ({ ...start, estimate: JSON.stringify(start.estimate) })),
  );
  await insertAll(
    db,
    'plans',
    history.starts.map(({ start, plan }) => ({ shareId: start.shareId, plan: JSON.stringify(plan) })),
  );
  await insertAll(db, 'weighings', history.weighings);
  await insertAll(db, 'weighingVoids', history.voids);
  await insertAll(
    db,
    'labelJobs',
    history.labels.map((job) => ({ ...job, label: JSON.stringify(job.label) })),
  );
  await insertAll(db, 'lineNotes', history.notes);
  await insertAll(
    db,
    'closings',
    history.closings.map((closing) => ({ ...closing, bill: JSON.stringify(closing.bill) })),
  );
  await insertAll(db, 'payments', history.payments);
  await insertAll(db, 'pickUps', history.pickUps);
  await writeYields(db, history.yields);
  await writeLessons(db, history.lessons);
  await insertAll(db, 'shareStages', history.stages);
  await insertAll(
    db,
    'stageWords',
    history.stages.map(({ number, words }) => ({ rowid: number, words })),
  );
}
