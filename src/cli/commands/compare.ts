import { counted } from '@/core/quantity/counted';
import { listInForce, type PriceList } from '@/core/charges/priceList';
import { priceListProblem } from '@/core/charges/priceListProblem';
import { priceListSchema } from '@/core/charges/priceListSchema';
import { compareSheets, type Comparison } from '@/core/compare/compareSheets';
import { readPriceListCsv } from '@/core/formats/priceListCsv';
import { readSheet, type ShareDocument } from '@/core/order/document';
import { sidesOf, situationOf } from '@/core/order/readOrder';
import { formatMoney, type Cents } from '@/core/quantity/money';
import { failure, success, type Result } from '@/core/quantity/result';
import { formatWeight, sumWeights, type WeighingUnit, type Weight } from '@/core/quantity/weight';
import { checkShape } from '@/core/shape/checkShape';
import type { Ground } from '@/core/questions/evaluate';
import {
  EXIT,
  openOrder,
  printJson,
  readText,
  refuse,
  type Asked,
  type Command,
  type Console,
  type OrderAtHand,
} from '../console';

/** No prices said: every charge is nothing. */
const FREE: PriceList = {
  id: 'none',
  name: 'No prices',
  effectiveFrom: '2000-01-01',
  unit: 'lb',
  currency: 'XTS',
  sign: '',
  minimumCents: 0 as Cents,
  taxBp: 0,
  rules: [],
};

export const compare: Command = {
  usage:
    'compare FILE.json [OTHER]    the second sheet of a file, or the first of OTHER, against its first (--prices FILE)',
  words: [1, 2],
  run: async (asked, at) => {
    const [file, other] = asked.words;
    const read = await openOrder(file!, asked, at);
    const second = other === undefined ? read : await openOrder(other, asked, at);
    if (!read || !second) return EXIT.unreadable;
    const prices = await pricesSaid(asked, read.order.animal.killDate, at);
    if (!prices.ok) return refuse(asked.prices!, prices, at);
    const problem = asked.prices === undefined ? undefined : priceListProblem(prices.value, read.shop);
    if (problem) return refuse(asked.prices!, problem, at);
    if (second.order.animal.species !== read.order.animal.species) {
      const message = `It is of ${second.order.animal.species}, the other file of ${read.order.animal.species}.`;
      return refuse(other!, failure('invalid', message, 'animal.species'), at);
    }
    const sheets = twoSheets(read, second, other !== undefined);
    if (!sheets.ok) return refuse(file!, sheets, at);
    const [a, b] = sheets.value;
    const compared = compareOn(read, prices.value, { a, b, unitOfB: second.order.unit });
    if (!compared.ok) return refuse(other ?? file!, compared, at);
    if (asked.json) printJson(jsonOf(compared.value), at);
    else at.out(wordsOf(compared.value, read.shop.unit, prices.value.sign));
    return EXIT.done;
  },
};

async function pricesSaid(
  asked: Asked,
  killDate: string,
  at: Console,
): Promise<Result<PriceList, 'invalid' | 'unreadable'>> {
  if (asked.prices === undefined) return success(FREE);
  const text = await readText(asked.prices, at.stdin);
  if (!text.ok) return text;
  if (!/^\s*[[{]/.test(text.value)) return readPriceListCsv(text.value);
  try {
    const raw = JSON.parse(text.value);
    const lists: unknown[] = Array.isArray(raw) ? raw : [raw];
    return listOfDay(lists, killDate);
  } catch (error) {
    return failure('unreadable', `It is not JSON: ${(error as Error).message}`);
  }
}

/** Of several lists the one in force on the day of the kill; the first of all when none is yet. */
function listOfDay(raw: readonly unknown[], day: string): Result<PriceList, 'invalid'> {
  const lists: PriceList[] = [];
  for (const each of raw) {
    const checked = checkShape<PriceList>(priceListSchema, each);
    if (!checked.ok) return checked;
    lists.push(checked.value);
  }
  const found =
    listInForce(lists, day) ?? lists.sort((a, b) => a.effectiveFrom.localeCompare(b.effectiveFrom))[0];
  return found ? success(found) : failure('invalid', 'There is no price list in it.');
}

function twoSheets(
  first: OrderAtHand,
  second: OrderAtHand,
  otherFile: boolean,
): Result<readonly [ShareDocument, ShareDocument], 'invalid'> {
  const [a, next] = first.order.shares.filter((share) => share.sheet);
  const b = otherFile ? second.order.shares.find((share) => share.sheet) : next;
  if (a && b) return success([a, b]);
  return failure('invalid', 'Two sheets are needed: two shares with a sheet, or a second file.', 'shares');
}

/** Both sheets on the carcass and part of the first. */
function compareOn(
  { shop, order }: OrderAtHand,
  priceList: PriceList,
  { a: first, b: second, unitOfB }: { a: ShareDocument; b: ShareDocument; unitOfB: WeighingUnit },
): Result<Comparison, 'invalid'> {
  const situation = situationOf(shop, order, first.part);
  const coldSides = sidesOf(shop, order, first.part).map((side) => side.weight);
  const whole = sidesOf(shop, order, 'whole');
  const a = readSheet(first.sheet!, situation, order.unit);
  const b = readSheet(second.sheet!, situation, unitOfB);
  const [problem] = [...a.problems, ...b.problems];
  if (problem) return failure('invalid', problem.message, problem.field);
  const ground: Ground = {
    situation,
    coldSides,
    priceList,
    bill: {
      animal: { species: situation.species.id, hot: sumWeights(whole.map((side) => side.weight)) },
      hot: sumWeights(coldSides),
      headSplit: { parts: [1], index: 0 },
      deposit: 0 as Cents,
    },
  };
  return success(compareSheets(ground, a.sheet, b.sheet));
}

function jsonOf({ cuts, takeHome, grind, grindFatPct, freezerCuFt, charges }: Comparison) {
  return {
    format: 'fractum.comparison',
    version: 1,
    cuts: cuts.map(({ cut, first, second, packaged, pieces }) => ({
      cut,
      first: { ...first, packaged: first.packaged / 1000 },
      second: { ...second, packaged: second.packaged / 1000 },
      packaged: packaged / 1000,
      pieces,
    })),
    takeHome: takeHome / 1000,
    grind: grind / 1000,
    grindFatPct: Math.round(grindFatPct * 100) / 100,
    freezerCuFt: Math.round(freezerCuFt * 100) / 100,
    chargesCents: charges,
  };
}

function wordsOf(compared: Comparison, unit: WeighingUnit, sign: string): string {
  const signed = (w: Weight) => `${w < 0 ? '-' : '+'}${formatWeight(Math.abs(w) as Weight, unit)}`;
  const cuts = compared.cuts.map(
    ({ cut, packaged, first, second }) =>
      `${signed(packaged).padStart(8)} ${unit}  ${cut}: ${counted(first.packs, 'pack')}, then ${second.packs}\n`,
  );
  const { charges } = compared;
  return [
    ...cuts,
    `${signed(compared.takeHome).padStart(8)} ${unit}  in the boxes\n`,
    `${signed(compared.grind).padStart(8)} ${unit}  grind, ${compared.second.forecast.pool.fatPct.toFixed(1)} % fat in place of ${compared.first.forecast.pool.fatPct.toFixed(1)} %\n`,
    `${compared.freezerCuFt.toFixed(2).padStart(8)} cu ft in the freezer\n`,
    ...(sign === ''
      ? []
      : [`${`${charges < 0 ? '' : '+'}${formatMoney(charges, sign)}`.padStart(8)} on the bill\n`]),
  ].join('');
}
