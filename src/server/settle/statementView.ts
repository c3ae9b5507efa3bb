import type { ShareFile } from '@/core/order/shareFile';
import type { Statement } from '@/core/order/settlement';
import { photoById } from '@/data/hang';
import { defineShareView } from '../house/shareView';
import { OFFICE, type House } from '../house/useCase';
import { settlementOf } from './settleView';

/** What the statement of a share is printed from. */
export const statementView = defineShareView<Statement>({
  name: 'statementView',
  roles: OFFICE,
  show: (house, file) => statementFor(house, file),
});

/** The settlement of a share with the photographs of what was found on it. */
export async function statementFor({ db }: House, file: ShareFile): Promise<Statement> {
  const settlement = settlementOf(file);
  const photos = new Map<string, Uint8Array>();
  for (const { photoId } of settlement.notes) {
    const photo = photoId === undefined ? undefined : await photoById(db, photoId);
    if (photo) photos.set(photo.id, new Uint8Array(photo.jpeg));
  }
  return { ...settlement, photos };
}
