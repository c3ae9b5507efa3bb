import Joi from 'joi';
import { success } from '@/core/quantity/result';
import { writeReport } from '@/core/formats/reportCsv';
import type { WeighingUnit } from '@/core/quantity/weight';
import { dayIn } from '@/core/time/shopTime';
import {
  chargesOf,
  monthOfRow,
  summedBy,
  sumsOf,
  type Charges,
  type Summed,
  type Sums,
} from '@/core/yields/report';
import { readPriceLists, readShop } from '@/data/setUp';
import { billsClosed } from '@/data/settle';
import { yieldRowsOfYear, yieldYears } from '@/data/yields';
import { defineUseCase, OFFICE, type House } from '../house/useCase';

export type ReportView = {
  readonly unit: WeighingUnit;
  readonly sign: string;
  readonly year: number;
  /** Years with anything finished, the last first. */
  readonly years: readonly number[];
  readonly whole: Sums;
  readonly months: readonly Summed[];
  /** The month that is looked into, and its days with anything finished; empty where none is. */
  readonly month: string;
  readonly days: readonly Summed[];
  readonly species: readonly Summed[];
  readonly farms: readonly Summed[];
  readonly charges: Charges;
};

type Asked = { year?: number; month?: string };

const asked = {
  roles: OFFICE,
  writes: false,
  input: Joi.object({
    year: Joi.number().integer().min(1990).max(2200),
    month: Joi.string().pattern(/^\d{4}-\d{2}$/, 'a month'),
  }),
} as const;

/** A year by months: hung, packed, rates, charges by kind; by species and by farm. */
export const reportView = defineUseCase<Asked, ReportView>({
  ...asked,
  name: 'reportView',
  run: async (house, { year, month = '' }) => {
    const report = await reportOf(house, year);
    return success({ ...report, month, days: report.days.filter(({ of }) => of.startsWith(`${month}-`)) });
  },
});

/** The same as a table for a spreadsheet or a statistician. */
export const reportFileView = defineUseCase<Asked, { name: string; text: string }>({
  ...asked,
  name: 'reportFileView',
  run: async (house, { year }) => {
    const report = await reportOf(house, year);
    return success({ name: `year-${report.year}.csv`, text: writeReport(report) });
  },
});

async function reportOf(
  { db, now, catalogue }: House,
  asked: number | undefined,
): Promise<Omit<ReportView, 'month'>> {
  const { unit, zone } = await readShop(db);
  const years = await yieldYears(db);
  const year = asked ?? years[0] ?? Number(dayIn(zone, now).slice(0, 4));
  const rows = await yieldRowsOfYear(db, year);
  const bills = await billsClosed(db, year);
  const charged = bills.flatMap(({ at, bill }) => {
    const month = dayIn(zone, new Date(at)).slice(0, 7);
    // A deposit is paid, not charged; what the farm pays was charged as well.
    const lines = [...bill.lines, ...bill.farm].filter(({ basis }) => basis !== 'deposit');
    return lines.map(({ label, amount }) => ({ month, label, amount }));
  });
  const lists = await readPriceLists(db);
  const nameOf = (id: string) => catalogue.species.find((each) => each.id === id)?.name ?? id;
  return {
    ...{ unit, year, years },
    sign: lists.at(-1)?.sign ?? '',
    whole: sumsOf(rows),
    months: summedBy(rows, monthOfRow),
    days: summedBy(rows, ({ closedOn }) => closedOn),
    species: summedBy(rows, (row) => nameOf(row.species)),
    farms: summedBy(rows, (row) => row.farm),
    charges: chargesOf(charged.filter(({ month }) => month.startsWith(`${year}-`))),
  };
}
