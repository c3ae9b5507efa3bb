import { randomUUID } from 'node:crypto';
import Joi from 'joi';
import { asCut } from '@/core/block/asCut';
import { asCutOf } from '@/core/block/asCutOf';
import type { HandId } from '@/core/block/hand';
import { says } from '@/core/block/inWords';
import type { ShareId } from '@/core/order/animal';
import { DEVIATION_REASONS, OUT, type Deviation, type DeviationReason } from '@/core/order/deviation';
import type { ShareFile } from '@/core/order/shareFile';
import { jobOf, planFor, planOf } from '@/core/order/standing';
import { success } from '@/core/quantity/result';
import type { Weight } from '@/core/quantity/weight';
import { optionById } from '@/core/sheet/situation';
import { answerOn } from '@/core/sheet/wishes';
import type { Decision } from '@/core/species/types';
import { instant } from '@/core/time/shopTime';
import { writeDeviation, writeRemadePlan } from '@/data/block';
import { clientId, id, thousandths } from '../house/fields';
import { refuse, type Refusal } from '../house/reasons';
import { touchCut } from '../house/shareView';
import { defineUseCase } from '../house/useCase';
import { handId, inHand, type InHand } from './inHand';

type Input = {
  readonly clientId: string;
  readonly shareId: ShareId;
  readonly hand: HandId;
  readonly decision: string;
  readonly reason: DeviationReason;
  readonly doneAs: string;
  readonly weight: number | null;
};

const short = Joi.string().max(60).required();

/**
 * Something was done otherwise than the sheet says, and why: what was asked and what was done both stand, and the rest
 * is forecast from what was done.
 */
export const doOtherwise = defineUseCase<Input, { shareId: ShareId; done: string }>({
  name: 'doOtherwise',
  roles: ['owner', 'cutter'],
  writes: true,
  input: Joi.object({
    clientId,
    shareId: id,
    hand: handId.required(),
    decision: short,
    reason: Joi.valid(...Object.keys(DEVIATION_REASONS)).required(),
    doneAs: short,
    weight: thousandths.positive().allow(null).required(),
  }),
  subject: ({ shareId, decision, doneAs, reason }) => `${shareId} ${decision} ${doneAs}: ${reason}`,
  run: async (house, input) => {
    const found = await inHand(house, input);
    if (!found.ok) return found;
    const { file } = found.value;
    const said = { ...input, weight: input.weight as Weight | null };
    const packed = said.weight === null ? alreadyPacked(file, said.decision) : undefined;
    if (packed) return packed;
    const now = asCutOf(file);
    const cut = asCut(
      jobOf(now),
      said,
      file.sides.map(({ side }) => side.position),
    );
    if (!cut.ok) return refuse(cut.reason, cut.message);
    const { clientId: requestId, hand, decision, reason, doneAs, weight } = said;
    const deviation: Deviation = {
      ...{ id: randomUUID(), clientId: requestId, shareId: file.share.id },
      ...{ hand, decision, reason, doneAs, weight },
      ...wordsOf(found.value, decision, doneAs),
      ...{ at: instant(house.now), actorId: house.actor.id },
    };
    await writeDeviation(house.db, deviation);
    const plan = planFor(file, cut.value);
    await writeRemadePlan(house.db, { shareId: file.share.id, causeId: deviation.id, plan });
    touchCut(house, file);
    return success({ shareId: file.share.id, done: deviation.done });
  },
});

/** What is packed of a row was cut as the sheet says: it is taken back first. */
function alreadyPacked(file: ShareFile, decision: string): Refusal | undefined {
  const lines = planOf(file).expected.lines.filter((line) => line.decision === decision);
  const packed = file.weighings.find(({ lineKey }) => lines.some(({ key }) => key === lineKey));
  if (!packed) return undefined;
  return refuse(
    'packed-already',
    `${packed.cut} is packed already. Take those packs back, or say how much was done otherwise.`,
  );
}

function wordsOf({ hand }: InHand, decision: string, doneAs: string): Pick<Deviation, 'asked' | 'done'> {
  const row: Decision = hand.situation.species.decisions.find((each) => each.id === decision)!;
  const answer = answerOn(hand.sheet, decision, 1);
  return {
    asked: answer ? says(row, answer) : row.title,
    done: doneAs === OUT ? 'cut away' : optionById(row, doneAs).label,
  };
}
