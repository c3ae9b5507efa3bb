import type { Atom, Species } from '../species/types';

/** A cut that a piece can go into, in the shop's word, and the decision where it is asked for. */
export type CutOfPiece = { readonly cut: string; readonly decision: string };

export type PieceBranch = {
  readonly id: string;
  readonly name: string;
  /** Of the reference side. */
  readonly pounds: number;
  readonly cuts: readonly CutOfPiece[];
};

export type PrimalBranch = {
  readonly primal: string;
  readonly pounds: number;
  readonly pieces: readonly PieceBranch[];
};

export type QuarterBranch = {
  /** The whole side where it is not sold by quarters. */
  readonly quarter: 'fore' | 'hind' | 'side';
  readonly pounds: number;
  readonly primals: readonly PrimalBranch[];
};

/**
 * The side as a tree: quarters, primals, pieces, and the cuts that each piece can go into. Primals and pieces stand in
 * the order of the atlas; every piece stands once, so that the pounds of each level are those of the side.
 */
export function sideTree(species: Species): QuarterBranch[] {
  const { atoms, quarters, reference } = species.atlas;
  const cuts = cutsByAtom(species);
  const pounds = (own: readonly Atom[]) =>
    (reference.sideLb * own.reduce((sum, { sharePct }) => sum + sharePct, 0)) / 100;
  const primalOf = (primal: string): PrimalBranch => {
    const own = atoms.filter((atom) => atom.primal === primal);
    return {
      primal,
      pounds: pounds(own),
      pieces: own.map((atom) => ({
        id: atom.id,
        name: atom.name,
        pounds: pounds([atom]),
        cuts: cuts.get(atom.id) ?? [],
      })),
    };
  };
  const primals = [...new Set(atoms.map(({ primal }) => primal))];
  const branch = (quarter: QuarterBranch['quarter'], own: readonly string[]): QuarterBranch => ({
    quarter,
    pounds: pounds(atoms.filter(({ primal }) => own.includes(primal))),
    primals: own.map(primalOf),
  });
  if (!quarters) return [branch('side', primals)];
  return (['fore', 'hind'] as const).map((quarter) =>
    branch(
      quarter,
      primals.filter((primal) => quarters[quarter].includes(primal)),
    ),
  );
}

/** The cuts that a piece can go into, each once, by the names of the shop; those of a whole side for the pit are not of it. */
function cutsByAtom({ decisions, words = {} }: Species): ReadonlyMap<string, readonly CutOfPiece[]> {
  const found = new Map<string, Map<string, CutOfPiece>>();
  for (const decision of decisions) {
    for (const { products, takesOver } of decision.options) {
      if (takesOver?.includes('*')) continue;
      for (const { cut, claims } of products) {
        for (const { atom } of claims) {
          const own = found.get(atom) ?? new Map<string, CutOfPiece>();
          own.set(cut, { cut: words[cut] ?? cut, decision: decision.id });
          found.set(atom, own);
        }
      }
    }
  }
  return new Map([...found].map(([atom, own]) => [atom, [...own.values()]]));
}
