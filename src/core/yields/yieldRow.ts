import { boneStateOf, type BoneState } from '../experience/boneState';
import { cutName, partName } from '../order/naming';
import type { ShareFile } from '../order/shareFile';
import type { Reconciliation } from '../reconcile/reconcile';
import { reconciliationOf, weighedOf } from '../order/settling';
import { animalHotWeight, coldWeight, daysHung, hotWeight, planOf } from '../order/standing';
import { sumWeights, weight, ZERO_WEIGHT, type Weight } from '../quantity/weight';
import { partOfAnimal } from '../shares/parts';
import { DESTINATIONS, type Destination } from '../species/types';
import { dayIn, type Day } from '../time/shopTime';

/** Where packs go; what is lost is no destination of a pack. */
export const PACKED = DESTINATIONS.filter((each) => each !== 'lost') as readonly Exclude<
  Destination,
  'lost'
>[];
export type Packed = (typeof PACKED)[number];

/** Where weight went that reached no pack; what was added came from nowhere on the rail, and is below zero. */
export const WENT = [
  'bone',
  'fat',
  'skin',
  'inedible',
  'cure',
  'added',
  'grinder',
  'pooled',
  'unaccounted',
] as const;
export type Went = (typeof WENT)[number];

/** What was packed of one cut of a share. */
export type CutOfRow = {
  readonly cut: string;
  readonly destination: Destination;
  readonly packed: Weight;
  readonly packs: number;
  /** What went into the cure or the smoke of it; zero for what is fresh. */
  readonly green: Weight;
};

/**
 * What a finished share gave, all weights in thousandths of the shop's unit. Packs and everything else add up to the
 * cold weight; households that are cut as one are one row.
 */
export type YieldRow = {
  readonly shareId: string;
  readonly animalId: string;
  readonly name: string;
  readonly part: string;
  /** What of its animal it is, 0 to 1, by count of quarters. */
  readonly ofAnimal: number;
  readonly tag: string;
  readonly farmId: string;
  readonly farm: string;
  readonly species: string;
  /** Finish or breed type; empty where nobody said. */
  readonly type: string;
  readonly school: string;
  readonly boneState: BoneState;
  readonly closedOn: Day;
  /** Who cut it; empty where nobody said. */
  readonly cutterId: string;
  /** Minutes on the block and at the wrap table, as far as somebody marked them; null where nobody did. */
  readonly minutes: { readonly block: number | null; readonly wrap: number | null };
  readonly daysHung: number;
  /** The species' measure of fatness; null where nobody measured. */
  readonly fatness: number | null;
  /** This share's part of the animal alive; null where it was not weighed. */
  readonly live: Weight | null;
  /** Null where a side has no hot ticket. */
  readonly hot: Weight | null;
  readonly cold: Weight;
  readonly packed: Readonly<Record<Packed, Weight>>;
  readonly went: Readonly<Record<Went, Weight>>;
  readonly packs: number;
  readonly cuts: readonly CutOfRow[];
  /** What its plan had said would come home. */
  readonly forecast: { readonly takeHome: Weight; readonly low: Weight; readonly high: Weight };
};

/**
 * What a share gave, from its file once it is closed: nothing lies in its tub or its cures any more.
 *
 * @param done - who cut it, empty where nobody said; and how long it took
 */
export function yieldRowOf(
  file: ShareFile,
  closedAt: Date,
  done: Pick<YieldRow, 'cutterId' | 'minutes'>,
): YieldRow {
  const { share, animal, situation, shop } = file;
  const { expected } = planOf(file);
  const balance = reconciliationOf(file);
  const packs = weighedOf(file).filter(({ kind }) => kind === 'package');
  const hot = file.sides.every((side) => side.hot) ? hotWeight(file) : null;
  return {
    shareId: share.id,
    animalId: animal.id,
    name: cutName(file),
    part: partName({ part: share.part, sharePct: 100 }),
    ofAnimal: partOfAnimal(share.part),
    tag: animal.tag,
    farmId: animal.farm.id,
    farm: animal.farm.name,
    species: situation.species.id,
    type: situation.condition?.type ?? '',
    school: situation.school ?? situation.species.usual?.school ?? '',
    boneState: boneStateOf(situation.species, expected),
    closedOn: dayIn(shop.zone, closedAt),
    ...done,
    daysHung: daysHung(file, closedAt),
    fatness: situation.condition?.fatness ?? null,
    live: liveOf(file, hot),
    hot,
    cold: coldWeight(file),
    packed: Object.fromEntries(
      PACKED.map((destination) => [
        destination,
        sumWeights(packs.filter((each) => each.destination === destination).map(({ net }) => net)),
      ]),
    ) as Record<Packed, Weight>,
    went: wentOf(balance),
    packs: packs.length,
    cuts: cutsOf(balance),
    forecast: { takeHome: expected.takeHome, low: expected.takeHomeLow, high: expected.takeHomeHigh },
  };
}

function liveOf(file: ShareFile, hot: Weight | null): Weight | null {
  const { liveWeight } = file.animal.facts;
  const whole = animalHotWeight(file);
  if (liveWeight === undefined || hot === null || whole <= 0) return null;
  return Math.round((weight(liveWeight) * hot) / whole) as Weight;
}

function wentOf({ bridge, unaccounted }: Reconciliation): YieldRow['went'] {
  const step = (kind: Went) => bridge.find((each) => each.kind === kind)?.weight ?? ZERO_WEIGHT;
  const went = Object.fromEntries(WENT.map((kind) => [kind, step(kind)])) as Record<Went, Weight>;
  return { ...went, unaccounted };
}

function cutsOf({ lines }: Reconciliation): CutOfRow[] {
  return lines.flatMap(({ cut, destination, actual, packsMade, green }) =>
    packsMade > 0 ? [{ cut, destination, packed: actual, packs: packsMade, green }] : [],
  );
}
