import type { Label } from '@/core/label/label';
import type { Database } from '../database';

/** A label to be printed. It is written with its package and printed after; what is not printed waits. */
export type LabelJob = {
  readonly id: string;
  readonly weighingId: string;
  /** 1 for the first label of a package, more for reprints. */
  readonly copy: number;
  readonly clientId: string;
  readonly label: Label;
  /** Where the printed label can be looked at; null until it is printed. */
  readonly file: string | null;
  readonly at: string;
};

function fromRow(row: Omit<LabelJob, 'label'> & { label: string }): LabelJob {
  return { ...row, label: JSON.parse(row.label) };
}

/** The labels of a package, the first label first. */
export async function labelJobsOf(db: Database, weighingId: string): Promise<LabelJob[]> {
  return (await db('labelJobs').where({ weighingId }).orderBy('copy')).map(fromRow);
}

/** The printed first label of each package of a share, by weighing. */
export async function labelFilesOfShare(db: Database, shareId: string): Promise<Map<string, string>> {
  const rows: { weighingId: string; file: string }[] = await db('labelJobs')
    .join('weighings', 'weighings.id', 'labelJobs.weighingId')
    .where({ 'weighings.shareId': shareId, copy: 1 })
    .whereNotNull('file')
    .select('weighingId', 'file');
  return new Map(rows.map((row) => [row.weighingId, row.file]));
}

/** Labels that wait for the printer, the oldest first. */
export async function unprintedJobs(db: Database): Promise<LabelJob[]> {
  return (await db('labelJobs').whereNull('file').orderBy('rowid')).map(fromRow);
}

export async function writeLabelJob(db: Database, job: LabelJob): Promise<void> {
  await db('labelJobs').insert({ ...job, label: JSON.stringify(job.label) });
}

export async function markPrinted(db: Database, id: string, file: string): Promise<void> {
  await db('labelJobs').where({ id }).update({ file });
}
