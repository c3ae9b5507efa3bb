import Joi from 'joi';
import { breakPlan } from '../carcass/breaks';
import { forecast } from '../forecast/forecast';
import { BONE_STATES, boneStateOf, type BoneState } from '../learning/boneState';
import { learn, type Experience, type Outcome } from '../learning/experience';
import { failure, success, type Result } from '../quantity/result';
import { inUnits } from '../quantity/weight';
import { checkShape } from '../shape/checkShape';
import type { Situation } from '../sheet/situation';
import { speciesIn } from '../catalogue/catalogue';
import type { Species } from '../species/types';
import { documentWeight, readSheet, type OrderDocument } from './document';
import { readOrder, sheetOfPart, sidesOf, situationOf, type ReadingShop } from './readOrder';

/** A finished order: the order file, and what was packed of each cut of each part, in the order's unit. */
export type FinishedOrder = {
  readonly order: OrderDocument;
  readonly packed: readonly { readonly part: string; readonly cut: string; readonly weight: number }[];
};

/** The open season file: finished orders to learn from. */
export type SeasonDocument = {
  readonly format: 'fractum.season';
  readonly version: 1;
  readonly orders: readonly FinishedOrder[];
};

/** What finished orders of one kind of animal say: species, breaks and bone state together are the kind. */
export type LearntGroup = {
  readonly species: string;
  readonly breaks: Readonly<Record<string, string>>;
  readonly boneState: BoneState;
  readonly orders: number;
  readonly cuts: Experience;
};

/** The open experience file: a shop's own figures. */
export type ExperienceDocument = {
  readonly format: 'fractum.experience';
  readonly version: 1;
  readonly groups: readonly LearntGroup[];
};

/** The head that every open file has. */
function fileHead(format: string) {
  return {
    $schema: Joi.string().max(200),
    format: Joi.valid(format).required(),
    version: Joi.valid(1).required(),
  };
}

const seasonSchema = Joi.object({
  ...fileHead('fractum.season'),
  orders: Joi.array()
    .items(
      Joi.object({
        order: Joi.object().unknown().required(),
        packed: Joi.array()
          .items(
            Joi.object({
              part: Joi.string().max(20).required(),
              cut: Joi.string().max(120).required(),
              weight: Joi.number().greater(0).max(2000).required(),
            }),
          )
          .required(),
      }),
    )
    .required(),
});

const experienceSchema = Joi.object({
  ...fileHead('fractum.experience'),
  groups: Joi.array()
    .items(
      Joi.object({
        species: Joi.string().max(40).required(),
        breaks: Joi.object().pattern(Joi.string(), Joi.string()).required(),
        boneState: Joi.valid(...BONE_STATES).required(),
        orders: Joi.number().integer().min(0).required(),
        cuts: Joi.object()
          .pattern(
            Joi.string().max(120),
            Joi.object({
              orders: Joi.number().integer().min(1).required(),
              logRatio: Joi.number().min(-2).max(2).required(),
              logRatioSd: Joi.number().min(0).max(1).required(),
              noiseScale: Joi.number().greater(0).max(20).required(),
              evidence: Joi.number().min(0).max(1).required(),
            }),
          )
          .required(),
      }),
    )
    .required(),
});

/** Reads an experience file. */
export function readExperience(raw: unknown): Result<ExperienceDocument, 'invalid'> {
  return checkShape<ExperienceDocument>(experienceSchema, raw);
}

/**
 * Learns from a season file. Orders are compared only with orders of the same species, breaks and bone state.
 *
 * @returns what they say, group by group, or the first field that is wrong
 */
export function learnSeason(raw: unknown, shop: ReadingShop): Result<ExperienceDocument, 'invalid'> {
  const shaped = checkShape<SeasonDocument>(seasonSchema, raw);
  if (!shaped.ok) return shaped;
  const groups = new Map<
    string,
    { group: Omit<LearntGroup, 'cuts' | 'orders'>; outcomes: Outcome[]; orders: number }
  >();
  for (const [at, finished] of shaped.value.orders.entries()) {
    const order = readOrder(finished.order, shop);
    if (!order.ok) return failure('invalid', order.message, `orders.${at}.order.${order.field ?? ''}`);
    for (const { group, outcomes } of outcomesOf(order.value, finished, shop)) {
      const key = groupKey(group);
      const known = groups.get(key) ?? { group, outcomes: [], orders: 0 };
      known.outcomes.push(...outcomes);
      groups.set(key, { ...known, orders: known.orders + 1 });
    }
  }
  const sorted = [...groups].sort(([a], [b]) => (a < b ? -1 : 1));
  return success({
    format: 'fractum.experience',
    version: 1,
    groups: sorted.map(([, { group, outcomes, orders }]) => ({
      ...group,
      orders,
      cuts: learn(outcomes, speciesIn(shop.catalogue, group.species).uncertainty),
    })),
  });
}

type Group = Omit<LearntGroup, 'cuts' | 'orders'>;

function groupKey({ species, breaks, boneState }: Group): string {
  return JSON.stringify([species, Object.entries(breaks).sort(), boneState]);
}

/** The outcomes of every part of a finished order, against what the reference alone forecast. */
function outcomesOf(
  order: OrderDocument,
  finished: FinishedOrder,
  shop: ReadingShop,
): { group: Group; outcomes: Outcome[] }[] {
  const parts = [...new Set(order.shares.map((share) => share.part))];
  return parts.flatMap((part) => {
    const share = order.shares.find((each) => each.part === part)!;
    const said = sheetOfPart(order, share);
    const packed = new Map(
      finished.packed
        .filter((each) => each.part === part)
        .map((each) => [each.cut, inUnits(documentWeight(each.weight, order.unit, shop.unit))]),
    );
    if (!said || packed.size === 0) return [];
    const situation = situationOf(shop, order, part);
    const { sheet } = readSheet(said, situation, order.unit);
    const cold = sidesOf(shop, order, part).map((side) => side.weight);
    const expected = forecast(situation, sheet, cold);
    const own = situation.species.uncertainty.priorSd;
    const outcomes = expected.lines.flatMap((line): Outcome[] => {
      const weight = packed.get(line.ownCut) ?? packed.get(line.cut);
      if (line.kind !== 'cut' || weight === undefined) return [];
      const relativeSd = Math.sqrt(Math.max(1e-6, line.relativeSd ** 2 - own ** 2));
      return [{ cut: line.ownCut, expected: inUnits(line.packaged), packed: weight, relativeSd }];
    });
    return [{ group: groupOf(situation, expected), outcomes }];
  });
}

function groupOf(situation: Situation, expected: ReturnType<typeof forecast>): Group {
  const { species, school, breaks } = situation;
  return {
    species: species.id,
    breaks: breakPlan(species, school, breaks),
    boneState: boneStateOf(expected, boneShareOf(species)),
  };
}

function boneShareOf({ atlas }: Species): number {
  return atlas.atoms.reduce((sum, atom) => sum + (atom.sharePct * atom.composition.bone) / 10_000, 0);
}

/** What a shop knows of animals like this one under a sheet like this; nothing when it has finished none. */
export function experienceFor(
  situation: Situation,
  expected: ReturnType<typeof forecast>,
  { groups }: ExperienceDocument,
): Experience | undefined {
  const key = groupKey(groupOf(situation, expected));
  return groups.find((group) => groupKey(group) === key)?.cuts;
}
