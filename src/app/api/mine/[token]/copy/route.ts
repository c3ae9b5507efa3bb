import { paperByLink } from '@/app/paperByLink';
import { sheetCopyOf } from '@/server/work';

/** A household's approved sheet as a PDF, by its private link. */
export const GET = paperByLink('householdCopyView', { named: 'cut-sheet', make: sheetCopyOf });
