import { bookingView } from './bookingView';
import { bookOrder } from './bookOrder';

export type { BookableSpecies, BookingView } from './bookingView';

export const book = { bookOrder, bookingView } as const;
