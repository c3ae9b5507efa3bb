import type { ShareId } from '@/core/order/animal';

/** Where the page of a farm is looked at: at the desk, or by the farmer's link. */
export type FarmPlace = {
  readonly atDesk: boolean;
  /** Where the sheet of a share is answered; at the desk with the row open. */
  readonly sheetPath: (shareId: ShareId, row?: string) => string;
  /** Where what is wanted is divided. */
  readonly wantedPath: string;
  /** Where the farm's season stands, and its papers are had. */
  readonly seasonPath: (farmId: string) => string;
  readonly seasonPapers: (farmId: string) => string;
};

export const AT_DESK: FarmPlace = {
  atDesk: true,
  sheetPath: (shareId, row) => `/sheet/${shareId}${row ? `?row=${row}` : ''}`,
  wantedPath: '/api/wanted',
  seasonPath: (farmId) => `/farm/${farmId}/season`,
  seasonPapers: (farmId) => `/api/farm/${farmId}/season`,
};
