import Joi from 'joi';
import { group } from 'd3-array';
import { animalHotWeight, daysHung, dryingOf, isChilling, netOf } from '@/core/order/standing';
import { shareName } from '@/core/order/naming';
import type { HungSide, ShareFile } from '@/core/order/shareFile';
import type { SideId } from '@/core/order/animal';
import { expectedCold, shrinkPct, shrinkCurveOf, shrinkWorking } from '@/core/hang/shrink';
import { success } from '@/core/quantity/result';
import { foundWords } from '@/core/order/found';
import { mainDecisionOf } from '@/core/questions/zones';
import type { Decision, ShrinkCurve, SideMap, Species } from '@/core/species/types';
import { inUnits, type Weight, type WeighingUnit } from '@/core/quantity/weight';
import { dayIn, daysBetween } from '@/core/time/shopTime';
import type { Working } from '@/core/working/working';
import { stageCounts } from '@/data/rail';
import { readShop } from '@/data/setUp';
import { defineUseCase, STAFF } from '../house/useCase';
import { railBoardOf, type RailBoard } from './railBoard';
import { hangingOf, sharesOnRail } from './rails';

export type SideOnRail = {
  readonly sideId: SideId;
  readonly position: 'left' | 'right';
  /** Nobody has bought it: it is the farm's. */
  readonly unsold: boolean;
  readonly hot: Weight | null;
  readonly hotTare: Weight;
  readonly cold: Weight | null;
  readonly expectedCold: Weight | null;
  readonly shrink: Weight | null;
  readonly shrinkPct: number | null;
  readonly expectedShrinkPct: number | null;
  readonly found: readonly FoundOnSide[];
};

/** Something that was found on a side, as it is read on the rail. */
export type FoundOnSide = {
  readonly id: string;
  readonly words: string;
  /** Where it is on the side map; empty where it is of the whole side. */
  readonly zone: string;
  readonly photoId: string | null;
};

/** A species that hangs, as far as a finding needs it: where on the side a row is. */
export type SpeciesOnRail = {
  readonly map: SideMap;
  /** Of each zone the row that most of its weight hangs on is the first. */
  readonly rows: readonly { readonly id: string; readonly title: string; readonly zone: string }[];
};

export type AnimalOnRail = {
  readonly animalId: string;
  readonly tag: string;
  readonly species: string;
  readonly farm: string;
  readonly shares: string;
  /** Parts left on and weighed in, as the booking form names them. */
  readonly weighedIn: readonly string[];
  readonly killDate: string;
  readonly days: number;
  readonly targetDays: number;
  readonly longestDays: number;
  /** Hangs in one piece: one weight for both sides. */
  readonly unsplit: boolean;
  /** Can be parted and weighed in quarters. */
  readonly quartered: boolean;
  /** What it weighed alive, in words; empty where that is not known. */
  readonly live: string;
  /** The heat may not be out of the bone yet: not to the block. */
  readonly chilling: boolean;
  readonly sides: readonly SideOnRail[];
  readonly working: Working;
};

export type HangBoard = {
  readonly unit: WeighingUnit;
  /** What to mind with the species that hang here. */
  readonly cautions: readonly string[];
  /** Shares whose next step is a weight of this rail; the others hang and wait for something else. */
  readonly waiting: number;
  readonly animals: readonly AnimalOnRail[];
  readonly rails: RailBoard;
  /** By the animals' word for it. */
  readonly species: Readonly<Record<string, SpeciesOnRail>>;
};

/** What hangs, side by side, with its shrink beside the shrink to expect. */
export const hangView = defineUseCase<Record<string, never>, HangBoard>({
  name: 'hangView',
  roles: STAFF,
  writes: false,
  input: Joi.object({}),
  run: async (house) => {
    const { db, now } = house;
    const { unit } = await readShop(db);
    const onRail = await sharesOnRail(house);
    const { files, unsold } = onRail;
    const animals = [...group(files, (file) => file.animal.id).values()].map((own) =>
      animalOnRail(own, unsold.get(own[0]!.animal.id) ?? [], now),
    );
    const hanging = new Set(files.map((file) => file.situation.species));
    const waiting = (await stageCounts(db)).get('hang') ?? 0;
    const species = Object.fromEntries(
      [...hanging].map((each) => [each.name, { map: each.sideMap, rows: rowsOf(each) }]),
    );
    const rails = railBoardOf(house, unit, hangingOf(onRail, now));
    return success({ unit, cautions: cautionsFor([...hanging]), waiting, animals, species, rails });
  },
});

function rowsOf(species: Species): SpeciesOnRail['rows'] {
  const isMain = ({ id, zone }: Decision) => mainDecisionOf(species, zone)?.id === id;
  return [...species.decisions]
    .sort((a, b) => Number(isMain(b)) - Number(isMain(a)))
    .map(({ id, title, zone }) => ({ id, title, zone }));
}

/** Each sentence once: those that hold for all that hangs as they are, the others with their species. */
function cautionsFor(hanging: readonly Species[]): string[] {
  const said = hanging.flatMap((species) =>
    species.cautions
      .filter((each) => each.where === 'hang')
      .flatMap((each) =>
        each.text.split(/(?<=\.) /).map((sentence) => ({ sentence, species: species.name })),
      ),
  );
  return [...group(said, (each) => each.sentence)].map(([sentence, by]) => {
    const names = [...new Set(by.map((each) => each.species))];
    return names.length === hanging.length ? sentence : `${names.join(', ')}: ${sentence}`;
  });
}

function animalOnRail(files: readonly ShareFile[], unsold: readonly HungSide[], now: Date): AnimalOnRail {
  const [file] = files as [ShareFile];
  const { species } = file.situation;
  const days = daysHung(file, now);
  const sides = [
    ...onceEach(files.flatMap((each) => each.sides.map((side) => sideOnRail(each, side, now)))),
    ...unsold.map((side) => ({ ...sideOnRail(file, side, now), unsold: true })),
  ];
  return {
    animalId: file.animal.id,
    tag: file.animal.tag,
    species: species.name,
    farm: file.animal.farm.name,
    shares: files.map(shareName).join(' · '),
    weighedIn: species.atlas.addOns
      .filter((addOn) => file.animal.addOns.includes(addOn.atom.id))
      .map((addOn) => addOn.label),
    killDate: file.animal.killDate,
    days,
    targetDays: species.hang.targetDays,
    longestDays: species.hang.longestDays,
    chilling: files.some((each) => each.sides.some(({ hot }) => hot) && isChilling(each, now)),
    unsplit: file.animal.unsplit,
    quartered: species.atlas.quarters !== undefined && !file.animal.unsplit,
    live: liveWords(file),
    sides: sides.sort((a, b) => (a.position < b.position ? -1 : 1)),
    working: shrinkWorking(curveOf(file), days),
  };
}

/** What it weighed alive, and how much of that hangs where both sides are weighed. */
function liveWords(file: ShareFile): string {
  const { liveWeight } = file.animal.facts;
  if (liveWeight === undefined) return '';
  const hot = [...file.sides, ...file.otherSides].map((each) => each.hot);
  const says = `${liveWeight} ${file.shop.unit} alive`;
  if (hot.includes(undefined)) return says;
  const dressed = (100 * inUnits(animalHotWeight(file))) / liveWeight;
  return `${says}, ${dressed.toFixed(1)} % of it hangs`;
}

/** Both sides of an animal hang alike, as far as this is said once for it. */
function curveOf({ situation, sides }: ShareFile): ShrinkCurve {
  return shrinkCurveOf(situation.species, dryingOf(situation, sides[0]!));
}

/** A side that several households have a part of hangs once. */
function onceEach(sides: readonly SideOnRail[]): SideOnRail[] {
  return [...new Map(sides.map((side) => [side.sideId, side])).values()];
}

function sideOnRail({ situation, shop, animal }: ShareFile, hung: HungSide, now: Date): SideOnRail {
  const { side, hot, cold, found } = hung;
  const curve = shrinkCurveOf(situation.species, dryingOf(situation, hung));
  const until = cold ? new Date(cold.at) : now;
  const days = Math.max(0, daysBetween(animal.killDate, dayIn(shop.zone, until)));
  const hotNet = hot ? netOf(hot) : null;
  const coldNet = cold ? netOf(cold) : null;
  const expected = hotNet === null ? null : expectedCold(curve, hotNet, days);
  return {
    sideId: side.id,
    position: side.position,
    unsold: false,
    hot: hotNet,
    hotTare: hot?.tare ?? (0 as Weight),
    cold: coldNet,
    expectedCold: expected,
    shrink: hotNet !== null && coldNet !== null ? ((hotNet - coldNet) as Weight) : null,
    shrinkPct: hotNet !== null && coldNet !== null ? shrinkPct(hotNet, coldNet) : null,
    expectedShrinkPct: hotNet !== null && expected !== null ? shrinkPct(hotNet, expected) : null,
    found: found.map((each) => ({
      id: each.id,
      words: foundWords(each, situation.species.decisions, shop.unit),
      zone: situation.species.decisions.find(({ id }) => id === each.decision)?.zone ?? '',
      photoId: each.photoId,
    })),
  };
}
