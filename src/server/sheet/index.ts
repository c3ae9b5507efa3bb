import { approveSheet } from './approveSheet';
import { callsView, callView } from './callsView';
import { changeRows, copySheet } from './copySheet';
import { farmSheetsView, wantedView } from './farmSheets';
import { noteCall } from './noteCall';
import { otherSheetsView } from './otherSheetsView';
import { renewSetUp } from './renewSetUp';
import { reopenSheet } from './reopenSheet';
import { saveSheet } from './saveSheet';
import { sheetView } from './sheetView';
import { speciesView } from './speciesView';
import { takeHouseWay } from './takeHouseWay';
import { endTemplate, keepTemplate } from './templates';
import { wishesView } from './wishesView';

export type { CallInHand, CallRow, Calls } from './callsView';
export type { FarmBuyer, FarmShare, FarmSheets, FarmSpecies } from './farmSheets';
export type { OtherSheet } from './otherSheetsView';
export type { SavedSheet } from './saveSheet';
export type { NotedCall, OpenSheet, SheetView } from './sheetView';

export const sheet = {
  renewSetUp,
  saveSheet,
  approveSheet,
  reopenSheet,
  noteCall,
  callsView,
  callView,
  takeHouseWay,
  sheetView,
  otherSheetsView,
  speciesView,
  wishesView,
  keepTemplate,
  endTemplate,
  farmSheetsView,
  copySheet,
  changeRows,
  wantedView,
} as const;
