import Joi from 'joi';
import { breakPlan } from '../carcass/breaks';
import { forecast } from '../forecast/forecast';
import type { Forecast } from '../forecast/types';
import { BONE_STATES, boneStateOf, type BoneState } from '../experience/boneState';
import { learn, type Experience, type LearntCuts, type Outcome } from '../experience/experience';
import { failure, success, type Result } from '../quantity/result';
import { inUnits, sumWeights } from '../quantity/weight';
import { checkShape } from '../shape/checkShape';
import type { Situation } from '../sheet/situation';
import { speciesIn, type Catalogue } from '../catalogue/catalogue';
import { documentWeight, readSheet, type OrderDocument } from './document';
import { orderSchema } from './orderSchema';
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
  readonly cuts: LearntCuts;
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

/** `schemas/season.schema.json` in the language of the server. */
export function seasonSchema(catalogue: Catalogue): Joi.ObjectSchema {
  return Joi.object({
    ...fileHead('fractum.season'),
    orders: Joi.array()
      .items(
        Joi.object({
          order: orderSchema(catalogue).required(),
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
  }).prefs({ convert: false });
}

/** `schemas/experience.schema.json` in the language of the server. */
export const experienceSchema = Joi.object({
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
}).prefs({ convert: false });

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
  const shaped = checkShape<SeasonDocument>(seasonSchema(shop.catalogue), raw);
  if (!shaped.ok) return shaped;
  const groups = new Map<
    string,
    { group: Omit<LearntGroup, 'cuts' | 'orders'>; outcomes: Outcome[]; orders: number }
  >();
  for (const [at, finished] of shaped.value.orders.entries()) {
    const order = readOrder(finished.order, shop);
    if (!order.ok) return failure('invalid', order.message, `orders.${at}.order.${order.field ?? ''}`);
    const learnt = outcomesOf(order.value, finished, shop);
    if (!learnt.ok) return failure('invalid', learnt.message, `orders.${at}.${learnt.field}`);
    for (const { group, outcomes } of learnt.value) {
      const key = groupKey(group);
      const known = groups.get(key) ?? { group, outcomes: [], orders: 0 };
      known.outcomes.push(...outcomes);
      groups.set(key, { ...known, orders: known.orders + 1 });
    }
  }
  if (groups.size === 0)
    return failure('invalid', 'Nothing packed is in it: there is nothing to learn from.', 'orders');
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

/** What was packed of a cut lies within these times its forecast; beyond, somebody has mistyped. */
const BELIEVED = { least: 1 / 3, most: 3 };

type Packed = FinishedOrder['packed'][number];

type PartOutcomes = { readonly group: Group; readonly outcomes: readonly Outcome[] };

/** The outcomes of every part of a finished order, against what the reference alone forecast. */
function outcomesOf(
  order: OrderDocument,
  finished: FinishedOrder,
  shop: ReadingShop,
): Result<PartOutcomes[], 'invalid'> {
  const parts = [...new Set(order.shares.map((share) => share.part))];
  const astray = finished.packed.findIndex(({ part }) => !parts.some((each) => each === part));
  if (astray !== -1) {
    const said = parts.join(', ');
    return failure('invalid', `No share has this part; the order has ${said}.`, `packed.${astray}.part`);
  }
  const learnt: PartOutcomes[] = [];
  for (const part of parts) {
    const packed = finished.packed.filter((each) => each.part === part);
    const share = order.shares.find((each) => each.part === part)!;
    const said = sheetOfPart(order, share);
    if (!said || packed.length === 0) continue;
    const situation = situationOf(shop, order, part);
    const { sheet } = readSheet(said, situation, order.unit);
    const cold = sidesOf(shop, order, part).map((side) => side.weight);
    const expected = forecast(situation, sheet, cold);
    const outcomes: Outcome[] = [];
    for (const each of packed) {
      const outcome = outcomeOf(each, { expected, order, shop, situation });
      if (!outcome.ok)
        return failure(
          'invalid',
          outcome.message,
          `packed.${finished.packed.indexOf(each)}.${outcome.field}`,
        );
      outcomes.push(outcome.value);
    }
    learnt.push({ group: groupOf(situation, expected), outcomes });
  }
  return success(learnt);
}

type Against = {
  readonly expected: Forecast;
  readonly order: OrderDocument;
  readonly shop: ReadingShop;
  readonly situation: Situation;
};

/** One cut as it was packed, against all the lines of its name: a cut may come of two forms of a zone. */
function outcomeOf(
  packed: Packed,
  { expected, order, shop, situation }: Against,
): Result<Outcome, 'invalid'> {
  const cuts = expected.lines.filter((line) => line.kind === 'cut');
  const lines = cuts.filter((line) => line.ownCut === packed.cut || line.cut === packed.cut);
  if (lines.length === 0) {
    const known = [...new Set(cuts.map((line) => line.ownCut))].join(', ');
    return failure('invalid', `The sheet of this part makes no "${packed.cut}". It makes: ${known}.`, 'cut');
  }
  const weight = inUnits(documentWeight(packed.weight, order.unit, shop.unit));
  const forecast = inUnits(sumWeights(lines.map((line) => line.packaged)));
  if (weight < forecast * BELIEVED.least || weight > forecast * BELIEVED.most) {
    const beside = `${weight.toFixed(2)} ${shop.unit} packed against ${forecast.toFixed(2)} forecast`;
    return failure('invalid', `${beside}: too far apart to learn from. Is it mistyped?`, 'weight');
  }
  const own = situation.species.uncertainty.priorSd;
  const spread = lines.reduce((sum, line) => sum + line.relativeSd * inUnits(line.packaged), 0) / forecast;
  const relativeSd = Math.sqrt(Math.max(1e-6, spread ** 2 - own ** 2));
  return success({ cut: lines[0]!.ownCut, expected: forecast, packed: weight, relativeSd });
}

function groupOf(situation: Situation, expected: Forecast): Group {
  const { species, school, breaks } = situation;
  return {
    species: species.id,
    breaks: breakPlan(species, school, breaks),
    boneState: boneStateOf(species, expected),
  };
}

/** What a shop knows of animals like this one under a sheet like this; nothing when it has finished none. */
export function experienceFor(
  situation: Situation,
  expected: Forecast,
  { groups }: ExperienceDocument,
): Experience | undefined {
  const key = groupKey(groupOf(situation, expected));
  const own = groups.find((group) => groupKey(group) === key);
  return own && { cuts: own.cuts };
}
