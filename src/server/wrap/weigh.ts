import Joi from 'joi';
import { GRADES, NEVER_GROUND } from '@/core/grindroom/tubs';
import { BARRELS, PACK_SOURCES, type WeighingPurpose } from '@/core/ledger/ledger';
import type { ShareId } from '@/core/order/animal';
import type { ShareFile } from '@/core/order/shareFile';
import type { Weighing, WeighingId } from '@/core/order/work';
import { success, type Result } from '@/core/quantity/result';
import { convertUnits, weight } from '@/core/quantity/weight';
import type { SignedReading } from '@/core/scale/reading';
import { clientId, id, sure } from '../house/fields';
import { cureGround } from '../house/cureGround';
import { refuse, type Reason, type Refusal } from '../house/reasons';
import { cutFileOf } from '../house/shareView';
import { defineUseCase, STAFF, type House } from '../house/useCase';
import { impossible, oddity } from './limits';
import { readingProblem, readingSchema, takenBefore, typedSchema, type TypedWeight } from './reading';
import { namedBy, take, type Load, type Taken, outOfItsBatch } from './take';

type WeighInput = {
  readonly clientId: string;
  readonly shareId: ShareId;
  readonly purpose: WeighingPurpose;
  readonly pieces: number | null;
  /** A tray or a bag of the shop under it, beside what the scale takes off. */
  readonly tray?: string;
  /** The pack into which this cut is put as well; what it weighed is taken off. */
  readonly onto?: WeighingId;
  readonly sure?: boolean;
} & ({ readonly reading: SignedReading } | { readonly typed: TypedWeight });

const lineKey = Joi.string().max(80).required();

const purposeSchema = Joi.alternatives().try(
  Joi.object({
    kind: Joi.valid('package').required(),
    from: Joi.valid(...PACK_SOURCES).required(),
    lineKey,
  }),
  Joi.object({ kind: Joi.valid('green').required(), from: Joi.valid('tub', 'batch'), lineKey }),
  Joi.object({ kind: Joi.valid('tub').required(), grade: Joi.valid(...GRADES, ...NEVER_GROUND) }),
  Joi.object({
    kind: Joi.valid('barrel').required(),
    barrel: Joi.valid(...BARRELS).required(),
  }),
);

/** Takes a steady weight: a package with its label, green weight into the cure, trim to the tub, or a barrel. */
export const weigh = defineUseCase<WeighInput, Taken>({
  name: 'weigh',
  roles: STAFF,
  writes: true,
  input: Joi.object({
    clientId,
    shareId: id,
    purpose: purposeSchema.required(),
    pieces: Joi.number().integer().min(1).max(999).allow(null).required(),
    reading: readingSchema,
    typed: typedSchema,
    tray: Joi.string().max(20),
    onto: Joi.string().guid(),
    sure,
  }).xor('reading', 'typed'),
  subject: (input) => input.shareId,
  run: async (house, said) => {
    const found = await cutFileOf(house, said.shareId);
    if (!found.ok) return found;
    const file = found.value;
    const input = { ...said, purpose: outOfItsBatch(file, said.purpose) };
    const refused = notOpen(file) ?? (await loadProblem(house, file, input));
    if (refused) return refused;
    const named = namedBy(file, input.purpose);
    if (!named.ok) return named;
    const under = underIt(house, file, input);
    if (!under.ok) return under;
    const { onto, takenOff } = under.value;
    const load = loadOf(house, input, takenOff);
    if (load.net <= 0) return refuse('nothing-on-the-scale', nothingLeft(onto));
    const asked = { file, purpose: input.purpose, net: load.net, ground: cureGround(house) };
    const odd = onto ? '' : oddity(asked, named.value.line);
    const wrong = impossible(asked) ?? (odd !== '' && !input.sure ? refuse('unusual', odd) : undefined);
    if (wrong) return wrong;
    const { clientId: requestId, purpose, pieces } = input;
    const toTake = { clientId: requestId, purpose, pieces, load, named: named.value, odd };
    return take(house, file, onto ? { ...toTake, onto } : toTake);
  },
});

type Under = { readonly onto: Weighing | undefined; readonly takenOff: number };

/** What lies under the meat beside what the scale takes off, thousandths: a tray of the shop, or what is in the pack already. */
function underIt(house: House, file: ShareFile, input: WeighInput): Result<Under, Reason> {
  const tray = house.setUp.rules.trays.find(({ name }) => name === input.tray);
  if (input.tray !== undefined && !tray) {
    return refuse('not-found', `The shop has no ${input.tray} any more. Choose another, or none.`);
  }
  const ofTray = tray ? weight(convertUnits(tray.lb, 'lb', file.shop.unit)) : 0;
  if (input.onto === undefined) return success({ onto: undefined, takenOff: ofTray });
  const onto = file.weighings.find(({ id }) => id === input.onto);
  if (onto?.kind !== 'package' || input.purpose.kind !== 'package') {
    return refuse('not-found', 'There is no such pack of this share into which it could go.');
  }
  if (onto.onto !== null || file.weighings.some((each) => each.onto === onto.id)) {
    return refuse('wrong-place', `Two cuts are in that pack of ${onto.cut} already.`);
  }
  if (onto.lineKey === input.purpose.lineKey) {
    return refuse('wrong-place', `That pack is of ${onto.cut} already. Choose the other cut first.`);
  }
  return success({ onto, takenOff: ofTray + onto.net });
}

function nothingLeft(onto: Weighing | undefined): string {
  return onto
    ? `No more lies there than the ${onto.cut} alone. Put the other cut on top of it.`
    : 'After the tray nothing is left to weigh. Check the tray.';
}

function notOpen({ start, closing }: ShareFile): Refusal | undefined {
  if (!start) return refuse('not-on-the-block', 'This share is not on the block yet. Start it first.');
  return closing && refuse('closed', 'This order is closed. Nothing more is weighed to it.');
}

/** One thing on the platform is taken once, whoever presses the key, in however many windows. */
async function loadProblem(
  house: House,
  { shop }: ShareFile,
  input: WeighInput,
): Promise<Refusal | undefined> {
  if (!('reading' in input)) {
    const tared = input.typed.tare < input.typed.gross;
    return tared
      ? undefined
      : refuse('tare-too-big', 'The tare is as heavy as the weight. Check it.', 'typed.tare');
  }
  return readingProblem(house, input.reading, shop.unit) ?? takenBefore(house, input.reading);
}

/** @param takenOff - of what the scale shows, beside its own tare; thousandths */
function loadOf(house: House, input: WeighInput, takenOff: number): Load {
  if ('reading' in input) {
    const { gross, tare, scaleId, loadId, takenAt } = input.reading;
    return weights({
      gross,
      tare: tare + takenOff,
      net: gross - tare - takenOff,
      scaleId,
      loadId,
      origin: 'scale',
      takenAt: new Date(takenAt),
      why: '',
    });
  }
  const { gross, tare, why } = input.typed;
  const load = {
    scaleId: 'typed',
    loadId: input.clientId,
    origin: 'typed' as const,
    takenAt: house.now,
    why,
  };
  return weights({ gross, tare: tare + takenOff, net: gross - tare - takenOff, ...load });
}

/** Checked to be whole thousandths by the schema. */
function weights(
  load: Omit<Load, 'gross' | 'tare' | 'net'> & Record<'gross' | 'tare' | 'net', number>,
): Load {
  return load as Load;
}
