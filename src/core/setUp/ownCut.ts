import { mean } from 'd3-array';
import type {
  Atom,
  Decision,
  Option,
  ParamSpec,
  PackRule,
  PieceRule,
  Product,
  Species,
} from '../species/types';
import type { OwnCut, OwnShape, TrimLevel } from './types';

/** What a size means for each shape, and between what it lies. */
export const SIZE_OF_SHAPE: Readonly<
  Record<
    OwnShape,
    { readonly label: string; readonly unit: 'lb' | 'in' | ''; readonly least: number; readonly most: number }
  >
> = {
  whole: { label: '', unit: '', least: 0, most: 100 },
  roasts: { label: 'Weight of a roast', unit: 'lb', least: 0.5, most: 20 },
  slices: { label: 'Thickness', unit: 'in', least: 0.25, most: 4 },
  dice: { label: 'Weight of a pack', unit: 'lb', least: 0.5, most: 5 },
};

/** Part of the lean that comes off with the fat, by how closely it is trimmed. */
const LEAN_OFF: Readonly<Record<TrimLevel, number>> = { untrimmed: 0, usual: 0.03, close: 0.06 };
/** A close trim takes so much more of the fat than the usual one; no knife takes all of it. */
const CLOSER = 0.25;
const MOST_FAT_OFF = 0.95;
/** Where a zone has no cut to go by. */
const FAT_OFF = 0.4;

/** The pieces that a cut of a decision can be made of: everything of the primals that the decision is about. */
export function piecesAt(species: Species, decision: Decision): readonly Atom[] {
  const claimed = new Set(
    decision.options
      // What has the pieces of other places is not of this one.
      .filter(({ takesOver }) => takesOver === undefined)
      .flatMap(({ products }) => products.flatMap(({ claims }) => claims.map(({ atom }) => atom))),
  );
  const { atoms } = species.atlas;
  const primals = new Set(atoms.filter((atom) => claimed.has(atom.id)).map((atom) => atom.primal));
  return atoms.filter((atom) => primals.has(atom.primal) && atom.leftover !== 'inedible');
}

/** The answer that a cut of the shop's own is on the sheet. */
export function ownOption(species: Species, cut: OwnCut): Option {
  const decision = species.decisions.find((each) => each.id === cut.decision)!;
  const pieces = cut.pieces.map((id) => species.atlas.atoms.find((atom) => atom.id === id)!);
  return {
    id: cut.id,
    label: cut.name,
    note: `The shop’s own cut: ${pieces.map((piece) => piece.name.toLowerCase()).join(', ')}.`,
    params: paramsOf(cut),
    products: [productOf(species, decision, { cut, pieces })],
  };
}

function productOf(
  species: Species,
  decision: Decision,
  { cut, pieces }: { readonly cut: OwnCut; readonly pieces: readonly Atom[] },
): Product {
  const boneOut = cut.bone === 'out';
  const hasBone = pieces.some((piece) => piece.composition.bone > 0);
  const sliced = cut.shape === 'slices';
  return {
    cut: cut.name,
    destination: cut.destination,
    claims: pieces.map(({ id }) => ({ atom: id })),
    trim: {
      lean: LEAN_OFF[cut.trim],
      fat: fatOff(decision, cut.trim),
      bone: boneOut ? 1 : 0,
      skin: cut.trim === 'untrimmed' && !boneOut ? 0 : 1,
    },
    ...(boneOut && hasBone ? { boned: true } : {}),
    ...(pieces.some(({ id }) => species.onePerCarcass.includes(id)) ? { acrossSides: true } : {}),
    ...(sliced && !boneOut && hasBone ? { saw: { param: 'thickness' } } : {}),
    pieces: pieceRule(cut, pieces),
    packs: packRule(cut),
    finishedYield: 1,
    charges: [...new Set([...cut.charges, ...(cut.netted ? ['netting'] : [])])],
  };
}

function fatOff(decision: Decision, trim: TrimLevel): number {
  if (trim === 'untrimmed') return 0;
  const usual =
    mean(decision.options.flatMap(({ products }) => products.map((each) => each.trim.fat))) ?? FAT_OFF;
  return Math.min(MOST_FAT_OFF, trim === 'close' ? usual + CLOSER : usual);
}

function pieceRule({ shape }: OwnCut, pieces: readonly Atom[]): PieceRule {
  switch (shape) {
    case 'whole':
      return { kind: 'fixed', count: 1 };
    case 'roasts':
      return { kind: 'roasts', weight: 'roastWeight' };
    case 'slices':
      return { kind: 'slices', run: [longest(pieces)!.id], thickness: 'thickness' };
    case 'dice':
      return { kind: 'uncounted' };
  }
}

/** The piece that the others lie along. */
export function longest(pieces: readonly Atom[]): Atom | undefined {
  return [...pieces]
    .filter((piece) => piece.lengthIn !== undefined)
    .sort((a, b) => b.lengthIn! - a.lengthIn!)[0];
}

function packRule({ shape }: OwnCut): PackRule {
  if (shape === 'dice') return { kind: 'weight', param: 'packWeight' };
  return shape === 'slices' ? { kind: 'pieces', param: 'perPack' } : { kind: 'single' };
}

function paramsOf({ shape, size, perPack }: OwnCut): ParamSpec[] {
  const { label, least, most } = SIZE_OF_SHAPE[shape];
  const weighed = { kind: 'weight', label, defaultLb: size, minLb: least, maxLb: most } as const;
  switch (shape) {
    case 'whole':
      return [];
    case 'roasts':
      return [{ id: 'roastWeight', ...weighed }];
    case 'dice':
      return [{ id: 'packWeight', ...weighed }];
    case 'slices':
      return [
        { id: 'thickness', kind: 'length', label, defaultIn: size, minIn: least, maxIn: most },
        { id: 'perPack', kind: 'count', label: 'Pieces to a pack', default: perPack, min: 1, max: 12 },
      ];
  }
}
