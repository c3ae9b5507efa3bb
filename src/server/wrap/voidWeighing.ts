import Joi from 'joi';
import type { ShareFile } from '@/core/order/shareFile';
import type { Weighing, WeighingId } from '@/core/order/work';
import { success } from '@/core/quantity/result';
import { isVoided, weighingAskedAs, weighingById } from '@/data/wrap';
import { isOwner } from '../house/actor';
import { clientId, words } from '../house/fields';
import { cureGround } from '../house/cureGround';
import { refuse, type Refusal } from '../house/reasons';
import { fileOf, touchCut, touchPool } from '../house/shareView';
import { defineUseCase, STAFF, type House } from '../house/useCase';
import { packsDependOn } from './limits';
import { undoWeighing } from './undoWeighing';

type Input = { clientId: string; reason: string } & (
  | { weighingId: WeighingId }
  /** The id with which a weighing was asked for that nobody has seen an answer to yet. */
  | { weighedAs: string }
);

/** What is written when somebody takes back what was just weighed by the same hands. */
const SLIP = 'taken back at once';

/** Takes a weighing back: a new entry that undoes it. The pack is weighed again as a new one. */
export const voidWeighing = defineUseCase<Input, { id: WeighingId }>({
  name: 'voidWeighing',
  roles: STAFF,
  writes: true,
  input: Joi.object({
    clientId,
    weighingId: Joi.string().guid(),
    weighedAs: Joi.string().guid(),
    reason: words(200).allow('').default(''),
  }).xor('weighingId', 'weighedAs'),
  subject: (input) => ('weighingId' in input ? input.weighingId : input.weighedAs),
  run: async (house, input) => {
    const { clientId: requestId, reason } = input;
    const weighing = await weighingOf(house, input);
    if (!weighing) return refuse('not-found', 'There is no such weighing: nothing is to be taken back.');
    const weighingId = weighing.id;
    if (await isVoided(house.db, weighingId)) return success({ id: weighingId });
    const found = await fileOf(house, weighing.shareId);
    if (!found.ok) return found;
    const refused = whyNot(house, found.value, { weighing, reason });
    if (refused) return refused;
    await undoWeighing(house, weighing, { clientId: requestId, reason: reason || SLIP });
    touchCut(house, found.value);
    touchPool(house, found.value, weighing.lineKey);
    return success({ id: weighingId });
  },
});

function weighingOf(house: House, input: Input): Promise<Weighing | undefined> {
  return 'weighingId' in input
    ? weighingById(house.db, input.weighingId)
    : weighingAskedAs(house.db, input.weighedAs);
}

function whyNot(
  house: House,
  file: ShareFile,
  { weighing, reason }: { weighing: Weighing; reason: string },
): Refusal | undefined {
  if (file.closing) return refuse('closed', 'This order is closed. Its weighings stand.');
  const isOthers = weighing.actorId !== house.actor.id && !isOwner(house.actor);
  if (isOthers && reason === '') {
    return refuse(
      'needs-a-reason',
      'Somebody else weighed this. Say why it is taken back, or ask the owner.',
      'reason',
    );
  }
  if (packsDependOn(weighing, file, cureGround(house))) {
    return refuse(
      'packs-depend-on-it',
      'Packs have come out of this since, or it is in the cure. Take these back first.',
    );
  }
  return undefined;
}
