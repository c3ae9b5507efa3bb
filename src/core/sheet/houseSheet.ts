import { schoolById } from '../carcass/breaks';
import { typeOf } from '../carcass/shiftAtlas';
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

/** What the house would say here, and why: option ids in the order of its forms. */
export type HouseWay = { readonly options: readonly string[]; readonly reason: string };

/**
 * The house's way with one decision: that of the school it breaks by, else what suits the carcass' type, else the
 * species' own, or what it says instead where the answer that it stands beside is not given. Where nothing of it is
 * offered, the first option that is.
 */
export function houseWay(decision: Decision, situation: Situation): HouseWay {
  const { house, options } = decision;
  const said = specialHouse(decision, situation);
  const wanted: HouseWay = said
    ? { options: [said], reason: house.reason }
    : stands(decision, situation)
      ? { options: [house.option, house.then].filter((id) => id !== undefined), reason: house.reason }
      : { options: [house.beside!.otherwise], reason: house.beside!.reason };
  const isOffered = (id: string) => whyNotOffered(optionById(decision, id), situation) === undefined;
  const offered = wanted.options.filter(isOffered);
  if (offered.length > 0) return { ...wanted, options: offered };
  return { options: [options.find((option) => isOffered(option.id))!.id], reason: house.reason };
}

function specialHouse(decision: Decision, { species, school, condition }: Situation): string | undefined {
  const ofSchool = school === undefined ? undefined : schoolById(species, school).house?.[decision.id];
  return ofSchool ?? (condition && typeOf(species, condition)?.house?.[decision.id]);
}

/** Whether the answer that the house's own stands beside is given. */
function stands({ house: { beside } }: Decision, situation: Situation): boolean {
  if (!beside) return true;
  const other = situation.species.decisions.find((each) => each.id === beside.decision)!;
  return houseWay(other, situation).options.includes(beside.option);
}

/** The house's answer to one decision. */
export function houseAnswer(decision: Decision, situation: Situation): Answer {
  return { forms: houseWay(decision, situation).options.map((id) => formOf(decision, id, situation)) };
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
