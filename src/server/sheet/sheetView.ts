import type { WeightBasis } from '@/core/hang/sideToCut';
import type { ShareId } from '@/core/order/animal';
import { animalWords, cutName } from '@/core/order/naming';
import { billBasis, coldSides, daysHung, planOf, sheetInForce } from '@/core/order/standing';
import type { ShareFile } from '@/core/order/shareFile';
import { leadOf } from '@/core/order/together';
import type { Call } from '@/core/order/work';
import { situationSent, type GroundSent } from '@/core/questions/groundOf';
import { counted } from '@/core/quantity/counted';
import { listed } from '@/core/quantity/listed';
import { sidesOfPart, type SharePart } from '@/core/shares/parts';
import { onesKept, type Keeping } from '@/core/shares/scarce';
import type { Sheet } from '@/core/sheet/types';
import { momentWords, timeIn } from '@/core/time/shopTime';
import { sendsOfShare } from '@/data/links';
import { callsOfShare } from '@/data/sheet';
import { isOwner } from '../house/actor';
import { defineShareView } from '../house/shareView';
import { OFFICE, type House } from '../house/useCase';

export type NotedCall = Pick<Call, 'id' | 'reached' | 'said' | 'actorName'> & {
  /** `YYYY-MM-DD HH:MM` in the shop's zone. */
  readonly at: string;
};

/**
 * All that a sheet needs to be worked out by itself, without asking the house again: at the counter, by a household's
 * link, or before anything is booked.
 */
export type OpenSheet = GroundSent & {
  /** The species and the version of the catalogue that has it: one file, which the browser may keep for ever. */
  readonly species: { readonly id: string; readonly version: string };
  readonly weightBasis: WeightBasis;
  readonly sheet: Sheet;
  readonly version: number;
  readonly approved: boolean;
  readonly locked: boolean;
  /** Who looks at it: what is kept in a browser is taken up again by nobody else. */
  readonly actorId: string;
};

/** A sheet at the counter, with what is said around it. */
export type SheetView = OpenSheet & {
  readonly shareId: ShareId;
  readonly name: string;
  readonly about: string;
  /** Which half hangs: a right one is drawn mirrored. */
  readonly hangs: 'left' | 'right' | 'both';
  readonly overrideReason: string | null;
  /** When its household sent it as it wants it, and which version; null when it has not. */
  readonly sent: { readonly at: string; readonly version: number } | null;
  /** Whom to call about this share. */
  readonly contact: { readonly name: string; readonly phone: string | null };
  readonly calls: readonly NotedCall[];
  /** Whose the bill is, where several pay each their part of what is cut as one. */
  readonly billOf: string | null;
  /** The other households of the animal, by what they keep of what it has few of. */
  readonly others: readonly Keeping[];
  /** Whether who looks at it may make an answer the house's. */
  readonly setsUp: boolean;
};

/** What a sheet is answered with, for the staff. */
export const sheetView = defineShareView<SheetView>({
  name: 'sheetView',
  roles: OFFICE,
  asCut: true,
  show: (house, file) => sheetOf(house, file),
});

/** What a sheet is worked out with, as the file of a share stands. */
export function openSheetOf({ actor }: House, file: ShareFile): OpenSheet {
  const { weights, basis } = coldSides(file);
  const { animal, hot, headSplit, deposit } = billBasis(file, weights[0]!, []);
  return {
    ...situationSent(file.situation),
    shareId: file.share.id,
    species: { id: file.situation.species.id, version: file.catalogueVersion },
    coldSides: weights,
    weightBasis: basis,
    sheet: sheetInForce(file),
    version: file.sheet?.version ?? 0,
    approved: file.sheet?.approved ?? false,
    locked: file.start !== undefined,
    priceList: file.priceList,
    bill: { animal, hot, headSplit, deposit },
    together: file.together.map(({ id, sharePct }) => ({ id, sharePct })),
    actorId: actor.id,
  };
}

function hangsOf(part: SharePart): SheetView['hangs'] {
  const [first, second] = sidesOfPart(part);
  return second ? 'both' : first!;
}

/** What the counter answers a sheet with. */
async function sheetOf(house: House, file: ShareFile): Promise<SheetView> {
  const shareId = file.share.id;
  const [sent] = await sendsOfShare(house.db, shareId);
  const open = openSheetOf(house, file);
  const hung = counted(daysHung(file, house.now), 'day');
  return {
    ...open,
    shareId,
    name: cutName(file),
    about: `${animalWords(file)}, ${open.weightBasis === 'usual' ? 'not hung yet' : `hung ${hung}`}`,
    hangs: hangsOf(file.share.part),
    overrideReason: file.sheet?.overrideReason ?? null,
    sent: sent ? { at: momentWords(file.shop.zone, sent.at), version: sent.version } : null,
    contact: { name: file.share.contact.name, phone: file.share.contact.phone },
    calls: (await callsOfShare(house.db, shareId)).map(({ id, reached, said, actorName, at }) => ({
      id,
      reached,
      said,
      actorName,
      at: timeIn(file.shop.zone, new Date(at)),
    })),
    billOf: file.together.length > 1 ? `${file.share.owner.name}, ${file.share.sharePct} %` : null,
    others: await keepingBesides(house, file),
    setsUp: isOwner(house.actor),
  };
}

/** What the households that are cut by other sheets keep; those of one sheet are named together. */
async function keepingBesides(house: House, { share, siblings }: ShareFile): Promise<Keeping[]> {
  const leads = siblings
    .filter((each) => !each.cancelled && each.part !== share.part)
    .map((each) => leadOf(each, siblings).id);
  const files = await Promise.all([...new Set(leads)].map((id) => house.files.read(house.db, id)));
  return files
    .filter((file) => file !== undefined)
    .map((file) => ({
      owner: listed(file.together.map(({ owner }) => owner.name)),
      ones: onesKept(file.situation.species, planOf(file).expected.lines),
      offal: sheetInForce(file).offal ?? [],
    }));
}
