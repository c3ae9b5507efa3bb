import { cellsOf, type Cells } from '../atlas/cells';
import { atomSpread, P90_DEVIATIONS, uncertaintyOf } from '../forecast/spread';
import { allocate } from '../quantity/allocate';
import { convertUnits, inUnits, sumWeights, type Weight } from '../quantity/weight';
import type { Job, Situation } from '../sheet/situation';
import type { GuidePiece, Species } from '../species/types';

/** A piece of what is in hand, with what it should weigh; low and high are P10 and P90. */
export type ExpectedPiece = {
  readonly id: string;
  readonly label: string;
  /** The quarter it is of, where the species is quartered. */
  readonly part?: 'fore' | 'hind';
  readonly expected: Weight;
  readonly low: Weight;
  readonly high: Weight;
};

/** Parts of an animal that were weighed in and are in no piece of the guide. */
const BESIDES: Pick<GuidePiece, 'id' | 'label' | 'part'> = { id: 'besides', label: 'besides' };

/** A piece of the guide as it lies in the atlas. */
export type PartOfSide = Pick<ExpectedPiece, 'id' | 'label' | 'part'> & {
  /** Indexes of the cells' atoms. */
  readonly atoms: readonly number[];
  /** Of the side or the quarter, as its atoms' shares are counted. */
  readonly share: number;
};

/**
 * The pieces that a side, or a quarter of it, falls into, in the order in which they come off, with the atoms of each;
 * a species without a guide falls into the primals of its atlas.
 */
export function partsOfSide({ species, part = 'side' }: Situation, cells: Cells): PartOfSide[] {
  const mine = part === 'side' ? undefined : new Set(species.atlas.quarters?.[part] ?? []);
  const pieces = species.guide?.pieces ?? primalsOf(species);
  const known = new Set(pieces.flatMap(({ primals }) => primals));
  return [
    ...pieces.map((piece) => ({ ...piece, holds: (primal: string) => piece.primals.includes(primal) })),
    { ...BESIDES, holds: (primal: string) => !known.has(primal) },
  ].flatMap(({ id, label, part: quarter, holds }) => {
    const atoms = cells.atoms.flatMap(({ primal }, index) =>
      holds(primal) && (mine?.has(primal) ?? true) && cells.atomShare[index]! > 0 ? [index] : [],
    );
    const share = atoms.reduce((sum, at) => sum + cells.atomShare[at]!, 0);
    return atoms.length > 0 ? [{ id, label, ...(quarter ? { part: quarter } : {}), atoms, share }] : [];
  });
}

function primalsOf({ atlas }: Species): Pick<GuidePiece, 'id' | 'label' | 'part' | 'primals'>[] {
  const primals = [...new Set(atlas.atoms.map(({ primal }) => primal))];
  return primals.map((primal) => ({ id: primal, label: primal, primals: [primal] }));
}

/**
 * What each piece of a hand should weigh, in the order in which they come off; together the hand's cold weight, to the
 * thousandth. Empty where the species has no guide.
 */
export function expectedPieces({ situation, coldSides }: Job): ExpectedPiece[] {
  const { species, unit } = situation;
  const cold = sumWeights(coldSides);
  if (!species.guide || cold === 0) return [];
  const cells = cellsOf({ ...situation, part: 'side' }, sideLbOf({ situation, coldSides }));
  const pieces = partsOfSide(situation, cells);
  const weights = allocate(
    cold,
    pieces.map(({ share }) => share),
  );
  const uncertainty = uncertaintyOf(species, situation.condition);
  // Gifts are of the whole side, so that the pieces of a quarter scatter as those of its side.
  const side = convertUnits(sideLbOf({ situation, coldSides }), 'lb', unit) * coldSides.length * 1000;
  return pieces.map(({ atoms, share: _, ...piece }, index) => {
    const gives = new Map(atoms.map((at) => [at, cells.atomShare[at]!]));
    const spread = P90_DEVIATIONS * atomSpread(gives, cells.atomShare, uncertainty) * side;
    const expected = weights[index]! as Weight;
    return {
      ...piece,
      expected,
      low: Math.max(0, Math.round(expected - spread)) as Weight,
      high: Math.round(expected + spread) as Weight,
    };
  });
}

/** The cold weight of a whole side, pounds, whatever of it is in hand. */
function sideLbOf({ situation, coldSides }: Pick<Job, 'situation' | 'coldSides'>): number {
  const { species, unit, part = 'side' } = situation;
  const mean = inUnits(sumWeights(coldSides)) / coldSides.length;
  const lb = convertUnits(mean, unit, 'lb');
  if (part === 'side') return lb;
  return lb / cellsOf({ ...situation, part }, species.atlas.reference.sideLb).partOfSide;
}
