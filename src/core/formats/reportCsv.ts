import { formatWeight, type WeighingUnit } from '../quantity/weight';
import type { Charges, Summed } from '../yields/report';
import type { Pooled } from '../yields/rates';
import { writeCsv } from './csv';

/** What a year of the shop came to, as it is written. */
export type YearFigures = {
  readonly unit: WeighingUnit;
  readonly months: readonly Summed[];
  readonly days: readonly Summed[];
  readonly species: readonly Summed[];
  readonly farms: readonly Summed[];
  readonly charges: Charges;
};

/**
 * A year as CSV, one figure a row: by month, day, species or farm, what it is, its unit and its value. What was not weighed or
 * marked has no row.
 */
export function writeReport({ unit, months, days, species, farms, charges }: YearFigures): string {
  const rows = [
    ...sums('month', months, unit),
    ...sums('day', days, unit),
    ...sums('species', species, unit),
    ...sums('farm', farms, unit),
    ...charges.kinds.flatMap(({ label, amounts }) =>
      charges.months.map((of, at) =>
        row('month', of, { what: label, unit: 'money', value: money(amounts[at]!) }),
      ),
    ),
  ];
  return writeCsv(['by', 'of', 'what', 'unit', 'value'], rows);
}

type Figure = { readonly what: string; readonly unit: string; readonly value: string };

function sums(by: string, summed: readonly Summed[], unit: WeighingUnit) {
  return summed.flatMap(
    ({ of, sums: { shares, animals, packs, hot, packed, packedOnHot, unaccounted, minutes } }) => {
      const figures: Figure[] = [
        { what: 'animals', unit: 'count', value: String(animals) },
        { what: 'shares', unit: 'count', value: String(shares) },
        { what: 'packs', unit: 'count', value: String(packs) },
        { what: 'hung hot', unit, value: formatWeight(hot, 3) },
        { what: 'packed', unit, value: formatWeight(packed, 3) },
        ...percent('packed on hot', packedOnHot),
        ...percent('unaccounted on hot', unaccounted),
        ...(['block', 'wrap'] as const).flatMap((task) =>
          minutes[task].of === 0 ? [] : [{ what: task, unit: 'minutes', value: String(minutes[task].sum) }],
        ),
      ];
      return figures.map((figure) => row(by, of, figure));
    },
  );
}

function percent(what: string, { pct }: Pooled): Figure[] {
  return pct === null ? [] : [{ what, unit: 'percent', value: pct.toFixed(2) }];
}

function row(by: string, of: string, { what, unit, value }: Figure) {
  return { by, of, what, unit, value };
}

function money(cents: number): string {
  return (cents / 100).toFixed(2);
}
