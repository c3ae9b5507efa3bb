import Joi from 'joi';
import { parseElementString } from '@/core/label/gs1';
import type { ShareId } from '@/core/order/animal';
import { cutName } from '@/core/order/naming';
import type { StageRow } from '@/core/order/stageRow';
import type { Weighing, WeighingId } from '@/core/order/work';
import { success, type Result } from '@/core/quantity/result';
import type { Weight, WeighingUnit } from '@/core/quantity/weight';
import { findShares, sharesAt, stageRowsOf } from '@/data/rail';
import { isVoided, weighingBySerial } from '@/data/wrap';
import { refuse, type Reason } from '../house/reasons';
import { fileOf } from '../house/shareView';
import { defineUseCase, STAFF, type House } from '../house/useCase';

export type ScannedPack = {
  readonly kind: 'pack';
  readonly weighingId: WeighingId;
  readonly shareId: ShareId;
  /** Whose it is. */
  readonly of: string;
  readonly cut: string;
  readonly net: Weight;
  readonly unit: WeighingUnit;
  readonly serial: number;
  /** It was taken back: no such pack should be lying there. */
  readonly gone: boolean;
  /** Shares on the block it may be of, those of the same animal first. */
  readonly mayBeOf: readonly ScannedShare[];
};

export type ScannedShare = {
  readonly shareId: ShareId;
  readonly name: string;
  readonly tag: string;
  /** It hangs ready for the block, or is wrapped. */
  readonly isHere: boolean;
};

export type Scanned = ScannedPack | { readonly kind: 'shares'; readonly shares: readonly ScannedShare[] };

/** As many as there are digits to choose them by. */
const MOST_CHOICES = 9;
const TICKET = /\/ticket\/([0-9a-f-]{36})/;

/** What somebody has scanned: the bars of a pack, the square of a ticket, or the tag of an animal. */
export const scannedView = defineUseCase<{ text: string }, Scanned>({
  name: 'scannedView',
  roles: STAFF,
  writes: false,
  input: Joi.object({ text: Joi.string().min(1).max(300).required() }),
  run: async (house, { text }) => {
    const code = parseElementString(text);
    if (code.ok) return packOf(house, Number(code.value.serial));
    const ticket = TICKET.exec(text)?.[1] as ShareId | undefined;
    const rows = ticket
      ? await stageRowsOf(house.db, [ticket])
      : await findShares(house.db, text, MOST_CHOICES);
    // `H11` is the animal of that tag, not all whose tags begin so.
    const exact = rows.filter(({ tag }) => tag.toLowerCase() === text.trim().toLowerCase());
    if (rows.length === 0) return refuse('not-found', `Nothing in the shop is called ${text}.`);
    return success({ kind: 'shares', shares: (exact.length > 0 ? exact : rows).map(asShare) });
  },
});

function asShare({ shareId, name, tag, stage }: StageRow): ScannedShare {
  return { shareId, name, tag, isHere: stage === 'wrap' };
}

async function packOf(house: House, serial: number): Promise<Result<Scanned, Reason>> {
  const weighing = await weighingBySerial(house.db, serial);
  if (weighing?.kind !== 'package') {
    return refuse('not-found', `No pack of this shop has the number ${serial}.`);
  }
  const file = await fileOf(house, weighing.shareId);
  if (!file.ok) return file;
  const { id, shareId, cut, net } = weighing;
  return success({
    kind: 'pack',
    weighingId: id,
    shareId,
    of: cutName(file.value),
    cut,
    net,
    unit: file.value.shop.unit,
    serial,
    gone: await isVoided(house.db, id),
    mayBeOf: await othersOnBlock(house, weighing),
  });
}

async function othersOnBlock({ db }: House, { shareId }: Weighing): Promise<ScannedShare[]> {
  const page = { offset: 0, limit: 200 };
  const [own] = await stageRowsOf(db, [shareId]);
  const rows = [...(await sharesAt(db, 'wrap', page)), ...(await sharesAt(db, 'reconcile', page))];
  const beside = rows.filter((row) => row.onBlock && row.shareId !== shareId && row.species === own?.species);
  const isOfAnimal = (row: StageRow) => Number(row.animalId === own?.animalId);
  return beside
    .sort((one, other) => isOfAnimal(other) - isOfAnimal(one))
    .slice(0, MOST_CHOICES)
    .map(asShare);
}
