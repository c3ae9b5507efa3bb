import { whoDid } from '@/core/block/handWork';
import { handsOf } from '@/core/block/hand';
import type { ShareId } from '@/core/order/animal';
import type { ShareFile } from '@/core/order/shareFile';
import { yieldRowOf, type YieldRow } from '@/core/yields/yieldRow';
import { lessonRowOf, minutesOf } from '@/core/learning/lessonRow';
import type { LessonRow } from '@/core/learning/lessons';
import { handWorkOf, stepMarksOf } from '@/data/block';
import type { Database } from '@/data/database';
import { writeLessons } from '@/data/learning';
import { readShareFile } from '@/data/rail';
import type { SetUps } from '@/data/setUp';
import { closedWithoutYield, writeYields } from '@/data/yields';
import { log } from '../house/log';

/** What a finished share gave, and what it taught. */
type Finished = { readonly row: YieldRow; readonly lessons: LessonRow };

async function finishedOf(db: Database, file: ShareFile, closedAt: Date): Promise<Finished> {
  const leadId = file.together[0]!.id;
  const [said, marks] = [await handWorkOf(db, leadId), await stepMarksOf(db, leadId)];
  const hands = said.length + marks.length === 0 ? [] : handsOf(file);
  const cutters = hands.flatMap((hand) => whoDid(said, marks, hand.id).get('cut') ?? []);
  const steps = marks.map(({ at }) => new Date(at));
  const lessons = lessonRowOf(file, closedAt, steps);
  const done = { cutterId: cutters[0] ?? '', minutes: minutesOf(lessons) };
  return { row: yieldRowOf(file, closedAt, done), lessons };
}

async function write(db: Database, finished: readonly Finished[]): Promise<void> {
  await writeYields(
    db,
    finished.map(({ row }) => row),
  );
  await writeLessons(
    db,
    finished.map(({ lessons }) => lessons),
  );
}

/** Writes what a share gave and what it taught, as its file is closed. */
export async function writeFinished(db: Database, file: ShareFile, closedAt: Date): Promise<void> {
  await write(db, [await finishedOf(db, file, closedAt)]);
}

/** Shares that are worked out between two commits. */
const AT_A_TIME = 50;

/** Works out what is missing of the finished shares; one that cannot be worked out holds up no other. @returns how many */
export async function completeYields(db: Database, setUps: SetUps): Promise<number> {
  const missing = await closedWithoutYield(db);
  let done = 0;
  for (let start = 0; start < missing.length; start += AT_A_TIME) {
    const rows: Finished[] = [];
    for (const shareId of missing.slice(start, start + AT_A_TIME)) {
      const row = await freshly(db, setUps, shareId);
      if (row) rows.push(row);
    }
    await write(db, rows);
    done += rows.length;
  }
  return done;
}

async function freshly(db: Database, setUps: SetUps, shareId: ShareId): Promise<Finished | undefined> {
  try {
    const file = await readShareFile(db, setUps, shareId);
    return file?.closing && (await finishedOf(db, file, new Date(file.closing.at)));
  } catch (error) {
    log().error({ error, shareId }, 'what a share gave cannot be worked out');
    return undefined;
  }
}
