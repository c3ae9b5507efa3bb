import { dayBookFileView, dayBookView, signDay } from './dayBookView';
import { ingredientsView, receiveIngredient } from './ingredients';

export type { DayBookView } from './dayBookView';
export type { IngredientsView, ReceivedLot } from './ingredients';

export const dayBook = { dayBookView, dayBookFileView, signDay, ingredientsView, receiveIngredient } as const;
