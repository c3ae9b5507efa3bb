import { weight, type Weight } from '../quantity/weight';
import { formOf, houseSheet, withAnswer } from '../sheet/houseSheet';
import { decisionById, type Situation } from '../sheet/situation';
import type { Form, Sheet } from '../sheet/types';
import { speciesById } from './catalogue';

/** The half hog that the tests speak of: 91 pounds cold, a shop with a band saw. */
export const half: Situation = {
  species: speciesById('hog'),
  unit: 'lb',
  sides: 1,
  addOns: [],
  tools: ['band-saw'],
};

export const whole: Situation = { ...half, sides: 2 };

export const COLD: readonly Weight[] = [weight(91)];

/** A form of a decision with its usual sizes, and what is said otherwise. */
export function form(decision: string, option: string, change: Partial<Form> = {}): Form {
  return { ...formOf(decisionById(half.species, decision), option, half), ...change };
}

/** A sheet with one decision answered by these forms. */
export function answered(sheet: Sheet, decision: string, ...forms: Form[]): Sheet {
  return withAnswer(sheet, decision, { forms });
}

export const house: Sheet = houseSheet(half);
