import { randomUUID } from 'node:crypto';
import Joi from 'joi';
import { postToBlock } from '@/core/ledger/ledger';
import type { ShareId } from '@/core/order/animal';
import type { ShareFile } from '@/core/order/shareFile';
import { estimateOf, isChilling, netOf, planOf, quarterWeight } from '@/core/order/standing';
import { success } from '@/core/quantity/result';
import { instant } from '@/core/time/shopTime';
import { writeBlockStart, writePlan } from '@/data/block';
import { writeTransaction } from '@/data/ledger';
import { heldOf } from '../hang';
import { roleOf } from '../house/actor';
import { clientId, id, words } from '../house/fields';
import { refuse, type Refusal } from '../house/reasons';
import { cutFileOf, touchCut } from '../house/shareView';
import { defineUseCase, type House } from '../house/useCase';

type Input = { clientId: string; shareId: ShareId; reason: string };

/** Takes a share to the block: the ledger moves its sides, and what is to be made of it is frozen as it stands. */
export const startBlock = defineUseCase<Input, { shareId: ShareId }>({
  name: 'startBlock',
  roles: ['owner', 'counter', 'cutter', 'wrapper'],
  writes: true,
  input: Joi.object({ clientId, shareId: id, reason: words(200).allow('').default('') }),
  subject: (input) => input.shareId,
  run: async (house, { shareId: asked, reason }) => {
    const found = await cutFileOf(house, asked);
    if (!found.ok) return found;
    const file = found.value;
    const shareId = file.share.id;
    if (file.start) return success({ shareId });
    const held = await heldOf(
      house,
      file.sides.map(({ side }) => side.id),
    );
    const refused = notReady(file) ?? needsReason(house, file, { reason, held });
    if (refused) return refused;
    const by = { at: instant(house.now), actorId: house.actor.id };
    for (const { side, cold, quarters } of file.sides) {
      const entry = { id: randomUUID(), kind: 'to-block', ...by };
      await writeTransaction(
        house.db,
        entry,
        postToBlock(side.id, shareId, quarterWeight(file.situation, netOf(cold!), quarters)),
      );
    }
    const estimate = estimateOf(file);
    await writeBlockStart(house.db, { shareId, sheetVersion: file.sheet!.version, estimate, reason, ...by });
    await writePlan(house.db, shareId, planOf(file));
    touchCut(house, file);
    return success({ shareId });
  },
});

function notReady({ sheet, sides, cancellation }: ShareFile): Refusal | undefined {
  if (cancellation) return refuse('cancelled', 'This order was called off. Nothing is cut for it.');
  if (!sheet?.approved) {
    return refuse('not-approved', 'The sheet is not approved yet. Finish it first; nothing was cut.');
  }
  if (sides.some((side) => !side.cold)) {
    return refuse('no-cold-weight', 'Weigh the cold side first; the balance starts from it.');
  }
  return undefined;
}

type Said = { readonly reason: string; readonly held: string };

/** It cannot be undone: owner and cutter start it, others say why; warm meat only with a reason, whoever it is. */
function needsReason(house: House, file: ShareFile, { reason, held }: Said): Refusal | undefined {
  if (reason !== '') return undefined;
  if (held !== '') {
    return refuse('on-hold', `On hold: ${held}. Let it go, or write why it is cut all the same.`, 'reason');
  }
  if (isChilling(file, house.now)) {
    const message =
      'Still chilling: the heat may not be out of the bone. Wait, or write why it is cut today.';
    return refuse('still-chilling', message, 'reason');
  }
  if (['owner', 'cutter'].includes(roleOf(house.actor))) return undefined;
  const message =
    'The cutter or the owner takes a share to the block. Write why you do; it cannot be undone.';
  return refuse('needs-a-reason', message, 'reason');
}
