import { randomUUID } from 'node:crypto';
import Joi from 'joi';
import type { ShareId } from '@/core/order/animal';
import type { WeighingId } from '@/core/order/work';
import { success, type Result } from '@/core/quantity/result';
import { sumWeights, ZERO_WEIGHT, type Weight } from '@/core/quantity/weight';
import { whyNotLoad, type SmokeDeed, type ToSmoke } from '@/core/smokehouse/load';
import { whyNoRoom } from '@/core/smokehouse/loadRoom';
import { againstPlan, type ProbeReading } from '@/core/smokehouse/plan';
import { instant } from '@/core/time/shopTime';
import { litLoads, readingsOfLoad, writeLoad, writeReadings } from '@/data/smoke';
import { LOGGER_CHANNELS } from '@/devices/probe/smokeLogger';
import { readShop } from '@/data/setUp';
import { clientId, id, words } from '../house/fields';
import { isOwner } from '../house/actor';
import { refuse, type Reason } from '../house/reasons';
import { defineUseCase, type House } from '../house/useCase';
import { loadTaken, onScaleOrTyped, type OnScaleOrTyped } from '../wrap/reading';
import { toSmoke } from './pieces';
import { doToLoad, loadIn, nextLot, openFile, SMOKERS, type LoadIn } from './subjects';

type Done = { readonly id: string };

const MINUTE_MS = 60_000;

/** Begins a load of the smokehouse by a plan of the shop. */
export const beginLoad = defineUseCase<{ clientId: string; planId: string }, Done>({
  name: 'beginLoad',
  roles: SMOKERS,
  writes: true,
  input: Joi.object({ clientId, planId: Joi.string().max(80).required() }),
  subject: ({ planId }) => planId,
  run: async (house, { clientId: requestId, planId }) => {
    const plan = house.setUp.curing.plans.find((each) => each.id === planId);
    if (!plan) return refuse('not-found', 'The shop has no such plan any more. Choose another.');
    const { lot } = await nextLot(house, 'load');
    const loadId = randomUUID();
    const by = { at: instant(house.now), actorId: house.actor.id };
    await writeLoad(house.db, { id: loadId, clientId: requestId, lot, plan, ...by });
    return success({ id: loadId });
  },
});

type SaidOfLoad =
  | {
      readonly kind: 'in';
      readonly shareId: ShareId;
      readonly weighingId: WeighingId;
      readonly trolley: string;
    }
  | { readonly kind: 'out'; readonly weighingId: WeighingId }
  /** @param byHand - the logger is away: somebody reads a thermometer and types what it says */
  | { readonly kind: 'lit'; readonly byHand: boolean }
  | { readonly kind: 'ended' }
  | { readonly kind: 'noted'; readonly words: string }
  | { readonly kind: 'held' | 'released'; readonly reason: string };

const saidOfLoad = Joi.alternatives()
  .try(
    Joi.object({
      kind: Joi.valid('in').required(),
      shareId: id,
      weighingId: id,
      trolley: Joi.string().trim().max(20).allow('').required(),
    }),
    Joi.object({ kind: Joi.valid('out').required(), weighingId: id }),
    Joi.object({ kind: Joi.valid('lit').required(), byHand: Joi.boolean().required() }),
    Joi.object({ kind: Joi.valid('ended').required() }),
    Joi.object({ kind: Joi.valid('noted').required(), words: words(200).required() }),
    Joi.object({ kind: Joi.valid('held', 'released').required(), reason: words(200).required() }),
  )
  .required();

/** What is done to a load: pieces in and out, lit, ended and held against its plan, held, released by the owner. */
export const doLoad = defineUseCase<{ clientId: string; loadId: string; said: SaidOfLoad }, Done>({
  name: 'doLoad',
  roles: SMOKERS,
  writes: true,
  input: Joi.object({ clientId, loadId: id, said: saidOfLoad }),
  subject: ({ loadId, said }) => `${loadId} ${said.kind}`,
  run: async (house, { clientId: requestId, loadId, said }) => {
    const found = await loadIn(house, loadId);
    if (!found.ok) return found;
    if (said.kind === 'released' && !isOwner(house.actor)) {
      return refuse('not-allowed', 'The owner alone releases what is held.');
    }
    const own = said.kind === 'in' ? await withShare(house, found.value, said.shareId) : found;
    if (!own.ok) return own;
    const noRoom = said.kind === 'in' ? whyNoRoomIn(house, own.value, said.weighingId) : '';
    if (noRoom !== '') return refuse('no-room', noRoom);
    const made = await deedOf(house, own.value, said);
    if (!made.ok) return made;
    const deed = made.value;
    const why = await whyNot(house, own.value, deed);
    if (why !== '') return refuse('not-in-cure', why);
    return doToLoad(house, own.value, { clientId: requestId, deed });
  },
});

/** The load with the file of a share that had no piece in it before. */
async function withShare(house: House, load: LoadIn, shareId: ShareId): Promise<Result<LoadIn, Reason>> {
  const found = await openFile(house, shareId);
  if (!found.ok) return found;
  const file = found.value;
  const others = load.files.filter(({ share }) => share.id !== file.share.id);
  return success({ ...load, files: [...others, file] });
}

/** Against the largest smokehouse that the shop has. */
function whyNoRoomIn({ setUp }: House, { files, standing }: LoadIn, weighingId: WeighingId): string {
  const houses = setUp.places.filter(({ kind }) => kind === 'smokehouse').map(({ size }) => size);
  const weighings = files.flatMap((file) => file.weighings);
  const netOf = (of: WeighingId) => weighings.find(({ id: each }) => each === of)?.net ?? ZERO_WEIGHT;
  const hanging = standing.pieces.map((piece) => piece.weighingId).filter((each) => each !== weighingId);
  return whyNoRoom({
    hangs: sumWeights(hanging.map(netOf)),
    piece: netOf(weighingId),
    mostLb: Math.max(0, ...houses),
    unit: files[0]?.shop.unit ?? 'lb',
  });
}

async function whyNot(house: House, load: LoadIn, deed: SmokeDeed): Promise<string> {
  const { unit } = await readShop(house.db);
  return whyNotLoad(load.load, load.standing, deed, { unit, piece: pieceIn(house, load, deed) });
}

function pieceIn(house: House, { files }: LoadIn, deed: SmokeDeed): ToSmoke | undefined {
  if (!('weighingId' in deed)) return undefined;
  const file = files.find(({ weighings }) => weighings.some(({ id: of }) => of === deed.weighingId));
  return file && toSmoke(house, file, deed.weighingId);
}

async function deedOf(house: House, load: LoadIn, said: SaidOfLoad): Promise<Result<SmokeDeed, Reason>> {
  if (said.kind === 'in') {
    return success({ kind: 'in', weighingId: said.weighingId, trolley: said.trolley });
  }
  if (said.kind === 'lit') return lit(house, load, said.byHand);
  if (said.kind !== 'ended') return success(said);
  const readings = await lastReadings(house, load);
  const { unit } = await readShop(house.db);
  const { posts, holds } = againstPlan(load.load.plan, readings, true, unit);
  return success({ kind: 'ended', posts, holds });
}

/** By hand a channel of its own that no probe has. */
const BY_HAND = 0;

/** A free probe of the logger begins anew with the load; where the logger is away somebody must want to read by hand. */
async function lit(house: House, load: LoadIn, byHand: boolean): Promise<Result<SmokeDeed, Reason>> {
  if (byHand || load.standing.pieces.length === 0 || load.standing.lit) {
    return success({ kind: 'lit', channel: BY_HAND });
  }
  const taken = new Set(
    (await litLoads(house.db)).flatMap(({ events }) =>
      events.flatMap((event) => (event.kind === 'lit' ? [event.channel] : [])),
    ),
  );
  const channel = Array.from({ length: LOGGER_CHANNELS }, (_, at) => at + 1).find((each) => !taken.has(each));
  if (channel === undefined) return refuse('no-room', 'Every probe is in a load already. End one first.');
  try {
    await house.devices.logger.begin(channel);
  } catch {
    return refuse(
      'scale-away',
      'The logger does not answer. Plug it in, or light it and read a thermometer by hand.',
    );
  }
  return success({ kind: 'lit', channel });
}

/** Everything that is known of a load when it ends: what the logger says last is asked for once more. */
async function lastReadings(house: House, { load, standing }: LoadIn): Promise<readonly ProbeReading[]> {
  await recordReadings(house, { id: load.id, channel: standing.lit?.channel ?? BY_HAND });
  return readingsOfLoad(house.db, load.id);
}

/**
 * Writes down what the logger has read of a load since it was asked last.
 *
 * @returns how many readings are new; none where the logger is away
 */
export async function recordReadings(
  { db, devices }: Pick<House, 'db' | 'devices'>,
  { id: loadId, channel }: { readonly id: string; readonly channel: number },
): Promise<number> {
  if (channel === BY_HAND) return 0;
  const last = (await readingsOfLoad(db, loadId)).at(-1)?.minute ?? -1;
  const said = await devices.logger.since(channel, last + 1).catch(() => []);
  const news = said.filter(({ minute }) => minute > last);
  await writeReadings(db, loadId, news);
  return news.length;
}

type Reads = { readonly clientId: string; readonly loadId: string; readonly degreesF: number };

/** A thermometer that somebody reads while no probe of the logger is in the load; it is marked as read by hand. */
export const noteReading = defineUseCase<Reads, Done>({
  name: 'noteReading',
  roles: SMOKERS,
  writes: true,
  input: Joi.object({ clientId, loadId: id, degreesF: Joi.number().min(0).max(400).required() }),
  subject: ({ loadId }) => loadId,
  run: async (house, { loadId, degreesF }) => {
    const found = await loadIn(house, loadId);
    if (!found.ok) return found;
    const { standing, readings } = found.value;
    if (!standing.lit || standing.ended) return refuse('not-in-cure', 'This load is not in the smoke.');
    if (standing.lit.channel !== BY_HAND) {
      return refuse('wrong-place', 'The logger reads this load. What it says is written down by itself.');
    }
    const minute = Math.floor((house.now.getTime() - Date.parse(standing.lit.at)) / MINUTE_MS);
    if (readings.some((each) => each.minute >= minute)) {
      return refuse('already-taken', 'This minute was read already. Wait for the next.');
    }
    await writeReadings(house.db, loadId, [{ minute, degrees: degreesF }], 'hand');
    return success({ id: loadId });
  },
});

type WeighsSmoked = OnScaleOrTyped & { readonly loadId: string; readonly weighingId: WeighingId };

/** Weighs a piece out of the smoke, before it is sliced. */
export const weighSmoked = defineUseCase<WeighsSmoked, Done>({
  name: 'weighSmoked',
  roles: SMOKERS,
  writes: true,
  input: Joi.object({ ...onScaleOrTyped, loadId: id, weighingId: id }).xor('reading', 'typed'),
  subject: ({ loadId, weighingId }) => `${loadId} ${weighingId}`,
  run: async (house, input) => {
    const found = await loadIn(house, input.loadId);
    if (!found.ok) return found;
    const { unit } = await readShop(house.db);
    const taken = await loadTaken(house, input, unit);
    if (!taken.ok) return taken;
    const { net, ...on } = taken.value;
    const deed: SmokeDeed = { kind: 'smoked', weighingId: input.weighingId, net: net as Weight, on };
    const why = await whyNot(house, found.value, deed);
    if (why !== '') return refuse('more-than-there-is', why);
    return doToLoad(house, found.value, { clientId: input.clientId, deed });
  },
});
