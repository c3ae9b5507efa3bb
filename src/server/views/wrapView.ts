import type { ForecastLine, Losses } from '@/core/forecast/types';
import { balanceOfKind } from '@/core/ledger/ledger';
import { sumWeights, type Weight, type WeighingUnit } from '@/core/quantity/weight';
import { labelFilesOfShare } from '@/data/repositories/labels';
import { balancesOfShare } from '@/data/repositories/ledger';
import type { Weighing } from '@/data/repositories/weighings';
import { coldSides, forecastOf, orderStage, sheetInForce, shareName } from '../orderBook';
import { defineShareView } from './shareView';

export type WrapView = {
  readonly shareId: string;
  readonly name: string;
  readonly about: string;
  readonly instructions: string;
  readonly unit: WeighingUnit;
  readonly started: boolean;
  readonly closed: boolean;
  readonly ready: boolean;
  readonly whyNotReady: string;
  readonly lines: readonly ForecastLine[];
  readonly losses: Losses;
  readonly expectedTub: Weight;
  readonly weighings: readonly (Pick<
    Weighing,
    'id' | 'kind' | 'source' | 'lineKey' | 'cut' | 'net' | 'pieces' | 'serial'
  > & {
    /** File of the printed label; null for what has none, or waits for the printer. */
    readonly label: string | null;
  })[];
  readonly settledLines: readonly string[];
  readonly cold: Weight;
  /** Still on the block: cold weight less everything weighed so far. */
  readonly onBlock: Weight;
  readonly inTub: Weight;
  readonly cautions: readonly string[];
};

/** The wrap table of one share: what is due, what has been weighed, what is still on the block. */
export const wrapView = defineShareView<WrapView>('wrapView', async (house, order) => {
  const shareId = order.share.id;
  const expected = forecastOf(order);
  const held = await balancesOfShare(house.db, shareId);
  const labels = await labelFilesOfShare(house.db, shareId);
  const noCold = order.sides.some((side) => !side.cold);
  const whyNotReady = !order.sheet?.approved
    ? 'The sheet is not approved yet.'
    : noCold
      ? 'The cold weight is missing.'
      : '';
  return {
    shareId,
    name: shareName(order),
    about: `${order.situation.species.name.toLowerCase()} ${order.animal.tag} · ${order.animal.farm.name}`,
    instructions: sheetInForce(order).instructions,
    unit: order.shop.unit,
    started: order.start !== undefined,
    closed: order.closing !== undefined,
    ready: orderStage(order) === 'wrap' && whyNotReady === '',
    whyNotReady,
    lines: expected.lines,
    losses: expected.losses,
    expectedTub: sumWeights([expected.pool.lean, expected.pool.fatUsed]),
    weighings: order.weighings.map(({ id: weighingId, kind, source, lineKey, cut, net, pieces, serial }) => ({
      id: weighingId,
      kind,
      source,
      lineKey,
      cut,
      net,
      pieces,
      serial,
      label: labels.get(weighingId) ?? null,
    })),
    settledLines: order.notes.map((note) => note.lineKey),
    cold: sumWeights(coldSides(order).weights),
    onBlock: balanceOfKind(held, 'share'),
    inTub: balanceOfKind(held, 'tub'),
    cautions: order.situation.species.cautions
      .filter((each) => each.where === 'block')
      .map((each) => each.text),
  };
});
