import { withAnswer } from '@/core/sheet/houseSheet';
import type { Answer, Sheet } from '@/core/sheet/types';

/** A sheet with another answer of a zone, on the side that is looked at. */
export type Answered = (sheet: Sheet, answer: Answer) => Sheet;

/** On the first side it holds for both, unless the second has an answer of its own. */
export function answeredOn(side: 1 | 2, decision: string): Answered {
  return (sheet: Sheet, answer: Answer) =>
    side === 1
      ? withAnswer(sheet, decision, answer)
      : { ...sheet, secondSide: { ...sheet.secondSide, [decision]: answer } };
}
