import type { Hand, HandId } from '../block/hand';
import { partsOfSide, type PartOfSide } from '../block/pieces';
import { leftOf, type PieceWeight } from '../block/work';
import { divideSides, shareOnTheBlock } from '../forecast/onTheBlock';
import type { ForecastLine } from '../forecast/types';
import { allocate } from '../quantity/allocate';
import { sumWeights, type Weight } from '../quantity/weight';

/** A cut's packs, as far as they are of one piece. */
export type CutOfPiece = { readonly cut: string; readonly packed: Weight };

/** What one piece of a side gave. */
export type PieceYield = {
  readonly hand: HandId;
  readonly piece: string;
  readonly label: string;
  /** The quarter it is of; absent where the species is not quartered. */
  readonly part?: 'fore' | 'hind';
  /** As it was weighed on the block, else its part of what was not weighed there. */
  readonly cold: Weight;
  readonly isWeighed: boolean;
  /** Cuts, and of the grind what this piece gives to the tub. */
  readonly cuts: readonly CutOfPiece[];
};

/** What a share gave, piece by piece. Pieces and `besides` add up to all packs; pieces alone to the cold weight. */
export type YieldByPiece = {
  readonly pieces: readonly PieceYield[];
  /** Packs of no piece: bones and fat that were kept, what was added. */
  readonly besides: readonly CutOfPiece[];
};

/** A line of the plan with what was packed of it. */
export type PackedLine = CutOfPiece & Pick<ForecastLine, 'kind'>;

/** A hand as it was cut, with what of it was weighed on the block. */
export type HandWeighed = { readonly hand: Hand; readonly weighed: ReadonlyMap<string, PieceWeight> };

/**
 * What every piece of a share gave. A cut of several pieces, and the grind, are divided as the plan divides them: a
 * pack does not say which piece it came from.
 */
export function yieldByPiece(hands: readonly HandWeighed[], lines: readonly PackedLine[]): YieldByPiece {
  const pieces = hands.flatMap(piecesOf);
  const cuts: CutOfPiece[][] = pieces.map(() => []);
  const besides: CutOfPiece[] = [];
  for (const { cut, packed, kind } of lines) {
    const gifts = pieces.map(({ gives, ground }) => (kind === 'grind' ? ground : (gives.get(cut) ?? 0)));
    if (gifts.every((gift) => gift <= 0)) {
      besides.push({ cut, packed });
      continue;
    }
    allocate(packed, gifts).forEach((part, index) => {
      if (part > 0) cuts[index]!.push({ cut, packed: part as Weight });
    });
  }
  return { pieces: pieces.map(({ piece }, index) => ({ ...piece, cuts: cuts[index]! })), besides };
}

/** A piece with what it gives to each cut and to the grind, as planned. */
type Giving = {
  readonly piece: Omit<PieceYield, 'cuts'>;
  readonly gives: ReadonlyMap<string, number>;
  readonly ground: number;
};

function piecesOf({ hand, weighed }: HandWeighed): Giving[] {
  const { cells, sides, pools } = shareOnTheBlock(hand, divideSides(hand));
  const parts = partsOfSide(hand.situation, cells);
  const cold = coldOfParts(parts, leftOf(sumWeights(hand.coldSides), weighed), weighed);
  const { lean, attachedFat, looseFat } = pools.tub;
  return parts.map(({ id, label, part, atoms }, index) => {
    const gives = new Map<string, number>();
    for (const { drafts, cuts } of sides) {
      drafts.forEach(({ cut }, at) => {
        const gift = atoms.reduce((sum, atom) => sum + (cuts[at]!.gives.get(atom) ?? 0), 0);
        if (gift > 0) gives.set(cut, (gives.get(cut) ?? 0) + gift);
      });
    }
    return {
      piece: {
        hand: hand.id,
        piece: id,
        label,
        ...(part ? { part } : {}),
        cold: cold[index]!,
        isWeighed: weighed.has(id),
      },
      gives,
      ground: atoms.reduce((sum, atom) => sum + lean[atom]! + attachedFat[atom]! + looseFat[atom]!, 0),
    };
  });
}

/** What was not weighed is shared out among the pieces that were not; where all were, it is what all of them lost. */
function coldOfParts(
  parts: readonly PartOfSide[],
  left: Weight,
  weighed: HandWeighed['weighed'],
): readonly Weight[] {
  const all = parts.map(({ share }) => share);
  const unweighed = parts.map(({ id, share }) => (weighed.has(id) ? 0 : share));
  const rest = allocate(left, unweighed.some((share) => share > 0) ? unweighed : all);
  return parts.map(({ id }, index) => ((weighed.get(id)?.net ?? 0) + rest[index]!) as Weight);
}
