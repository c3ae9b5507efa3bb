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
    ...(row.from || row.to ? { span: [row.from ?? '', row.to ?? ''] as const } : {}),
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

const ID = /^[a-z0-9]+(-[a-z0-9]+)*$/;

/**
 * What is wrong with a table of atoms: sums, signs, names given twice, places that no spine has. Empty when it may be
 * used.
 *
 * @param spines - vertebrae of the species that are known, fore to hind
 */
export function atlasProblems(
  atoms: readonly Atom[],
  spines: readonly (readonly string[])[],
): FieldProblem[] {
  const sum = atoms.reduce((total, atom) => total + atom.sharePct, 0);
  const ids = new Set<string>();
  const problems: FieldProblem[] = [];
  for (const atom of atoms) {
    const note = (message: string) => problems.push({ field: atom.id || '(no id)', message });
    if (!ID.test(atom.id)) note('an id is small letters, digits and hyphens');
    if (atom.name.trim() === '') note('has no name');
    if (atom.primal.trim() === '') note('has no primal');
    if (ids.has(atom.id)) note('is there twice');
    ids.add(atom.id);
    amountProblems(atom).forEach(note);
    if (atom.span) spanProblems(atom.span, spines).forEach(note);
  }
  if (Math.abs(sum - 100) > SUM_DUST)
    problems.push({ field: 'share_pct', message: `shares add up to ${rounded(sum)} %, not 100` });
  return problems;
}

/** Percentages written with a few decimals need not add up any closer. */
const SUM_DUST = 1e-6;

const rounded = (value: number) => Math.round(value * 1000) / 1000;

function amountProblems({ sharePct, composition, lengthIn, residue, attachedShare }: Atom): string[] {
  const tissues = TISSUES.reduce((total, tissue) => total + composition[tissue], 0);
  const isShare = (value: number | undefined) => value === undefined || (value >= 0 && value <= 1);
  return [
    ...(sharePct > 0 ? [] : [`has a share of ${sharePct} %`]),
    ...(TISSUES.some((tissue) => composition[tissue] < 0) ? ['has less than nothing of a tissue'] : []),
    ...(Math.abs(tissues - 100) > SUM_DUST ? [`tissues add up to ${rounded(tissues)} %, not 100`] : []),
    ...(lengthIn === undefined || lengthIn > 0 ? [] : [`is ${lengthIn} inches long`]),
    ...(isShare(attachedShare) ? [] : [`attached_share is a share from 0 to 1, not ${attachedShare}`]),
    ...(isShare(residue?.lean) && isShare(residue?.fat) ? [] : ['residue is a share from 0 to 1']),
  ];
}

function spanProblems(
  [from, to]: readonly [string, string],
  spines: readonly (readonly string[])[],
): string[] {
  const unknown = [from, to].filter((name) => !spines.some((spine) => spine.includes(name)));
  if (unknown.length > 0)
    return [`no spine has ${[...new Set(unknown)].map((name) => name || 'an empty end').join(' or ')}`];
  const fits = spines.some((spine) => spine.includes(to) && spine.indexOf(from) <= spine.indexOf(to));
  return fits ? [] : [`runs backwards, from ${from} to ${to}`];
}
