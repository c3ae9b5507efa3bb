import { randomUUID } from 'node:crypto';
import Joi from 'joi';
import { speciesIn } from '@/core/catalogue/catalogue';
import { FOUND_KINDS, type Found, type FoundKind } from '@/core/order/found';
import type { Animal, Share, Side, SideId } from '@/core/order/animal';
import { success, type Result } from '@/core/quantity/result';
import { inUnits, type Weight } from '@/core/quantity/weight';
import { planOf } from '@/core/order/standing';
import type { ShareFile } from '@/core/order/shareFile';
import { instant } from '@/core/time/shopTime';
import { bookedWith, sideById } from '@/data/book';
import {
  foundById,
  isWithdrawn,
  photoById,
  ticketsOfSides,
  writeFound,
  writePhoto,
  writeWithdrawal,
} from '@/data/hang';
import { readShareFiles } from '@/data/rail';
import { readShop } from '@/data/setUp';
import { clientId, id, thousandths, words } from '../house/fields';
import { refuse, type Reason, type Refusal } from '../house/reasons';
import { remakePlan } from '../house/remakePlan';
import { doneAt, takenAt } from '../house/takenAt';
import { defineUseCase, STAFF, type House } from '../house/useCase';
import { holds } from './holders';
import { RAIL_HANDS } from './rails';

type Input = {
  readonly clientId: string;
  readonly sideId: SideId;
  readonly kind: FoundKind;
  readonly decision: string;
  readonly weight: number | null;
  readonly measure: number | null;
  readonly note: string;
  /** A photograph as a data URL, made small by the browser; empty without one. */
  readonly photo: string;
  readonly takenAt?: string;
};

const JPEG = /^data:image\/jpeg;base64,/;
/** A picture of 1280 points is a third of this. */
const LONGEST_PHOTO = 700_000;

/** Something was found on a side: it lowers what is expected at once, and is told to the household. */
export const noteFound = defineUseCase<Input, { foundId: string }>({
  name: 'noteFound',
  roles: RAIL_HANDS,
  writes: true,
  input: Joi.object({
    clientId,
    sideId: id,
    kind: Joi.valid(...Object.keys(FOUND_KINDS)).required(),
    decision: Joi.string().max(60).allow('').required(),
    weight: thousandths.positive().allow(null).required(),
    measure: Joi.number().min(0.1).max(100).allow(null).required(),
    note: words(200).allow('').default(''),
    photo: Joi.string().max(LONGEST_PHOTO).pattern(JPEG, 'a photograph').allow('').default(''),
    takenAt,
  }),
  subject: ({ sideId, kind, decision }) => `${sideId} ${kind} ${decision}`,
  run: async (house, input) => {
    const found = await sideOf(house, input.sideId);
    if (!found.ok) return found;
    const { side, animal } = found.value;
    const refused =
      kindProblem(house, animal, input) ??
      (await weightProblem(house, side, input)) ??
      (await packedProblem(house, found.value, input));
    if (refused) return refused;
    const by = { at: doneAt(house, input.takenAt), actorId: house.actor.id };
    const jpeg = Buffer.from(input.photo.replace(JPEG, ''), 'base64');
    if (input.photo !== '' && !jpeg.subarray(0, JPEG_MAGIC.length).equals(JPEG_MAGIC)) {
      return refuse('invalid', 'That is not a photograph. Take it again.', 'photo');
    }
    const photoId = input.photo === '' ? null : randomUUID();
    if (photoId) await writePhoto(house.db, { id: photoId, sideId: side.id, jpeg, ...by });
    const { kind, decision, weight, measure, note, clientId: requestId } = input;
    const written = { kind, decision, weight: weight as Weight | null, measure, note, photoId };
    const row: Found = { id: randomUUID(), clientId: requestId, sideId: side.id, ...written, ...by };
    await writeFound(house.db, row);
    await standAnew(house, found.value, row.id);
    return success({ foundId: row.id });
  },
});

const JPEG_MAGIC = Buffer.from([0xff, 0xd8]);

/** A finding was a mistake: it is withdrawn with a reason, and stays in the book. */
export const withdrawFound = defineUseCase<{ clientId: string; foundId: string; reason: string }, true>({
  name: 'withdrawFound',
  roles: RAIL_HANDS,
  writes: true,
  input: Joi.object({ clientId, foundId: id, reason: words(200).required() }),
  subject: ({ foundId }) => foundId,
  run: async (house, { foundId, reason }) => {
    const row = await foundById(house.db, foundId);
    if (!row) return refuse('not-found', 'There is no such finding.');
    if (await isWithdrawn(house.db, foundId)) return refuse('voided', 'This finding was withdrawn already.');
    const found = await sideOf(house, row.sideId);
    if (!found.ok) return found;
    const by = { at: instant(house.now), actorId: house.actor.id };
    await writeWithdrawal(house.db, { foundId, sideId: row.sideId, reason, ...by });
    await standAnew(house, found.value, foundId);
    return success(true);
  },
});

/** A photograph of a finding. */
export const photoView = defineUseCase<{ photoId: string }, Buffer>({
  name: 'photoView',
  roles: STAFF,
  writes: false,
  input: Joi.object({ photoId: id }),
  run: async ({ db }, { photoId }) => {
    const photo = await photoById(db, photoId);
    return photo ? success(photo.jpeg) : refuse('not-found', 'There is no such photograph.');
  },
});

type OnSide = { readonly side: Side; readonly animal: Animal; readonly shares: readonly Share[] };

async function sideOf(house: House, sideId: SideId): Promise<Result<OnSide, Reason>> {
  const side = await sideById(house.db, sideId);
  if (!side) return refuse('not-found', 'There is no such side on the rail.');
  const booked = await bookedWith(house.db, [side.animalId]);
  const animal = booked.animals.get(side.animalId)!;
  return success({ side, animal, shares: booked.shares });
}

function kindProblem(house: House, animal: Animal, { kind, decision, measure }: Input): Refusal | undefined {
  const species = speciesIn(house.catalogue, animal.species);
  const { effect, label } = FOUND_KINDS[kind];
  const isOfRow = effect === 'missing' || effect === 'condemned';
  if (isOfRow && !species.decisions.some((each) => each.id === decision)) {
    return refuse('invalid', `Say where it is: ${label} of what?`, 'decision');
  }
  if ('measures' in FOUND_KINDS[kind] && measure === null) {
    return refuse('invalid', `Say how much: ${label} is measured.`, 'measure');
  }
  return undefined;
}

async function weightProblem(house: House, side: Side, { weight }: Input): Promise<Refusal | undefined> {
  if (weight === null) return undefined;
  const tickets = await ticketsOfSides(house.db, [side.id]);
  const last =
    tickets.findLast(({ kind }) => kind === 'cold') ?? tickets.findLast(({ kind }) => kind === 'hot');
  if (!last || weight < last.gross - last.tare) return undefined;
  const { unit } = await readShop(house.db);
  const says = `${inUnits(weight as Weight)} ${unit}`;
  return refuse('more-than-there-is', `${says} is as much as the whole side weighs. Check it.`, 'weight');
}

/** Shares with meat of this side, as they are cut. */
async function filesOn(house: House, { side, shares }: OnSide): Promise<ShareFile[]> {
  const own = shares.filter((share) => !share.cancelled && holds(share, side));
  return readShareFiles(
    house.db,
    house.setUps,
    own.map(({ id: shareId }) => shareId),
  );
}

/** What is packed already was there: it cannot be missing as a whole. */
async function packedProblem(
  house: House,
  on: OnSide,
  { kind, decision, weight }: Input,
): Promise<Refusal | undefined> {
  const { effect } = FOUND_KINDS[kind];
  if (weight !== null || (effect !== 'missing' && effect !== 'condemned')) return undefined;
  for (const file of await filesOn(house, on)) {
    const lines = file.start ? planOf(file).expected.lines.filter((line) => line.decision === decision) : [];
    const packed = file.weighings.find(({ lineKey }) => lines.some(({ key }) => key === lineKey));
    if (packed) {
      const message = `${packed.cut} is packed already. Say how much of it was found, or take those packs back.`;
      return refuse('packed-already', message, 'weight');
    }
  }
  return undefined;
}

/** Everybody with a part of the animal stands differently now; what is being cut is planned anew. */
async function standAnew(house: House, on: OnSide, causeId: string): Promise<void> {
  for (const file of await filesOn(house, on)) {
    if (file.together[0]!.id === file.share.id) await remakePlan(house, file, causeId);
  }
  for (const share of on.shares) {
    if (!share.cancelled) house.touch(share.id);
  }
}
