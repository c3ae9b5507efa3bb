import type { Weight, WeighingUnit } from '../quantity/weight';
import type { Sheet } from './types';
import type { CarcassFacts, Part } from '../carcass/condition';
import type { Experience } from '../experience/experience';
import type { Decision, Option, Species } from '../species/types';

/** What a sheet is answered for: the species, what is on the carcass, and what the shop can do. */
export type Situation = CarcassFacts & {
  /** What the house's advice goes by besides; nothing is advised by what is not known. */
  readonly known?: { readonly sideLb?: number; readonly month?: number };
  readonly species: Species;
  readonly unit: WeighingUnit;
  /** 1 for a half, 2 for a whole animal. */
  readonly sides: 1 | 2;
  /** Ids of add-on atoms that were weighed in. */
  readonly addOns: readonly string[];
  /** Tools the shop has, such as `band-saw`. */
  readonly tools: readonly string[];
  /** A quarter when the share is one; a side when absent. */
  readonly part?: Part;
  /** What the shop's finished orders say of its cuts; the reference alone when absent. */
  readonly experience?: Experience;
};

/** A share to be worked out: its sheet, for its situation, from the cold weight of each of its sides. */
export type Job = {
  readonly situation: Situation;
  readonly sheet: Sheet;
  /** Thousandths, in the order first, second. */
  readonly coldSides: readonly Weight[];
};

/** The decisions that are asked here, in the cutter's order. */
export function decisionsAsked(situation: Situation): readonly Decision[] {
  const { species, addOns, part = 'side' } = situation;
  return species.decisions.filter(
    (decision) =>
      (decision.needsAddOn === undefined || addOns.includes(decision.needsAddOn)) &&
      (part === 'side' || reaches(species, decision, part)),
  );
}

/** Whether a decision has anything to say of a quarter. */
function reaches(species: Species, decision: Decision, part: Exclude<Part, 'side'>): boolean {
  const primals = species.atlas.quarters?.[part] ?? [];
  return claimedAtoms(decision.options).some((id) =>
    species.atlas.atoms.some((atom) => atom.id === id && primals.includes(atom.primal)),
  );
}

function claimedAtoms(options: readonly Option[]): string[] {
  return options.flatMap((option) =>
    option.products.flatMap((product) => product.claims.map((claim) => claim.atom)),
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
  const carried = situation.condition?.flags ?? [];
  if (carried.length === 0) return undefined;
  const held = claimedAtoms([option]);
  const flag = situation.species.flags.find(
    (each) => carried.includes(each.id) && each.forbids.some((atom) => held.includes(atom)),
  );
  return flag && `${option.label}: ${flag.sentence}`;
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
