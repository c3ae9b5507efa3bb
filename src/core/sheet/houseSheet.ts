import { schoolById } from '../carcass/breaks';
import { typeOf } from '../carcass/shiftAtlas';
import { convertUnits, weight } from '../quantity/weight';
import type { Decision, HouseWhen } from '../species/types';
import { holds } from './circumstance';
import { defaultParams } from './params';
import { decisionsAsked, optionById, whyNotOffered, type Situation } from './situation';
import type { Answer, Form, GrindOrder, Sheet } from './types';

/** A form with the option's default parameters, taking the rest of its zone. */
export function formOf(decision: Decision, optionId: string, situation: Situation): Form {
  const option = optionById(decision, optionId);
  return { option: optionId, amount: { kind: 'rest' }, params: defaultParams(option, situation.unit) };
}

/** What the house would say here, and why: option ids in the order of its forms. */
export type HouseWay = {
  readonly options: readonly string[];
  readonly reason: string;
  /** Words of the house for an animal like this, to think about before its usual answer is taken. */
  readonly advice: readonly string[];
};

/**
 * The house's way with one decision: that of the school it breaks by, else what suits the circumstances, else the
 * carcass' type, else the species' own, or what it says instead where the answer that it stands beside is not given.
 * Where nothing of it is offered, the first option that is.
 */
export function houseWay(decision: Decision, situation: Situation): HouseWay {
  const { house, options } = decision;
  const holding = (house.when ?? []).filter((each) => holds(each.if, situation));
  const advice = holding.filter((each) => each.option === undefined).map((each) => each.reason);
  const wanted = {
    ...wantedWay(
      decision,
      situation,
      holding.find((each) => each.option !== undefined),
    ),
    advice,
  };
  const isOffered = (id: string) => whyNotOffered(optionById(decision, id), situation) === undefined;
  const offered = wanted.options.filter(isOffered);
  if (offered.length > 0) return { ...wanted, options: offered };
  return { options: [options.find((option) => isOffered(option.id))!.id], reason: house.reason, advice };
}

/** What the house would like to say, whether it is offered or not. */
function wantedWay(
  decision: Decision,
  situation: Situation,
  special: HouseWhen | undefined,
): Omit<HouseWay, 'advice'> {
  const { house } = decision;
  const forms = (said: { readonly option?: string; readonly then?: string }) =>
    [said.option, said.then].filter((id) => id !== undefined);
  const ofSchool = schoolHouse(decision, situation);
  if (ofSchool) return { options: [ofSchool], reason: house.reason };
  if (special) return { options: forms(special), reason: special.reason };
  const ofType = typeHouse(decision, situation);
  if (ofType) return { options: [ofType], reason: house.reason };
  if (stands(decision, situation)) return { options: forms(house), reason: house.reason };
  return { options: [house.beside!.otherwise], reason: house.beside!.reason };
}

function schoolHouse(decision: Decision, { species, school }: Situation): string | undefined {
  return school === undefined ? undefined : schoolById(species, school).house?.[decision.id];
}

function typeHouse(decision: Decision, { species, condition }: Situation): string | undefined {
  return condition && typeOf(species, condition)?.house?.[decision.id];
}

/** Whether the answer that the house's own stands beside is given. */
function stands({ house: { beside } }: Decision, situation: Situation): boolean {
  if (!beside) return true;
  const other = situation.species.decisions.find((each) => each.id === beside.decision)!;
  return houseWay(other, situation).options.some((option) => beside.options.includes(option));
}

/** The house's answer to one decision. */
export function houseAnswer(decision: Decision, situation: Situation): Answer {
  return { forms: houseWay(decision, situation).options.map((id) => formOf(decision, id, situation)) };
}

/** The grind as the house makes it: plain, bulk, at the usual fat. */
export function houseGrind(situation: Situation): GrindOrder {
  const { species, unit } = situation;
  const special = species.grind.fatPct.when?.find((each) => holds(each.if, situation));
  const packWeight = weight(convertUnits(species.grind.packLb.default, 'lb', unit));
  return {
    fatPct: special?.pct ?? species.grind.fatPct.default,
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
