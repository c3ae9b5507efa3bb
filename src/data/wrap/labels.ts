import type { Label } from '@/core/label/label';
import type { ShareId } from '@/core/order/animal';
import type { WeighingId } from '@/core/order/work';
import type { Database } from '../database';

/** A label to be printed. It is written with its package and printed after; what is not printed waits. */
export type LabelJob = {
  readonly id: string;
  readonly weighingId: WeighingId;
  /** 1 for the first label of a package, more for reprints. */
  readonly copy: number;
  readonly clientId: string;
  readonly label: Label;
  /** Where the printer has put it; null until it is printed. */
  readonly file: string | null;
  readonly at: string;
};

export type WaitingJob = LabelJob & { readonly attempts: number };

function fromRow<Job extends LabelJob>(row: Omit<Job, 'label'> & { label: string }): Job {
  return { ...row, label: JSON.parse(row.label) } as unknown as Job;
}

/** The labels of a package, the first label first. */
export async function labelJobsOf(db: Database, weighingId: WeighingId): Promise<LabelJob[]> {
  const rows = await db('labelJobs').where({ weighingId }).orderBy('copy');
  return rows.map((row) => fromRow<LabelJob>(row));
}

export async function labelJob(
  db: Database,
  weighingId: WeighingId,
  copy: number,
): Promise<LabelJob | undefined> {
  const row = await db('labelJobs').where({ weighingId, copy }).first();
  return row && fromRow(row);
}

/** Which packages of a share have their first label printed. */
export async function printedOfShare(db: Database, shareId: ShareId): Promise<ReadonlySet<WeighingId>> {
  const rows: { weighingId: WeighingId }[] = await db('labelJobs')
    .join('weighings', 'weighings.id', 'labelJobs.weighingId')
    .where({ 'weighings.shareId': shareId, copy: 1 })
    .whereNotNull('file')
    .select('weighingId');
  return new Set(rows.map((row) => row.weighingId));
}

/** Labels that are to be printed: not those of packs taken back, nor those set aside. */
function waitingJobs(db: Database) {
  return db('labelJobs')
    .whereNull('file')
    .whereNull('setAsideAt')
    .whereNotExists(
      db('weighingVoids').select(db.raw('1')).whereRaw('weighingVoids.weighingId = labelJobs.weighingId'),
    );
}

/**
 * The label to print next: of those that failed least, the one that has waited longest. Labels of packs taken back, and
 * those set aside, wait for nothing.
 *
 * @param except - ids that are not to be tried now
 */
export async function nextWaitingJob(
  db: Database,
  except: readonly string[],
): Promise<WaitingJob | undefined> {
  const row = await waitingJobs(db)
    .whereNotIn('id', [...except])
    .orderBy(['attempts', 'at'])
    .orderBy('rowid')
    .first();
  return row && fromRow(row);
}

export async function writeLabelJob(db: Database, job: LabelJob): Promise<void> {
  await db('labelJobs').insert({ ...job, label: JSON.stringify(job.label) });
}

export async function markPrinted(db: Database, id: string, file: string): Promise<void> {
  await db('labelJobs').where({ id }).update({ file, problem: '' });
}

/** Notes that a label could not be printed; `setAsideAt` when it is not tried again. */
export async function noteFailure(
  db: Database,
  { id }: Pick<LabelJob, 'id'>,
  { problem, setAsideAt }: { problem: string; setAsideAt: string | null },
): Promise<void> {
  await db('labelJobs').where({ id }).update({ problem, setAsideAt }).increment('attempts', 1);
}

/** How many labels wait for the printer, and what it said when it was tried last; empty while it has said nothing. */
export async function labelsWaiting(db: Database): Promise<{ waiting: number; trouble: string }> {
  const [counted] = await waitingJobs(db).count({ all: '*' });
  const waiting = Number(counted!.all);
  const tried = await waitingJobs(db).whereNot('problem', '').first('problem');
  return { waiting, trouble: tried?.problem ?? '' };
}

/** How many labels wait for the printer, and how many were set aside. */
export async function labelBacklog(db: Database): Promise<{ waiting: number; setAside: number }> {
  const [waiting] = await waitingJobs(db).count({ all: '*' });
  const [setAside] = await db('labelJobs').whereNotNull('setAsideAt').whereNull('file').count({ all: '*' });
  return { waiting: Number(waiting!.all), setAside: Number(setAside!.all) };
}
