import Joi from 'joi';
import {
  bestDay,
  dayInOrder,
  USUAL_WASH,
  type GrindDay,
  type GrindJob,
  type Wash,
} from '@/core/grindroom/board';
import { fatBeside, type FatBeside } from '@/core/grindroom/fatBeside';
import { duesOf, type BatchStanding } from '@/core/grindroom/batch';
import { fromTubs, type FromTubs } from '@/core/grindroom/fromTubs';
import { drawnByGrade, tubsOf, type Tub } from '@/core/grindroom/tubs';
import { missingFrom, missingFromMix, mostFilm } from '@/core/grindroom/batchRules';
import { balanceOfKind } from '@/core/ledger/ledger';
import type { ShareId } from '@/core/order/animal';
import { cutName, partName } from '@/core/order/naming';
import type { ShareFile } from '@/core/order/shareFile';
import { planOf } from '@/core/order/standing';
import { success } from '@/core/quantity/result';
import type { Weight, WeighingUnit } from '@/core/quantity/weight';
import { instant } from '@/core/time/shopTime';
import { lastLots } from '@/data/grind';
import { allUsers } from '@/data/people';
import { liveShares, readShareFiles } from '@/data/rail';
import { defineUseCase, STAFF, type House } from '../house/useCase';
import { groundIn, standingIn } from './batchIn';
import { jobOf, lastThrough, washDue } from './washing';

/** What waits at the grinder, is in it, or has come out of it: one line of one share's plan. */
export type GrindOfDay = {
  /** Share and line. */
  readonly id: string;
  readonly shareId: ShareId;
  readonly lineKey: string;
  readonly name: string;
  readonly part: string;
  readonly tag: string;
  readonly farm: string;
  readonly species: string;
  /** As it is packed. */
  readonly cut: string;
  readonly recipe: string;
  readonly allergens: readonly string[];
  /** Meat that the plan gives to it, and what lies in the owner's tub now. */
  readonly planned: Weight;
  readonly inTub: Weight;
  /** The owner's tubs, the leanest first. */
  readonly tubs: readonly Tub[];
  /** What to take of which for what is still to come; null where there is one tub, or nothing more is taken. */
  readonly fromTubs: FromTubs | null;
  /** Fat of the grind as it comes, percent. */
  readonly fatPct: number;
  /** Separable fat that the recipe is best at, percent, and what the meat has beside it; thousandths. */
  readonly askedFatPct: number;
  readonly fatBeside: FatBeside;
  readonly packs: number;
  readonly pieces: number | null;
  /** What is due of each ingredient for the meat that is planned; tenths of a gram. */
  readonly due: readonly { readonly name: string; readonly tenths: number }[];
  /** What must be washed before it may begin; `none` where nothing must. */
  readonly washDue: Wash;
  /** Minutes of washing that a day has more where this comes next. */
  readonly ifNext: number;
  /** Null before it is begun. */
  readonly batch: BatchOfDay | null;
};

/** A batch that is begun, with everything its screen shows. */
export type BatchOfDay = {
  readonly id: string;
  readonly lot: string;
  readonly standing: BatchStanding;
  /** What is missing before it can be mixed, or closed; the first comes first. */
  readonly missing: readonly string[];
  readonly mostFilm: Weight;
};

export type GrindView = {
  /** ISO 8601, UTC. */
  readonly readAt: string;
  readonly unit: WeighingUnit;
  readonly day: GrindDay;
  readonly jobs: readonly GrindOfDay[];
  /** The lot that each ingredient was last weighed from. */
  readonly lots: Readonly<Record<string, string>>;
  /** Names of who weighed and looked. */
  readonly people: Readonly<Record<string, string>>;
};

/** The day of the grinder: everything that is to be ground, in the order with the fewest minutes of washing. */
export const grindView = defineUseCase<object, GrindView>({
  name: 'grindView',
  roles: STAFF,
  writes: false,
  input: Joi.object({}),
  run: async (house) => {
    const shares = await liveShares(house.db, ['wrap']);
    const files = (await readShareFiles(house.db, house.setUps, shares)).filter(isCutByItself);
    const jobs = (await Promise.all(files.map((file) => jobsOf(house, file)))).flat();
    const waiting = jobs.filter(({ batch }) => !batch?.standing.isClosed);
    const day = bestDay(
      waiting.map((job) => forBoard(files, job)),
      USUAL_WASH,
    );
    const orderOf = new Map(day.order.map(({ id }, at) => [id, at]));
    const inOrder = waiting
      .map((job) => forBoard(files, job))
      .sort((a, b) => orderOf.get(a.id)! - orderOf.get(b.id)!);
    const last = await lastThrough(house);
    const washes = new Map<string, Wash>();
    for (const job of waiting) {
      if (!job.batch) washes.set(job.id, await washDue(house, last, forBoard(files, job)));
    }
    const people = Object.fromEntries((await allUsers(house.db)).map(({ id, name }) => [id, name]));
    const unit = files[0]?.shop.unit ?? 'lb';
    return success({
      readAt: instant(house.now),
      unit,
      day,
      jobs: jobs.map((job) => ({
        ...job,
        washDue: washes.get(job.id) ?? 'none',
        ifNext: moreMinutes(inOrder, job.id, day.minutes),
      })),
      people,
      lots: await lastLots(house.db),
    });
  },
});

type Waits = Omit<GrindOfDay, 'ifNext' | 'washDue'>;

/** Households that are cut as one stand once, under the first of them. */
function isCutByItself({ share, together, start, closing }: ShareFile): boolean {
  return together[0]!.id === share.id && start !== undefined && closing === undefined;
}

/** What it costs to grind one batch first, and the others in their order. */
function moreMinutes(inOrder: readonly GrindJob[], id: string, best: number): number {
  const first = inOrder.filter((job) => job.id === id);
  const others = inOrder.filter((job) => job.id !== id);
  return dayInOrder([...first, ...others], USUAL_WASH).minutes - best;
}

async function jobsOf(house: House, file: ShareFile): Promise<Waits[]> {
  const { share, animal, situation, batches, weighings } = file;
  const { lines, pool } = planOf(file).expected;
  const inTub = balanceOfKind(file.held, 'tub');
  const asItComes = 100 - pool.separablePct;
  const tubs = tubsOf(file, asItComes);
  const jobs = lines.flatMap((line): Unblended[] => {
    const own = batches.find(({ batch }) => batch.lineKey === line.key);
    const recipe = own?.batch.recipe ?? situation.species.recipes.find(({ name }) => name === line.ownCut);
    // What was packed without a batch is not at the grinder any more.
    const isPacked = !own && weighings.some(({ lineKey }) => lineKey === line.key);
    if (line.kind !== 'grind' || !recipe || isPacked) return [];
    const standing = own && standingIn(house, file, own);
    return [
      {
        id: `${share.id}/${line.key}`,
        shareId: share.id,
        lineKey: line.key,
        name: cutName(file),
        part: partName({ part: share.part, sharePct: 100 }),
        tag: animal.tag,
        farm: animal.farm.name,
        species: situation.species.id,
        cut: line.cut,
        recipe: recipe.name,
        allergens: recipe.allergens,
        planned: line.gross,
        inTub,
        tubs,
        fatPct: pool.fatPct,
        askedFatPct: recipe.fatPct,
        fatBeside: fatBeside({
          meat: standing && standing.meat > 0 ? standing.meat : line.gross,
          comesPct: pool.separablePct,
          askedPct: recipe.fatPct,
        }),
        packs: line.packs,
        pieces: line.pieces,
        due: duesOf(recipe, line.gross, groundIn(house, file)).map(({ name, due }) => ({
          name,
          tenths: due,
        })),
        batch:
          own && standing
            ? {
                id: own.batch.id,
                lot: own.batch.lot,
                standing,
                missing: standing.isMixed ? missingFrom(standing, file.shop.unit) : missingFromMix(standing),
                mostFilm: mostFilm(standing.mix),
              }
            : null,
      },
    ];
  });
  return Promise.all(
    jobs.map(async (job) => ({ ...job, fromTubs: await whatToTake(job, { file, asItComes }) })),
  );
}

type Unblended = Omit<Waits, 'fromTubs'>;

/** One tub needs no sum, and what is mixed takes nothing more. */
async function whatToTake(
  { tubs, batch, planned, lineKey, askedFatPct }: Unblended,
  { file, asItComes }: { readonly file: ShareFile; readonly asItComes: number },
): Promise<FromTubs | null> {
  if (tubs.length < 2 || batch?.standing.isMixed) return null;
  const own = file.batches.find((each) => each.batch.lineKey === lineKey);
  const inBatch = own ? drawnByGrade(own.events) : [];
  return fromTubs(tubs, { planned, askedFatPct, inBatch, asItComes });
}

function forBoard(files: readonly ShareFile[], { shareId, lineKey, allergens }: Waits): GrindJob {
  return jobOf(
    files.find(({ share }) => share.id === shareId)!,
    lineKey,
    allergens,
  );
}
