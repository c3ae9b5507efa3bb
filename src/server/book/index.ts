import { blankSheetView } from './blankSheetView';
import { bookingView } from './bookingView';
import { bookAnimals, bookOrder, triedBookingsView } from './bookOrder';
import { cancelOrder } from './cancelOrder';
import { correctFacts } from './correctFacts';
import {
  householdView,
  mergeHouseholds,
  addHouseholdContact,
  endHouseholdContact,
  noteHousehold,
} from './households';
import { householdsView } from './householdsView';
import { lastTimeView } from './lastTimeView';
import { confirmationView, messagesView } from './messages';
import { orderFileView } from './orderFileView';
import { roomView } from './roomView';
import { sellPart } from './sellPart';

export type { BookableSpecies, BookingView } from './bookingView';
export type { Household } from './households';
export type { FoundHousehold } from './householdsView';
export type { LastTime } from './lastTimeView';
export type { SentMessage } from './messages';
export type { RoomView } from './roomView';

export const book = {
  bookOrder,
  bookAnimals,
  triedBookingsView,
  correctFacts,
  cancelOrder,
  sellPart,
  bookingView,
  householdsView,
  householdView,
  addHouseholdContact,
  endHouseholdContact,
  noteHousehold,
  mergeHouseholds,
  lastTimeView,
  roomView,
  confirmationView,
  messagesView,
  blankSheetView,
  orderFileView,
} as const;
