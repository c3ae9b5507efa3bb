import { randomUUID } from 'node:crypto';
import Joi from 'joi';
import { postToBlock } from '@/core/ledger/ledger';
import { failure, success, type Result } from '@/core/quantity/result';
import { isComplete } from '@/core/sheet/findings';
import { sheetProblems } from '@/core/sheet/sheetProblems';
import { sheetSchema } from '@/core/sheet/sheetSchema';
import type { Sheet } from '@/core/sheet/types';
import { writeTransaction } from '@/data/repositories/ledger';
import { writeBlockStart } from '@/data/repositories/railWork';
import { writeSheet } from '@/data/repositories/sheets';
import { EVERYONE, OFFICE, defineUseCase, type House } from '../doorway';
import { estimateOf, netOf, openQuestions, orderOf, type Order } from '../orderBook';
import { id } from './fields';

export type SavedSheet = { readonly version: number };

/** Finds an order whose sheet may still be changed. */
async function changeable(house: House, shareId: string): Promise<Result<Order>> {
  const order = await orderOf(house.db, shareId);
  if (!order) return failure('not-found', 'There is no such share.');
  if (order.start) {
    return failure('on-the-block', 'This share is on the block. Its sheet stands; tell the cutter.');
  }
  return success(order);
}

/** Keeps a draft of a sheet. A sheet changed elsewhere in the meantime is not overwritten. */
export const saveSheet = defineUseCase<{ shareId: string; baseVersion: number; sheet: Sheet }, SavedSheet>({
  name: 'saveSheet',
  roles: OFFICE,
  writes: true,
  input: Joi.object({
    shareId: id,
    baseVersion: Joi.number().integer().min(0).required(),
    sheet: sheetSchema.required(),
  }),
  subject: (input) => input.shareId,
  run: async (house, { shareId, baseVersion, sheet }) => {
    const found = await changeable(house, shareId);
    if (!found.ok) return found;
    const latest = found.value.sheet;
    if (latest && JSON.stringify(latest.sheet) === JSON.stringify(sheet))
      return success({ version: latest.version });
    if ((latest?.version ?? 0) !== baseVersion) {
      return failure(
        'changed-elsewhere',
        'This sheet was changed in another window. Load it again; what you see here has not been saved.',
      );
    }
    const problems = sheetProblems(found.value.situation, sheet);
    if (problems.length > 0) {
      return { ...failure('invalid', problems[0]!.message, problems[0]!.field), problems };
    }
    return success(await writeVersion(house, shareId, baseVersion + 1, sheet, null));
  },
});

async function writeVersion(
  house: House,
  shareId: string,
  version: number,
  sheet: Sheet,
  approval: { overrideReason: string | null } | null,
): Promise<SavedSheet> {
  await writeSheet(house.db, {
    shareId,
    version,
    sheet,
    approved: approval !== null,
    overrideReason: approval?.overrideReason ?? null,
    at: house.now.toISOString(),
    actorId: house.actor.id,
  });
  return { version };
}

/** Lets a sheet go to the floor: without holes and clashes, or with a reason that somebody signs. */
export const approveSheet = defineUseCase<
  { shareId: string; version: number; overrideReason: string },
  SavedSheet
>({
  name: 'approveSheet',
  roles: OFFICE,
  writes: true,
  input: Joi.object({
    shareId: id,
    version: Joi.number().integer().min(0).required(),
    overrideReason: Joi.string().trim().allow('').max(300).required(),
  }),
  subject: (input) => input.shareId,
  run: async (house, { shareId, version, overrideReason }) => {
    const found = await changeable(house, shareId);
    if (!found.ok) return found;
    const { sheet } = found.value;
    if (!sheet) return failure('no-sheet', 'Nothing is on this sheet yet.');
    if (sheet.version !== version) {
      return failure(
        'changed-elsewhere',
        'This sheet was changed in another window. Look at it again first.',
      );
    }
    if (sheet.approved) return success({ version });
    const open = openQuestions(found.value).filter((finding) => finding.blocks);
    if (!isComplete(open) && overrideReason === '') {
      const count = open.length === 1 ? '1 question is' : `${open.length} questions are`;
      const refused = failure(
        'open-questions',
        `${count} open. Answer them, or write why it goes to the floor so.`,
      );
      return {
        ...refused,
        problems: open.map((each) => ({ field: each.decision, message: each.sentence })),
      };
    }
    const approval = { overrideReason: isComplete(open) ? null : overrideReason };
    return success(await writeVersion(house, shareId, version + 1, sheet.sheet, approval));
  },
});

/** Takes a share to the block: the ledger moves its sides, and the estimate is kept as it was. */
export const startBlock = defineUseCase<{ shareId: string }, { shareId: string }>({
  name: 'startBlock',
  roles: EVERYONE,
  writes: true,
  input: Joi.object({ shareId: id }),
  subject: (input) => input.shareId,
  run: async (house, { shareId }) => {
    const order = await orderOf(house.db, shareId);
    if (!order) return failure('not-found', 'There is no such share.');
    if (order.start) return success({ shareId });
    if (!order.sheet?.approved) {
      return failure('not-approved', 'The sheet is not approved yet. Finish it first; nothing was cut.');
    }
    if (order.sides.some((side) => !side.cold)) {
      return failure('no-cold-weight', 'Weigh the cold side first; the balance starts from it.');
    }
    const at = house.now.toISOString();
    for (const { side, cold } of order.sides) {
      const entry = { id: randomUUID(), kind: 'to-block', at, actorId: house.actor.id };
      await writeTransaction(house.db, entry, postToBlock(side.id, shareId, netOf(cold!)));
    }
    await writeBlockStart(house.db, {
      shareId,
      sheetVersion: order.sheet.version,
      estimate: estimateOf(order),
      at,
      actorId: house.actor.id,
    });
    return success({ shareId });
  },
});
