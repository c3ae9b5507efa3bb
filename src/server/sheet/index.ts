import { approveSheet } from './approveSheet';
import { noteCall } from './noteCall';
import { otherSheetsView } from './otherSheetsView';
import { renewSetUp } from './renewSetUp';
import { reopenSheet } from './reopenSheet';
import { saveSheet } from './saveSheet';
import { sheetView } from './sheetView';
import { speciesView } from './speciesView';

export type { OtherSheet } from './otherSheetsView';
export type { SavedSheet } from './saveSheet';
export type { NotedCall, SheetView } from './sheetView';

export const sheet = {
  renewSetUp,
  saveSheet,
  approveSheet,
  reopenSheet,
  noteCall,
  sheetView,
  otherSheetsView,
  speciesView,
} as const;
