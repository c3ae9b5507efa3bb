import Joi from 'joi';
import { inSentence } from '@/core/quantity/inSentence';
import { success } from '@/core/quantity/result';
import type { Species } from '@/core/species/types';
import { choicesOf, FACTS, matches, type Fact, type YieldFilter } from '@/core/yields/filter';
import { BONE_STATES } from '@/core/experience/boneState';
import {
  partOf,
  PARTS,
  pooledRate,
  rateOf,
  RATES,
  type Part,
  type Pooled,
  type RateId,
} from '@/core/yields/rates';
import { byCutter, type CutterFigures } from '@/core/yields/byCutter';
import { byBoneState, byFarm, type FarmMean, type SheetKind } from '@/core/yields/byFarm';
import { forecastsOf, missOf, type ForecastMiss, type Forecasts } from '@/core/yields/forecastAgainst';
import type { HouseRules } from '@/core/shop/houseRules';
import { against, likesOf, type Against } from '@/core/yields/likes';
import { inWords, type ReasonInWords } from '@/core/yields/reasonWords';
import { slopeOf, type Slope } from '@/core/yields/slope';
import { spreadOf, type Spread } from '@/core/yields/spread';
import type { YieldRow } from '@/core/yields/yieldRow';
import { inUnits, type WeighingUnit } from '@/core/quantity/weight';
import { choicesOfLearning } from '@/data/learning';
import { allUsers } from '@/data/people';
import { readShop } from '@/data/setUp';
import { speciesOfYield, yieldRows } from '@/data/yields';
import { isOwner } from '../house/actor';
import { refuse } from '../house/reasons';
import { defineUseCase, OFFICE, type House } from '../house/useCase';

/** One finished share as a stroke: a figure for each part; null where a weight is missing. */
export type Stroke = {
  readonly shareId: string;
  readonly name: string;
  readonly tag: string;
  readonly farm: string;
  readonly closedOn: string;
  readonly pct: readonly (number | null)[];
  /** What came home against its forecast; null where nothing was forecast. */
  readonly miss: ForecastMiss | null;
  /** Percent of the cold weight. */
  readonly unaccountedPct: number;
  /** In the shop's unit; null where it was not weighed hot. */
  readonly hot: number | null;
  readonly daysHung: number;
  readonly fatness: number | null;
};

type Choice = { readonly id: string; readonly label: string; readonly of: number };

export type YieldsView = {
  readonly unit: WeighingUnit;
  readonly filter: YieldFilter;
  readonly species: readonly Choice[];
  /** `hog`, as it stands in a sentence. */
  readonly animal: string;
  readonly choices: Readonly<Record<Fact, readonly Choice[]>>;
  readonly shares: number;
  readonly animals: number;
  readonly strokes: readonly Stroke[];
  readonly spreads: Readonly<Record<Part, Spread | null>>;
  /** Of all shares together, by name. */
  readonly pooled: Readonly<Record<RateId, Pooled>>;
  /** What one more of weight, fatness or days does: points of the hot weight. */
  readonly slopes: Readonly<Record<'weight' | 'fatness' | 'days', Slope | null>>;
  /** `in of fat over the 12th rib` */
  readonly fatnessWords: string;
  /** How good the forecasts were; null where there was none. */
  readonly forecasts: Forecasts | null;
  /** From which percent of the cold weight a gap is asked about, and from which it is investigated. */
  readonly limits: { readonly askPct: number; readonly investigatePct: number };
  /** The share that is asked about; null where none is. */
  readonly why: Why | null;
  /** What an animal gives, by farm; and what goes home by the kind of sheet. */
  readonly farms: readonly FarmMean[];
  readonly sheets: readonly SheetKind[];
  /** Who cut how, for the owner alone; empty for everybody else. */
  readonly cutters: readonly (CutterFigures & { readonly name: string })[];
  /** By cut, over the shares that have it: what of the hot weight it is. */
  readonly cuts: readonly CutFigures[];
};

/** One share against its likes: why it gave more or less. */
export type Why = {
  readonly shareId: string;
  readonly name: string;
  readonly tag: string;
  readonly farm: string;
  readonly closedOn: string;
  /** Whether the shop learns from it, and whether the actor may say so. */
  readonly isLeftOut: boolean;
  readonly mayLeaveOut: boolean;
  /** How many are like it. */
  readonly likes: number;
  /** Null where there are too few of them, or it has no hot weight. */
  readonly against: (Omit<Against, 'reasons'> & { readonly reasons: readonly ReasonInWords[] }) | null;
  /** What each of its likes gave, percent of hot. */
  readonly theirs: readonly number[];
};

export type CutFigures = {
  readonly cut: string;
  readonly shares: number;
  readonly packs: number;
  /** Percent of the hot weight; null where no share has one. */
  readonly spread: Spread | null;
};

type Input = Partial<YieldFilter> & { readonly shareId?: string };

const short = Joi.string().max(80).allow('').default('');

/** The choice of what is looked at; what is not said is every one. */
export const filterFields = {
  species: short,
  boneState: Joi.valid('', ...BONE_STATES).default(''),
  farmId: short,
  type: short,
  school: short,
  part: short,
  cutterId: short,
  since: Joi.string()
    .pattern(/^\d{4}-\d{2}-\d{2}$/, 'a date')
    .allow('')
    .default(''),
};

/** What finished shares gave, each figure with what it stands on, and how it scatters. */
export const yieldsView = defineUseCase<Input, YieldsView>({
  name: 'yieldsView',
  roles: OFFICE,
  writes: false,
  input: Joi.object({ ...filterFields, shareId: short }),
  run: async (house, { shareId = '', ...asked }) => {
    const { unit } = await readShop(house.db);
    const { species: all } = house.catalogue;
    // Asked about a share alone, its species is looked at.
    const wanted = asked.species || (await speciesOfYield(house.db, shareId)) || all[0]!.id;
    const species = all.find(({ id }) => id === wanted);
    if (!species) return refuse('not-found', 'We do not cut that animal.', 'species');
    const people = isOwner(house.actor) ? await namesOf(house) : NOBODY;
    const filter = {
      ...asked,
      species: wanted,
      ...(isOwner(house.actor) ? {} : { cutterId: '' }),
    } as YieldFilter;
    const rows = await yieldRows(house.db, wanted);
    const own = rows.filter((row) => matches(row, filter));
    return success({
      unit,
      filter,
      species: all.map(({ id, name }) => ({ id, label: name, of: 0 })),
      animal: inSentence(species.name),
      choices: mapValues(FACTS, (fact) => choicesIn(rows, { species, filter, fact, people })),
      shares: own.length,
      animals: new Set(own.map(({ animalId }) => animalId)).size,
      strokes: own.map(strokeOf),
      spreads: mapValues(PARTS, (part) => spreadOf(own.map((row) => partOf(row, part)))),
      pooled: mapValues(Object.keys(RATES) as RateId[], (id) => pooledRate(own, id)),
      slopes: slopesOf(own),
      fatnessWords: `${species.shifts.fatness.unit} of ${species.shifts.fatness.label}`,
      forecasts: forecastsOf(own),
      limits: limitsOf(house.setUp.rules),
      why: whyOf(rows, shareId, {
        species,
        isLeftOut: (await choicesOfLearning(house.db)).get(shareId)?.leftOut ?? false,
        mayLeaveOut: isOwner(house.actor),
      }),
      farms: byFarm(own),
      sheets: byBoneState(own),
      cutters: cuttersOf(own, people),
      cuts: cutsOf(own),
    });
  },
});

/** Who cut what is told to the owner alone. */
type People = ReadonlyMap<string, string>;
const NOBODY: People = new Map();

async function namesOf({ db }: House): Promise<People> {
  return new Map((await allUsers(db)).map(({ id, name }) => [id, name]));
}

function cuttersOf(rows: readonly YieldRow[], people: People): YieldsView['cutters'] {
  return byCutter(rows).flatMap((figures) => {
    const name = people.get(figures.cutterId);
    return name === undefined ? [] : [{ ...figures, name }];
  });
}

/** An object of a value for each key. */
function mapValues<Key extends string, Value>(
  keys: readonly Key[],
  valueOf: (key: Key) => Value,
): Record<Key, Value> {
  return Object.fromEntries(keys.map((key) => [key, valueOf(key)])) as Record<Key, Value>;
}

/** As fine as a picture shows it: thousands of strokes are sent at once. */
function shown(pct: number | null): number | null {
  return pct === null ? null : Math.round(pct * 100) / 100;
}

function strokeOf(row: YieldRow): Stroke {
  const { shareId, name, tag, farm, closedOn } = row;
  const pct = PARTS.map((part) => shown(partOf(row, part)));
  const unaccountedPct = row.cold > 0 ? (100 * row.went.unaccounted) / row.cold : 0;
  const { daysHung, fatness } = row;
  const hot = row.hot === null ? null : inUnits(row.hot);
  const said = { shareId, name, tag, farm, closedOn, hot, daysHung, fatness };
  return { ...said, pct, miss: missOf(row), unaccountedPct };
}

type Asked = {
  readonly species: Species;
  readonly filter: YieldFilter;
  readonly fact: Fact;
  readonly people: People;
};

function choicesIn(rows: readonly YieldRow[], { species, filter, fact, people }: Asked): Choice[] {
  const labels: Readonly<Record<Fact, (id: string) => string>> = {
    boneState: (id) => id,
    farmId: (id) => rows.find((row) => row.farmId === id)?.farm ?? id,
    type: (id) => species.types.find((each) => each.id === id)?.label ?? 'of no said type',
    school: (id) => species.schools.find((each) => each.id === id)?.name ?? 'the usual break',
    part: (id) => id,
    cutterId: (id) => people.get(id) ?? '',
  };
  return [...choicesOf(rows, filter, fact)]
    .map(([id, of]) => ({ id, of, label: labels[fact](id) }))
    .filter(({ id, label }) => id !== '' && label !== '')
    .sort((a, b) => a.label.localeCompare(b.label, 'en'));
}

function slopesOf(rows: readonly YieldRow[]): YieldsView['slopes'] {
  const slope = (of: (row: YieldRow) => number | null, id: RateId) =>
    slopeOf(
      rows.flatMap((row) => {
        const [x, y] = [of(row), rateOf(row, id)];
        return x === null || y === null ? [] : [[x, y] as const];
      }),
    );
  return {
    weight: slope(({ hot }) => (hot === null ? null : inUnits(hot)), 'packed-hot'),
    fatness: slope(({ fatness }) => fatness, 'packed-hot'),
    days: slope(({ daysHung }) => daysHung, 'shrink'),
  };
}

function limitsOf({ unaccounted }: Pick<HouseRules, 'unaccounted'>): YieldsView['limits'] {
  return { askPct: unaccounted.askBp / 100, investigatePct: unaccounted.investigateBp / 100 };
}

type AskedWhy = Pick<Why, 'isLeftOut' | 'mayLeaveOut'> & { readonly species: Species };

function whyOf(rows: readonly YieldRow[], shareId: string, { species, ...learning }: AskedWhy): Why | null {
  const row = rows.find((each) => each.shareId === shareId);
  if (!row) return null;
  const likes = likesOf(row, rows);
  const found = against(row, likes);
  const { name, tag, farm, closedOn } = row;
  return {
    ...{ shareId, name, tag, farm, closedOn },
    ...learning,
    likes: likes.length,
    against: found && { ...found, reasons: inWords(found, { row, likes, species }) },
    theirs: likes.map((each) => partOf(each, 'packed-hot')!),
  };
}

function cutsOf(rows: readonly YieldRow[]): CutFigures[] {
  const found = new Map<string, { packs: number; pct: (number | null)[] }>();
  for (const { cuts, hot } of rows) {
    for (const { cut, packed, packs } of cuts) {
      const known = found.get(cut) ?? { packs: 0, pct: [] };
      known.packs += packs;
      known.pct.push(hot === null || hot <= 0 ? null : (100 * packed) / hot);
      found.set(cut, known);
    }
  }
  return [...found]
    .map(([cut, { packs, pct }]) => ({ cut, packs, shares: pct.length, spread: spreadOf(pct) }))
    .sort((a, b) => b.shares - a.shares || (a.cut < b.cut ? -1 : 1));
}
