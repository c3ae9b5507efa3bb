import type { OrderDocument } from '@/core/order/document';
import { orderDocumentOf } from '@/core/order/orderOut';
import type { ShareFile } from '@/core/order/shareFile';
import { defineShareView } from '../house/shareView';
import { OFFICE } from '../house/useCase';

/** The open order file of a share's animal, with all its shares: what was booked, weighed and asked. */
export const orderFileView = defineShareView<OrderDocument>({
  name: 'orderFileView',
  roles: OFFICE,
  show: async (house, { siblings }) => {
    const files = await Promise.all(siblings.map(({ id }) => house.files.read(house.db, id)));
    return orderDocumentOf(files.filter((file) => file !== undefined) as ShareFile[]);
  },
});
