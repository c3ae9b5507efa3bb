import { blockSheetOf, type BlockSheet } from '@/core/block/blockSheet';
import { defineShareView } from '../house/shareView';
import { STAFF } from '../house/useCase';

/** What the cutter gets on paper: by quarter, in break order, without prices and telephone numbers. */
export const blockSheetView = defineShareView<BlockSheet>({
  name: 'blockSheetView',
  roles: STAFF,
  asCut: true,
  show: ({ now }, file) => blockSheetOf(file, now),
});
