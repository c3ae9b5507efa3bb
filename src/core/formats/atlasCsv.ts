import { failure, success, type Result, type FieldProblem } from '../quantity/result';
import { TISSUES, type Atom, type Leftover, type Tissue } from '../species/types';
import { numberField, readCsv, writeCsv, type Row } from './csv';

const COLUMNS = [
  'id',
  'primal',
  'name',
  'item',
  'from',
  'to',
  'share_pct',
  ...TISSUES.map((tissue) => `${tissue}_pct`),
  'length_in',
  'leftover',
  'residue_lean',
  'residue_fat',
  'attached_share',
  'cover',
  'stock_bone',
  'note',
];

const NEEDED = ['id', 'primal', 'name', 'share_pct', ...TISSUES.map((tissue) => `${tissue}_pct`), 'leftover'];

const LEFTOVERS: readonly Leftover[] = ['pools', 'bone', 'fat', 'inedible'];

/** The atoms of an atlas as CSV, one a row; shares and tissues in percent, lengths in inches. */
export function writeAtlas(atoms: readonly Atom[]): string {
  return writeCsv(COLUMNS, atoms.map(rowOf));
}

function rowOf(atom: Atom): Row {
  const optional = (value: number | string | undefined) => (value === undefined ? '' : String(value));
  return {
    id: atom.id,
    primal: atom.primal,
    name: atom.name,
    item: optional(atom.item),
    from: optional(atom.span?.[0]),
    to: optional(atom.span?.[1]),
    share_pct: String(atom.sharePct),
    ...Object.fromEntries(TISSUES.map((tissue) => [`${tissue}_pct`, String(atom.composition[tissue])])),
    length_in: optional(atom.lengthIn),
    leftover: atom.leftover,
    residue_lean: optional(atom.residue?.lean),
    residue_fat: optional(atom.residue?.fat),
    attached_share: optional(atom.attachedShare),
    cover: atom.cover ? 'yes' : '',
    stock_bone: atom.stockBone ? 'yes' : '',
    note: optional(atom.note),
  };
}

/**
 * Reads the atoms of an atlas. Whether they make one is for `atlasProblems`.
 *
 * @returns the atoms, or the first field that cannot be read
 */
export function readAtlas(text: string): Result<Atom[], 'invalid'> {
  const table = readCsv(text, NEEDED);
  if (!table.ok) return table;
  const atoms: Atom[] = [];
  for (const [at, row] of table.value.entries()) {
    const atom = atomOf(row, at);
    if (!atom.ok) return atom;
    atoms.push(atom.value);
  }
  return success(atoms);
}

function atomOf(row: Row, at: number): Result<Atom, 'invalid'> {
  const numbers: Record<string, number> = {};
  const needed = ['share_pct', ...TISSUES.map((tissue) => `${tissue}_pct`)];
  const optional = ['length_in', 'residue_lean', 'residue_fat', 'attached_share'].filter(
    (column) => row[column],
  );
  for (const column of [...needed, ...optional]) {
    const read = numberField(row, column, at);
    if (!read.ok) return read;
    numbers[column] = read.value;
  }
  const leftover = LEFTOVERS.find((each) => each === row.leftover);
  if (!leftover) {
    return failure(
      'invalid',
      `"${row.leftover}" is none of ${LEFTOVERS.join(', ')}.`,
      `row ${at + 2}, leftover`,
    );
  }
  const composition = Object.fromEntries(
    TISSUES.map((tissue) => [tissue, numbers[`${tissue}_pct`]!]),
  ) as Record<Tissue, number>;
  return success({
    id: row.id!,
    name: row.name!,
    primal: row.primal!,
    sharePct: numbers.share_pct!,
    composition,
    ...(row.from && row.to ? { span: [row.from, row.to] as const } : {}),
    ...(numbers.length_in === undefined ? {} : { lengthIn: numbers.length_in }),
    leftover,
    ...(numbers.residue_lean === undefined
      ? {}
      : { residue: { lean: numbers.residue_lean, fat: numbers.residue_fat ?? 0 } }),
    ...(numbers.attached_share === undefined ? {} : { attachedShare: numbers.attached_share }),
    ...(row.cover === 'yes' ? { cover: true } : {}),
    ...(row.stock_bone === 'yes' ? { stockBone: true } : {}),
    ...(row.item ? { item: row.item } : {}),
    ...(row.note ? { note: row.note } : {}),
  });
}

/** What is wrong with a table of atoms by itself: sums, signs, names given twice. Empty when it may be used. */
export function atlasProblems(atoms: readonly Atom[]): FieldProblem[] {
  const sum = atoms.reduce((total, atom) => total + atom.sharePct, 0);
  const ids = new Set<string>();
  const problems: FieldProblem[] = [];
  for (const atom of atoms) {
    const tissues = TISSUES.reduce((total, tissue) => total + atom.composition[tissue], 0);
    const note = (message: string) => problems.push({ field: atom.id, message });
    if (ids.has(atom.id)) note('is there twice');
    ids.add(atom.id);
    if (!(atom.sharePct > 0)) note(`has a share of ${atom.sharePct} %`);
    if (TISSUES.some((tissue) => atom.composition[tissue] < 0)) note('has less than nothing of a tissue');
    if (Math.abs(tissues - 100) > 1e-6) note(`tissues add up to ${tissues} %, not 100`);
  }
  if (Math.abs(sum - 100) > 1e-6)
    problems.push({ field: 'share_pct', message: `shares add up to ${sum} %, not 100` });
  return problems;
}
