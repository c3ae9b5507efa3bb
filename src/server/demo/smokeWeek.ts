import type { AnimalId, ShareId } from '@/core/order/animal';
import type { WeighingUnit, Weight } from '@/core/quantity/weight';
import { convertUnits, weight } from '@/core/quantity/weight';
import type { ScaleReading } from '@/core/scale/reading';
import { readShop } from '@/data/setUp';
import { weighingById } from '@/data/wrap';
import { CURVES, degreesAt } from '@/devices/probe/simulatedLogger';
import type { CureAtSmoke, PieceAtSmoke } from '../smoke';
import type { Demo } from './liveWeek';
import { steadyId } from './steady';

const HOUR = 3_600_000;
const DAY = 24 * HOUR;
const MINUTE = 60_000;
/** A piece goes into its cure so long after it was weighed green. */
const INTO_THE_CURE = 2 * HOUR;
/** What a pump puts in, a little beside what the recipe wants; what drains off again, of green. */
const [PUMPED, DRAINS] = [0.97, 0.018];
/** A load is lit a day before now, and was cold this long ago. */
const [LIT, COLD] = [26 * HOUR, 1 * HOUR];

/**
 * The smokehouse of the demo: everything that lies green goes into its cure on its day; what is through hangs in a load
 * that cooled too slowly, and is held.
 */
export async function seedSmokehouse(demo: Demo, animalIds: readonly AnimalId[]): Promise<void> {
  const own = new Set<ShareId>();
  for (const animalId of animalIds) {
    for (const { share } of await demo.filesOf(animalId)) own.add(share.id);
  }
  const pieces = await piecesOf(demo, own);
  const { unit } = await readShop(demo.around.db);
  const mixes = new Map<string, string>();
  const waiting = pieces.filter(({ next, recipes }) => next === 'begin' && recipes.length > 0);
  for (const piece of waiting) await cure(demo, { piece, unit, mixes });
  await smoke(demo, own);
}

/** What the demo itself has brought: in a shop of one's own nothing else is touched. */
async function piecesOf(demo: Demo, own: ReadonlySet<ShareId>): Promise<readonly PieceAtSmoke[]> {
  const { pieces } = await demo.ask('smokeView', {});
  return pieces.filter(({ shareId }) => own.has(shareId));
}

type ToCure = {
  readonly piece: PieceAtSmoke;
  readonly unit: WeighingUnit;
  /** Brines that were made, by recipe and day: one serves all that is cured by it. */
  readonly mixes: Map<string, string>;
};

async function cure(demo: Demo, { piece, unit, mixes }: ToCure): Promise<void> {
  const { shareId, id: weighingId } = piece;
  const green = await weighingById(demo.around.db, weighingId);
  const into = Math.min(Date.parse(green!.at) + INTO_THE_CURE, demo.now.getTime() - MINUTE);
  const then = demo.at(new Date(into)).as('Aslak');
  const brine = `${piece.recipes[0]} ${new Date(into).toISOString().slice(0, 10)}`;
  const mixId = mixes.get(brine) ?? (await mixed(then, piece, unit));
  const isBrine = (await demo.ask('smokeView', {})).mixes.find(({ id }) => id === mixId)?.isBrine === true;
  if (isBrine) mixes.set(brine, mixId);
  const said = { clientId: steadyId(`cure ${weighingId}`), shareId, weighingId, mixId, skinOn: false };
  const { id: cureId } = await then.ask('beginCure', {
    ...said,
    thicknessIn: piece.usualThicknessIn,
    place: 'Cooler',
  });
  const own = (await demo.ask('smokeView', {})).pieces.find(({ id }) => id === weighingId)?.cure;
  if (!own || own.takesPct === 0) return;
  const pumped = piece.green * (1 + (PUMPED * own.takesPct) / 100);
  await weigh(then, { cureId, as: 'pumped', net: pumped, unit });
  const out = into + own.days * DAY;
  // What comes out today waits for whoever looks.
  if (out < demo.now.getTime() - DAY)
    await outOf(demo.at(new Date(out)).as('Aslak'), piece, own, pumped, unit);
}

async function outOf(
  demo: Demo,
  piece: PieceAtSmoke,
  { id: cureId }: CureAtSmoke,
  pumped: number,
  unit: WeighingUnit,
): Promise<void> {
  await weigh(demo, { cureId, as: 'drained', net: pumped - piece.green * DRAINS, unit });
  await demo.ask('doCure', { clientId: steadyId(`out ${cureId}`), cureId, said: { kind: 'out' } });
}

/** A brine or a rub as the piece's first recipe wants it, weighed by one and seen by another. */
async function mixed(demo: Demo, piece: PieceAtSmoke, unit: WeighingUnit): Promise<string> {
  const [recipeId] = piece.recipes;
  const of = { shareId: piece.shareId, weighingId: piece.id };
  const { recipes } = await demo.ask('smokeView', {});
  const { isForOne } = recipes.find(({ id }) => id === recipeId)!;
  const makes = isForOne ? 0 : weight(convertUnits(8, 'lb', unit));
  const begin = { clientId: steadyId(`mix ${piece.id}`), recipeId: recipeId!, skinOn: false, makes };
  const { id: mixId } = await demo.ask('beginMix', { ...begin, piece: isForOne ? of : null });
  const { mixes } = await demo.ask('smokeView', {});
  for (const { name, due, cures } of mixes.find(({ id }) => id === mixId)!.standing.ingredients) {
    const load = { scaleId: 'spice-demo', loadId: `${mixId} ${name}`.slice(0, 60) };
    const reading = steady({ ...load, net: due * 100, unit: 'g' });
    await demo.ask('weighMix', {
      clientId: steadyId(`${mixId} ${name}`),
      mixId,
      ingredient: name,
      lot: name === 'water' ? '' : (LOTS[name] ?? 'K-26'),
      otherwise: '',
      reading: demo.sign(reading, demo.now),
    });
    const look = { clientId: steadyId(`look ${mixId} ${name}`), mixId, ingredient: name };
    if (cures) await demo.as('Sunna').ask('lookAtMix', look);
  }
  const said = { clientId: steadyId(`mixed ${mixId}`), mixId, said: { kind: 'mixed' as const } };
  await demo.ask('doMix', said);
  return mixId;
}

const LOTS: Readonly<Record<string, string>> = { 'curing salt': 'PK-118', salt: 'S-40', sugar: 'Z-7' };

type Weighs = {
  readonly cureId: string;
  readonly as: 'pumped' | 'drained';
  readonly net: number;
  readonly unit: WeighingUnit;
};

async function weigh(demo: Demo, { cureId, as, net, unit }: Weighs): Promise<void> {
  const division = unit === 'lb' ? 10 : 5;
  const load = { scaleId: 'bench-demo', loadId: `${cureId} ${as}`.slice(0, 60) };
  const reading = steady({ ...load, net: Math.round(net / division) * division, unit });
  await demo.ask('weighCure', {
    clientId: steadyId(`${cureId} ${as}`),
    cureId,
    as,
    reading: demo.sign(reading, demo.now),
  });
}

function steady(said: Pick<ScaleReading, 'scaleId' | 'loadId' | 'unit'> & { net: number }): ScaleReading {
  return { ...said, net: said.net as Weight, gross: said.net as Weight, tare: 0 as Weight, state: 'steady' };
}

/** The first two pieces that are out of their cure hang in a load that is cold by now, and cooled too slowly. */
async function smoke(demo: Demo, own: ReadonlySet<ShareId>): Promise<void> {
  const pieces = await piecesOf(demo, own);
  const out = pieces.filter(({ next }) => next === 'load').slice(0, 2);
  if (out.length === 0) return;
  const lit = new Date(demo.now.getTime() - LIT);
  const last = CURVES.slow[CURVES.slow.length - 1]![0];
  const readings = Array.from({ length: last / 5 + 1 }, (_, at) => at * 5).map((minute) => ({
    minute,
    degrees: degreesAt('slow', minute),
  }));
  const logger = {
    begin: async () => undefined,
    since: async (_channel: number, minute: number) => readings.filter((each) => each.minute >= minute),
  };
  const withLogger = demo.with({ ...demo.around, devices: { ...demo.around.devices, logger } });
  const then = withLogger.at(lit).as('Aslak');
  const begin = { clientId: steadyId('the load that is held'), planId: 'cooked-whole' };
  const { id: loadId } = await then.ask('beginLoad', begin);
  for (const { id: weighingId, shareId } of out) {
    await then.ask('doLoad', {
      clientId: steadyId(`in ${weighingId}`),
      loadId,
      said: { kind: 'in', shareId, weighingId, trolley: '1' },
    });
  }
  const lighting = {
    clientId: steadyId(`lit ${loadId}`),
    loadId,
    said: { kind: 'lit' as const, byHand: false },
  };
  await then.ask('doLoad', lighting);
  const cold = withLogger.at(new Date(demo.now.getTime() - COLD)).as('Aslak');
  await cold.ask('doLoad', { clientId: steadyId(`ended ${loadId}`), loadId, said: { kind: 'ended' } });
}
