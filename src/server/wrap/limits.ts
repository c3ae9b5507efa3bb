import { balanceOf, balanceOfKind, batchAccount, type WeighingPurpose } from '@/core/ledger/ledger';
import { mayPack, type Pool } from '@/core/grindroom/pool';
import { gradeOfWeighing, isOutOfTub, isOverdrawn, SCALES_DIFFER, tubsOf } from '@/core/grindroom/tubs';
import type { CureGround } from '@/core/curing/inCure';
import type { ShareFile } from '@/core/order/shareFile';
import { coldWeight, packsDueOfLine, packsMade } from '@/core/order/standing';
import type { Weighing } from '@/core/order/work';
import { loadOf, throughOf } from '@/core/smokehouse/throughSmoke';
import type { ForecastLine } from '@/core/forecast/types';
import { convertUnits, formatWeight, sumWeights, weight, type Weight } from '@/core/quantity/weight';
import { refuse, type Refusal } from '../house/reasons';

/** Seasoning, water and casings add to the grind: more than this was never in it. */
const ADDED_TO_GRIND = 0.2;

/** Finished this far above what its recipe usually gives, and above its green weight, it asks for a second yes. */
const [ABOVE_USUAL, ABOVE_GREEN] = [1.08, 1];

/** A pack this much lighter or heavier than expected asks for a second yes. */
const LIGHT_PACK = 0.4;
const HEAVY_PACK = 2;

type Asked = {
  readonly file: ShareFile;
  readonly purpose: WeighingPurpose;
  readonly net: Weight;
  readonly ground: CureGround;
};

/** Why a weight cannot be: heavier than its scale, or more than there is where it comes from. */
export function impossible(asked: Asked): Refusal | undefined {
  return tooHeavy(asked) ?? moreThanThereIs(asked);
}

function show(w: Weight, { shop }: ShareFile): string {
  return `${formatWeight(w, shop.unit)} ${shop.unit}`;
}

/** What the bench scale carries. */
export function benchMost({ rules, shop }: ShareFile): Weight {
  return weight(convertUnits(rules.benchLb, 'lb', shop.unit));
}

function tooHeavy({ file, net }: Asked): Refusal | undefined {
  const most = benchMost(file);
  if (net <= most) return undefined;
  return refuse('overload', `The bench scale carries ${show(most, file)}. Take it off and split it.`);
}

function moreThanThereIs({ file, purpose, net, ground }: Asked): Refusal | undefined {
  const from = purpose.kind === 'package' || purpose.kind === 'green' ? purpose.from : undefined;
  if (from === 'tub') return moreThanInTub(file, net);
  if (from === 'batch' && purpose.kind !== 'tub' && purpose.kind !== 'barrel') {
    return moreThanInBatch(file, purpose.lineKey, net);
  }
  if (purpose.kind === 'package' && (from === 'cure' || from === 'ends')) {
    return moreThanInCure(file, purpose.lineKey, net, ground);
  }
  return moreThanOnBlock(file, net);
}

function moreThanOnBlock(file: ShareFile, net: Weight): Refusal | undefined {
  const left = balanceOfKind(file.held, 'share');
  if (net <= left + coldWeight(file) * SCALES_DIFFER) return undefined;
  const message = `Only ${show(left, file)} of this share are left on the block. Is it of another animal?`;
  return refuse('more-than-there-is', message);
}

/** Green weight, or trim, that went in somewhere, and what has come out of there in packs. */
type Flow = { readonly into: Weight; readonly out: Weight };

function sumOf(weighings: readonly Weighing[], matches: (each: Weighing) => boolean): Weight {
  return sumWeights(weighings.filter(matches).map((each) => each.net));
}

/** Of what is not parted, less what batches have drawn: packs without a batch come out of it alone. */
function tubFlow(file: Pick<ShareFile, 'weighings' | 'batches'>): Flow {
  const tub = tubsOf(file, 0).find(({ grade }) => grade === '');
  const out = sumOf(file.weighings, isOutOfTub);
  return { into: ((tub?.left ?? 0) + out) as Weight, out };
}

function cureFlow(weighings: readonly Weighing[], lineKey: string): Flow {
  const ofLine = weighings.filter((each) => each.lineKey === lineKey);
  return {
    into: sumOf(ofLine, (each) => each.kind === 'green'),
    out: sumOf(ofLine, (each) => each.kind === 'package'),
  };
}

/** Against the batch, not against what is left of it: seasoning and water go in after the tub was weighed. */
function moreThanInTub(file: ShareFile, net: Weight): Refusal | undefined {
  const { into, out } = tubFlow(file);
  if (into <= 0) return refuse('tub-empty', nothingInTub(file));
  if (out + net <= into * (1 + ADDED_TO_GRIND)) return undefined;
  const message = `${show(into, file)} went into the tub and ${show(out, file)} have come out of it. Is this of another tub?`;
  return refuse('more-than-there-is', message);
}

function nothingInTub({ weighings }: ShareFile): string {
  if (!weighings.some(({ kind }) => kind === 'tub')) {
    return 'No trim has been weighed into the tub yet. Weigh the tub first.';
  }
  return 'What is in the tubs is parted, or in batches already. Begin its batch in the grind room.';
}

/** Out of a batch comes no more than was mixed in it. */
function moreThanInBatch(file: ShareFile, lineKey: string, net: Weight): Refusal | undefined {
  const pool = file.batches.find(({ batch }) => batch.lineKey === lineKey)?.pool;
  if (pool) return moreThanInPool(file, lineKey, { net, pool });
  const left = balanceOf(file.held, batchAccount(file.share.id, lineKey));
  if (net <= left * (1 + SCALES_DIFFER)) return undefined;
  const message = `Only ${show(left, file)} of this batch are left. Is this of another?`;
  return refuse('more-than-there-is', message);
}

/** Out of a pool comes no more than was mixed in it, and to each owner the packs that are its own. */
function moreThanInPool(
  file: ShareFile,
  lineKey: string,
  { net, pool }: { readonly net: Weight; readonly pool: Pool },
): Refusal | undefined {
  const left = sumWeights(pool.members.map((each) => each.left));
  if (net > left * (1 + SCALES_DIFFER)) {
    const message = `Only ${show(left, file)} of this batch are left. Is this of another?`;
    return refuse('more-than-there-is', message);
  }
  const due = packsDueOfLine(file, lineKey) ?? 0;
  const made = packsMade(file.weighings, lineKey);
  if (mayPack(pool, file.share.id, { due, made })) return undefined;
  return refuse(
    'more-than-there-is',
    `${due} packs of this pooled batch are this owner’s, and ${made} are made. The next is another owner’s.`,
  );
}

function moreThanInCure(
  file: ShareFile,
  lineKey: string,
  net: Weight,
  ground: CureGround,
): Refusal | undefined {
  const { into, out } = cureFlow(file.weighings, lineKey);
  if (into === 0) {
    return refuse(
      'not-in-cure',
      'Its green weight is missing. Weigh it green before it comes out of the cure.',
    );
  }
  const { green, most, waits } = throughOf(file, lineKey, ground);
  if (green === 0) return refuse('not-yet', waits);
  if (out + net <= most) return undefined;
  const message = `It went into the cure with ${show(green, file)}; ${show((out + net) as Weight, file)} cannot come out.`;
  return refuse('more-than-there-is', waits === '' ? message : `${message} ${waits}`);
}

/** Whether something was made of it that could not have been: packs out of its tub or cure, or another cut put into its pack. */
export function packsDependOn(weighing: Weighing, file: ShareFile, ground: CureGround): boolean {
  const others = file.weighings.filter((each) => each.id !== weighing.id);
  if (isInSmokehouse(weighing, file)) return true;
  if (others.some(({ onto }) => onto === weighing.id)) return true;
  const grade = gradeOfWeighing(weighing);
  if (grade !== undefined) {
    const own = { ...file, weighings: others };
    const { into, out } = tubFlow(own);
    if (grade === '' && out > into * (1 + ADDED_TO_GRIND)) return true;
    return isOverdrawn(tubsOf(own, 0), grade);
  }
  if (weighing.kind !== 'green') return false;
  const own = { ...file, weighings: others };
  return cureFlow(others, weighing.lineKey).out > throughOf(own, weighing.lineKey, ground).most;
}

/** Whether a cure or a load of the smokehouse is on record of a green weight. */
function isInSmokehouse({ id }: Weighing, { cures, smokes }: ShareFile): boolean {
  return cures.some(({ cure }) => cure.weighingId === id) || loadOf(smokes, { id }) !== undefined;
}

/** What is out of the ordinary about a weight, in one sentence; empty when nothing is. */
export function oddity({ file, purpose, net }: Asked, line: ForecastLine | undefined): string {
  if (purpose.kind !== 'package' || !line || purpose.from === 'ends') return '';
  const made = packsMade(file.weighings, line.key);
  const usual = Math.round(line.packWeight ?? line.packaged / Math.max(1, line.packs)) as Weight;
  // The last pack of a line may be what was left over.
  const isLight = net < usual * LIGHT_PACK && made + 1 < line.packs;
  if (isLight || net > usual * HEAVY_PACK) {
    return `${show(net, file)} for a pack of ${line.cut}, where about ${show(usual, file)} is expected.`;
  }
  const { into, out } = cureFlow(file.weighings, line.key);
  const usualOut = (into * line.packaged) / Math.max(1, line.packaged + line.cureLoss);
  if (purpose.from === 'cure' && out + net > Math.max(into * ABOVE_GREEN, usualOut * ABOVE_USUAL)) {
    return `${line.cut}: ${show((out + net) as Weight, file)} out of the cure, ${show(into, file)} went in.`;
  }
  return '';
}
