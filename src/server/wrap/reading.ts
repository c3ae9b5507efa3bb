import Joi from 'joi';
import type { OnScale } from '@/core/curing/inCure';
import { success, type Result } from '@/core/quantity/result';
import type { ScaleUnit, SignedReading } from '@/core/scale/reading';
import { isBatchLoad } from '@/data/grind';
import { isSmokehouseLoad } from '@/data/smoke';
import { weighingOfLoad } from '@/data/wrap';
import { clientId, thousandths, words } from '../house/fields';
import { refuse, type Reason, type Refusal } from '../house/reasons';
import { isBelievable } from '../house/takenAt';
import type { House } from '../house/useCase';

/** Of the shop's unit, or of a gram. */
const onScale = Joi.number().integer().min(0).max(10_000_000);

export const readingSchema = Joi.object({
  scaleId: Joi.string().max(60).required(),
  loadId: Joi.string().max(60).required(),
  gross: onScale.required(),
  tare: onScale.required(),
  net: Joi.number().integer().required(),
  unit: Joi.valid('lb', 'kg', 'g').required(),
  state: Joi.valid('steady', 'moving', 'overload', 'empty').required(),
  found: Joi.valid(true),
  takenAt: Joi.string().isoDate().required(),
  signature: Joi.string().max(100).required(),
});

/** A weight typed by hand, while the scale is away; it is marked as typed for ever. */
export type TypedWeight = { readonly gross: number; readonly tare: number; readonly why: string };

export const typedSchema = Joi.object({
  gross: thousandths.positive().required(),
  tare: thousandths.required(),
  why: words(200).required(),
});

/** Why a reading cannot be taken. What it says is believed only because a scale of the shop has signed it. */
export function readingProblem(house: House, reading: SignedReading, unit: ScaleUnit): Refusal | undefined {
  const { scale, railScale, spiceScale } = house.devices;
  if (![scale, railScale, spiceScale].some((each) => each.vouches(reading))) {
    return refuse('not-the-scale', 'This weight does not come from a scale of this shop. Weigh it again.');
  }
  if (!isBelievable(house, reading.takenAt)) {
    return refuse(
      'not-the-scale',
      "The scale's clock is wrong, or this weight is weeks old. Weigh it again.",
    );
  }
  return stateProblem(reading, unit);
}

/** What lies on a scale is taken once, into a pack, a batch or a cure, at whichever table. */
export async function takenBefore({ db }: House, reading: SignedReading): Promise<Refusal | undefined> {
  const taken = await weighingOfLoad(db, reading);
  const isElsewhere = !taken && ((await isBatchLoad(db, reading)) || (await isSmokehouseLoad(db, reading)));
  if (!taken && !isElsewhere) return undefined;
  const what = taken ? taken.cut : 'a part of a batch or of a cure';
  return refuse('already-taken', `This weight was taken as ${what}. Lift it off, then put the next one on.`);
}

function stateProblem(reading: SignedReading, unit: ScaleUnit): Refusal | undefined {
  if (reading.unit !== unit) {
    return refuse('wrong-unit', `The scale shows ${reading.unit}; this is weighed in ${unit}.`);
  }
  if (reading.state === 'overload') {
    return refuse('overload', 'Too heavy for this scale. Take it off and split it.');
  }
  if (reading.state === 'empty') {
    return refuse(
      'nothing-on-the-scale',
      'There is nothing on the scale. Put the pack on and wait for steady.',
    );
  }
  if (reading.state !== 'steady') {
    return refuse('not-steady', 'The scale is still moving. Wait for steady.');
  }
  if (reading.net !== reading.gross - reading.tare) {
    return refuse('wrong-net', 'Gross, tare and net of this reading do not agree. Weigh again.');
  }
  if (reading.net <= 0) {
    return refuse('nothing-on-the-scale', 'After the tare nothing is left to weigh. Check the tare.');
  }
  return undefined;
}

/** What somebody weighs: what a scale says, or a weight typed while it is away. */
export type OnScaleOrTyped = { readonly clientId: string } & (
  { readonly reading: SignedReading } | { readonly typed: TypedWeight }
);

export const onScaleOrTyped = { clientId, reading: readingSchema, typed: typedSchema };

/** What lies on a scale, taken once whatever for; or typed while the scale is away. Thousandths. */
export async function loadTaken(
  house: House,
  input: OnScaleOrTyped,
  unit: ScaleUnit,
): Promise<Result<OnScale & { readonly net: number }, Reason>> {
  if ('typed' in input) {
    const { gross, tare, why } = input.typed;
    if (tare >= gross)
      return refuse('tare-too-big', 'The tare is as heavy as the weight. Check it.', 'typed.tare');
    return success({
      net: gross - tare,
      ...{ scaleId: 'typed', loadId: input.clientId, origin: 'typed' as const, remark: why },
    });
  }
  const { reading } = input;
  const problem = readingProblem(house, reading, unit) ?? (await takenBefore(house, reading));
  if (problem) return problem;
  const { net, scaleId, loadId } = reading;
  return success({ net, scaleId, loadId, origin: 'scale', remark: '' });
}
