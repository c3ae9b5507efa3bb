import { formatWeight, type Weight, type WeighingUnit } from '../quantity/weight';
import { RATES, rateOf, type RateId } from '../yields/rates';
import { PACKED, WENT, type YieldRow } from '../yields/yieldRow';
import { writeCsv } from './csv';

const FACTS = [
  'name',
  'tag',
  'farm',
  'species',
  'type',
  'school',
  'boneState',
  'part',
  'closedOn',
  'daysHung',
] as const satisfies readonly (keyof YieldRow)[];

const RATE_IDS = Object.keys(RATES) as RateId[];
/** `packed-hot` as a statistician names a column. */
const columnOf = (id: string) => `${id.replaceAll('-', '_')}_pct`;

/**
 * Finished shares as CSV, one a row: facts, weights with the unit in the name of the column, rates in percent. What was
 * not weighed is an empty field, never zero.
 */
export function writeYields(rows: readonly YieldRow[], unit: WeighingUnit): string {
  const weights = (row: YieldRow): [string, Weight | null][] => [
    ['live', row.live],
    ['hot', row.hot],
    ['cold', row.cold],
    ...PACKED.map((part): [string, Weight] => [`packed_${part}`, row.packed[part]]),
    ...WENT.map((part): [string, Weight] => [part, row.went[part]]),
    ['forecast', row.forecast.takeHome],
    ['forecast_low', row.forecast.low],
    ['forecast_high', row.forecast.high],
  ];
  const fields = (row: YieldRow): Record<string, string> => ({
    ...Object.fromEntries(FACTS.map((fact) => [fact, String(row[fact])])),
    fatness: row.fatness === null ? '' : String(row.fatness),
    packs: String(row.packs),
    ...Object.fromEntries(
      weights(row).map(([name, weight]) => [
        `${name}_${unit}`,
        weight === null ? '' : formatWeight(weight, 3),
      ]),
    ),
    ...Object.fromEntries(RATE_IDS.map((id) => [columnOf(id), rateOf(row, id)?.toFixed(2) ?? ''])),
  });
  const written = rows.map(fields);
  return writeCsv(columns(unit), written);
}

function columns(unit: WeighingUnit): string[] {
  const weights = ['live', 'hot', 'cold', ...PACKED.map((part) => `packed_${part}`), ...WENT];
  return [
    ...FACTS,
    'fatness',
    'packs',
    ...[...weights, 'forecast', 'forecast_low', 'forecast_high'].map((name) => `${name}_${unit}`),
    ...RATE_IDS.map(columnOf),
  ];
}
