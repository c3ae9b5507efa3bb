import isSame from 'fast-deep-equal';
import type { Sheet } from './types';

/** A row that two people answered otherwise at the same time: `answers.ham`, `grind`, `keeps.suet`. */
export type RowClash = { readonly row: string };

export type Merged = {
  /** Rows of both; where they clash, mine. */
  readonly sheet: Sheet;
  readonly clashes: readonly RowClash[];
};

const RECORDS = ['answers', 'secondSide', 'keeps'] as const;
const WHOLES = ['grind', 'wrap', 'instructions', 'offal'] as const;

/**
 * Two sheets that began as one, row by row: what only one of them changed is as that one says. Rows that both changed,
 * and not to the same, clash and are mine until somebody is asked.
 *
 * @param base - the sheet that both began with
 */
export function mergeSheets(base: Sheet, mine: Sheet, theirs: Sheet): Merged {
  const clashes: RowClash[] = [];
  const choose = <T>(row: string, [was, one, other]: readonly [T, T, T]): T => {
    if (isSame(one, was)) return other;
    if (!isSame(other, was) && !isSame(one, other)) clashes.push({ row });
    return one;
  };
  const rowsOf = (name: (typeof RECORDS)[number]): [string, unknown] => {
    const rows = [...new Set([base, mine, theirs].flatMap((sheet) => Object.keys(sheet[name])))];
    const chosen = rows.map((row): [string, unknown] => [
      row,
      choose<unknown>(`${name}.${row}`, [base[name][row], mine[name][row], theirs[name][row]]),
    ]);
    return [name, withoutNothing(chosen)];
  };
  const wholeOf = (name: (typeof WHOLES)[number]): [string, unknown] => [
    name,
    choose<unknown>(name, [base[name], mine[name], theirs[name]]),
  ];
  const rows = withoutNothing([...RECORDS.map(rowsOf), ...WHOLES.map(wholeOf)]);
  return { sheet: { species: mine.species, ...rows } as Sheet, clashes };
}

function withoutNothing(fields: readonly (readonly [string, unknown])[]): Record<string, unknown> {
  return Object.fromEntries(fields.filter(([, value]) => value !== undefined));
}

/** A sheet with some rows as another one has them: what was asked about a clash was answered "theirs". */
export function withRowsOf(sheet: Sheet, other: Sheet, clashes: readonly RowClash[]): Sheet {
  return clashes.reduce<Sheet>((made, { row }) => {
    const [name, key] = row.split('.') as [keyof Sheet, string | undefined];
    if (key === undefined) return { ...made, [name]: other[name] };
    const { [key]: _mine, ...rest } = made[name] as Record<string, unknown>;
    const theirs = (other[name] as Record<string, unknown>)[key];
    return { ...made, [name]: theirs === undefined ? rest : { ...rest, [key]: theirs } };
  }, sheet);
}
