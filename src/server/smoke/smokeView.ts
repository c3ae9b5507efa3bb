import Joi from 'joi';
import { checkCure, isForOne, isPumped, ppmOf, type CureRecipe } from '@/core/curing/cureRecipe';
import type { CureMixStanding } from '@/core/curing/cureMix';
import { limitOf } from '@/core/curing/limits';
import { missingIngredients } from '@/core/curing/ingredients';
import type { ShareFile } from '@/core/order/shareFile';
import type { WeighingId } from '@/core/order/work';
import { success } from '@/core/quantity/result';
import type { Weight, WeighingUnit } from '@/core/quantity/weight';
import { loadStanding, type LoadStanding } from '@/core/smokehouse/load';
import type { SmokePlan } from '@/core/smokehouse/plan';
import { zoneBox, zonePath } from '@/core/species/sideMapPath';
import { dayIn, instant, type Day, type Instant } from '@/core/time/shopTime';
import { lastLots } from '@/data/grind';
import { allUsers } from '@/data/people';
import { liveShares, readShareFiles } from '@/data/rail';
import { readShop } from '@/data/setUp';
import { lastMixes, loadsAtHand, readingsOfLoad } from '@/data/smoke';
import { cureGround } from '../house/cureGround';
import { defineUseCase, STAFF, type House } from '../house/useCase';
import { isTooOld } from './mixes';
import { piecesOf, type PieceAtSmoke } from './pieces';
import { standingOfMix } from './subjects';

/** A load as its screen shows it. */
export type LoadAtSmoke = {
  readonly id: string;
  readonly lot: string;
  readonly plan: SmokePlan;
  readonly at: Instant;
  readonly standing: LoadStanding;
  /** Minutes since it was lit, and degrees Fahrenheit. */
  readonly readings: readonly (readonly [number, number])[];
  /** Said of it, the last last: why it was held and let go, and notes, with names. */
  readonly said: readonly { readonly at: Instant; readonly by: string; readonly words: string }[];
};

/** A brine or a rub as its screen shows it. */
export type MixAtSmoke = {
  readonly id: string;
  readonly lot: string;
  readonly recipeId: string;
  readonly recipe: string;
  readonly of: CureRecipe['of'];
  readonly makes: Weight;
  readonly weighingId: WeighingId | null;
  readonly isBrine: boolean;
  /** It does not keep any longer. */
  readonly isTooOld: boolean;
  readonly skinOn: boolean;
  readonly standing: CureMixStanding;
  /** What is missing before it is mixed; the first comes first. */
  readonly missing: readonly string[];
  readonly at: Instant;
};

/** A cure that the shop has, as somebody chooses it. */
export type RecipeAtSmoke = Pick<CureRecipe, 'id' | 'name' | 'of' | 'method' | 'takesPct'> & {
  readonly isForOne: boolean;
  readonly isPumped: boolean;
  readonly ppm: number;
  readonly limit: number;
  readonly warned: readonly string[];
};

/** An outline as an SVG path, with left, top, width and height around it. */
export type PieceOutline = { readonly d: string; readonly box: readonly [number, number, number, number] };

export type SmokeView = {
  /** ISO 8601, UTC. */
  readonly readAt: string;
  readonly unit: WeighingUnit;
  readonly zone: string;
  readonly today: Day;
  readonly pieces: readonly PieceAtSmoke[];
  /** By `species/zone`: the outline of a piece, and the box around it. */
  readonly shapes: Readonly<Record<string, PieceOutline>>;
  /** The newest last. */
  readonly loads: readonly LoadAtSmoke[];
  readonly mixes: readonly MixAtSmoke[];
  readonly recipes: readonly RecipeAtSmoke[];
  readonly plans: readonly SmokePlan[];
  readonly places: readonly string[];
  /** The lot that each ingredient was last weighed from. */
  readonly lots: Readonly<Record<string, string>>;
  readonly people: Readonly<Record<string, string>>;
};

/** So many loads and mixes are looked back at; those that are not through are always there. */
const [LAST_LOADS, LAST_MIXES] = [6, 12];

/** The smokehouse: pieces in their cures by the day they come out, brines and rubs, and loads with their curves. */
export const smokeView = defineUseCase<object, SmokeView>({
  name: 'smokeView',
  roles: STAFF,
  writes: false,
  input: Joi.object({}),
  run: async (house) => {
    const { unit, zone } = await readShop(house.db);
    const live = await liveShares(house.db, ['wrap', 'reconcile']);
    const files = (await readShareFiles(house.db, house.setUps, live)).filter(
      ({ share, together, start, closing }) =>
        together[0]!.id === share.id && start !== undefined && closing === undefined,
    );
    const people = Object.fromEntries((await allUsers(house.db)).map(({ id, name }) => [id, name]));
    return success({
      readAt: instant(house.now),
      unit,
      zone,
      today: dayIn(zone, house.now),
      pieces: files.flatMap((file) => piecesOf(house, file)),
      shapes: shapesOf(files),
      loads: await loadsOf(house, { people, unit }),
      mixes: await mixesOf(house),
      recipes: house.setUp.curing.recipes.map((recipe) => recipeAtSmoke(house, recipe)),
      plans: house.setUp.curing.plans,
      places: house.setUp.places.filter(({ kind }) => kind === 'cooler').map(({ name }) => name),
      lots: await lastLots(house.db),
      people,
    });
  },
});

/** The outlines of everything that is cured, each once. */
function shapesOf(files: readonly ShareFile[]): SmokeView['shapes'] {
  const shapes: Record<string, PieceOutline> = {};
  for (const { situation } of files) {
    const { id, sideMap, decisions } = situation.species;
    for (const { zone } of decisions) {
      if (!(zone in sideMap.zones)) continue;
      shapes[`${id}/${zone}`] ??= { d: zonePath(sideMap, zone), box: zoneBox(sideMap, zone) };
    }
  }
  return shapes;
}

async function loadsOf(
  house: House,
  { people, unit }: Pick<SmokeView, 'people' | 'unit'>,
): Promise<LoadAtSmoke[]> {
  const loads: LoadAtSmoke[] = [];
  for (const { load, events } of await loadsAtHand(house.db, LAST_LOADS)) {
    const readings = await readingsOfLoad(house.db, load.id);
    const standing = loadStanding(load, events, readings, unit);
    loads.push({
      id: load.id,
      lot: load.lot,
      plan: load.plan,
      at: load.at,
      standing,
      readings: readings.map(({ minute, degrees }) => [minute, degrees] as const),
      said: events.flatMap((event) => {
        const by = { at: event.at, by: people[event.actorId] ?? 'somebody' };
        if (event.kind === 'held') return [{ ...by, words: `held: ${event.reason}` }];
        if (event.kind === 'released') return [{ ...by, words: `released: ${event.reason}` }];
        return event.kind === 'noted' ? [{ ...by, words: event.words }] : [];
      }),
    });
  }
  return loads;
}

async function mixesOf(house: House): Promise<MixAtSmoke[]> {
  const mixes: MixAtSmoke[] = [];
  for (const file of await lastMixes(house.db, LAST_MIXES)) {
    const { id, lot, recipe, makes, weighingId, skinOn, at } = file.mix;
    const standing = await standingOfMix(house, file);
    mixes.push({
      ...{ id, lot, makes, weighingId, skinOn, at, standing },
      recipeId: recipe.id,
      recipe: recipe.name,
      of: recipe.of,
      isBrine: !isForOne(recipe),
      isTooOld: isTooOld(file.mix, house.now),
      missing: standing.isMixed ? [] : missingIngredients(standing.ingredients),
    });
  }
  return mixes;
}

function recipeAtSmoke(house: House, recipe: CureRecipe): RecipeAtSmoke {
  const ground = cureGround(house);
  const { id, name, of, method, takesPct } = recipe;
  return {
    ...{ id, name, of, method, takesPct },
    isForOne: isForOne(recipe),
    isPumped: isPumped(recipe),
    ppm: ppmOf(recipe, ground.pantry),
    limit: limitOf(ground.rules, of),
    warned: checkCure(recipe, ground).warned,
  };
}
