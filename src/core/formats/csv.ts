import Papa from 'papaparse';
import { failure, success, type Failure, type Result } from '../quantity/result';

export type Row = Readonly<Record<string, string>>;

/** A table as CSV: a header, a comma between fields, quotes where a field needs them, a line feed after each row. */
export function writeCsv(columns: readonly string[], rows: readonly Row[]): string {
  const table = rows.map((row) => columns.map((column) => row[column] ?? ''));
  return `${Papa.unparse({ fields: [...columns], data: table }, { newline: '\n' })}\n`;
}

/**
 * Reads a CSV table with a header; columns may come in any order, and others are passed over.
 *
 * @returns the rows, or what is wrong with the file and where
 */
export function readCsv(text: string, columns: readonly string[]): Result<Row[], 'invalid'> {
  const { data, errors, meta } = Papa.parse<Row>(text, { header: true, skipEmptyLines: 'greedy' });
  const [error] = errors.filter((each) => each.code !== 'UndetectableDelimiter');
  if (error) return invalid(`row ${(error.row ?? 0) + 2}`, error.message);
  const missing = columns.filter((column) => !meta.fields?.includes(column));
  if (missing.length > 0) return invalid('header', `These columns are missing: ${missing.join(', ')}.`);
  return success(data);
}

function invalid(field: string, message: string): Failure<'invalid'> {
  return failure('invalid', message, field);
}

/** A number of a field, or the problem with it. `row` counts from the first row after the header. */
export function numberField(row: Row, column: string, at: number): Result<number, 'invalid'> {
  const text = (row[column] ?? '').trim();
  const value = Number(text);
  if (text !== '' && Number.isFinite(value)) return success(value);
  return invalid(`row ${at + 2}, ${column}`, `"${text}" is not a number.`);
}
