import { randomUUID } from 'node:crypto';
import Joi from 'joi';
import { heldWords } from '@/core/grindroom/batchRules';
import { postClosing } from '@/core/ledger/ledger';
import type { ShareId } from '@/core/order/animal';
import { finalBill, reconciliationOf } from '@/core/order/settling';
import type { ShareFile } from '@/core/order/shareFile';
import { isPacked, packsMade, planOf } from '@/core/order/standing';
import { success } from '@/core/quantity/result';
import { throughOf } from '@/core/smokehouse/throughSmoke';
import { instant } from '@/core/time/shopTime';
import { writeTransaction } from '@/data/ledger';
import { writeAllotments, writeClosing } from '@/data/settle';
import { readShareFile } from '@/data/rail';
import { writeFinished } from '../yields';
import { allot } from './allot';
import { isOwner } from '../house/actor';
import { cureGround } from '../house/cureGround';
import { clientId, id, words } from '../house/fields';
import { relearn } from '../learning/relearn';
import { refuse, type Refusal } from '../house/reasons';
import { cutFileOf, fileOf, touchCut } from '../house/shareView';
import { defineUseCase, OFFICE, type House } from '../house/useCase';

type Input = { clientId: string; shareId: ShareId; note: string };

/** Closes the balance of a share: what is left is unaccounted, and the final bill is frozen. */
export const closeShare = defineUseCase<Input, { shareId: ShareId }>({
  name: 'closeShare',
  roles: OFFICE,
  writes: true,
  input: Joi.object({ clientId, shareId: id, note: words(500).allow('').required() }),
  subject: (input) => input.shareId,
  run: async (house, { clientId: requestId, shareId: asked, note }) => {
    const found = await cutFileOf(house, asked);
    if (!found.ok) return found;
    const file = found.value;
    const shareId = file.share.id;
    if (file.closing) return success({ shareId });
    const refused = stillOpen(house, file) ?? outOfTolerance(house, file, note);
    if (refused) return refused;
    const by = { at: instant(house.now), actorId: house.actor.id };
    const postings = postClosing(shareId, file.held);
    if (postings.length > 0) {
      await writeTransaction(house.db, { id: randomUUID(), kind: 'closing', ...by }, postings);
    }
    const closed = file.together.length === 1 ? [file] : await sharedOut(house, file);
    for (const each of closed) {
      const isAsked = each.share.id === shareId;
      const closing = { shareId: each.share.id, clientId: isAsked ? requestId : randomUUID() };
      await writeClosing(house.db, { ...closing, bill: finalBill(each), note, ...by });
    }
    const after = await readShareFile(house.db, house.setUps, shareId);
    await writeFinished(house.db, after!, house.now);
    await relearn(house, file.animal.species);
    touchCut(house, file);
    return success({ shareId });
  },
});

/** Shares the packages out among the households that were cut as one: each household's file with what it got. */
async function sharedOut(house: House, file: ShareFile): Promise<ShareFile[]> {
  const allotted = await allot(file);
  const files: ShareFile[] = [];
  for (const { id: shareId } of file.together) {
    const own = await fileOf(house, shareId);
    const packages = allotted.get(shareId) ?? [];
    await writeAllotments(
      house.db,
      packages.map((weighingId) => ({ weighingId, shareId })),
    );
    if (own.ok) files.push({ ...own.value, allotted: new Set(packages) });
  }
  return files;
}

function stillOpen(house: House, file: ShareFile): Refusal | undefined {
  if (!file.start || !isPacked(file)) {
    return refuse(
      'still-due',
      'Some cuts of the sheet are neither packed nor explained. Pack them or say why.',
    );
  }
  const held = file.batches.map(({ events }) => heldWords(events)).find((words) => words !== '');
  if (held !== undefined) return refuse('not-in-a-batch', held);
  const pooled = file.batches.find(
    ({ pool, events }) => pool && !events.some(({ kind }) => kind === 'closed'),
  );
  if (pooled) {
    return refuse(
      'not-in-a-batch',
      `The pooled batch ${pooled.batch.lot} is not closed yet. It is closed in the grind room.`,
    );
  }
  const packed = planOf(file).expected.lines.filter(({ key }) => packsMade(file.weighings, key) > 0);
  const waits = packed.map(({ key }) => throughOf(file, key, cureGround(house)).waits);
  const inSmoke = waits.find((words) => words !== '');
  if (inSmoke !== undefined) return refuse('in-cure', inSmoke);
  const explained = new Set(file.notes.map((each) => each.lineKey));
  const inCure = reconciliationOf(file).lines.filter(
    (line) => line.state === 'in cure' && !explained.has(line.lineKey),
  );
  if (inCure.length === 0) return undefined;
  const cuts = inCure.map((line) => line.cut).join(', ');
  return refuse('in-cure', `Still in cure: ${cuts}. Weigh the finished packs first.`);
}

/** A gap beyond what is usual is explained; one to be investigated is closed by the owner alone. */
function outOfTolerance(house: House, file: ShareFile, note: string): Refusal | undefined {
  const { verdict, unaccountedBp } = reconciliationOf(file);
  if (verdict === 'usual') return undefined;
  const percent = (unaccountedBp / 100).toFixed(2);
  if (note === '') {
    return refuse(
      'needs-a-note',
      `${percent} % is unaccounted. Look for it, then write what was found.`,
      'note',
    );
  }
  if (verdict !== 'investigate' || isOwner(house.actor)) return undefined;
  return refuse('not-allowed', `${percent} % is unaccounted. That much is closed by the owner only.`);
}
