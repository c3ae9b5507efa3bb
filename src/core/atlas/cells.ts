import type { Atlas, Atom } from '../species/types';

/**
 * A side divided as finely as any break can divide it: an atom with a span has one cell for each vertebra of
 * the span, any other atom is one cell. Shares of all cells add up to 1.
 */
export type Cells = {
  readonly count: number;
  readonly atoms: readonly Atom[];
  /** Index into `atoms`, per cell. */
  readonly atomOf: Int16Array;
  /** Index into the atlas' vertebrae, per cell; -1 for an atom without a span. */
  readonly vertebraOf: Int16Array;
  /** Share of the cold side, per cell. */
  readonly share: Float64Array;
  readonly firstCell: ReadonlyMap<string, number>;
  readonly cellCount: ReadonlyMap<string, number>;
  readonly vertebraIndex: ReadonlyMap<string, number>;
};

const compiled = new WeakMap<Atlas, Map<string, Cells>>();

/**
 * The cells of an atlas; add-ons that were weighed in take their share and the rest shrinks in proportion.
 * Compiled once for each atlas and set of add-ons.
 *
 * @param addOns - ids of add-on atoms left on the carcass
 */
export function cellsOf(atlas: Atlas, addOns: readonly string[] = []): Cells {
  const byAddOns = compiled.get(atlas) ?? new Map<string, Cells>();
  compiled.set(atlas, byAddOns);
  const key = [...addOns].sort().join(' ');
  const known = byAddOns.get(key);
  if (known) return known;
  const cells = divide(atlas, [
    ...atlas.atoms,
    ...atlas.addOns.map((addOn) => addOn.atom).filter((atom) => addOns.includes(atom.id)),
  ]);
  byAddOns.set(key, cells);
  return cells;
}

function divide(atlas: Atlas, atoms: readonly Atom[]): Cells {
  const vertebraIndex = new Map(atlas.vertebrae.map((name, index) => [name, index]));
  const spans = atoms.map((atom) => spanOf(atom, vertebraIndex));
  const count = spans.reduce((sum, span) => sum + span.cells, 0);
  const total = atoms.reduce((sum, atom) => sum + atom.sharePct, 0);
  const cells = {
    count,
    atoms,
    atomOf: new Int16Array(count),
    vertebraOf: new Int16Array(count).fill(-1),
    share: new Float64Array(count),
    firstCell: new Map<string, number>(),
    cellCount: new Map<string, number>(),
    vertebraIndex,
  };
  let next = 0;
  atoms.forEach((atom, index) => {
    const span = spans[index]!;
    cells.firstCell.set(atom.id, next);
    cells.cellCount.set(atom.id, span.cells);
    for (let i = 0; i < span.cells; i += 1, next += 1) {
      cells.atomOf[next] = index;
      cells.share[next] = atom.sharePct / total / span.cells;
      if (span.first >= 0) cells.vertebraOf[next] = span.first + i;
    }
  });
  return cells;
}

function spanOf(atom: Atom, vertebraIndex: ReadonlyMap<string, number>): { first: number; cells: number } {
  if (!atom.span) return { first: -1, cells: 1 };
  const first = indexOfVertebra(vertebraIndex, atom.span[0]);
  return { first, cells: indexOfVertebra(vertebraIndex, atom.span[1]) - first + 1 };
}

/** @throws RangeError when the atlas has no such vertebra */
export function indexOfVertebra(vertebraIndex: ReadonlyMap<string, number>, name: string): number {
  const index = vertebraIndex.get(name);
  if (index === undefined) throw new RangeError(`"vertebra" expected one of the atlas, got ${name}`);
  return index;
}
