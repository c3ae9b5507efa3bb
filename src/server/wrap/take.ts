import { randomUUID } from 'node:crypto';
import type { ForecastLine } from '@/core/forecast/types';
import { heldWords, whyNoPackYet } from '@/core/grindroom/batchRules';
import { ELSEWHERE, gradeWords, NEVER_GROUND, type Grade } from '@/core/grindroom/tubs';
import { postWeighing, type WeighingPurpose } from '@/core/ledger/ledger';
import { afterWeighing } from '@/core/order/afterWeighing';
import type { ShareFile } from '@/core/order/shareFile';
import { planOf } from '@/core/order/standing';
import type { Weighing, WeighingId } from '@/core/order/work';
import { success, type Result } from '@/core/quantity/result';
import type { Weight } from '@/core/quantity/weight';
import { instant } from '@/core/time/shopTime';
import { writeTransaction } from '@/data/ledger';
import { nextSerial, writeLabelJob, writeWeighing } from '@/data/wrap';
import { cureGround } from '../house/cureGround';
import { refuse, type Reason } from '../house/reasons';
import { touchCut, touchPool } from '../house/shareView';
import type { House } from '../house/useCase';
import { packageLabel } from './packageLabel';
import { tubTag } from './tubTag';

export type Taken = { readonly id: WeighingId; readonly net: Weight; readonly cut: string };

/** A weight as it is written down. */
export type Load = Pick<Weighing, 'gross' | 'tare' | 'net' | 'scaleId' | 'loadId' | 'origin'> & {
  readonly takenAt: Date;
  readonly why: string;
};

const BARREL_WORDS = {
  bone: 'Bone',
  fat: 'Fat out',
  skin: 'Skin',
  inedible: 'Glands and condemned',
} as const;

/** What a weight is of. */
export type Named = Pick<ForecastLine, 'key' | 'cut' | 'destination'> & { readonly line?: ForecastLine };

/** What a line is ground in comes out of its batch, whichever table asks; the wrap table need not know of it. */
export function outOfItsBatch(file: ShareFile, purpose: WeighingPurpose): WeighingPurpose {
  if (purpose.kind !== 'package' && purpose.kind !== 'green') return purpose;
  const isMixed = file.batches.some(({ batch }) => batch.lineKey === purpose.lineKey);
  return isMixed && purpose.from === 'tub' ? { ...purpose, from: 'batch' } : purpose;
}

function intoTub(grade: string): Result<Named, Reason> {
  const elsewhere = NEVER_GROUND.find((each) => each === grade);
  if (elsewhere) {
    const { why, barrel } = ELSEWHERE[elsewhere];
    return refuse('wrong-place', `${why} Weigh it to ${BARREL_WORDS[barrel]}.`);
  }
  return success({ key: '', cut: gradeWords(grade as Grade), destination: 'grind' });
}

/** What is weighed, as the plan calls it; a refusal where the plan has no such thing, or not there. */
export function namedBy(file: ShareFile, purpose: WeighingPurpose): Result<Named, Reason> {
  if (purpose.kind === 'tub') return intoTub(purpose.grade ?? '');
  if (purpose.kind === 'barrel') {
    return success({ key: '', cut: BARREL_WORDS[purpose.barrel], destination: 'lost' });
  }
  const line = planOf(file).expected.lines.find((each) => each.key === purpose.lineKey);
  if (!line) return refuse('not-on-the-sheet', 'That cut is not on this sheet. Choose one of the targets.');
  const cured = line.cure !== null;
  const batch = file.batches.find((each) => each.batch.lineKey === line.key);
  const cutFrom = line.kind !== 'grind' ? 'share' : batch ? 'batch' : 'tub';
  const fits =
    purpose.kind === 'green'
      ? cured && (purpose.from ?? 'share') === cutFrom
      : purpose.from === (cured ? 'cure' : cutFrom) || (cured && purpose.from === 'ends');
  if (!fits) return refuse('wrong-place', `${line.cut} is not weighed that way.`);
  if (batch) {
    const wait = cutFrom === purpose.from ? whyNoPackYet(batch.events) : heldWords(batch.events);
    if (wait !== '') return refuse('not-in-a-batch', wait);
  }
  const isEnds = purpose.kind === 'package' && purpose.from === 'ends';
  const cut = isEnds ? `${line.cut}, ends and pieces` : line.cut;
  return success({ key: line.key, cut, destination: line.destination, line });
}

/** What is written down for one weight. */
export type ToTake = {
  readonly clientId: string;
  readonly purpose: WeighingPurpose;
  readonly pieces: number | null;
  readonly load: Load;
  readonly named: Named;
  readonly odd: string;
  /** The weighing into whose pack it was put. */
  readonly onto?: Weighing;
};

/** Writes a weight down with its postings and its label, in the transaction of whoever asked. */
export async function take(house: House, file: ShareFile, toTake: ToTake): Promise<Result<Taken, Reason>> {
  const { purpose, load } = toTake;
  const weighingId = randomUUID() as WeighingId;
  const postings = postWeighing({
    shareId: file.share.id,
    weighingId,
    purpose,
    net: load.net,
  });
  if (!postings.ok) return postings;
  const by = { at: instant(house.now), actorId: house.actor.id };
  const transactionId = randomUUID();
  await writeTransaction(house.db, { id: transactionId, kind: purpose.kind, ...by }, postings.value);
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
  const isPooled = touchPool(house, file, weighing.lineKey);
  touchCut(house, file, isPooled ? undefined : afterWeighing(file, weighing, postings.value));
  return success({ id: weighing.id, net: weighing.net, cut: weighing.cut });
}

type Unwritten = Omit<Weighing, 'id' | 'serial' | 'transactionId' | 'at' | 'actorId'>;

function weighingOf({ share }: ShareFile, toTake: ToTake): Unwritten {
  const { clientId, purpose, pieces, load, named, odd, onto } = toTake;
  const { takenAt: _takenAt, why, ...weighed } = load;
  return {
    clientId,
    shareId: share.id,
    kind: purpose.kind,
    source: sourceOf(purpose),
    lineKey: named.key,
    cut: named.cut,
    destination: named.destination,
    pieces,
    onto: onto?.id ?? null,
    ...weighed,
    remark: [why, odd].filter((said) => said !== '').join(' '),
  };
}

function sourceOf(purpose: WeighingPurpose): string {
  if (purpose.kind === 'barrel') return purpose.barrel;
  return (purpose.kind === 'tub' ? purpose.grade : purpose.from) ?? '';
}

async function writeLabel(
  house: House,
  file: ShareFile,
  { weighing, toTake }: { weighing: Weighing; toTake: ToTake },
): Promise<Result<true, Reason>> {
  const { load, named, clientId, onto } = toTake;
  const { rules } = house.setUp;
  // A tub that is the share's only one needs no tag to be told from others.
  const isParted = weighing.kind === 'tub' && weighing.source !== '';
  if (weighing.kind !== 'package' && !isParted) return success(true);
  const label = isParted
    ? tubTag(file, weighing, rules)
    : packageLabel(
        file,
        { weighing, line: named.line!, takenAt: load.takenAt, onto },
        { rules, pantry: cureGround(house).pantry },
      );
  if (!label.ok) return label;
  await writeLabelJob(house.db, {
    id: randomUUID(),
    weighingId: weighing.id,
    copy: 1,
    clientId,
    label: label.value,
    file: null,
    at: weighing.at,
  });
  return success(true);
}
