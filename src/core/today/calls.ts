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
 * Everybody who has to be called before the block, the most urgent first: no sheet yet, rows open, wishes that are in
 * doubt, a promise that no longer holds, a sheet that they sent.
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
    .filter((row) => isBeforeBlock(row) && (waitsForAnswers(row) || row.doubts > 0 || sent.has(row.shareId)))
    .map((row) => {
      const answerBy = daysAfter(row.targetDay, -day.sheetDays);
      const daysLeft = daysBetween(today, answerBy);
      return { row, answerBy, daysLeft, sent: sent.has(row.shareId) };
    })
    .sort((a, b) => a.daysLeft - b.daysLeft || a.row.number - b.row.number);
}

function isBeforeBlock({ stage, onBlock, broken }: StageRow): boolean {
  return broken === '' && !onBlock && ['book', 'hang', 'sheet', 'wrap'].includes(stage);
}
