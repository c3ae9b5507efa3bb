import type { ShareId } from '@/core/order/animal';
import type { ShareFile } from '@/core/order/shareFile';
import type { Result } from '@/core/quantity/result';
import type { Sheet } from '@/core/sheet/types';
import { instant } from '@/core/time/shopTime';
import { beginUnder } from '@/data/book';
import { keepDraft, writeDraft } from '@/data/sheet';
import { refuse, type Reason } from '../house/reasons';
import { cutFileOf, touchCut } from '../house/shareView';
import type { House } from '../house/useCase';

/** The file of a share whose sheet may still be changed. */
export async function changeable(house: House, shareId: ShareId): Promise<Result<ShareFile, Reason>> {
  const found = await cutFileOf(house, shareId);
  if (!found.ok) return found;
  if (found.value.cancellation) return refuse('cancelled', 'This order was called off. Nothing was changed.');
  if (!found.value.start) return found;
  return refuse('on-the-block', 'This share is on the block. Its sheet stands; tell the cutter.');
}

/**
 * The same, while its sheet is still the one that somebody looked at when deciding about it as a whole.
 *
 * @param version - of what was looked at; 0 where there was no sheet
 */
export async function changeableAs(
  house: House,
  { shareId, version }: { readonly shareId: ShareId; readonly version: number },
): Promise<Result<ShareFile, Reason>> {
  const found = await changeable(house, shareId);
  if (!found.ok || (found.value.sheet?.version ?? 0) === version) return found;
  return refuse('changed-elsewhere', 'This sheet was changed in another window. Look at it again first.');
}

/** Puts a sheet in place of a share's draft; what another person had drafted stays as a version of its own. */
export async function draftOver(house: House, file: ShareFile, sheet: Sheet): Promise<{ version: number }> {
  const { share, sheet: latest } = file;
  if (!latest) await beginUnder(house.db, share.id, house.setUp.number);
  if (latest && latest.actorId !== house.actor.id) await keepDraft(house.db, share.id);
  const version = (latest?.version ?? 0) + 1;
  await writeDraft(house.db, {
    shareId: share.id,
    version,
    sheet,
    approved: false,
    overrideReason: null,
    at: instant(house.now),
    actorId: house.actor.id,
  });
  touchCut(house, file);
  return { version };
}
