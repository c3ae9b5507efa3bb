import { randomUUID } from 'node:crypto';
import Joi from 'joi';
import type { ForecastLine } from '@/core/forecast/types';
import {
  balanceOfKind,
  cureAccount,
  balanceOf,
  postWeighing,
  type WeighingPurpose,
} from '@/core/ledger/ledger';
import { failure, success, type Failure, type Result } from '@/core/quantity/result';
import type { Weight, WeighingUnit } from '@/core/quantity/weight';
import type { ScaleReading } from '@/core/scale/reading';
import { labelJobsOf, writeLabelJob } from '@/data/repositories/labels';
import { balancesOfShare, writeTransaction } from '@/data/repositories/ledger';
import {
  nextSerial,
  weighingByClientId,
  weighingOfLoad,
  writeWeighing,
  type Weighing,
} from '@/data/repositories/weighings';
import { defineUseCase, EVERYONE, type House } from '../doorway';
import { forecastOf, orderOf, type Order } from '../orderBook';
import { clientId, id, thousandths } from './fields';
import { packageLabel, printPending } from './labels';

export type Taken = {
  readonly id: string;
  readonly net: Weight;
  readonly cut: string;
  /** File of the printed label; null for weighings that get none, or while the printer is away. */
  readonly labelFile: string | null;
};

type WeighInput = {
  clientId: string;
  shareId: string;
  purpose: WeighingPurpose;
  pieces: number | null;
  reading: ScaleReading;
};

const lineKey = Joi.string().max(80).required();

const purposeSchema = Joi.alternatives().try(
  Joi.object({
    kind: Joi.valid('package').required(),
    from: Joi.valid('share', 'tub', 'cure').required(),
    lineKey,
  }),
  Joi.object({ kind: Joi.valid('green').required(), lineKey }),
  Joi.object({ kind: Joi.valid('tub').required() }),
  Joi.object({
    kind: Joi.valid('barrel').required(),
    barrel: Joi.valid('bone', 'fat', 'skin', 'inedible').required(),
  }),
);

/** Takes a steady weight: a package with its label, green weight into the cure, trim to the tub, or a barrel. */
export const weigh = defineUseCase<WeighInput, Taken>({
  name: 'weigh',
  roles: EVERYONE,
  writes: true,
  input: Joi.object({
    clientId,
    shareId: id,
    purpose: purposeSchema.required(),
    pieces: Joi.number().integer().min(1).max(999).allow(null).required(),
    reading: Joi.object({
      scaleId: Joi.string().max(60).required(),
      loadId: Joi.string().max(60).required(),
      gross: thousandths.required(),
      tare: thousandths.required(),
      net: Joi.number().integer().required(),
      unit: Joi.valid('lb', 'kg').required(),
      state: Joi.valid('steady', 'moving', 'overload', 'empty').required(),
    }).required(),
  }),
  subject: (input) => input.shareId,
  run: async (house, input) => {
    const known = await weighingByClientId(house.db, input.clientId);
    if (known) return success(await takenOf(house, known));
    const order = await orderOf(house.db, input.shareId);
    if (!order?.start)
      return failure('not-on-the-block', 'This share is not on the block yet. Start it first.');
    if (order.closing) return failure('closed', 'This order is closed. Nothing more is weighed to it.');
    const refused =
      readingProblem(input.reading, order.shop.unit) ?? (await loadProblem(house, input.reading));
    if (refused) return refused;
    const line = lineOf(order, input.purpose);
    if (!line.ok) return line;
    const held = await sourceProblem(house, order, input.purpose);
    return held ?? (await take(house, order, input, line.value));
  },
  after: async (house, taken) => {
    await printPending(house);
    const [job] = await labelJobsOf(house.db, taken.id);
    return { ...taken, labelFile: job?.file ?? null };
  },
});

/** Why a reading cannot be taken. */
function readingProblem(reading: ScaleReading, unit: WeighingUnit): Failure | undefined {
  if (reading.unit !== unit)
    return failure('wrong-unit', `The scale shows ${reading.unit}; this shop weighs in ${unit}.`);
  if (reading.state === 'overload')
    return failure('overload', 'Too heavy for this scale. Take it off and split it.');
  if (reading.state === 'empty') {
    return failure(
      'nothing-on-the-scale',
      'There is nothing on the scale. Put the pack on and wait for steady.',
    );
  }
  if (reading.state !== 'steady') return failure('not-steady', 'The scale is still moving. Wait for steady.');
  if (reading.net !== reading.gross - reading.tare) {
    return failure('wrong-net', 'Gross, tare and net of this reading do not agree. Weigh again.');
  }
  if (reading.net <= 0) {
    return failure('nothing-on-the-scale', 'After the tare nothing is left to weigh. Check the tare.');
  }
  return undefined;
}

/** One thing on the platform is taken once, whoever presses the key, in however many windows. */
async function loadProblem(house: House, reading: ScaleReading): Promise<Failure | undefined> {
  const taken = await weighingOfLoad(house.db, reading.scaleId, reading.loadId);
  return (
    taken &&
    failure('already-taken', `This weight was taken as ${taken.cut}. Lift it off, then put the next one on.`)
  );
}

const BARREL_WORDS = {
  bone: 'Bone',
  fat: 'Fat out',
  skin: 'Skin',
  inedible: 'Glands and condemned',
} as const;

type Named = Pick<ForecastLine, 'key' | 'cut' | 'destination'> & { readonly line?: ForecastLine };

function lineOf(order: Order, purpose: WeighingPurpose): Result<Named> {
  if (purpose.kind === 'tub') return success({ key: '', cut: 'Trim for the grind', destination: 'grind' });
  if (purpose.kind === 'barrel') {
    return success({ key: '', cut: BARREL_WORDS[purpose.barrel], destination: 'lost' });
  }
  const line = forecastOf(order).lines.find((each) => each.key === purpose.lineKey);
  if (!line) return failure('not-on-the-sheet', 'That cut is not on this sheet. Choose one of the targets.');
  const cured = line.cure !== null;
  const from = purpose.kind === 'green' ? 'share' : purpose.from;
  const fits =
    purpose.kind === 'green' ? cured : from === (cured ? 'cure' : line.kind === 'grind' ? 'tub' : 'share');
  if (!fits) return failure('wrong-place', `${line.cut} is not weighed that way.`);
  return success({ key: line.key, cut: line.cut, destination: line.destination, line });
}

/** Meat comes out of a tub or a cure only after it went in. */
async function sourceProblem(
  house: House,
  order: Order,
  purpose: WeighingPurpose,
): Promise<Failure | undefined> {
  if (purpose.kind !== 'package' || purpose.from === 'share') return undefined;
  const held = await balancesOfShare(house.db, order.share.id);
  if (purpose.from === 'tub' && balanceOfKind(held, 'tub') <= 0) {
    return failure('tub-empty', 'No trim has been weighed into the tub yet. Weigh the tub first.');
  }
  const cured = order.weighings.some((each) => each.kind === 'green' && each.lineKey === purpose.lineKey);
  if (
    purpose.from === 'cure' &&
    !cured &&
    balanceOf(held, cureAccount(order.share.id, purpose.lineKey)) <= 0
  ) {
    return failure(
      'not-in-cure',
      'Its green weight is missing. Weigh it green before it comes out of the cure.',
    );
  }
  return undefined;
}

async function take(house: House, order: Order, input: WeighInput, named: Named): Promise<Result<Taken>> {
  const weighingId = randomUUID();
  const { reading, purpose } = input;
  const postings = postWeighing(order.share.id, weighingId, purpose, reading.net as Weight);
  if (!postings.ok) return postings;
  const at = house.now.toISOString();
  const transactionId = randomUUID();
  await writeTransaction(
    house.db,
    { id: transactionId, kind: purpose.kind, at, actorId: house.actor.id },
    postings.value,
  );
  const weighing: Weighing = {
    id: weighingId,
    clientId: input.clientId,
    serial: await nextSerial(house.db),
    shareId: order.share.id,
    kind: purpose.kind,
    source: purpose.kind === 'package' ? purpose.from : purpose.kind === 'barrel' ? purpose.barrel : '',
    lineKey: named.key,
    cut: named.cut,
    destination: named.destination,
    pieces: input.pieces,
    gross: reading.gross as Weight,
    tare: reading.tare as Weight,
    net: reading.net as Weight,
    scaleId: reading.scaleId,
    loadId: reading.loadId,
    at,
    actorId: house.actor.id,
    transactionId,
  };
  await writeWeighing(house.db, weighing);
  if (weighing.kind === 'package') {
    const label = packageLabel(house.now, order, weighing, named.line!);
    if (!label.ok) return label;
    await writeLabelJob(house.db, {
      id: randomUUID(),
      weighingId,
      copy: 1,
      clientId: input.clientId,
      label: label.value,
      file: null,
      at,
    });
  }
  return success({ id: weighingId, net: weighing.net, cut: weighing.cut, labelFile: null });
}

async function takenOf(house: House, weighing: Weighing): Promise<Taken> {
  const [job] = await labelJobsOf(house.db, weighing.id);
  return { id: weighing.id, net: weighing.net, cut: weighing.cut, labelFile: job?.file ?? null };
}
