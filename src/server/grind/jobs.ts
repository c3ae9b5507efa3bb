import { duesOf } from '@/core/grindroom/batch';
import { missingFrom, missingFromMix, mostFilm } from '@/core/grindroom/batchRules';
import { fatBeside } from '@/core/grindroom/fatBeside';
import { fromTubs, type FromTubs } from '@/core/grindroom/fromTubs';
import { whyNotPooled } from '@/core/grindroom/pool';
import { drawnByGrade, tubsOf } from '@/core/grindroom/tubs';
import type { ForecastLine } from '@/core/forecast/types';
import { counted } from '@/core/quantity/counted';
import { balanceOfKind } from '@/core/ledger/ledger';
import type { ShareId } from '@/core/order/animal';
import { cutName, partName } from '@/core/order/naming';
import type { ShareFile } from '@/core/order/shareFile';
import { packsDueOfLine, planOf } from '@/core/order/standing';
import { sumWeights } from '@/core/quantity/weight';
import { sum } from 'd3-array';
import type { House } from '../house/useCase';
import { groundIn, missingMeat, packsOf, standingIn, type BatchPart } from './batchIn';
import { joinOf } from './begin';
import type { BatchOfDay, GrindOfDay, OwnerInPool, TubOfDay } from './grindView';

export type Waits = Omit<GrindOfDay, 'ifNext' | 'washDue'>;

/** What jobs of a day are seen with: all files of the day, and who has said yes to a pool. */
export type OfTheDay = {
  readonly files: readonly ShareFile[];
  readonly yes: ReadonlySet<ShareId>;
};

/** Lines of a share that are ground: those in a pool stand once, under the owner that leads it. */
export async function jobsOf(house: House, file: ShareFile, day: OfTheDay): Promise<Waits[]> {
  const lines = planOf(file).expected.lines.flatMap((line): Line[] => {
    const own = file.batches.find(({ batch }) => batch.lineKey === line.key);
    const leads = own?.pool?.members[0]?.batchId ?? own?.batch.id;
    const recipe =
      own?.batch.recipe ?? file.situation.species.recipes.find(({ name }) => name === line.ownCut);
    // What was packed without a batch is not at the grinder any more.
    const isPacked = !own && file.weighings.some(({ lineKey }) => lineKey === line.key);
    if (line.kind !== 'grind' || !recipe || isPacked || leads !== own?.batch.id) return [];
    const parts = own ? partsOf({ file, own }, day.files) : [];
    return [{ file, line, recipe, parts }];
  });
  return Promise.all(lines.map((line) => jobOfLine(house, line, day)));
}

type Line = {
  readonly file: ShareFile;
  readonly line: ForecastLine;
  readonly recipe: ShareFile['situation']['species']['recipes'][number];
  /** Of its batch, the one that leads it first; none before it is begun. */
  readonly parts: readonly BatchPart[];
};

function partsOf(leads: BatchPart, files: readonly ShareFile[]): BatchPart[] {
  const members = leads.own.pool?.members.slice(1) ?? [];
  const others = members.flatMap(({ shareId, batchId }): BatchPart[] => {
    const file = files.find(({ share }) => share.id === shareId);
    const own = file?.batches.find(({ batch }) => batch.id === batchId);
    return file && own ? [{ file, own }] : [];
  });
  return [leads, ...others];
}

async function jobOfLine(house: House, of: Line, day: OfTheDay): Promise<Waits> {
  const { file, line, recipe, parts } = of;
  const { share, animal, situation } = file;
  const { pool } = planOf(file).expected;
  const batch = parts.length > 0 ? batchOfDay(house, parts) : null;
  const files = parts.length > 1 ? parts.map((part) => part.file) : [file];
  const planned = sumWeights(
    parts.length > 1 ? parts.map((part) => lineOf(part)?.gross ?? line.gross) : [line.gross],
  );
  return {
    id: `${share.id}/${line.key}`,
    shareId: share.id,
    lineKey: line.key,
    name: namesOf(files),
    part: partName({ part: share.part, sharePct: 100 }),
    tag: animal.tag,
    farm: animal.farm.name,
    species: situation.species.id,
    cut: line.cut,
    recipe: recipe.name,
    allergens: recipe.allergens,
    planned,
    inTub: sumWeights(files.map(({ held }) => balanceOfKind(held, 'tub'))),
    tubs: files.flatMap(tubsOfDay),
    fromTubs: batch?.standing.isMixed || files.length > 1 ? null : await blendOf(of),
    fatPct: pool.fatPct,
    askedFatPct: recipe.fatPct,
    fatBeside: fatBeside({
      meat: batch && batch.standing.meat > 0 ? batch.standing.meat : planned,
      comesPct: pool.separablePct,
      askedPct: recipe.fatPct,
    }),
    packs: line.packs,
    pieces: line.pieces,
    due: duesOf(recipe, planned, groundIn(house, file)).map(({ name, due }) => ({ name, tenths: due })),
    batch,
    mayPool: batch ? [] : othersFor(of, day),
  };
}

/** `Wray, left half`, or of a pool `Wray and 2 others`. */
function namesOf(files: readonly ShareFile[]): string {
  const [first, ...others] = files.map(cutName);
  if (others.length === 0) return first!;
  return `${first!.split(',')[0]} and ${counted(others.length, 'other')}`;
}

function lineOf({ file, own }: BatchPart): ForecastLine | undefined {
  return planOf(file).expected.lines.find(({ key }) => key === own.batch.lineKey);
}

function asItComesOf(file: ShareFile): number {
  return 100 - planOf(file).expected.pool.separablePct;
}

function tubsOfDay(file: ShareFile): TubOfDay[] {
  return tubsOf(file, asItComesOf(file)).map((tub) => ({
    ...tub,
    shareId: file.share.id,
    of: cutName(file),
  }));
}

/** One tub needs no sum. */
async function blendOf({ file, line, recipe, parts }: Line): Promise<FromTubs | null> {
  const asItComes = asItComesOf(file);
  const tubs = tubsOf(file, asItComes);
  if (tubs.length < 2) return null;
  const inBatch = parts[0] ? drawnByGrade(parts[0].own.events) : [];
  return fromTubs(tubs, { planned: line.gross, askedFatPct: recipe.fatPct, inBatch, asItComes });
}

function batchOfDay(house: House, parts: readonly BatchPart[]): BatchOfDay {
  const { file, own } = parts[0]!;
  const standing = standingIn(house, parts);
  const noMeat = missingMeat(parts);
  const packs = parts.flatMap(packsOf).filter(({ kind }) => kind === 'package');
  const missing = standing.isMixed ? missingFrom(standing, file.shop.unit) : missingFromMix(standing);
  return {
    id: own.batch.id,
    lot: own.batch.lot,
    standing,
    missing: !standing.isMixed && noMeat !== '' ? [noMeat, ...missing] : missing,
    mostFilm: mostFilm(standing.mix),
    made: { packs: packs.length, pieces: sum(packs, (each) => each.pieces ?? 0) },
    owners: own.pool ? ownersIn(parts) : [],
  };
}

/** Each owner's part of a pool: meat in, packs that are its own, and what whole packs could not part evenly. */
function ownersIn(parts: readonly BatchPart[]): OwnerInPool[] {
  return parts.map((part) => {
    const member = memberOf(part)!;
    const closed = part.own.events.find((event) => event.kind === 'closed');
    return {
      shareId: part.file.share.id,
      name: cutName(part.file),
      tag: part.file.animal.tag,
      meat: member.meat,
      packsDue: packsDueOfLine(part.file, part.own.batch.lineKey) ?? 0,
      packsMade: packsOf(part).length,
      given: closed?.kind === 'closed' ? (closed.given ?? null) : null,
    };
  });
}

function memberOf({ own }: BatchPart) {
  return own.pool?.members.find(({ batchId }) => batchId === own.batch.id);
}

/** Others of the day whose line could be ground with it, each with why not. */
function othersFor({ file, line, recipe }: Line, { files, yes }: OfTheDay): GrindOfDay['mayPool'] {
  const join = joinOf({ file, line }, yes);
  return files.flatMap((other) => {
    if (other.share.id === file.share.id || other.situation.species.id !== file.situation.species.id)
      return [];
    return planOf(other).expected.lines.flatMap((each) => {
      const isOpen =
        each.kind === 'grind' &&
        each.ownCut === recipe.name &&
        !other.batches.some(({ batch }) => batch.lineKey === each.key) &&
        !other.weighings.some(({ lineKey }) => lineKey === each.key);
      if (!isOpen) return [];
      return [
        {
          shareId: other.share.id,
          lineKey: each.key,
          name: cutName(other),
          planned: each.gross,
          why: whyNotPooled(join, joinOf({ file: other, line: each }, yes)),
        },
      ];
    });
  });
}
