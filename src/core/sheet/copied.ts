import { sheetAgain, type Again } from './again';
import type { Situation } from './situation';
import type { Sheet } from './types';

/**
 * A sheet given another one's answers, as far as they can be had on its carcass: all of them, or only some rows. Words for
 * the cutter are of one household and stay its own.
 *
 * @param rows - ids of decisions, `grind` among them; all when absent
 */
export function copiedSheet(from: Sheet, to: Sheet, situation: Situation, rows?: readonly string[]): Again {
  const { sheet, gone } = sheetAgain(from, situation);
  const own = { instructions: to.instructions, ...(to.offal ? { offal: to.offal } : {}) };
  if (!rows) return { sheet: { ...sheet, ...own }, gone };
  const wanted = new Set(rows);
  const answers = Object.fromEntries(Object.entries(sheet.answers).filter(([id]) => wanted.has(id)));
  const secondSide = Object.fromEntries(Object.entries(to.secondSide).filter(([id]) => !wanted.has(id)));
  return {
    sheet: {
      ...to,
      answers: { ...to.answers, ...answers },
      secondSide,
      ...(wanted.has('grind') ? { grind: sheet.grind } : {}),
    },
    gone: gone.filter(({ decision }) => wanted.has(decision)),
  };
}

/** A sheet with some rows as another one has them, on both sides; a row that the other leaves open is open. */
export function withRowsAs(sheet: Sheet, other: Sheet, rows: ReadonlySet<string>): Sheet {
  const mixed = (mine: Sheet['answers'], theirs: Sheet['answers']) => ({
    ...Object.fromEntries(Object.entries(mine).filter(([id]) => !rows.has(id))),
    ...Object.fromEntries(Object.entries(theirs).filter(([id]) => rows.has(id))),
  });
  return {
    ...sheet,
    answers: mixed(sheet.answers, other.answers),
    secondSide: mixed(sheet.secondSide, other.secondSide),
  };
}
