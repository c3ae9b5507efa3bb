import type { ShareFile } from '@/core/order/shareFile';
import { isOwn } from '@/core/order/settling';
import { planOf } from '@/core/order/standing';
import type { WeighingId } from '@/core/order/work';
import { sumWeights, type Weight } from '@/core/quantity/weight';
import type { Destination } from '@/core/species/types';
import { momentWords } from '@/core/time/shopTime';
import type { NameOf } from './names';

export type Pack = {
  readonly id: WeighingId;
  readonly serial: number;
  readonly net: Weight;
  readonly at: string;
  readonly who: string;
};

/** The packs of one cut, and how many are still to come. */
export type PackLine = {
  readonly key: string;
  readonly cut: string;
  readonly destination: Destination;
  readonly packs: readonly Pack[];
  readonly net: Weight;
  /** Packs that the plan says, and what they should weigh. */
  readonly asked: number;
  readonly expected: Weight;
  /** Why nothing more is to come, where somebody said so. */
  readonly note: string;
};

/** What is in the boxes and what is still expected, cut by cut in the order of the plan. */
export function packLines(file: ShareFile, nameOf: NameOf): PackLine[] {
  const packed = file.weighings.filter((each) => each.kind === 'package' && isOwn(file, each));
  return planOf(file).expected.lines.map((line) => {
    const mine = packed.filter((each) => each.lineKey === line.key);
    return {
      key: line.key,
      cut: line.cut,
      destination: line.destination,
      packs: mine.map(({ id, serial, net, at, actorId }) => ({
        id,
        serial,
        net,
        at: momentWords(file.shop.zone, at),
        who: nameOf(actorId),
      })),
      net: sumWeights(mine.map((each) => each.net)),
      asked: line.packs,
      expected: line.packaged,
      note: file.notes.findLast((note) => note.lineKey === line.key)?.note ?? '',
    };
  });
}
