import type { ShareId } from '../order/animal';
import { waitsForAnswers, type StageRow } from '../order/stageRow';
import { dayIn, daysAfter, daysBetween, type Day } from '../time/shopTime';
import type { ShopDay } from './tasks';

/** A household to be called about its sheet, and until when its answer is needed. */
export type CallDue = {
  readonly row: StageRow;
  readonly answerBy: Day;
  /** Whole days until then; below zero it is late. */
  readonly daysLeft: number;
  /** It sent its sheet, which nobody has read back to it yet. */
  readonly sent: boolean;
};

/**
 * Everybody who has to be called, the most urgent first: what was done otherwise on the block, which is told at once;
 * before the block no sheet yet, rows open, wishes that are in doubt, a promise that no longer holds, a sheet that they
 * sent.
 *
 * @param sent - shares whose household has sent its sheet and was not answered yet
 */
export function callsDue(
  rows: readonly StageRow[],
  day: Pick<ShopDay, 'now' | 'zone' | 'sheetDays'>,
  sent: ReadonlySet<ShareId>,
): CallDue[] {
  const today = dayIn(day.zone, day.now);
  return rows
    .filter(
      (row) =>
        isOtherwise(row) ||
        (isBeforeBlock(row) && (waitsForAnswers(row) || row.doubts > 0 || sent.has(row.shareId))),
    )
    .map((row) => {
      const answerBy = row.onBlock ? today : daysAfter(row.targetDay, -day.sheetDays);
      const daysLeft = daysBetween(today, answerBy);
      return { row, answerBy, daysLeft, sent: sent.has(row.shareId) };
    })
    .sort((a, b) => a.daysLeft - b.daysLeft || a.row.number - b.row.number);
}

/** Something of it was done otherwise on the block: it is being cut, and the household knows nothing of it. */
function isOtherwise({ onBlock, broken, doubts }: StageRow): boolean {
  return broken === '' && onBlock && doubts > 0;
}

function isBeforeBlock({ stage, onBlock, broken }: StageRow): boolean {
  return broken === '' && !onBlock && ['book', 'hang', 'sheet', 'wrap'].includes(stage);
}
