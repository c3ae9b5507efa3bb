import type { CureMixFile } from '@/core/curing/cureMix';
import { pooledWith } from '@/core/grindroom/pool';
import { parseElementString } from '@/core/label/gs1';
import { cutName } from '@/core/order/naming';
import type { ShareFile } from '@/core/order/shareFile';
import { sumWeights, type Weight } from '@/core/quantity/weight';
import {
  linesOfLot,
  reachedOf,
  wayBack,
  wayBackOfPooled,
  type BackStep,
  type Reached,
} from '@/core/trace/trace';
import { animalIdsOfTag, shareIdsOfAnimal } from '@/data/book';
import { sharesOfLot } from '@/data/grind';
import { allUsers } from '@/data/people';
import { readShareFile, readShareFiles } from '@/data/rail';
import { mixFiles, sharesOfSmokehouseLot } from '@/data/smoke';
import { isVoided, weighingBySerial } from '@/data/wrap';
import { cureGround } from '../house/cureGround';
import type { House } from '../house/useCase';

export type Traced = {
  readonly kind: 'pack' | 'animal' | 'lot';
  /** `no. 417 of Ottilie Brandreth, left half` */
  readonly title: string;
  /** The way back, for a pack alone; with names. */
  readonly back: readonly BackStep[];
  /** Whom it reached: of a pack everybody who had of the same animal. */
  readonly reached: readonly Reached[];
  readonly packs: number;
  readonly weight: Weight;
  /** It was taken back: no such pack should be anywhere. */
  readonly gone: boolean;
};

/** What words name: a pack by its number or bars, an animal by its tag, a lot; undefined where they name nothing. */
export async function tracedFor(house: House, words: string): Promise<Traced | undefined> {
  return (await packSaid(house, words)) ?? (await tagSaid(house, words)) ?? (await lotSaid(house, words));
}

/** The number in the bars of a pack, scanned or typed: `417`, `no. 417`. */
async function packSaid(house: House, words: string): Promise<Traced | undefined> {
  const code = parseElementString(words);
  const serial = code.ok ? Number(code.value.serial) : Number(/^(?:no\.?\s*)?(\d{1,9})$/i.exec(words)?.[1]);
  if (!Number.isSafeInteger(serial)) return undefined;
  const pack = await weighingBySerial(house.db, serial);
  if (pack?.kind !== 'package') return undefined;
  const file = await readShareFile(house.db, house.setUps, pack.shareId);
  if (!file) return undefined;
  const names = new Map((await allUsers(house.db)).map(({ id, name }) => [id, name]));
  const mixes = await mixesOf(house, file);
  const others = await pooledFiles(house, file, new Set([pack.lineKey]));
  const steps = [
    ...wayBack(file, pack, { ...cureGround(house), mixes }),
    ...others.flatMap((other) => wayBackOfPooled(other.file, other.lineKey)),
  ];
  const back = steps.map((step) => ({
    ...step,
    by: step.by.map((id) => names.get(id) ?? 'somebody'),
  }));
  const title = `no. ${serial} of ${cutName(file)}`;
  return reaching(
    'pack',
    { title, back, gone: await isVoided(house.db, pack.id) },
    await ofAnimal(house, file.animal.id),
  );
}

async function tagSaid(house: House, tag: string): Promise<Traced | undefined> {
  const animals = await animalIdsOfTag(house.db, tag);
  if (animals.length === 0) return undefined;
  const reached: Reached[] = [];
  for (const animalId of animals) reached.push(...(await ofAnimal(house, animalId)));
  return reaching('animal', { title: `animal ${tag}` }, reached);
}

async function lotSaid(house: House, lot: string): Promise<Traced | undefined> {
  const shares = [
    ...new Set([...(await sharesOfLot(house.db, lot)), ...(await sharesOfSmokehouseLot(house.db, lot))]),
  ];
  if (shares.length === 0) return undefined;
  const files = await readShareFiles(house.db, house.setUps, shares);
  const reached: Reached[] = [];
  for (const file of files) {
    const lines = linesOfLot(file, lot, await mixesOf(house, file));
    for (const each of await cutAsOne(house, file)) reached.push(...only(reachedOf(each, lines)));
    reached.push(...(await throughPools(house, file, lines)));
  }
  return reaching('lot', { title: `lot ${lot}` }, reached);
}

/** The brines and rubs that pieces of a share lay in. */
function mixesOf({ db }: House, { cures }: ShareFile): Promise<CureMixFile[]> {
  return mixFiles(
    db,
    cures.map(({ cure }) => cure.mixId),
  );
}

type AnimalId = Parameters<typeof shareIdsOfAnimal>[1];

async function ofAnimal(house: House, animalId: AnimalId): Promise<Reached[]> {
  const files = await readShareFiles(house.db, house.setUps, await shareIdsOfAnimal(house.db, animalId));
  const reached = files.flatMap((file) => only(reachedOf(file)));
  for (const file of files) reached.push(...(await throughPools(house, file)));
  return reached;
}

type OfPool = { readonly file: ShareFile; readonly lineKey: string };

/** The files of other owners whose meat is in the same pooled batches. */
async function pooledFiles(house: House, file: ShareFile, lines?: ReadonlySet<string>): Promise<OfPool[]> {
  const others = pooledWith(file.batches, lines);
  if (others.length === 0) return [];
  const files = await readShareFiles(
    house.db,
    house.setUps,
    others.map(({ shareId }) => shareId),
  );
  return others.flatMap(({ shareId, lineKey }) => {
    const other = files.find(({ share }) => share.id === shareId);
    return other ? [{ file: other, lineKey }] : [];
  });
}

/** Other owners whose packs hold some of a share's meat: those of the pooled batch alone. */
async function throughPools(house: House, file: ShareFile, lines?: ReadonlySet<string>): Promise<Reached[]> {
  const reached: Reached[] = [];
  for (const { file: other, lineKey } of await pooledFiles(house, file, lines)) {
    for (const each of await cutAsOne(house, other)) {
      reached.push(...only(reachedOf(each, new Set([lineKey]))));
    }
  }
  return reached;
}

/** A share's file and those of the households that are cut as one with it. */
function cutAsOne(house: House, { together }: ShareFile): Promise<ShareFile[]> {
  return readShareFiles(
    house.db,
    house.setUps,
    together.map(({ id }) => id),
  );
}

function only<T>(one: T | undefined): T[] {
  return one === undefined ? [] : [one];
}

function reaching(
  kind: Traced['kind'],
  { title, back = [], gone = false }: Pick<Traced, 'title'> & Partial<Pick<Traced, 'back' | 'gone'>>,
  reached: readonly Reached[],
): Traced {
  return {
    ...{ kind, title, back, gone, reached },
    packs: reached.reduce((sum, { packs }) => sum + packs.length, 0),
    weight: sumWeights(reached.map(({ weight }) => weight)),
  };
}
