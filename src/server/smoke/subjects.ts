import { randomUUID } from 'node:crypto';
import type { CureMixDeed, CureMixFile, CureMixStanding } from '@/core/curing/cureMix';
import { mixStanding, whyNotMix } from '@/core/curing/cureMix';
import {
  cureStanding,
  whyNotInCure,
  type CureDeed,
  type CureFile,
  type CureStanding,
} from '@/core/curing/inCure';
import type { ShareId } from '@/core/order/animal';
import type { ShareFile } from '@/core/order/shareFile';
import type { WeighingId } from '@/core/order/work';
import { success, type Result } from '@/core/quantity/result';
import { loadStanding, type LoadStanding, type SmokeDeed, type SmokeFile } from '@/core/smokehouse/load';
import type { ProbeReading } from '@/core/smokehouse/plan';
import { dayIn, instant, type Day } from '@/core/time/shopTime';
import type { Role } from '@/data/people';
import { readShop } from '@/data/setUp';
import {
  begunOn,
  curesInMix,
  mixFiles,
  readingsOfLoad,
  shareOfCure,
  sharesOfLoad,
  smokeFiles,
  writeSmokehouseEvent,
  type SmokehouseSubject,
} from '@/data/smoke';
import { cureGround } from '../house/cureGround';
import { refuse, type Reason } from '../house/reasons';
import { cutFileOf, touchCut } from '../house/shareView';
import type { House } from '../house/useCase';

/** Who works at the smokehouse. */
export const SMOKERS: readonly Role[] = ['owner', 'cutter', 'smoker'];

/** A brine or a rub as it stands. */
export type MixIn = CureMixFile & { readonly standing: CureMixStanding };

export async function mixIn(house: House, mixId: string): Promise<Result<MixIn, Reason>> {
  const [found] = await mixFiles(house.db, [mixId]);
  if (!found) return refuse('not-found', 'There is no such brine or rub. Load the page again.');
  return success({ ...found, standing: await standingOfMix(house, found) });
}

export async function standingOfMix(house: House, { mix, events }: CureMixFile): Promise<CureMixStanding> {
  const { unit } = await readShop(house.db);
  const { pantry, rules } = cureGround(house);
  return mixStanding(mix, events, { unit, pantry, nitrite: rules });
}

/** A piece in its cure, with the share it is of. */
export type CureIn = CureFile & { readonly file: ShareFile; readonly standing: CureStanding };

export async function cureIn(house: House, cureId: string): Promise<Result<CureIn, Reason>> {
  const shareId = await shareOfCure(house.db, cureId);
  if (!shareId) return refuse('not-found', 'There is no such piece in the cure. Load the page again.');
  const found = await openFile(house, shareId);
  if (!found.ok) return found;
  const own = found.value.cures.find(({ cure }) => cure.id === cureId)!;
  const standing = cureStanding(own.cure, own.events, cureGround(house));
  return success({ ...own, file: found.value, standing });
}

/** The file of a share that is worked on; what is closed is cured and smoked no more. */
export async function openFile(house: House, shareId: ShareId): Promise<Result<ShareFile, Reason>> {
  const found = await cutFileOf(house, shareId);
  if (!found.ok || !found.value.closing) return found;
  return refuse('closed', 'This order is closed. Nothing more is cured or smoked for it.');
}

/** A load with the files of the shares that have pieces in it. */
export type LoadIn = SmokeFile & {
  readonly standing: LoadStanding;
  readonly readings: readonly ProbeReading[];
  readonly files: readonly ShareFile[];
};

export async function loadIn(house: House, smokeId: string): Promise<Result<LoadIn, Reason>> {
  const [found] = await smokeFiles(house.db, [smokeId]);
  if (!found) return refuse('not-found', 'There is no such load. Load the page again.');
  const readings = await readingsOfLoad(house.db, smokeId);
  const files: ShareFile[] = [];
  for (const shareId of await sharesOfLoad(house.db, smokeId)) {
    const file = await cutFileOf(house, shareId);
    if (file.ok) files.push(file.value);
  }
  const { unit } = await readShop(house.db);
  const standing = loadStanding(found.load, found.events, readings, unit);
  return success({ ...found, readings, files, standing });
}

type Asked<Deed> = { readonly clientId: string; readonly deed: Deed };
type Done = { readonly id: string };

/** Does something to a brine or a rub, or says why it cannot be done; whose pieces lie in it may stand differently now. */
export async function doToMix(
  house: House,
  { mix, standing }: MixIn,
  { clientId, deed }: Asked<CureMixDeed>,
): Promise<Result<Done, Reason>> {
  const why = whyNotMix(standing, deed, house.actor.id);
  if (why !== '') return refuse('not-in-cure', why);
  await writeEvent(house, { of: 'mix', subjectId: mix.id, clientId, weighingId: null, deed });
  for (const { id } of await curesInMix(house.db, mix.id)) {
    const found = await cureIn(house, id);
    if (found.ok) touchCut(house, found.value.file);
  }
  return success({ id: mix.id });
}

/** Does something to a piece in its cure, or says why it cannot be done. */
export async function doToCure(
  house: House,
  { cure, file, standing }: CureIn,
  { clientId, deed }: Asked<CureDeed>,
): Promise<Result<Done, Reason>> {
  const why = whyNotInCure(cure, standing, deed, { unit: file.shop.unit });
  if (why !== '') return refuse('not-in-cure', why);
  const { weighingId } = cure;
  await writeEvent(house, { of: 'cure', subjectId: cure.id, clientId, weighingId, deed });
  touchCut(house, file);
  return success({ id: cure.id });
}

/** Writes something down that was done to a load; asked before whether it can be. */
export async function doToLoad(
  house: House,
  { load, files }: Pick<LoadIn, 'load' | 'files'>,
  { clientId, deed }: Asked<SmokeDeed>,
): Promise<Result<Done, Reason>> {
  const weighingId = 'weighingId' in deed ? deed.weighingId : null;
  await writeEvent(house, { of: 'load', subjectId: load.id, clientId, weighingId, deed });
  for (const file of files) touchCut(house, file);
  return success({ id: load.id });
}

type Written = {
  readonly of: SmokehouseSubject;
  readonly subjectId: string;
  readonly clientId: string;
  readonly weighingId: WeighingId | null;
  readonly deed: CureMixDeed | CureDeed | SmokeDeed;
};

async function writeEvent(house: House, { deed, ...row }: Written): Promise<void> {
  const by = { id: randomUUID(), at: instant(house.now), actorId: house.actor.id };
  await writeSmokehouseEvent(house.db, { ...row, event: { ...deed, ...by } });
}

const LETTERS: Readonly<Record<SmokehouseSubject, string>> = { mix: 'B', cure: 'C', load: 'S' };

/** Today by the shop's clock, and the lot of what is begun now: `C2026-11-24-3`. */
export async function nextLot(
  house: House,
  of: SmokehouseSubject,
): Promise<{ readonly day: Day; readonly lot: string }> {
  const { zone } = await readShop(house.db);
  const day = dayIn(zone, house.now);
  const letter = LETTERS[of];
  const before = await begunOn(house.db, of, { letter, day });
  return { day, lot: `${letter}${day}-${before + 1}` };
}
