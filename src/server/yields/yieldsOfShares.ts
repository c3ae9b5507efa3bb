import { whoDid } from '@/core/block/handWork';
import { handsOf } from '@/core/block/hand';
import type { ShareId } from '@/core/order/animal';
import type { ShareFile } from '@/core/order/shareFile';
import { yieldRowOf, type YieldRow } from '@/core/yields/yieldRow';
import { handWorkOf, stepMarksOf } from '@/data/block';
import type { Database } from '@/data/database';
import { readShareFile } from '@/data/rail';
import type { SetUps } from '@/data/setUp';
import { closedWithoutYield, writeYields } from '@/data/yields';
import { log } from '../house/log';

/** What a share gave, as its file is closed, with who cut it. */
export async function yieldOf(db: Database, file: ShareFile, closedAt: Date): Promise<YieldRow> {
  const leadId = file.together[0]!.id;
  const [said, marks] = [await handWorkOf(db, leadId), await stepMarksOf(db, leadId)];
  const hands = said.length + marks.length === 0 ? [] : handsOf(file);
  const cutters = hands.flatMap((hand) => whoDid(said, marks, hand.id).get('cut') ?? []);
  return yieldRowOf(file, closedAt, cutters[0] ?? '');
}

/** Shares that are worked out between two commits. */
const AT_A_TIME = 50;

/** Works out what is missing of the finished shares; one that cannot be worked out holds up no other. @returns how many */
export async function completeYields(db: Database, setUps: SetUps): Promise<number> {
  const missing = await closedWithoutYield(db);
  let done = 0;
  for (let start = 0; start < missing.length; start += AT_A_TIME) {
    const rows: YieldRow[] = [];
    for (const shareId of missing.slice(start, start + AT_A_TIME)) {
      const row = await freshYield(db, setUps, shareId);
      if (row) rows.push(row);
    }
    await writeYields(db, rows);
    done += rows.length;
  }
  return done;
}

async function freshYield(db: Database, setUps: SetUps, shareId: ShareId): Promise<YieldRow | undefined> {
  try {
    const file = await readShareFile(db, setUps, shareId);
    return file?.closing && (await yieldOf(db, file, new Date(file.closing.at)));
  } catch (error) {
    log().error({ error, shareId }, 'what a share gave cannot be worked out');
    return undefined;
  }
}
