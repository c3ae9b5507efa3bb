import type { ShareId } from '../order/animal';
import type { Origin } from '../order/work';
import { sumWeights, type Weight } from '../quantity/weight';
import type { Instant } from '../time/shopTime';
import type { HandId } from './hand';

type ByWhom = {
  readonly id: string;
  readonly clientId: string;
  readonly shareId: ShareId;
  readonly hand: HandId;
  readonly at: Instant;
  readonly actorId: string;
};

/** A step of the break was done, or is not done after all. */
export type BlockStepMark = ByWhom & { readonly step: string; readonly done: boolean };

/** A piece was weighed as it came off, or its weight was taken back. */
export type PieceWeight = ByWhom & {
  readonly piece: string;
  readonly counts: boolean;
  readonly gross: Weight;
  readonly tare: Weight;
  readonly net: Weight;
  readonly scaleId: string;
  readonly loadId: string;
  readonly origin: Origin;
  readonly remark: string;
};

/** The steps of a hand that are done, each with who did it and when: the last mark on a step holds. */
export function stepsDone(
  marks: readonly BlockStepMark[],
  hand: HandId,
): ReadonlyMap<string, Pick<BlockStepMark, 'actorId' | 'at'>> {
  const last = new Map(marks.filter((mark) => mark.hand === hand).map((mark) => [mark.step, mark]));
  return new Map([...last].filter(([, mark]) => mark.done));
}

/** The weights of a hand's pieces that count: of each piece the last, unless it was taken back. */
export function piecesWeighed(
  weights: readonly PieceWeight[],
  hand: HandId,
): ReadonlyMap<string, PieceWeight> {
  const last = new Map(weights.filter((each) => each.hand === hand).map((each) => [each.piece, each]));
  return new Map([...last].filter(([, each]) => each.counts));
}

/** What of a hand has not been weighed yet. */
export function leftOf(cold: Weight, weighed: ReadonlyMap<string, PieceWeight>): Weight {
  return (cold - sumWeights([...weighed.values()].map(({ net }) => net))) as Weight;
}
