import type { OrderDocument, ShareDocument } from '../order/document';
import { success, type FieldProblem, type Result } from '../quantity/result';
import type { WeighingUnit } from '../quantity/weight';
import { readCsv, writeCsv, type Row } from './csv';

/** Columns that a file of bookings must have: a row for each share. */
const NEEDED = ['farm', 'tag', 'species', 'kill_day', 'part', 'household'] as const;
/** Columns that it may have. */
const MORE = [
  'farm_phone',
  'sex',
  'status',
  'percent',
  'phone',
  'email',
  'deposit',
  'payer',
  'contact',
  'sheet',
] as const;

export const BOOKING_COLUMNS: readonly string[] = [...NEEDED, ...MORE];

/** Where in the documents a cell of the table went: the place of its problems, and back. */
export type ReadBookings = {
  readonly rows: readonly Row[];
  readonly documents: readonly OrderDocument[];
  /** What can be seen to be wrong without the shop's data; the place is `row.column`, rows from 0. */
  readonly wrong: readonly FieldProblem[];
  /** The cell that a field of the documents stands in: `documents.0.shares.1.owner.name` is `1.household`. */
  readonly cellOf: (field: string) => string | undefined;
};

/** What a column is called in a document. */
const FIELDS: Readonly<Record<string, string>> = {
  farm: 'farm.name',
  farm_phone: 'farm.phone',
  tag: 'animal.tag',
  species: 'animal.species',
  sex: 'animal.sex',
  status: 'animal.inspection',
  kill_day: 'animal.killDate',
  part: 'part',
  percent: 'sharePct',
  household: 'owner.name',
  phone: 'owner.phone',
  email: 'owner.email',
  deposit: 'deposit',
  payer: 'payer.name',
  contact: 'contact.name',
};

const OF_ANIMAL = ['farm', 'farm_phone', 'species', 'sex', 'status', 'kill_day'] as const;

/**
 * Reads many bookings from a table, a row for each share; rows of one tag are one animal. A row whose household is
 * empty is not sold yet. The whole table is read before anything is said, so that each wrong cell can be marked.
 */
export function readBookingsCsv(text: string, unit: WeighingUnit): Result<ReadBookings, 'invalid'> {
  const table = readCsv(text, [...NEEDED]);
  if (!table.ok) return table;
  const rows = table.value;
  const tags = [...new Set(rows.map((row) => cell(row, 'tag')))];
  const wrong = rows.flatMap((row, at) => rowProblems(rows, row, at));
  const documents = tags.map((tag) =>
    documentOf(
      rows.filter((row) => cell(row, 'tag') === tag),
      unit,
    ),
  );
  const places = new Map<string, string>();
  tags.forEach((tag, animal) => {
    const own = rows.flatMap((row, at) => (cell(row, 'tag') === tag ? [{ row, at }] : []));
    for (const column of ['tag', ...OF_ANIMAL])
      places.set(`documents.${animal}.${FIELDS[column]}`, `${own[0]!.at}.${column}`);
    places.set(`documents.${animal}.shares`, `${own[0]!.at}.part`);
    own
      .filter(({ row }) => cell(row, 'household') !== '')
      .forEach(({ at }, share) => {
        for (const column of BOOKING_COLUMNS) {
          const field = FIELDS[column];
          const ofShare = field && column !== 'tag' && !OF_ANIMAL.some((each) => each === column);
          if (ofShare) places.set(`documents.${animal}.shares.${share}.${field}`, `${at}.${column}`);
        }
      });
  });
  return success({ rows, documents, wrong, cellOf: (field) => places.get(field) });
}

function cell(row: Row, column: string): string {
  return (row[column] ?? '').trim();
}

/** Empty cells that must not be, numbers that are none, and an animal that is said two ways. */
function rowProblems(rows: readonly Row[], row: Row, at: number): FieldProblem[] {
  const empty = (['farm', 'tag', 'species', 'kill_day', 'part'] as const)
    .filter((column) => cell(row, column) === '')
    .map((column) => ({ field: `${at}.${column}`, message: 'is empty' }));
  const numbers = (['percent', 'deposit'] as const)
    .filter((column) => cell(row, column) !== '' && !Number.isFinite(Number(cell(row, column))))
    .map((column) => ({ field: `${at}.${column}`, message: `"${cell(row, column)}" is no number` }));
  const first = rows.find((each) => cell(each, 'tag') === cell(row, 'tag'))!;
  const other = OF_ANIMAL.filter(
    (column) => cell(row, column) !== '' && cell(row, column) !== cell(first, column),
  ).map((column) => ({
    field: `${at}.${column}`,
    message: `${cell(row, 'tag')} was "${cell(first, column)}" before`,
  }));
  return [...empty, ...numbers, ...other];
}

function documentOf(rows: readonly Row[], unit: WeighingUnit): OrderDocument {
  const first = rows[0]!;
  const sold = rows.filter((row) => cell(row, 'household') !== '');
  const unsold = rows.filter((row) => cell(row, 'household') === '');
  return {
    format: 'fractum.order',
    version: 1,
    unit,
    farm: { name: cell(first, 'farm'), ...said(first, 'farm_phone', 'phone') },
    animal: {
      tag: cell(first, 'tag'),
      species: cell(first, 'species').toLowerCase(),
      killDate: cell(first, 'kill_day'),
      inspection: (cell(first, 'status') || 'custom-exempt') as 'custom-exempt',
      ...said(first, 'sex', 'sex'),
    },
    shares: sold.map(shareOf),
    ...(unsold.length > 0 ? { unsold: unsold.map((row) => ({ part: partOf(row), ...percentOf(row) })) } : {}),
  };
}

function said<Key extends string>(row: Row, column: string, key: Key): Partial<Record<Key, string>> {
  const text = cell(row, column);
  return text === '' ? {} : ({ [key]: text } as Record<Key, string>);
}

function partOf(row: Row): ShareDocument['part'] {
  return cell(row, 'part').toLowerCase().replace(/\s+/g, '-') as ShareDocument['part'];
}

function numberOf(text: string): number {
  return (Number.isFinite(Number(text)) ? Number(text) : text) as number;
}

function percentOf(row: Row): { sharePct?: number } {
  const text = cell(row, 'percent');
  return text === '' || Number(text) === 100 ? {} : { sharePct: numberOf(text) };
}

function shareOf(row: Row): ShareDocument {
  const deposit = cell(row, 'deposit');
  return {
    part: partOf(row),
    ...percentOf(row),
    owner: { name: cell(row, 'household'), ...said(row, 'phone', 'phone'), ...said(row, 'email', 'email') },
    ...(cell(row, 'payer') ? { payer: { name: cell(row, 'payer') } } : {}),
    ...(cell(row, 'contact') ? { contact: { name: cell(row, 'contact') } } : {}),
    ...(deposit === '' ? {} : { deposit: numberOf(deposit) }),
    ...(cell(row, 'sheet').toLowerCase() === 'house' ? { sheet: { houseForTheRest: true } } : {}),
  };
}

/** Orders as such a table; of their sheets only whether they begin with the house's. */
export function writeBookingsCsv(documents: readonly OrderDocument[]): string {
  const rows = documents.flatMap(({ farm, animal, shares, unsold = [] }) => {
    const own = {
      farm: farm.name,
      farm_phone: farm.phone ?? '',
      tag: animal.tag,
      species: animal.species,
      sex: animal.sex ?? '',
      status: animal.inspection,
      kill_day: animal.killDate,
    };
    const sold = shares.map((share): Row => ({
      ...own,
      part: share.part,
      percent: share.sharePct === undefined ? '' : String(share.sharePct),
      household: share.owner.name,
      phone: share.owner.phone ?? '',
      email: share.owner.email ?? '',
      deposit: share.deposit === undefined ? '' : String(share.deposit),
      payer: share.payer?.name ?? '',
      contact: share.contact?.name ?? '',
      sheet: share.sheet?.houseForTheRest ? 'house' : '',
    }));
    const free = unsold.map(({ part, sharePct }): Row => ({
      ...own,
      part,
      percent: sharePct === undefined ? '' : String(sharePct),
    }));
    return [...sold, ...free];
  });
  return writeCsv(BOOKING_COLUMNS, rows);
}
