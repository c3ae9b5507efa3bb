import type { ShareId } from '@/core/order/animal';

/** Where the page of a farm is looked at: at the desk, or by the farmer's link. */
export type FarmPlace = {
  readonly atDesk: boolean;
  /** Where the sheet of a share is answered; at the desk with the row open. */
  readonly sheetPath: (shareId: ShareId, row?: string) => string;
  /** Where what is wanted is divided. */
  readonly wantedPath: string;
};

export const AT_DESK: FarmPlace = {
  atDesk: true,
  sheetPath: (shareId, row) => `/sheet/${shareId}${row ? `?row=${row}` : ''}`,
  wantedPath: '/api/wanted',
};
