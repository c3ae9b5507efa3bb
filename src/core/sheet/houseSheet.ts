import { schoolById } from '../carcass/breaks';
import { convertUnits, weight } from '../quantity/weight';
import type { Decision } from '../species/types';
import { defaultParams } from './params';
import { decisionsAsked, optionById, whyNotOffered, type Situation } from './situation';
import type { Answer, Form, GrindOrder, Sheet } from './types';

/** A form with the option's default parameters, taking the rest of its zone. */
export function formOf(decision: Decision, optionId: string, situation: Situation): Form {
  const option = optionById(decision, optionId);
  return { option: optionId, amount: { kind: 'rest' }, params: defaultParams(option, situation.unit) };
}

/** The house's answer to one decision, or that of the school it breaks by; where the shop lacks the tool, the first option it can do. */
export function houseAnswer(decision: Decision, situation: Situation): Answer {
  const { species, school } = situation;
  const ofSchool = school === undefined ? undefined : schoolById(species, school).house?.[decision.id];
  const house = ofSchool === undefined ? [decision.house.option, decision.house.then] : [ofSchool];
  const wanted = house.filter((id) => id !== undefined);
  const offered = wanted.filter((id) => whyNotOffered(optionById(decision, id), situation) === undefined);
  const fallback = decision.options.find((option) => whyNotOffered(option, situation) === undefined);
  const ids = offered.length > 0 ? offered : [fallback!.id];
  return { forms: ids.map((id) => formOf(decision, id, situation)) };
}

/** The grind as the house makes it: plain, bulk, at the usual fat. */
export function houseGrind({ species, unit }: Situation): GrindOrder {
  const packWeight = weight(convertUnits(species.grind.packLb.default, 'lb', unit));
  return {
    fatPct: species.grind.fatPct.default,
    lines: [{ recipe: species.recipes[0]!.id, form: 'bulk', amount: { kind: 'rest' }, packWeight }],
  };
}

/** A sheet on which nothing has been decided yet. */
export function emptySheet(situation: Situation): Sheet {
  return {
    species: situation.species.id,
    answers: {},
    secondSide: {},
    keeps: {},
    grind: houseGrind(situation),
    wrap: 'vacuum',
    instructions: '',
  };
}

/** The house standard in one tap: every question answered the way the shop would. */
export function houseSheet(situation: Situation): Sheet {
  const answers = decisionsAsked(situation).map((decision) => [
    decision.id,
    houseAnswer(decision, situation),
  ]);
  const keeps = situation.species.poolKeeps.map((keep) => [keep.id, keep.house.keep]);
  return {
    ...emptySheet(situation),
    answers: Object.fromEntries(answers),
    keeps: Object.fromEntries(keeps),
  };
}

/** A sheet with one decision answered anew. */
export function withAnswer(sheet: Sheet, decisionId: string, answer: Answer): Sheet {
  return { ...sheet, answers: { ...sheet.answers, [decisionId]: answer } };
}
