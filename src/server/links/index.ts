import {
  householdCalendarView,
  householdCopyView,
  householdSheetView,
  householdSpeciesView,
  householdStatementView,
} from './householdSheet';
import { endLink, farmLinksView, giveFarmLink, giveLink, linksView, sendSheet } from './links';
import { keepTriedSheet, shopFrontView, triedSheetView, trySheetView, trySpeciesView } from './triedSheets';

export { admitAnybody } from './anybody';
export type { HouseholdSheet } from './householdSheet';
export type { LinksView, ListedLink } from './links';
export { triedSheetOf, type FoundTriedSheet, type ShopFront, type TrySheet } from './triedSheets';
export { admitVisitor, visitorOf, type Visitor } from './visitor';

export const links = {
  giveLink,
  giveFarmLink,
  farmLinksView,
  endLink,
  linksView,
  householdSheetView,
  householdSpeciesView,
  householdCalendarView,
  householdCopyView,
  householdStatementView,
  sendSheet,
  shopFrontView,
  trySheetView,
  trySpeciesView,
  keepTriedSheet,
  triedSheetView,
} as const;
