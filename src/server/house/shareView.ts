import Joi from 'joi';
import type { ShareId } from '@/core/order/animal';
import type { ShareFile } from '@/core/order/shareFile';
import { success, type Result } from '@/core/quantity/result';
import type { Role } from '@/data/people';
import { id } from './fields';
import { refuse, type Reason } from './reasons';
import { defineUseCase, type House, type UseCase } from './useCase';

/** The file of a share, or that there is none. */
export async function fileOf(house: House, shareId: ShareId): Promise<Result<ShareFile, Reason>> {
  const file = await house.files.read(house.db, shareId);
  return file
    ? success(file)
    : refuse('not-found', 'There is no such share. It may have been booked in another shop.');
}

/** The file by which a share is cut: that of the household that decides, where several are cut as one. */
export async function cutFileOf(house: House, shareId: ShareId): Promise<Result<ShareFile, Reason>> {
  const found = await fileOf(house, shareId);
  if (!found.ok || found.value.together[0]!.id === shareId) return found;
  return fileOf(house, found.value.together[0]!.id);
}

/** Everybody who is cut as one stands differently now; the file is what the first of them has become, where known. */
export function touchCut(house: House, { together }: ShareFile, now?: ShareFile): void {
  together.forEach(({ id: shareId }, at) => house.touch(shareId, at === 0 ? now : undefined));
}

/**
 * Of a batch of several owners everybody stands differently when one of them does.
 *
 * @returns whether the line is in such a batch
 */
export function touchPool(house: House, { share, batches }: ShareFile, lineKey: string): boolean {
  const pool = batches.find(({ batch }) => batch.lineKey === lineKey)?.pool;
  for (const { shareId } of pool?.members ?? []) if (shareId !== share.id) house.touch(shareId);
  return pool !== undefined;
}

type Shown<Output> = {
  /** Shown by the file it is cut by, whoever of several households it is asked for. */
  readonly asCut?: boolean;
  readonly name: string;
  readonly roles: readonly Role[];
  readonly show: (house: House, file: ShareFile) => Output | Promise<Output>;
};

/** A view of one share. */
export function defineShareView<Output>({
  name,
  roles,
  show,
  asCut = false,
}: Shown<Output>): UseCase<{ shareId: ShareId }, Output> {
  return defineUseCase<{ shareId: ShareId }, Output>({
    name,
    roles,
    writes: false,
    input: Joi.object({ shareId: id }),
    run: async (house, { shareId }) => {
      const file = await (asCut ? cutFileOf : fileOf)(house, shareId);
      return file.ok ? success(await show(house, file.value)) : file;
    },
  });
}
