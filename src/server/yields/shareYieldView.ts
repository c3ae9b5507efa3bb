import Joi from 'joi';
import { handsOf, handWords, type Hand } from '@/core/block/hand';
import { piecesWeighed } from '@/core/block/work';
import type { ShareId } from '@/core/order/animal';
import { reconciliationOf } from '@/core/order/settling';
import type { ShareFile } from '@/core/order/shareFile';
import { hotWeight, netOf, planOf } from '@/core/order/standing';
import { success } from '@/core/quantity/result';
import type { Weight, WeighingUnit } from '@/core/quantity/weight';
import {
  yieldByPiece,
  type CutOfPiece,
  type PackedLine,
  type PieceYield,
  type YieldByPiece,
} from '@/core/yields/byPiece';
import { packedOf, pooledRate, RATES, type Pooled, type RateId } from '@/core/yields/rates';
import type { YieldRow } from '@/core/yields/yieldRow';
import { pieceWeightsOf } from '@/data/block';
import { readShareFile } from '@/data/rail';
import { yieldRowsOfAnimal } from '@/data/yields';
import { id } from '../house/fields';
import { refuse } from '../house/reasons';
import { defineUseCase, OFFICE } from '../house/useCase';

/** A pack as it was weighed. */
export type PackOfShare = {
  readonly serial: number;
  readonly cut: string;
  readonly net: Weight;
  readonly pieces: number | null;
  readonly at: string;
};

/** What was in hand at the block, a side or a quarter of it, or both sides at once, with the pieces it fell into. */
export type GivenHand = {
  readonly words: string;
  /** Null where it was not weighed hot. */
  readonly hot: Weight | null;
  readonly pieces: readonly PieceYield[];
};

type RatesOf = { readonly share: Pooled; readonly animal: Pooled };

export type ShareYieldView = Pick<YieldRow, 'shareId' | 'name' | 'part' | 'tag' | 'farm' | 'closedOn'> &
  Pick<YieldRow, 'live' | 'hot' | 'cold'> & {
    readonly unit: WeighingUnit;
    readonly packed: Weight;
    /** Every rate of the share, and of all finished shares of its animal together. */
    readonly rates: Readonly<Record<RateId, RatesOf>>;
    /** What of its animal is finished, 0 to 1. */
    readonly ofAnimal: number;
    readonly hands: readonly GivenHand[];
    /** Packs of no piece. */
    readonly besides: readonly CutOfPiece[];
    readonly packs: readonly PackOfShare[];
  };

/** What one finished share gave: every rate with its weights, and each piece of each side down to its packs. */
export const shareYieldView = defineUseCase<{ shareId: ShareId }, ShareYieldView>({
  name: 'shareYieldView',
  roles: OFFICE,
  writes: false,
  input: Joi.object({ shareId: id }),
  run: async ({ db, setUps }, { shareId }) => {
    const file = await readShareFile(db, setUps, shareId);
    if (!file) return refuse('not-found', 'There is no such order.');
    const rows = await yieldRowsOfAnimal(db, file.animal.id);
    // Households that are cut as one are one row, of the first of them.
    const row = rows.find((each) => file.together.some((share) => share.id === each.shareId));
    if (!row) return refuse('not-closed', 'Its balance is not closed yet: nothing can be said of it.');
    const lead = row.shareId === shareId ? file : (await readShareFile(db, setUps, row.shareId as ShareId))!;
    const hands = handsOf(lead);
    const weights = await pieceWeightsOf(db, lead.share.id);
    const given = yieldByPiece(
      hands.map((hand) => ({ hand, weighed: piecesWeighed(weights, hand.id) })),
      packedLines(lead),
    );
    const { name, part, tag, farm, closedOn, live, hot, cold } = row;
    return success({
      ...{ shareId: row.shareId, name, part, tag, farm, closedOn, live, hot, cold },
      unit: lead.shop.unit,
      packed: packedOf(row),
      rates: Object.fromEntries(
        (Object.keys(RATES) as RateId[]).map((rate) => [
          rate,
          { share: pooledRate([row], rate), animal: pooledRate(rows, rate) },
        ]),
      ) as ShareYieldView['rates'],
      ofAnimal: rows.reduce((sum, each) => sum + each.ofAnimal, 0),
      hands: hands.map((hand, index) => givenHand(lead, hand, { index, given })),
      besides: given.besides,
      packs: packsOf(lead),
    });
  },
});

function givenHand(
  file: ShareFile,
  hand: Hand,
  { index, given }: { index: number; given: YieldByPiece },
): GivenHand {
  const isQuarter = (hand.situation.part ?? 'side') !== 'side';
  const ticket = file.sides[index]!.hot;
  const whole = file.sides.every((side) => side.hot) ? hotWeight(file) : null;
  const hot = hand.id === 'both' || isQuarter ? whole : ticket ? netOf(ticket) : null;
  return {
    words: handWords(file, hand),
    hot,
    pieces: given.pieces.filter((piece) => piece.hand === hand.id),
  };
}

function packedLines(file: ShareFile): PackedLine[] {
  const kinds = new Map(planOf(file).expected.lines.map(({ key, kind }) => [key, kind]));
  return reconciliationOf(file).lines.flatMap(({ lineKey, cut, actual }) =>
    actual > 0 ? [{ cut, packed: actual, kind: kinds.get(lineKey) ?? 'cut' }] : [],
  );
}

function packsOf(file: ShareFile): PackOfShare[] {
  return file.weighings
    .filter(({ kind }) => kind === 'package')
    .map(({ serial, cut, net, pieces, at }) => ({ serial, cut, net, pieces, at }));
}
