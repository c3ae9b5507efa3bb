import { cellsOf } from '../atlas/cells';
import { atomSpread, P90_DEVIATIONS, uncertaintyOf } from '../forecast/spread';
import { allocate } from '../quantity/allocate';
import { convertUnits, inUnits, sumWeights, type Weight } from '../quantity/weight';
import type { Job } from '../sheet/situation';
import type { GuidePiece } from '../species/types';

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

/**
 * What each piece of a hand should weigh, in the order in which they come off; together the hand's cold weight, to the
 * thousandth. Empty where the species has no guide.
 */
export function expectedPieces({ situation, coldSides }: Job): ExpectedPiece[] {
  const { species, unit, part = 'side' } = situation;
  const cold = sumWeights(coldSides);
  if (!species.guide || cold === 0) return [];
  const cells = cellsOf({ ...situation, part: 'side' }, sideLbOf({ situation, coldSides }));
  const ofPiece = (piece: GuidePiece) => (primal: string) => piece.primals.includes(primal);
  const mine = part === 'side' ? undefined : new Set(species.atlas.quarters?.[part] ?? []);
  const known = new Set(species.guide.pieces.flatMap(({ primals }) => primals));
  const pieces = [
    ...species.guide.pieces.map((piece) => ({ ...piece, holds: ofPiece(piece) })),
    { ...BESIDES, holds: (primal: string) => !known.has(primal) },
  ].flatMap(({ id, label, part: quarter, holds }) => {
    const atoms = cells.atoms.flatMap(({ primal }, index) =>
      holds(primal) && (mine?.has(primal) ?? true) && cells.atomShare[index]! > 0 ? [index] : [],
    );
    return atoms.length > 0 ? [{ id, label, ...(quarter ? { part: quarter } : {}), atoms }] : [];
  });
  const shareOf = (atoms: readonly number[]) => atoms.reduce((sum, at) => sum + cells.atomShare[at]!, 0);
  const weights = allocate(
    cold,
    pieces.map(({ atoms }) => shareOf(atoms)),
  );
  const uncertainty = uncertaintyOf(species, situation.condition);
  // Gifts are of the whole side, so that the pieces of a quarter scatter as those of its side.
  const side = convertUnits(sideLbOf({ situation, coldSides }), 'lb', unit) * coldSides.length * 1000;
  return pieces.map(({ atoms, ...piece }, index) => {
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
