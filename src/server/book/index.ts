import { bookingView } from './bookingView';
import { bookAnimals, bookOrder } from './bookOrder';
import { cancelOrder } from './cancelOrder';
import { correctFacts } from './correctFacts';
import { sellPart } from './sellPart';

export type { BookableSpecies, BookingView } from './bookingView';

export const book = { bookOrder, bookAnimals, correctFacts, cancelOrder, sellPart, bookingView } as const;
