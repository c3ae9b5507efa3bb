import {
  dryingOf,
  isChilling,
  daysHung,
  netOf,
  planOf,
  sheetInForce,
  openQuestions,
} from '@/core/order/standing';
import { degreesWords } from '@/core/order/deepTemperature';
import { shareName } from '@/core/order/naming';
import type { ShareId, SideId } from '@/core/order/animal';
import { feetUsed, railPlan, type Hung } from '@/core/room/railPlan';
import { zoneDestinations } from '@/core/questions/zones';
import type { Quartered } from '@/core/hang/quarters';
import { expectedCold, shrinkCurveOf } from '@/core/hang/shrink';
import { formatWeight, type Weight, type WeighingUnit } from '@/core/quantity/weight';
import type { Destination, ShrinkCurve, SideMap } from '@/core/species/types';
import { clockIn } from '@/core/time/shopTime';
import { roleOf } from '../house/actor';
import type { House } from '../house/useCase';
import { RAIL_HANDS, railsOf, type Hanging } from './rails';

/** How a side dries: what it is expected to weigh each day from the kill to its longest, and what it did weigh. */
export type Drying = {
  readonly expected: readonly Weight[];
  readonly weighed: readonly { readonly day: number; readonly weight: Weight }[];
  readonly today: number;
};

/** A side as it hangs on the plan of the rails. */
export type SideOnPlan = {
  readonly sideId: SideId;
  readonly animalId: string;
  readonly shareId: ShareId;
  readonly tag: string;
  readonly position: 'left' | 'right';
  readonly species: string;
  readonly who: string;
  readonly feet: number;
  readonly days: number;
  readonly targetDays: number;
  readonly longestDays: number;
  /** `366.2`, or `≈360` where no cold weight was taken. */
  readonly weight: string;
  /** Null before its hot weight is taken. */
  readonly drying: Drying | null;
  readonly chilling: boolean;
  /** How warm it was inside when it was last measured; empty where it never was. */
  readonly deep: string;
  readonly covered: boolean;
  /** `fore 90.2, hind 85.3`; empty where it hangs in one piece. */
  readonly quarters: string;
  readonly held: string;
  readonly found: number;
  /** What its sheet waits for; empty when it stands. */
  readonly waits: string;
  /** Where each zone goes; null where nobody has said. */
  readonly zones: Readonly<Record<string, Destination | null>>;
};

export type RailBoard = {
  /** Whether the person who looks handles what hangs; others look on. */
  readonly mayHandle: boolean;
  readonly unit: WeighingUnit;
  readonly rails: readonly {
    readonly id: string;
    readonly name: string;
    readonly feet: number;
    readonly used: number;
    readonly hung: readonly Hung[];
  }[];
  readonly without: readonly string[];
  readonly sides: readonly SideOnPlan[];
  readonly maps: Readonly<Record<string, SideMap>>;
};

/** The rails as a plan, foot by foot: what hangs where, how long of how long, and whose sheet waits. */
export function railBoardOf(house: House, unit: WeighingUnit, hanging: readonly Hanging[]): RailBoard {
  const byDue = [...hanging].sort((a, b) => leftOf(a, house.now) - leftOf(b, house.now));
  const plan = railPlan(
    railsOf(house.setUp),
    byDue.map(({ side, feet, onRail }) => ({
      id: side.id,
      feet,
      ...(onRail.at ? { at: onRail.at } : {}),
    })),
  );
  return {
    mayHandle: RAIL_HANDS.some((role) => role === roleOf(house.actor)),
    unit,
    rails: plan.rails.map(({ rail, hung }) => ({ ...rail, used: feetUsed(hung), hung })),
    without: plan.without,
    sides: byDue.map((each) => sideOnPlan(each, house.now)),
    maps: Object.fromEntries(
      hanging.map(({ file }) => [file.situation.species.name, file.situation.species.sideMap]),
    ),
  };
}

/** Days until it should be cut. */
function leftOf({ file }: Hanging, now: Date): number {
  return file.situation.species.hang.targetDays - daysHung(file, now);
}

function sideOnPlan({ side, hung, file, tag, feet, onRail }: Hanging, now: Date): SideOnPlan {
  const { species } = file.situation;
  const { targetDays, longestDays } = species.hang;
  const isUnsold = !file.sides.some((each) => each.side.id === side.id);
  return {
    sideId: side.id,
    animalId: side.animalId,
    shareId: file.share.id,
    tag,
    position: side.position,
    species: species.name,
    who: isUnsold ? `unsold, ${file.animal.farm.name}` : shareName(file),
    feet,
    days: daysHung(file, now),
    targetDays,
    longestDays,
    weight: weightOf(file, hung, now),
    drying: dryingCurveOf(file, hung, now),
    chilling: hung.hot !== undefined && isChilling(file, now),
    deep: hung.deep
      ? `${degreesWords(hung.deep.tenthsF, file.shop.unit)} inside, ${clockIn(file.shop.zone, hung.deep.at)}`
      : '',
    covered: onRail.covered === true,
    quarters: hung.quarters ? quarterWords(hung.quarters) : '',
    held: onRail.held,
    found: hung.found.length,
    waits: isUnsold ? 'nobody has it' : waitsFor(file),
    zones: isUnsold ? {} : zonesOf(file),
  };
}

function quarterWords({ fore, hind }: Quartered): string {
  return `fore ${formatWeight(fore, 1)}, hind ${formatWeight(hind, 1)}`;
}

function weightOf(file: Hanging['file'], hung: Hanging['hung'], now: Date): string {
  const { hot, cold } = hung;
  if (cold) return formatWeight(netOf(cold), 1);
  if (!hot) return '';
  return `≈${formatWeight(expectedCold(curveOf(file, hung), netOf(hot), daysHung(file, now)), 0)}`;
}

function curveOf({ situation }: Hanging['file'], hung: Hanging['hung']): ShrinkCurve {
  return shrinkCurveOf(situation.species, dryingOf(situation, hung));
}

function dryingCurveOf(file: Hanging['file'], hung: Hanging['hung'], now: Date): Drying | null {
  const { hot, cold } = hung;
  if (!hot) return null;
  const curve = curveOf(file, hung);
  const last = file.situation.species.hang.longestDays;
  return {
    expected: Array.from({ length: last + 1 }, (_, day) => expectedCold(curve, netOf(hot), day)),
    // Hot is weighed on the day of the kill, whenever its ticket was written.
    weighed: [
      { day: 0, weight: netOf(hot) },
      ...(cold ? [{ day: daysHung(file, new Date(cold.at)), weight: netOf(cold) }] : []),
    ],
    today: daysHung(file, now),
  };
}

function waitsFor(file: Hanging['file']): string {
  if (!file.sheet) return 'no sheet';
  const open = openQuestions(file).filter(({ blocks }) => blocks).length;
  if (open > 0) return 'sheet open';
  return file.sheet.approved ? '' : 'to approve';
}

function zonesOf(file: Hanging['file']): SideOnPlan['zones'] {
  const { species } = file.situation;
  return zoneDestinations({ species, sheet: sheetInForce(file), expected: planOf(file).expected });
}
