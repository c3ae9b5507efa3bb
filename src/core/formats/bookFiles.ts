import type { WeighingUnit } from '../quantity/weight';

/** A table of the shop's book as it is given away. */
export type BookTable = {
  readonly name: string;
  readonly columns: readonly { readonly name: string; readonly kind: string }[];
  readonly rows: number;
  /** The last row that is given: what is written while the file is made is not in it. */
  readonly upTo: number;
};

export type BookFacts = {
  readonly shop: string;
  readonly unit: WeighingUnit;
  readonly taken: string;
  readonly tables: readonly BookTable[];
};

/** Private links are written in messages: whoever reads the book must not open a household's page with it. */
const PRIVATE_LINK = /\/mine\/[\w-]{20,}/g;

/** A row as a line of JSON; what was stored as JSON is no longer a string in a string. */
export function bookLine(row: Readonly<Record<string, unknown>>): string {
  const said = Object.entries(row).map(([name, value]) => [name, opened(value)]);
  return `${JSON.stringify(Object.fromEntries(said))}\n`;
}

function opened(value: unknown): unknown {
  if (value instanceof Uint8Array) return Buffer.from(value).toString('base64');
  if (typeof value !== 'string') return value;
  const words = value.replaceAll(PRIVATE_LINK, '/mine/…');
  if (!/^[[{]/.test(words)) return words;
  try {
    return JSON.parse(words);
  } catch {
    return words;
  }
}

/** What each file holds, for programs: names of columns with how they are stored. */
export function bookSchema({ shop, unit, taken, tables }: BookFacts): string {
  const files = tables.map(({ name, columns, rows }) => ({ file: `${name}.jsonl`, rows, columns }));
  return `${JSON.stringify({ format: 'fractum.book', version: 1, shop, unit, taken, files }, null, 2)}\n`;
}

/** What is in the file, for people. */
export function bookReadme({ shop, unit, taken, tables }: BookFacts): string {
  const list = tables.map(({ name, rows }) => `- ${name}.jsonl: ${rows} rows`).join('\n');
  return `# The book of ${shop}

Everything that was written down, as of ${taken}. One file a table, one row a line, each line JSON in UTF-8; schema.json
names the columns.

- Weights are whole thousandths of a ${unit}: 1290 is 1.290 ${unit}. Money is whole cents.
- Times are ISO 8601 in UTC, days are of the shop's calendar.
- shareId, animalId and sideId join the tables; ledgerPostings of one transactionId add up to zero.
- Photographs are JPEG in base64.
- Passwords, sessions and private links are left out: nobody can sign in with this file.
- shareStages, yields and lessons are worked out from the rest.

${list}
`;
}
