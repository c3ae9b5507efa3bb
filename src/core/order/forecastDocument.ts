import { forecast } from '../forecast/forecast';
import type { Forecast, ForecastLine } from '../forecast/types';
import { leastCertain, type WeightBasis } from '../hang/sideToCut';
import { allocate } from '../quantity/allocate';
import { inUnits, type Weight, type WeighingUnit } from '../quantity/weight';
import { emptySheet } from '../sheet/houseSheet';
import { findingsOf, type Finding } from '../questions/findings';
import { readSheet, type OrderDocument, type ShareDocument } from './document';
import { sheetOfPart, sidesOf, situationOf, type ReadingShop } from './readOrder';
import { experienceFor, type ExperienceDocument } from './season';
import { weightFindings } from './weightFindings';

/** A forecast line with its weights as plain numbers in the file's unit. */
export type ForecastLineDocument = {
  readonly key: string;
  readonly cut: string;
  readonly destination: string;
  readonly packaged: number;
  /** One in ten such lines is expected below the low, one above the high. */
  readonly low: number;
  readonly high: number;
  /** Weight of the shop's own orders in the line against the reference, 0 to 1. */
  readonly evidence: number;
  readonly gross: number;
  readonly trim: {
    readonly lean: number;
    readonly fat: number;
    readonly bone: number;
    readonly skin: number;
  };
  readonly kerf: number;
  readonly cureLoss: number;
  readonly pieces: number | null;
  readonly packs: number;
  readonly thicknessIn: number | null;
  /** Names that change along the cut, with the pieces that carry each. */
  readonly names: readonly { readonly name: string; readonly pieces: number }[];
};

export type ShareForecastDocument = {
  readonly part: ShareDocument['part'];
  /** Percent of the part's packages that are this owner's; the figures are of that part of it. */
  readonly sharePct: number;
  /** False when nothing is decided yet: then there are no lines, and nothing is expected. */
  readonly answered: boolean;
  readonly owner: string;
  readonly cold: number;
  readonly basis: WeightBasis;
  readonly lines: readonly ForecastLineDocument[];
  readonly losses: Readonly<Record<keyof Forecast['losses'], number>>;
  readonly grind: {
    readonly weight: number;
    readonly fatPct: number;
    readonly lean: number;
    readonly fatUsed: number;
  };
  readonly takeHome: number;
  readonly takeHomeLow: number;
  readonly takeHomeHigh: number;
  readonly yieldPct: number;
  readonly freezerCuFt: number;
  readonly openQuestions: number;
};

/** The open forecast file: what each share of an order is expected to become. Weights in `unit`. */
export type ForecastDocument = {
  readonly format: 'fractum.forecast';
  readonly version: 1;
  readonly unit: WeighingUnit;
  readonly tag: string;
  readonly species: string;
  readonly shares: readonly ShareForecastDocument[];
};

/** One share of an order file, worked out. */
export type WorkedShare = {
  readonly share: ShareDocument;
  readonly basis: WeightBasis;
  readonly forecast: Forecast;
  readonly findings: readonly Finding[];
  readonly answered: boolean;
};

/** Works out every share of an order that has been read. A share without a sheet is all questions. */
export function workOut(
  shop: ReadingShop,
  order: OrderDocument,
  experience?: ExperienceDocument,
): WorkedShare[] {
  return order.shares.map((share) => {
    const situation = situationOf(shop, order, share.part);
    const sides = sidesOf(shop, order, share.part);
    const cold = sides.map((side) => side.weight);
    const said = sheetOfPart(order, share);
    const sheet = said ? readSheet(said, situation, order.unit).sheet : emptySheet(situation);
    const reference = forecast(situation, sheet, cold);
    const job = { situation, sheet, coldSides: cold };
    const own = experience && experienceFor(situation, reference, experience);
    const expected = own ? forecast({ ...situation, experience: own }, sheet, cold) : reference;
    return {
      share,
      basis: leastCertain(sides.map((side) => side.basis)),
      forecast: expected,
      answered: Object.keys(sheet.answers).length > 0,
      findings: [...findingsOf(job, expected), ...weightFindings(order, share, job)],
    };
  });
}

/** @param experience - the shop's own figures; the reference alone when absent */
export function forecastDocument(
  shop: ReadingShop,
  order: OrderDocument,
  experience?: ExperienceDocument,
): ForecastDocument {
  return {
    format: 'fractum.forecast',
    version: 1,
    unit: shop.unit,
    tag: order.animal.tag,
    species: order.animal.species,
    shares: workOut(shop, order, experience).map((worked) =>
      shareDocument(worked, ownPart(order, worked.share)),
    ),
  };
}

/** A household's own part of a whole number that is the part's: weights in thousandths, pieces, packs. */
type OwnPart = (whole: number) => number;

/** Households that share a part by percent have between them exactly what the part has. */
function ownPart({ shares }: OrderDocument, share: ShareDocument): OwnPart {
  const households = shares.filter((each) => each.part === share.part);
  const percents = households.map((each) => each.sharePct ?? 100);
  return (whole) => allocate(whole, percents)[households.indexOf(share)]!;
}

/** Every weight of a record as a plain number. */
function units<Key extends string>(
  weights: Readonly<Record<Key, Weight>>,
  own: OwnPart,
): Record<Key, number> {
  const entries = Object.entries(weights) as [Key, Weight][];
  return Object.fromEntries(entries.map(([key, w]) => [key, inUnits(own(w) as Weight)])) as Record<
    Key,
    number
  >;
}

function shareDocument({ share, basis, ...worked }: WorkedShare, own: OwnPart): ShareForecastDocument {
  const { forecast: expected, findings, answered } = worked;
  const { pool } = expected;
  const weigh = (whole: number) => inUnits(own(answered ? whole : 0) as Weight);
  const lines = answered ? expected.lines.map((line) => lineDocument(line, own)) : [];
  const losses = Object.entries(expected.losses).map(([place, lost]) => [place, weigh(lost)]);
  return {
    part: share.part,
    sharePct: share.sharePct ?? 100,
    answered,
    owner: share.owner.name,
    cold: inUnits(own(expected.coldWeight) as Weight),
    basis,
    lines,
    losses: Object.fromEntries(losses) as ShareForecastDocument['losses'],
    grind: {
      weight: weigh(pool.grind),
      fatPct: answered ? Math.round(pool.fatPct * 100) / 100 : 0,
      lean: weigh(pool.lean),
      fatUsed: weigh(pool.fatUsed),
    },
    takeHome: weigh(expected.takeHome),
    takeHomeLow: weigh(expected.takeHomeLow),
    takeHomeHigh: weigh(expected.takeHomeHigh),
    yieldPct: answered ? expected.yieldBp / 100 : 0,
    freezerCuFt: Math.round(expected.freezerCuFt * (share.sharePct ?? 100) * Number(answered)) / 100,
    openQuestions: findings.filter((finding) => finding.blocks).length,
  };
}

function lineDocument(line: ForecastLine, own: OwnPart): ForecastLineDocument {
  const { key, cut, destination, packaged, low, high, gross, kerf, cureLoss, pieces, packs, thicknessIn } =
    line;
  const { evidence, names } = line;
  return {
    key,
    cut,
    destination,
    ...units({ packaged, low, high, gross, kerf, cureLoss }, own),
    trim: units(line.trim, own),
    evidence,
    pieces: pieces === null ? null : own(pieces),
    packs: own(packs),
    thicknessIn,
    names: names.map(({ name, pieces: named }) => ({ name, pieces: own(named) })),
  };
}
