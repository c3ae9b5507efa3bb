import { forecast } from '../forecast/forecast';
import { houseAnswer, houseGrind, withAnswer } from '../sheet/houseSheet';
import { decisionsAsked, type Job } from '../sheet/situation';
import type { Sheet } from '../sheet/types';
import { findingsOf, type Finding } from './findings';

/** A sheet with the house's way where it was open, and which rows that changed. */
export type HouseTaken = {
  readonly sheet: Sheet;
  /** Ids of decisions, in cutting order; `grind` at the end when the grind was open. */
  readonly rows: readonly string[];
  /** What is open all the same. */
  readonly open: readonly Finding[];
};

/**
 * Takes the house's way for every row that keeps a sheet from the floor, and leaves the others as they were answered. A
 * row that holds what an open one needs follows only when the house's answer to the open one is not enough.
 */
export function houseWhereOpen(job: Job): HouseTaken {
  const { situation, coldSides } = job;
  const order = [...decisionsAsked(situation).map(({ id }) => id), 'grind'];
  const taken = new Set<string>();
  let sheet = job.sheet;
  let open = blocking({ ...job, sheet });
  while (open.length > 0) {
    const before = taken.size;
    for (const { decision } of open) if (order.includes(decision)) taken.add(decision);
    if (taken.size === before) {
      for (const { holder } of open) if (holder !== undefined) taken.add(holder);
    }
    if (taken.size === before) break;
    sheet = [...taken].reduce((made, row) => withHouse(made, row, job), job.sheet);
    open = blocking({ situation, sheet, coldSides });
  }
  return { sheet, rows: order.filter((row) => taken.has(row)), open };
}

function blocking(job: Job): Finding[] {
  const expected = forecast(job.situation, job.sheet, job.coldSides);
  return findingsOf(job, expected).filter((finding) => finding.blocks);
}

function withHouse(sheet: Sheet, row: string, { situation }: Job): Sheet {
  if (row === 'grind') return { ...sheet, grind: houseGrind(situation) };
  const decision = decisionsAsked(situation).find(({ id }) => id === row)!;
  const { [row]: _, ...secondSide } = sheet.secondSide;
  return { ...withAnswer(sheet, row, houseAnswer(decision, situation)), secondSide };
}
