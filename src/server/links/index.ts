import {
  householdCopyView,
  householdSheetView,
  householdSpeciesView,
  householdStatementView,
} from './householdSheet';
import { endLink, giveLink, linksView, sendSheet } from './links';

export type { HouseholdSheet } from './householdSheet';
export type { LinksView, ListedLink } from './links';
export { admitVisitor, visitorOf, type Visitor } from './visitor';

export const links = {
  giveLink,
  endLink,
  linksView,
  householdSheetView,
  householdSpeciesView,
  householdCopyView,
  householdStatementView,
  sendSheet,
} as const;
