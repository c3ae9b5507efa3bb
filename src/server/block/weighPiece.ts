import { randomUUID } from 'node:crypto';
import Joi from 'joi';
import type { HandId } from '@/core/block/hand';
import { expectedPieces, type ExpectedPiece } from '@/core/block/pieces';
import { leftOf, piecesWeighed, type PieceWeight } from '@/core/block/work';
import type { ShareId } from '@/core/order/animal';
import { success, type Result } from '@/core/quantity/result';
import { formatWeight, sumWeights, type Weight } from '@/core/quantity/weight';
import type { SignedReading } from '@/core/scale/reading';
import { instant } from '@/core/time/shopTime';
import { isPieceOfLoad, pieceWeightsOf, writePieceWeight } from '@/data/block';
import { clientId, id, sure } from '../house/fields';
import { refuse, type Reason, type Refusal } from '../house/reasons';
import { touchCut } from '../house/shareView';
import { defineUseCase, type House } from '../house/useCase';
import { readingProblem, readingSchema, typedSchema, type TypedWeight } from '../wrap/reading';
import { handId, inHand, type InHand } from './inHand';

type Where = {
  readonly clientId: string;
  readonly shareId: ShareId;
  readonly hand: HandId;
  readonly piece: string;
};
type Input = Where & { readonly sure?: boolean } & (
    { readonly reading: SignedReading } | { readonly typed: TypedWeight }
  );

/** Scales have divisions: a hand may give this much more than it weighed, as a share of it. */
const SCALES_DIFFER = 0.005;

/** A piece this far beside its expected range asks for a second yes. */
const BESIDE = 0.25;

const where = { clientId, shareId: id, hand: handId.required(), piece: Joi.string().max(60).required() };

/** Takes the weight of a piece as it comes off the side. What is left on the rail never falls below nothing. */
export const weighPiece = defineUseCase<Input, { net: Weight; left: Weight }>({
  name: 'weighPiece',
  roles: ['owner', 'cutter'],
  writes: true,
  input: Joi.object({ ...where, reading: readingSchema, typed: typedSchema, sure }).xor('reading', 'typed'),
  subject: ({ shareId, hand, piece }) => `${shareId} ${hand} ${piece}`,
  run: async (house, input) => {
    const found = await pieceInHand(house, input);
    if (!found.ok) return found;
    const { hand, piece, weighed, cold } = found.value;
    const refused = await loadProblem(house, found.value, input);
    if (refused) return refused;
    const load = loadOf(input);
    const before = new Map(weighed);
    before.delete(piece.id);
    const left = leftOf(cold, before);
    const { unit } = hand.situation;
    if (load.net > left + cold * SCALES_DIFFER) {
      const [says, most] = [load.net, left].map((w) => formatWeight(w, 1));
      return refuse(
        'more-than-there-is',
        `${says} is more than the ${most} ${unit} left: tare, or another quarter?`,
      );
    }
    const odd = oddity(piece, load.net, unit);
    if (odd !== '' && !input.sure) return refuse('unusual', odd);
    await write(house, found.value, { clientId: input.clientId, load, remark: odd, counts: true });
    return success({ net: load.net, left: (left - load.net) as Weight });
  },
});

/** The weight of a piece does not count any more; it stays in the book. */
export const takePieceBack = defineUseCase<Where, { left: Weight }>({
  name: 'takePieceBack',
  roles: ['owner', 'cutter'],
  writes: true,
  input: Joi.object(where),
  subject: ({ shareId, hand, piece }) => `${shareId} ${hand} ${piece}`,
  run: async (house, input) => {
    const found = await pieceInHand(house, input);
    if (!found.ok) return found;
    const { weighed, piece, cold } = found.value;
    const last = weighed.get(piece.id);
    if (!last) return refuse('not-found', `${piece.label} has no weight that could be taken back.`);
    await write(house, found.value, { clientId: input.clientId, load: last, remark: '', counts: false });
    return success({ left: (leftOf(cold, weighed) + last.net) as Weight });
  },
});

type Piece = InHand & {
  readonly piece: ExpectedPiece;
  readonly weighed: ReadonlyMap<string, PieceWeight>;
  readonly cold: Weight;
};

async function pieceInHand(house: House, input: Where): Promise<Result<Piece, Reason>> {
  const found = await inHand(house, input);
  if (!found.ok) return found;
  const { file, hand } = found.value;
  const piece = expectedPieces(hand).find((each) => each.id === input.piece);
  if (!piece) return refuse('not-found', 'There is no such piece on this side. Load the page again.');
  const weighed = piecesWeighed(await pieceWeightsOf(house.db, file.share.id), hand.id);
  return success({ file, hand, piece, weighed, cold: sumWeights(hand.coldSides) });
}

async function loadProblem(house: House, { hand }: Piece, input: Input): Promise<Refusal | undefined> {
  if (!('reading' in input)) {
    const { gross, tare } = input.typed;
    return tare < gross
      ? undefined
      : refuse('tare-too-big', 'The tare is as heavy as the weight. Check it.', 'typed.tare');
  }
  const { reading } = input;
  const problem = readingProblem(house, reading, hand.situation.unit);
  if (problem) return problem;
  if (!(await isPieceOfLoad(house.db, reading))) return undefined;
  return refuse('already-taken', 'This weight was taken already. Lift it off, then put the next one on.');
}

type Load = Pick<PieceWeight, 'gross' | 'tare' | 'net' | 'scaleId' | 'loadId' | 'origin'>;

/** Checked to be whole thousandths by the schema. */
function loadOf(input: Input): Load {
  if ('reading' in input) {
    const { gross, tare, net, scaleId, loadId } = input.reading;
    return { gross, tare, net, scaleId, loadId, origin: 'scale' } as Load;
  }
  const { gross, tare } = input.typed;
  return {
    gross,
    tare,
    net: gross - tare,
    scaleId: 'typed',
    loadId: input.clientId,
    origin: 'typed',
  } as Load;
}

function oddity({ label, low, high }: ExpectedPiece, net: Weight, unit: 'lb' | 'kg'): string {
  if (net >= low * (1 - BESIDE) && net <= high * (1 + BESIDE)) return '';
  const [says, from, to] = [net, low, high].map((w) => formatWeight(w, 1));
  return `${says} ${unit} for the ${label}, where ${from} to ${to} is expected.`;
}

type ToWrite = Pick<PieceWeight, 'clientId' | 'remark' | 'counts'> & { readonly load: Load };

async function write(house: House, { file, hand, piece }: Piece, toWrite: ToWrite): Promise<void> {
  const { load, ...said } = toWrite;
  const { gross, tare, net, scaleId, loadId, origin } = load;
  await writePieceWeight(house.db, {
    ...said,
    ...{ gross, tare, net, scaleId, loadId, origin },
    ...{ id: randomUUID(), shareId: file.share.id, hand: hand.id, piece: piece.id },
    ...{ at: instant(house.now), actorId: house.actor.id },
  });
  touchCut(house, file);
}
