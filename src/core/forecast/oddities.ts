import { itemsOfForecast } from '../charges/bill';
import { convertUnits, formatWeight, sumWeights, type Weight, type WeighingUnit } from '../quantity/weight';
import type { Forecast, ForecastLine } from './types';

/** Lighter than this, in pounds, is no piece that anybody would wrap, and heavier none that one person would lift. */
const PIECE_LB = { least: 0.02, most: 40 };
/** A pack made by weight lies between these parts of what was asked for it. */
const PACK_OF_WISH = { least: 0.45, most: 1.55 };
/** What leaves of a carcass as packs, percent of its cold weight, however it is cut. */
const YIELD_PCT = { least: 35, most: 97 };

/** What goes out as it hung may weigh anything, and loses next to nothing. */
const UNCUT = { mostLb: Number.POSITIVE_INFINITY, mostPct: 100 };

/**
 * What no practitioner would believe of a forecast, each in a sentence: weight without pieces or packs, pieces or packs
 * of no sensible weight, ranges that leave out what they are of, charges that count something else than what is there,
 * and weight made or lost. Empty when nothing is odd.
 *
 * @param uncut - whether the carcass goes out as it hung
 */
export function odditiesOf(expected: Forecast, unit: WeighingUnit, uncut = false): string[] {
  const { mostLb, mostPct } = uncut ? UNCUT : { mostLb: PIECE_LB.most, mostPct: YIELD_PCT.most };
  const accounted = sumWeights([
    ...expected.lines.map((line) => line.packaged),
    ...Object.values(expected.losses),
  ]);
  const yieldPct = expected.yieldBp / 100;
  return [
    ...expected.lines.flatMap((line) => lineOddities(line, unit, mostLb).map((odd) => `${line.cut}: ${odd}`)),
    ...(accounted === expected.coldWeight ? [] : [`${accounted} is accounted for of ${expected.coldWeight}`]),
    ...(yieldPct >= YIELD_PCT.least && yieldPct <= mostPct ? [] : [`a yield of ${yieldPct} %`]),
  ];
}

function lineOddities(line: ForecastLine, unit: WeighingUnit, mostLb: number): string[] {
  const { packaged, pieces, packs, low, high, packWeight } = line;
  const show = (w: number) => `${formatWeight(Math.round(w) as Weight, unit)} ${unit}`;
  const odd: string[] = [];
  const note = (isOdd: boolean, sentence: string) => {
    if (isOdd) odd.push(sentence);
  };
  note(packaged < 0, `weighs ${show(packaged)}`);
  note(packaged > 0 && packs === 0, `${show(packaged)} in no pack`);
  note(packaged === 0 && packs > 0, `${packs} packs of nothing`);
  note(packaged > 0 && pieces === 0, `${show(packaged)} in no piece`);
  note(low > packaged || high < packaged, `lies outside its own range`);
  if (pieces !== null && pieces > 0 && packaged > 0) {
    const each = convertUnits(packaged / pieces / 1000, unit, 'lb');
    note(each < PIECE_LB.least || each > mostLb, `${pieces} pieces of ${show(packaged / pieces)}`);
  }
  // What goes by pieces has no more packs than pieces; a single piece may be sliced into packs by weight.
  note(packWeight === null && pieces !== null && packs > pieces, `${packs} packs of ${pieces} pieces`);
  if (packWeight !== null && packs > 1) {
    const part = packaged / packs / packWeight;
    const isSensible = part >= PACK_OF_WISH.least && part <= PACK_OF_WISH.most;
    note(!isSensible, `${packs} packs of ${show(packaged / packs)} for ${show(packWeight)} each`);
  }
  const [item] = itemsOfForecast({ lines: [line] }, 'vacuum');
  note(packaged > 0 && item!.pieces < 1, `is charged by no piece`);
  note(item!.packages !== packs, `is charged for ${item!.packages} packs of ${packs}`);
  return odd;
}
