import { forecast } from '../forecast/forecast';
import { odditiesOf } from '../forecast/oddities';
import type { Forecast } from '../forecast/types';
import { failure, type Failure } from '../quantity/result';
import { weight } from '../quantity/weight';
import { formOf, houseSheet, withAnswer } from '../sheet/houseSheet';
import { decisionsAsked, whyNotOffered, type Situation } from '../sheet/situation';
import type { Sheet } from '../sheet/types';
import type { Species } from '../species/types';

/** Sides that a species is tried on, times the reference side. */
export const TRIED_SIDES = [0.75, 1, 1.3] as const;

/** A side with everything on it, in a shop with a saw. */
export function triedSituation(species: Species): Situation {
  return {
    species,
    unit: 'lb',
    sides: 1,
    addOns: species.atlas.addOns.map(({ atom }) => atom.id),
    tools: ['band-saw'],
  };
}

/** What the house's sheet gives of a reference side. */
export function houseForecast(species: Species): Forecast {
  const situation = triedSituation(species);
  return forecast(situation, houseSheet(situation), [weight(species.atlas.reference.sideLb)]);
}

/**
 * What nobody would believe of a species: the house's sheet on a light, a usual and a heavy side, and each option once,
 * must give packs that somebody can carry, and every pound must be somewhere, once. Undefined when it can be cut.
 */
export function speciesTrialProblem(species: Species): Failure<'invalid'> | undefined {
  const situation = triedSituation(species);
  const house = houseSheet(situation);
  const { sideLb } = species.atlas.reference;
  const tried = (what: string, sheet: Sheet, times: number, uncut = false) => {
    const side = sideLb * times;
    const [odd] = odditiesOf(forecast(situation, sheet, [weight(side)]), 'lb', uncut);
    return odd === undefined
      ? undefined
      : failure('invalid', `${species.name}, ${what} on a side of ${side} lb: ${odd}.`, 'change');
  };
  for (const times of TRIED_SIDES) {
    const problem = tried("the house's sheet", house, times);
    if (problem) return problem;
  }
  for (const decision of decisionsAsked(situation)) {
    for (const option of decision.options.filter((each) => !whyNotOffered(each, situation))) {
      const sheet = withAnswer(house, decision.id, { forms: [formOf(decision, option.id, situation)] });
      const words = `${decision.title}, ${option.label.toLowerCase()}`;
      const problem = tried(words, sheet, 1, option.takesOver?.includes('*') === true);
      if (problem) return problem;
    }
  }
  return undefined;
}
