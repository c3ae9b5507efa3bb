import Joi from 'joi';
import {
  bestDay,
  dayInOrder,
  USUAL_WASH,
  type GrindDay,
  type GrindJob,
  type Wash,
} from '@/core/grindroom/board';
import type { BatchStanding } from '@/core/grindroom/batch';
import type { FatBeside } from '@/core/grindroom/fatBeside';
import type { FromTubs } from '@/core/grindroom/fromTubs';
import type { Tub } from '@/core/grindroom/tubs';
import type { ShareId } from '@/core/order/animal';
import type { ShareFile } from '@/core/order/shareFile';
import { success } from '@/core/quantity/result';
import type { Weight, WeighingUnit } from '@/core/quantity/weight';
import { instant } from '@/core/time/shopTime';
import { lastLots, sharesThatPool } from '@/data/grind';
import { allUsers } from '@/data/people';
import { liveShares, readShareFiles } from '@/data/rail';
import { defineUseCase, STAFF } from '../house/useCase';
import type { LineOfShare } from './begin';
import { jobsOf, type Waits } from './jobs';
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
  readonly tubs: readonly TubOfDay[];
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
  /** Others' lines that could be ground with it, each with why not; empty once it is begun. */
  readonly mayPool: readonly (LineOfShare & {
    readonly name: string;
    readonly planned: Weight;
    readonly why: string;
  })[];
};

/** A tub with whose it is. */
export type TubOfDay = Tub & { readonly shareId: ShareId; readonly of: string };

/** A batch that is begun, with everything its screen shows. */
export type BatchOfDay = {
  readonly id: string;
  readonly lot: string;
  readonly standing: BatchStanding;
  /** What is missing before it can be mixed, or closed; the first comes first. */
  readonly missing: readonly string[];
  readonly mostFilm: Weight;
  /** Packs that are made of it, and what was counted in them: links, patties, tubes. */
  readonly made: { readonly packs: number; readonly pieces: number };
  /** Of a pool each owner, the one that leads it first; empty where there is one. */
  readonly owners: readonly OwnerInPool[];
};

/** An owner's part of a pooled batch. */
export type OwnerInPool = {
  readonly shareId: ShareId;
  readonly name: string;
  readonly tag: string;
  readonly meat: Weight;
  /** Whole packs that are its own; 0 before it is mixed. */
  readonly packsDue: number;
  readonly packsMade: number;
  /** At the end: of its meat in others' packs, below zero the other way round; null before. */
  readonly given: Weight | null;
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
    const together = files.flatMap((file) => file.together.map(({ id }) => id));
    const ofTheDay = { files, yes: await sharesThatPool(house.db, together) };
    const jobs = (await Promise.all(files.map((file) => jobsOf(house, file, ofTheDay)))).flat();
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

function forBoard(files: readonly ShareFile[], { shareId, lineKey, allergens }: Waits): GrindJob {
  return jobOf(
    files.find(({ share }) => share.id === shareId)!,
    lineKey,
    allergens,
  );
}
