import Joi from 'joi';
import type { ScaleUnit, SignedReading } from '@/core/scale/reading';
import { isBatchLoad } from '@/data/grind';
import { weighingOfLoad } from '@/data/wrap';
import { thousandths, words } from '../house/fields';
import { refuse, type Refusal } from '../house/reasons';
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

/** What lies on a scale is taken once, into a pack or into a batch, at whichever table. */
export async function takenBefore({ db }: House, reading: SignedReading): Promise<Refusal | undefined> {
  const taken = await weighingOfLoad(db, reading);
  if (!taken && !(await isBatchLoad(db, reading))) return undefined;
  const what = taken ? taken.cut : 'a part of a batch';
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
