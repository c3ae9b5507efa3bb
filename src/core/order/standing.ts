import { isCold } from './deepTemperature';
import { cellsOf } from '../atlas/cells';
import { billFor, itemsOfForecast, type Bill, type BillBasis, type BillItem } from '../charges/bill';
import { ownItems } from '../charges/ownItems';
import { forecast } from '../forecast/forecast';
import { packsDueIn } from '../grindroom/pool';
import { foreOf, type Quartered } from '../hang/quarters';
import type { Drying } from '../hang/shrink';
import { leastCertain, sideToCut, type WeightBasis } from '../hang/sideToCut';
import { itemNumber } from '../label/itemNumber';
import { findingsOf, type Finding } from '../questions/findings';
import { convertUnits, inUnits, sumWeights, type Weight } from '../quantity/weight';
import { fractionOf, ownOf, unsoldFraction } from '../shares/own';
import type { Job, Situation } from '../sheet/situation';
import { emptySheet } from '../sheet/houseSheet';
import type { Sheet } from '../sheet/types';
import { dayIn, daysBetween, endOfDay } from '../time/shopTime';
import type { Plan } from './plan';
import type { HungSide, ShareFile } from './shareFile';
import type { SideWeight, Weighing } from './work';

const HOUR_MS = 3_600_000;

export function netOf(ticket: Pick<SideWeight, 'gross' | 'tare'>): Weight {
  return (ticket.gross - ticket.tare) as Weight;
}

/** What decides how a side dries: what it is, and whether it was covered or bared. How long it will hang is not known yet. */
export function dryingOf(
  { condition, experience }: Pick<Situation, 'condition' | 'experience'>,
  { onRail }: Pick<HungSide, 'onRail'>,
): Drying {
  return {
    ...(condition?.skinned ? { skinned: true } : {}),
    ...(condition?.thinCover ? { thinCover: true } : {}),
    ...(onRail.covered === null ? {} : { covered: onRail.covered }),
    ...(experience?.shrink ? { learnt: experience.shrink } : {}),
  };
}

/** The cold weight of each side to cut by, and which basis the least certain side stands on. */
export function coldSides({ sides, situation }: ShareFile): { weights: Weight[]; basis: WeightBasis } {
  const { species, unit } = situation;
  const cut = sides.map((side) => {
    const { hot, cold } = side;
    return sideToCut(
      species,
      unit,
      { hot: hot && netOf(hot), cold: cold && netOf(cold) },
      dryingOf(situation, side),
    );
  });
  const weights = cut.map((side, index) => quarterWeight(situation, side.weight, sides[index]!.quarters));
  return { weights, basis: leastCertain(cut.map((side) => side.basis)) };
}

/**
 * What of a side's weight is this share's: all of it, or the quarter as it was weighed, else as the atlas and the breaks
 * give it. The two quarters of a side add up to it exactly.
 */
export function quarterWeight(situation: Situation, side: Weight, weighed: Quartered | null): Weight {
  const { part = 'side', unit } = situation;
  if (part === 'side') return side;
  const sideLb = convertUnits(inUnits(side), unit, 'lb');
  const fore = weighed
    ? foreOf(side, weighed)
    : (Math.round(side * cellsOf({ ...situation, part: 'fore' }, sideLb).partOfSide) as Weight);
  return part === 'fore' ? fore : ((side - fore) as Weight);
}

/** The cold weight of what is cut as one with the share, all sides. */
export function coldWeight(file: ShareFile): Weight {
  return sumWeights(coldSides(file).weights);
}

/** The hot weight of what is cut as one; where a side has no ticket yet, what its expected cold weight came from. */
export function hotWeight(file: ShareFile): Weight {
  const { weights } = coldSides(file);
  return sumWeights(
    file.sides.map(({ hot, quarters }, index) =>
      hot ? quarterWeight(file.situation, netOf(hot), quarters) : weights[index]!,
    ),
  );
}

/** The hot weight of the whole animal; a side that has no ticket is taken to weigh like those of the share. */
export function animalHotWeight(file: ShareFile): Weight {
  const { species, unit } = file.situation;
  const sides = [...file.sides, ...file.otherSides].map(({ hot }) => hot && netOf(hot));
  const known = sides.filter((side) => side !== undefined);
  const usual = known.length > 0 ? sumWeights(known) / known.length : sideToCut(species, unit, {}).weight;
  return Math.round(sides.reduce<number>((sum, side) => sum + (side ?? usual), 0)) as Weight;
}

export function sheetInForce(file: ShareFile): Sheet {
  return file.sheet?.sheet ?? emptySheet(file.situation);
}

/**
 * What a share's bill stands on, whatever its items come from. What nobody bought is the farm's to pay; households that
 * are cut as one pay for their part of the weight, and have one sheet.
 *
 * @param cold - of everything that is cut as one
 * @param items - the share's own
 */
export function billBasis(file: ShareFile, cold: Weight, items: readonly BillItem[]): BillBasis {
  const sold = file.siblings.map(fractionOf);
  const unsold = unsoldFraction(file.siblings);
  const own = (whole: Weight) => ownOf(whole, file.share, file.together) as Weight;
  return {
    animal: { species: file.animal.species, hot: animalHotWeight(file) },
    hot: own(hotWeight(file)),
    cold: own(cold),
    headSplit: {
      parts: unsold > 0 ? [...sold, unsold] : sold,
      index: file.siblings.findIndex((share) => share.id === file.share.id),
      sheets: new Set(file.siblings.map((share) => share.part)).size,
    },
    items,
    deposit: file.share.deposit,
  };
}

/** Working a share out costs a forecast; a file never changes, so it is done once. */
const plans = new WeakMap<ShareFile, Plan>();

/** What is to be made of the share: as frozen at the block, or as of now. */
export function planOf(file: ShareFile): Plan {
  const known = file.plan ?? plans.get(file);
  if (known) return known;
  const plan = planNow(file);
  plans.set(file, plan);
  return plan;
}

function planNow(file: ShareFile): Plan {
  return planFor(file, jobOf(file));
}

/** A share to be worked out as its sheet says. */
export function jobOf(file: ShareFile): Job {
  return { situation: file.situation, sheet: sheetInForce(file), coldSides: coldSides(file).weights };
}

/** What is to be made of a share when it is cut like this. */
export function planFor(file: ShareFile, { situation, sheet, coldSides: cold }: Job): Plan {
  const { species } = situation;
  const expected = forecast(situation, sheet, cold);
  return {
    catalogueVersion: file.catalogueVersion,
    rules: file.rules,
    priceListId: file.priceList.id,
    expected,
    items: Object.fromEntries(expected.lines.map((line) => [line.key, itemNumber(species, line)])),
    wrap: sheet.wrap,
    instructions: sheet.instructions,
    lineTolerance: species.tolerance.lineShare,
  };
}

/** What the share would cost if it were cut as its plan says; from the block on as it was said then. */
export function estimateOf(file: ShareFile): Bill {
  // Frozen with the block; of what is cut as one only the first household's.
  if (file.start && file.together[0]!.id === file.share.id) return file.start.estimate;
  const { expected, wrap } = planOf(file);
  const items = ownItems(itemsOfForecast(expected, wrap), file.share, file.together);
  return billFor(file.priceList, billBasis(file, expected.coldWeight, items));
}

export function openQuestions(file: ShareFile): Finding[] {
  return findingsOf(jobOf(file), planOf(file).expected);
}

/** Whole days since the animal was killed, by the shop's calendar, until it went to the block. */
export function daysHung(file: ShareFile, now: Date): number {
  const until = file.start ? new Date(file.start.at) : now;
  return Math.max(0, daysBetween(file.animal.killDate, dayIn(file.shop.zone, until)));
}

/**
 * Whether the heat may still be in the bone: as a probe has measured it, else counted from the first ticket, or the kill
 * day when that is earlier.
 */
export function isChilling(file: ShareFile, now: Date): boolean {
  const isWarm = file.sides.some(({ deep }) => deep !== null && !isCold(deep));
  return isWarm || now.getTime() < chilledAt(file).getTime();
}

/** When the heat is out of the bone of every side, as far as can be said: what was measured warm chills as long again. */
export function chilledAt(file: ShareFile): Date {
  const chill = file.rules.chillHours * HOUR_MS;
  const ends = file.sides.map((side) => {
    if (!side.deep) return sideHung(file, side) + chill;
    return Date.parse(side.deep.at) + (isCold(side.deep) ? 0 : chill);
  });
  return new Date(Math.max(...ends));
}

function sideHung({ animal, shop }: ShareFile, { firstHot }: HungSide): number {
  const killed = endOfDay(shop.zone, animal.killDate).getTime();
  return firstHot ? Math.min(Date.parse(firstHot.at), killed) : killed;
}

/** Packs of a line that were asked for: what slicing left over is none of them. */
export function packsMade(
  weighings: readonly Pick<Weighing, 'kind' | 'source' | 'lineKey'>[],
  lineKey: string,
): number {
  return weighings.filter(
    (each) => each.kind === 'package' && each.source !== 'ends' && each.lineKey === lineKey,
  ).length;
}

/** Whether nothing of the plan is still waited for: packed, in cure, or explained. */
export function isPacked(file: ShareFile): boolean {
  if (!file.start) return false;
  const settled = new Set(file.notes.map((note) => note.lineKey));
  return planOf(file).expected.lines.every((line) => {
    const mine = file.weighings.filter((each) => each.lineKey === line.key);
    const due = packsDueOfLine(file, line.key) ?? line.packs;
    return (
      settled.has(line.key) || packsMade(mine, line.key) >= due || mine.some((each) => each.kind === 'green')
    );
  });
}

/** Whole packs of a pooled batch that are this share's; null where a line is not pooled, or not mixed yet. */
export function packsDueOfLine(file: ShareFile, lineKey: string): number | null {
  const pool = file.batches.find(({ batch }) => batch.lineKey === lineKey)?.pool;
  const packWeight = planOf(file).expected.lines.find(({ key }) => key === lineKey)?.packWeight;
  return pool && packWeight ? packsDueIn(pool, file.share.id, packWeight) : null;
}
