import { group } from 'd3-array';
import type { PersonId } from '../order/animal';
import { sumWeights, ZERO_WEIGHT, type Weight, type WeighingUnit } from '../quantity/weight';
import type { Destination } from '../species/types';
import { packedOf, pooledRate, rateOf, type Pooled } from './rates';
import { spreadOf, type Spread } from './spread';
import type { YieldRow } from './yieldRow';

/** What a farm's animals of one species came to in a year. */
export type FarmYear = {
  readonly animals: number;
  readonly shares: number;
  /** Of those that were weighed; live and hot of different animals are never set against each other. */
  readonly live: Weight;
  readonly hot: Weight;
  readonly packed: Weight;
  readonly hotOnLive: Pooled;
  readonly packedOnHot: Pooled;
  readonly packedOnLive: Pooled;
};

/** A cut over the animals of a year. */
export type FarmCut = {
  readonly cut: string;
  readonly destination: Destination;
  /** Of how many shares it was asked. */
  readonly shares: number;
  readonly packs: number;
  readonly weight: Weight;
};

export type FarmSpeciesYear = {
  readonly species: string;
  readonly year: FarmYear;
  /** The year before; null where nothing was finished then. */
  readonly before: FarmYear | null;
  /** What the shop's other farms gave in the same year, packed on hot, unnamed; null below `FEWEST_OTHERS` shares. */
  readonly others: Spread | null;
  /** What most shares had first. */
  readonly cuts: readonly FarmCut[];
};

/** Fewer shares of others would be somebody in particular. */
export const FEWEST_OTHERS = 8;

/**
 * A farm's season by species, beside its own year before and beside the shop's other farms.
 *
 * @param own - of the farm, of any year
 * @param others - of other farms, of the year
 */
export function farmSeason(
  own: readonly YieldRow[],
  others: readonly YieldRow[],
  year: number,
): FarmSpeciesYear[] {
  const closedIn = (of: number) =>
    group(
      own.filter(({ closedOn }) => closedOn.startsWith(`${of}-`)),
      ({ species }) => species,
    );
  const before = closedIn(year - 1);
  return [...closedIn(year)].map(([species, rows]) => {
    const ofBefore = before.get(species);
    const theirs = others.filter((row) => row.species === species);
    const band = spreadOf(theirs.map((row) => rateOf(row, 'packed-hot')));
    return {
      species,
      year: yearOf(rows),
      before: ofBefore ? yearOf(ofBefore) : null,
      others: band && band.of >= FEWEST_OTHERS ? band : null,
      cuts: cutsOf(rows),
    };
  });
}

function yearOf(rows: readonly YieldRow[]): FarmYear {
  const sum = (of: (row: YieldRow) => Weight | null) => sumWeights(rows.map((row) => of(row) ?? ZERO_WEIGHT));
  return {
    animals: new Set(rows.map(({ animalId }) => animalId)).size,
    shares: rows.length,
    live: sum(({ live }) => live),
    hot: sum(({ hot }) => hot),
    packed: sum(packedOf),
    hotOnLive: pooledRate(rows, 'dressing'),
    packedOnHot: pooledRate(rows, 'packed-hot'),
    packedOnLive: pooledRate(rows, 'packed-live'),
  };
}

function cutsOf(rows: readonly YieldRow[]): FarmCut[] {
  const byCut = group(
    rows.flatMap(({ cuts }, share) => cuts.map((cut) => ({ ...cut, share }))),
    ({ cut }) => cut,
  );
  return [...byCut]
    .map(([cut, lines]) => ({
      cut,
      destination: lines[0]!.destination,
      shares: new Set(lines.map(({ share }) => share)).size,
      packs: lines.reduce((sum, { packs }) => sum + packs, 0),
      weight: sumWeights(lines.map(({ packed }) => packed)),
    }))
    .sort((a, b) => b.shares - a.shares || b.weight - a.weight);
}

/** How a cut went, as the farmer ticks it. */
export const PACES = { slowly: 'sold slowly', fast: 'sold fast' } as const;
export type Pace = keyof typeof PACES;

/** What a farm remembers of a cut for its next animals. */
export type Remembered = { readonly cut: string; readonly pace: Pace | null; readonly note: string };

/**
 * What is remembered of a cut, in one line.
 *
 * @example rememberedWords({ cut: 'Liver', pace: 'slowly', note: '' }) // => 'Liver: sold slowly'
 */
export function rememberedWords({ cut, pace, note }: Remembered): string {
  return `${cut}: ${[pace ? PACES[pace] : '', note].filter(Boolean).join('; ')}`;
}

/** A species of a farm's season, with what the farm remembers of it. */
export type FarmSeasonSpecies = FarmSpeciesYear & {
  readonly name: string;
  readonly remembered: readonly Remembered[];
};

/** A farm's season, ready to be shown. */
export type FarmSeason = {
  readonly id: PersonId;
  readonly farm: string;
  readonly shop: string;
  readonly unit: WeighingUnit;
  readonly year: number;
  /** Years in which anything of theirs was finished, the last first. */
  readonly years: readonly number[];
  readonly species: readonly FarmSeasonSpecies[];
};
