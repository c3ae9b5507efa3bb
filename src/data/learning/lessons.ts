import type { LessonRow } from '@/core/learning/lessons';
import type { ShareId } from '@/core/order/animal';
import type { Instant } from '@/core/time/shopTime';
import type { Database } from '../database';
import { writeProjection } from '../projection';

/** How lessons are worked out; another number makes all of them anew at the next start. */
export const LESSONS_VERSION = 1;

/** A shop's hand of some years ago says nothing of today's: so many finished shares of a species are learnt from. */
const MOST_LEARNT_FROM = 400;

/** A share is left out of the learning, or taken in again. */
export type LearningChoice = {
  readonly clientId: string;
  readonly shareId: ShareId;
  readonly leftOut: boolean;
  readonly reason: string;
  readonly at: Instant;
  readonly actorId: string;
};

/** Writes what finished shares taught, in place of what was worked out before. */
export async function writeLessons(db: Database, rows: readonly LessonRow[]): Promise<void> {
  await writeProjection(db, { table: 'lessons', version: LESSONS_VERSION }, rows);
}

/**
 * What the last finished shares of a species taught, the last closed first; what is left out, and what made-up animals of
 * a sample would teach, is not among them.
 */
export async function learntRows(db: Database, species: string): Promise<LessonRow[]> {
  const leftOut = [...(await choicesOfLearning(db)).values()]
    .filter((choice) => choice.leftOut)
    .map(({ shareId }) => shareId);
  const samples = db('shares')
    .whereIn('animalId', db('animals').where({ sample: true }).select('id'))
    .select('id');
  const rows: { row: string }[] = await db('lessons')
    .where({ species })
    .whereNotIn('shareId', leftOut)
    .whereNotIn('shareId', samples)
    .orderBy([{ column: 'closedOn', order: 'desc' }, { column: 'shareId' }])
    .limit(MOST_LEARNT_FROM)
    .select('row');
  return rows.map(({ row }) => JSON.parse(row));
}

/** What was last said of each share whether it is learnt from. */
export async function choicesOfLearning(db: Database): Promise<ReadonlyMap<string, LearningChoice>> {
  const rows = await db('learningChoices').orderBy('number');
  return new Map(
    rows.map(({ number: _number, ...row }) => [row.shareId, { ...row, leftOut: Boolean(row.leftOut) }]),
  );
}

export async function writeLearningChoice(db: Database, choice: LearningChoice): Promise<void> {
  await db('learningChoices').insert(choice);
}

/** Changes whenever a share teaches, or is left out; it costs the same however long the history is. */
export async function learningMark(db: Database): Promise<string> {
  const lessons = await db('lessons').max({ last: 'rowid' }).first();
  const choices = await db('learningChoices').max({ last: 'number' }).first();
  return `${lessons?.['last'] ?? 0} ${choices?.['last'] ?? 0}`;
}
