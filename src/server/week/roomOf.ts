import { group } from 'd3-array';
import { USUAL_WASH } from '@/core/grindroom/board';
import { FORM_CHARGES } from '@/core/charges/keys';
import { isOpen } from '@/core/room/room';
import type { Animal, AnimalId, ShareId } from '@/core/order/animal';
import { shareName } from '@/core/order/naming';
import type { ShareFile } from '@/core/order/shareFile';
import { chilledAt, planOf } from '@/core/order/standing';
import type { HouseRules } from '@/core/shop/houseRules';
import { convertUnits, inUnits, sumWeights, type Weight } from '@/core/quantity/weight';
import { dayIn, daysAfter, daysBetween, type Day } from '@/core/time/shopTime';
import type { WeekStanding } from '@/core/week/journal';
import { benchMinutes, blockMinutesOf } from '@/core/week/minutes';
import { lastCutFor } from '@/core/week/ready';
import { USUAL_WEIGHTS, type ToCut, type WeekDay, type WeekRoom } from '@/core/week/room';

/** So far a shop sees: what is killed in this week and the next has hung by then. */
const DAYS_AHEAD = 21;

/** What is planned for today and tomorrow stands still: sheets are called in, and sides hang in their order. */
const NEAR_DAYS = 2;

/** Minutes that a day may run over. */
const MOST_OVER = 60;

/** An animal of the weeks, as people call it. */
export type WeekAnimal = {
  readonly animalId: AnimalId;
  readonly tag: string;
  readonly species: string;
  readonly farm: string;
  /** Whose it is, and one of its shares. */
  readonly names: readonly string[];
  readonly shareId: ShareId;
  readonly killDate: Day;
  readonly targetDay: Day;
  readonly longestDay: Day;
  /** Households whose sheet does not stand yet. */
  readonly openSheets: number;
  /** Who is rung about it; empty where nobody is known. */
  readonly phone: string;
  readonly isCured: boolean;
  readonly promised: Day | null;
};

export type WeekGround = {
  readonly today: Day;
  readonly zone: string;
  readonly rules: HouseRules;
  /** People at bench and grinder. */
  readonly atBench: number;
  readonly standing: WeekStanding;
};

/** The room that the planner decides in, and its animals in the same order, from the files of everything that hangs. */
export function weekRoomOf(
  files: readonly ShareFile[],
  ground: WeekGround,
): { readonly room: WeekRoom; readonly animals: readonly WeekAnimal[] } {
  const days = daysOf(ground);
  const byAnimal = [...group(files, ({ animal }) => animal.id).values()];
  const animals = byAnimal.map((own) => weekAnimal(own, ground));
  return {
    animals,
    room: {
      days,
      animals: byAnimal.map((own, index) => toCut(own, animals[index]!, { days, ground })),
      weights: USUAL_WEIGHTS,
      wash: { species: USUAL_WASH.species, rite: USUAL_WASH.wet - USUAL_WASH.species },
    },
  };
}

function daysOf({ today, rules, atBench, standing }: WeekGround): WeekDay[] {
  const week = { open: rules.week.open, holidays: rules.holidays };
  return Array.from({ length: DAYS_AHEAD }, (_, later): WeekDay => {
    const day = daysAfter(today, later);
    const said = standing.hours.get(day);
    if (said) return { day, block: said.block, bench: said.bench, over: said.block > 0 ? MOST_OVER : 0 };
    if (!isOpen(day, week)) return { day, block: 0, bench: 0, over: 0 };
    return { day, block: rules.blockMinutes, bench: rules.blockMinutes * atBench, over: MOST_OVER };
  });
}

function weekAnimal(own: readonly ShareFile[], { standing }: WeekGround): WeekAnimal {
  const [{ animal, share, situation }] = own as readonly [ShareFile, ...ShareFile[]];
  const { targetDays, longestDays } = situation.species.hang;
  return {
    animalId: animal.id,
    tag: animal.tag,
    species: situation.species.id,
    farm: animal.farm.name,
    names: own.map((file) => shareName(file)),
    shareId: share.id,
    killDate: animal.killDate,
    targetDay: daysAfter(animal.killDate, targetDays),
    longestDay: daysAfter(animal.killDate, longestDays),
    openSheets: own.filter(({ sheet }) => !sheet?.approved).length,
    phone: share.contact.phone ?? '',
    isCured: own.some((file) => planOf(file).expected.lines.some(({ cure }) => cure !== null)),
    promised: standing.promises.get(animal.id) ?? null,
  };
}

type Placing = { readonly days: readonly WeekDay[]; readonly ground: WeekGround };

function toCut(own: readonly ShareFile[], animal: WeekAnimal, { days, ground }: Placing): ToCut {
  const [{ situation }] = own as readonly [ShareFile, ...ShareFile[]];
  const { today, standing } = ground;
  const at = (day: Day) => daysBetween(today, day);
  const inDays = (day: Day | undefined) => {
    const place = day === undefined ? -1 : at(day);
    return place >= 0 && place < days.length && days[place]!.block > 0 ? place : null;
  };
  const was = inDays(standing.planned.get(animal.animalId));
  const pinned = inDays(standing.pins.get(animal.animalId)) ?? (was !== null && was < NEAR_DAYS ? was : null);
  return {
    id: animal.animalId,
    species: animal.species,
    rite: situation.condition?.rite ?? '',
    block: Math.round(blockMinutesOf(situation.species.room.minutesPerAnimal, sheetsOf(own))),
    bench: Math.round(own.reduce((sum, file) => sum + benchOf(file), 0)),
    first: Math.max(0, at(chilledOn(own, ground)), animal.openSheets > 0 ? 1 : 0),
    target: at(animal.targetDay),
    longest: at(animal.longestDay),
    promise:
      animal.promised === null
        ? null
        : lastCutFor(
            days.map(({ day }) => day),
            animal.promised,
            animal.isCured,
          ),
    pinned,
    was,
  };
}

function sheetsOf(own: readonly ShareFile[]): number {
  return new Set(own.map(({ together }) => together[0]!.id)).size;
}

/** The first whole day on which the heat is out of the bone. */
function chilledOn(own: readonly ShareFile[], { zone, rules }: WeekGround): Day {
  const isHung = own.every(({ sides }) => sides.every((side) => side.hot));
  const { killDate }: Animal = own[0]!.animal;
  if (!isHung) return daysAfter(killDate, Math.ceil(rules.chillHours / 24));
  const until = new Date(Math.max(...own.map((file) => chilledAt(file).getTime())));
  return dayIn(zone, until);
}

function benchOf(file: ShareFile): number {
  const { lines } = planOf(file).expected;
  const lb = (of: typeof lines) =>
    convertUnits(inUnits(sumWeights(of.map(({ gross }) => gross as Weight))), file.shop.unit, 'lb');
  const ground = lines.filter(({ kind }) => kind === 'grind');
  const formed = (form: 'links' | 'patties') =>
    ground.filter(({ charges }) => FORM_CHARGES[form].some((each) => charges.includes(each)));
  return benchMinutes({
    packs: lines.reduce((sum, { packs }) => sum + packs, 0),
    grindLb: lb(ground),
    linksLb: lb(formed('links')),
    pattiesLb: lb(formed('patties')),
    cures: lines.filter(({ cure, kind }) => cure !== null && kind !== 'grind').length,
  });
}
