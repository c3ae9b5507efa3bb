import type { WeighingUnit } from '../quantity/weight';
import type { Decision, Option, Species } from '../species/types';

/** What a sheet is answered for: the species, what is on the carcass, and what the shop can do. */
export type Situation = {
  readonly species: Species;
  readonly unit: WeighingUnit;
  /** 1 for a half, 2 for a whole animal. */
  readonly sides: 1 | 2;
  /** Ids of add-on atoms that were weighed in. */
  readonly addOns: readonly string[];
  /** Tools the shop has, such as `band-saw`. */
  readonly tools: readonly string[];
};

/** The decisions that are asked here, in the cutter's order. */
export function decisionsAsked(situation: Situation): readonly Decision[] {
  return situation.species.decisions.filter(
    (decision) => decision.needsAddOn === undefined || situation.addOns.includes(decision.needsAddOn),
  );
}

/** Why an option is not offered here, in one sentence; undefined when it is offered. */
export function whyNotOffered(option: Option, situation: Situation): string | undefined {
  if (option.needsBothSides && situation.sides === 1) {
    return `${option.label} takes both sides of the animal, and this share is one side.`;
  }
  if (option.needsTool && !situation.tools.includes(option.needsTool)) {
    return `${option.label} needs a ${option.needsTool.replace('-', ' ')}, which this shop does not have.`;
  }
  return undefined;
}

/**
 * A decision of a species by id.
 *
 * @throws RangeError when the species has no such decision
 */
export function decisionById(species: Species, id: string): Decision {
  const found = species.decisions.find((decision) => decision.id === id);
  if (!found) throw new RangeError(`"decision" expected one of ${species.id}, got ${id}`);
  return found;
}

/**
 * An option of a decision by id.
 *
 * @throws RangeError when the decision has no such option
 */
export function optionById(decision: Decision, id: string): Option {
  const found = decision.options.find((option) => option.id === id);
  if (!found) throw new RangeError(`"option" expected one of ${decision.id}, got ${id}`);
  return found;
}
