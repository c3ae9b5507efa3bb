import { monthOf } from '../time/shopTime';
import { cellsOf } from '../atlas/cells';
import { carcassHere } from '../carcass/carcassHere';
import { carcassProblems } from '../carcass/carcassProblems';
import { sideToCut, type SideToCut } from '../hang/sideToCut';
import { failure, success, type Result, type FieldProblem } from '../quantity/result';
import { convertUnits, inUnits, type WeighingUnit, type Weight } from '../quantity/weight';
import { quarterOfPart, sharesProblem, sidesOfPart } from '../shares/parts';
import { checkShape } from '../shape/checkShape';
import type { Situation } from '../sheet/situation';
import { speciesIn, type Catalogue } from '../catalogue/catalogue';
import type { Species } from '../species/types';
import { documentWeight, readSheet, type OrderDocument, type ShareDocument } from './document';
import { orderSchema } from './orderSchema';

/** What a shop is, as far as an order file is read for it. */
export type ReadingShop = {
  readonly unit: WeighingUnit;
  readonly tools: readonly string[];
  readonly catalogue: Catalogue;
};

/**
 * Reads an open order file: its shape, then what its species knows and allows.
 *
 * @returns the order, or every field that is wrong with the reason
 */
export function readOrder(raw: unknown, shop: ReadingShop): Result<OrderDocument, 'invalid'> {
  const shaped = checkShape(orderSchema(shop.catalogue), raw);
  if (!shaped.ok) return shaped;
  const problems = orderProblems(shop, shaped.value);
  if (problems.length === 0) return success(shaped.value);
  return { ...failure('invalid', problems[0]!.message, problems[0]!.field), problems };
}

/** What a share's sheet is answered for. It hangs as long as its species usually does where the file does not say. */
export function situationOf(shop: ReadingShop, order: OrderDocument, part: ShareDocument['part']): Situation {
  const species = speciesIn(shop.catalogue, order.animal.species);
  const { carcass } = order.animal;
  return {
    species,
    unit: shop.unit,
    sides: sidesOfPart(part).length === 2 ? 2 : 1,
    ...(quarterOfPart(part) === 'side' ? {} : { part: quarterOfPart(part) }),
    addOns: order.animal.addOns ?? [],
    tools: shop.tools,
    known: knownOf(order, part),
    ...carcassHere(species, carcass),
    condition: { daysHung: species.hang.targetDays, ...carcass?.condition },
  };
}

/** The month of the kill, and the mean weight of the part's sides where the file weighs them. */
function knownOf({ animal, weights, unit }: OrderDocument, part: ShareDocument['part']): Situation['known'] {
  const weighed = sidesOfPart(part).flatMap((side) => weights?.[side]?.cold ?? weights?.[side]?.hot ?? []);
  const mean = weighed.reduce((sum, each) => sum + each, 0) / weighed.length;
  return {
    month: monthOf(animal.killDate),
    ...(weighed.length > 0 ? { sideLb: convertUnits(mean, unit, 'lb') } : {}),
  };
}

/**
 * The sides of a share, first and second, each with the cold weight to cut it by. A quarter weighs its part of the
 * side, by the atlas and the breaks.
 */
export function sidesOf(shop: ReadingShop, order: OrderDocument, part: ShareDocument['part']): SideToCut[] {
  const species = speciesIn(shop.catalogue, order.animal.species);
  const inShop = (value: number | undefined) =>
    value === undefined ? undefined : documentWeight(value, order.unit, shop.unit);
  const situation = situationOf(shop, order, part);
  return sidesOfPart(part).map((side) => {
    const said = order.weights?.[side];
    const weighed = { hot: inShop(said?.hot), cold: inShop(said?.cold) };
    const whole = sideToCut(species, shop.unit, weighed, situation.condition);
    if (quarterOfPart(part) === 'side') return whole;
    const sideLb = convertUnits(inUnits(whole.weight), shop.unit, 'lb');
    return { ...whole, weight: Math.round(whole.weight * cellsOf(situation, sideLb).partOfSide) as Weight };
  });
}

/** The sheet a part is cut by: where households share a part, the first one's. */
export function sheetOfPart(order: OrderDocument, { part }: ShareDocument) {
  return order.shares.find((share) => share.part === part && share.sheet)?.sheet;
}

/** Everything an order says that its species does not know or allow. */
export function orderProblems(shop: ReadingShop, order: OrderDocument): FieldProblem[] {
  const species = speciesIn(shop.catalogue, order.animal.species);
  const animal = [
    ...sharesProblems(species, order),
    ...addOnProblems(species, order),
    ...carcassProblemsOf(species, order),
  ];
  const sheets = animal.length > 0 ? [] : sheetProblemsOf(shop, order);
  return [...animal, ...sheets, ...coldProblems(order)];
}

function addOnProblems({ name, atlas }: Species, order: OrderDocument): FieldProblem[] {
  const known = atlas.addOns.map((addOn) => addOn.atom.id);
  return (order.animal.addOns ?? [])
    .filter((addOn) => !known.includes(addOn))
    .map((addOn) => ({ field: 'animal.addOns', message: `A ${name.toLowerCase()} has no "${addOn}".` }));
}

function sharesProblems(species: Species, { animal, shares, unsold = [] }: OrderDocument): FieldProblem[] {
  const whole = [...shares, ...unsold].some(({ part }) => quarterOfPart(part) !== 'side');
  if (animal.unsplit && whole) {
    return [{ field: 'shares', message: 'An animal that hangs in one piece is not sold by quarters.' }];
  }
  const message = sharesProblem(species, [...shares, ...unsold]);
  return message ? [{ field: 'shares', message }] : [];
}

function carcassProblemsOf(species: Species, { animal }: OrderDocument): FieldProblem[] {
  return carcassProblems(species, animal.carcass ?? {}).map(({ field, message }) => ({
    field: `animal.carcass.${field}`,
    message,
  }));
}

function sheetProblemsOf(shop: ReadingShop, order: OrderDocument): FieldProblem[] {
  return order.shares.flatMap((share, at) => {
    if (!share.sheet) return [];
    const { problems } = readSheet(share.sheet, situationOf(shop, order, share.part), order.unit);
    return problems.map((problem) => ({ ...problem, field: `shares.${at}.sheet.${problem.field}` }));
  });
}

function coldProblems(order: OrderDocument): FieldProblem[] {
  return (['left', 'right'] as const).flatMap((side) => {
    const { hot, cold } = order.weights?.[side] ?? {};
    if (cold === undefined || (hot !== undefined && cold <= hot)) return [];
    const message =
      hot === undefined ? 'A cold weight needs its hot weight.' : 'Cold is more than hot. Check both.';
    return [{ field: `weights.${side}.cold`, message }];
  });
}
