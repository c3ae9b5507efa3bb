import { randomUUID } from 'node:crypto';
import Joi from 'joi';
import type { ForecastLine } from '@/core/forecast/types';
import { postWeighing, type WeighingPurpose } from '@/core/ledger/ledger';
import type { ShareId } from '@/core/order/animal';
import { afterWeighing } from '@/core/order/afterWeighing';
import type { ShareFile } from '@/core/order/shareFile';
import { planOf } from '@/core/order/standing';
import type { Weighing, WeighingId } from '@/core/order/work';
import { success, type Result } from '@/core/quantity/result';
import type { Weight } from '@/core/quantity/weight';
import type { SignedReading } from '@/core/scale/reading';
import { instant } from '@/core/time/shopTime';
import { writeTransaction } from '@/data/ledger';
import { nextSerial, weighingOfLoad, writeLabelJob, writeWeighing } from '@/data/wrap';
import { clientId, id, sure } from '../house/fields';
import { refuse, type Reason, type Refusal } from '../house/reasons';
import { cutFileOf, touchCut } from '../house/shareView';
import { defineUseCase, STAFF, type House } from '../house/useCase';
import { impossible, oddity } from './limits';
import { packageLabel } from './packageLabel';
import { readingProblem, readingSchema, typedSchema, type TypedWeight } from './reading';

export type Taken = { readonly id: WeighingId; readonly net: Weight; readonly cut: string };

type WeighInput = {
  readonly clientId: string;
  readonly shareId: ShareId;
  readonly purpose: WeighingPurpose;
  readonly pieces: number | null;
  readonly sure?: boolean;
} & ({ readonly reading: SignedReading } | { readonly typed: TypedWeight });

const lineKey = Joi.string().max(80).required();

const purposeSchema = Joi.alternatives().try(
  Joi.object({
    kind: Joi.valid('package').required(),
    from: Joi.valid('share', 'tub', 'cure').required(),
    lineKey,
  }),
  Joi.object({ kind: Joi.valid('green').required(), from: Joi.valid('tub'), lineKey }),
  Joi.object({ kind: Joi.valid('tub').required() }),
  Joi.object({
    kind: Joi.valid('barrel').required(),
    barrel: Joi.valid('bone', 'fat', 'skin', 'inedible').required(),
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
    sure,
  }).xor('reading', 'typed'),
  subject: (input) => input.shareId,
  run: async (house, input) => {
    const found = await cutFileOf(house, input.shareId);
    if (!found.ok) return found;
    const file = found.value;
    const refused = notOpen(file) ?? (await loadProblem(house, file, input));
    if (refused) return refused;
    const named = namedBy(file, input.purpose);
    if (!named.ok) return named;
    const load = loadOf(house, input);
    const asked = { file, purpose: input.purpose, net: load.net };
    const odd = oddity(asked, named.value.line);
    const wrong = impossible(asked) ?? (odd !== '' && !input.sure ? refuse('unusual', odd) : undefined);
    return wrong ?? (await take(house, file, { input, load, named: named.value, odd }));
  },
});

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
  const problem = readingProblem(house, input.reading, shop.unit);
  if (problem) return problem;
  const taken = await weighingOfLoad(house.db, input.reading);
  return (
    taken &&
    refuse('already-taken', `This weight was taken as ${taken.cut}. Lift it off, then put the next one on.`)
  );
}

type Load = Pick<Weighing, 'gross' | 'tare' | 'net' | 'scaleId' | 'loadId' | 'origin'> & {
  readonly takenAt: Date;
  readonly why: string;
};

function loadOf(house: House, input: WeighInput): Load {
  if ('reading' in input) {
    const { gross, tare, net, scaleId, loadId, takenAt } = input.reading;
    return weights({
      gross,
      tare,
      net,
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
  return weights({ gross, tare, net: gross - tare, ...load });
}

/** Checked to be whole thousandths by the schema. */
function weights(
  load: Omit<Load, 'gross' | 'tare' | 'net'> & Record<'gross' | 'tare' | 'net', number>,
): Load {
  return load as Load;
}

const BARREL_WORDS = {
  bone: 'Bone',
  fat: 'Fat out',
  skin: 'Skin',
  inedible: 'Glands and condemned',
} as const;

type Named = Pick<ForecastLine, 'key' | 'cut' | 'destination'> & { readonly line?: ForecastLine };

function namedBy(file: ShareFile, purpose: WeighingPurpose): Result<Named, Reason> {
  if (purpose.kind === 'tub') return success({ key: '', cut: 'Trim for the grind', destination: 'grind' });
  if (purpose.kind === 'barrel') {
    return success({ key: '', cut: BARREL_WORDS[purpose.barrel], destination: 'lost' });
  }
  const line = planOf(file).expected.lines.find((each) => each.key === purpose.lineKey);
  if (!line) return refuse('not-on-the-sheet', 'That cut is not on this sheet. Choose one of the targets.');
  const cured = line.cure !== null;
  const cutFrom = line.kind === 'grind' ? 'tub' : 'share';
  const fits =
    purpose.kind === 'green'
      ? cured && (purpose.from ?? 'share') === cutFrom
      : purpose.from === (cured ? 'cure' : cutFrom);
  if (!fits) return refuse('wrong-place', `${line.cut} is not weighed that way.`);
  return success({ key: line.key, cut: line.cut, destination: line.destination, line });
}

type ToTake = {
  readonly input: WeighInput;
  readonly load: Load;
  readonly named: Named;
  readonly odd: string;
};

async function take(house: House, file: ShareFile, toTake: ToTake): Promise<Result<Taken, Reason>> {
  const { input, load } = toTake;
  const weighingId = randomUUID() as WeighingId;
  const postings = postWeighing({
    shareId: file.share.id,
    weighingId,
    purpose: input.purpose,
    net: load.net,
  });
  if (!postings.ok) return postings;
  const by = { at: instant(house.now), actorId: house.actor.id };
  const transactionId = randomUUID();
  await writeTransaction(house.db, { id: transactionId, kind: input.purpose.kind, ...by }, postings.value);
  const weighing: Weighing = {
    ...weighingOf(file, toTake),
    id: weighingId,
    serial: await nextSerial(house.db),
    transactionId,
    ...by,
  };
  await writeWeighing(house.db, weighing);
  const labelled = await writeLabel(house, file, { weighing, toTake });
  if (!labelled.ok) return labelled;
  touchCut(house, file, afterWeighing(file, weighing, postings.value));
  return success({ id: weighing.id, net: weighing.net, cut: weighing.cut });
}

type Unwritten = Omit<Weighing, 'id' | 'serial' | 'transactionId' | 'at' | 'actorId'>;

function weighingOf({ share }: ShareFile, { input, load, named, odd }: ToTake): Unwritten {
  const { purpose } = input;
  const { takenAt: _takenAt, why, ...weighed } = load;
  return {
    clientId: input.clientId,
    shareId: share.id,
    kind: purpose.kind,
    source: sourceOf(purpose),
    lineKey: named.key,
    cut: named.cut,
    destination: named.destination,
    pieces: input.pieces,
    ...weighed,
    remark: [why, odd].filter((said) => said !== '').join(' '),
  };
}

function sourceOf(purpose: WeighingPurpose): string {
  if (purpose.kind === 'barrel') return purpose.barrel;
  return (purpose.kind === 'tub' ? undefined : purpose.from) ?? '';
}

async function writeLabel(
  house: House,
  file: ShareFile,
  { weighing, toTake }: { weighing: Weighing; toTake: ToTake },
): Promise<Result<true, Reason>> {
  if (weighing.kind !== 'package') return success(true);
  const { load, named, input } = toTake;
  const packed = { weighing, line: named.line!, takenAt: load.takenAt };
  const label = packageLabel(file, packed, house.setUp.rules);
  if (!label.ok) return label;
  await writeLabelJob(house.db, {
    id: randomUUID(),
    weighingId: weighing.id,
    copy: 1,
    clientId: input.clientId,
    label: label.value,
    file: null,
    at: weighing.at,
  });
  return success(true);
}
