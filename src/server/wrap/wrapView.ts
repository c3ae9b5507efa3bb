import { askedOf, type Asked } from '@/core/block/askedOf';
import type { ForecastLine, Losses } from '@/core/forecast/types';
import { tradeItem } from '@/core/label/gs1';
import { balanceOfKind } from '@/core/ledger/ledger';
import type { HouseRules } from '@/core/shop/houseRules';
import type { ShareId } from '@/core/order/animal';
import { cutName } from '@/core/order/naming';
import type { ShareFile } from '@/core/order/shareFile';
import { coldWeight, isChilling, packsDueOfLine, planOf } from '@/core/order/standing';
import type { Weighing } from '@/core/order/work';
import { convertUnits, sumWeights, weight, type Weight, type WeighingUnit } from '@/core/quantity/weight';
import { throughOf } from '@/core/smokehouse/throughSmoke';
import { instant } from '@/core/time/shopTime';
import { noteReadsOf, printedOfShare } from '@/data/wrap';
import { cureGround } from '../house/cureGround';
import { defineShareView } from '../house/shareView';
import { STAFF, type House } from '../house/useCase';
import { benchMost } from './limits';

export type ListedWeighing = Pick<
  Weighing,
  'id' | 'kind' | 'source' | 'lineKey' | 'cut' | 'net' | 'pieces' | 'serial' | 'origin' | 'onto'
> & {
  readonly printed: boolean;
  /** Of the person who looks. */
  readonly mine: boolean;
};

export type WrapView = {
  /** ISO 8601, UTC. */
  readonly readAt: string;
  readonly shareId: ShareId;
  readonly name: string;
  readonly about: string;
  readonly instructions: string;
  /** The person who looks has read them. */
  readonly noteRead: boolean;
  readonly unit: WeighingUnit;
  readonly started: boolean;
  readonly closed: boolean;
  readonly whyNotReady: string;
  /** The heat may not be out of the bone: it is cut today only with a reason. */
  readonly chilling: boolean;
  readonly lines: readonly ForecastLine[];
  /** What the sheet asks of each line, and what of it all goes to the tub. */
  readonly asked: Asked;
  readonly losses: Losses;
  readonly expectedTub: Weight;
  readonly weighings: readonly ListedWeighing[];
  readonly settledLines: readonly string[];
  /** By line, why nothing of it comes out of cure and smoke yet; lines that may be packed are left out. */
  readonly inSmoke: Readonly<Record<string, string>>;
  readonly cold: Weight;
  /** Still on the block: cold weight less everything weighed so far. */
  readonly onBlock: Weight;
  readonly inTub: Weight;
  /** By line, the number of its cut as bars name it. */
  readonly tradeItems: Readonly<Record<string, string>>;
  /** Where each barrel goes. */
  readonly barrels: HouseRules['barrels'];
  readonly trays: readonly { readonly name: string; readonly weight: Weight }[];
  /** The heaviest load that the bench scale carries. */
  readonly scaleMost: Weight;
  readonly cautions: readonly string[];
};

/** The wrap table of one share: what is due, what has been weighed, what is still on the block. */
export const wrapView = defineShareView<WrapView>({
  name: 'wrapView',
  roles: STAFF,
  asCut: true,
  show: async (house, file) => {
    const { expected, instructions } = planOf(file);
    const { species } = file.situation;
    return {
      readAt: instant(house.now),
      shareId: file.share.id,
      name: cutName(file),
      about: `${species.name.toLowerCase()} ${file.animal.tag} · ${file.animal.farm.name}`,
      instructions,
      noteRead: (await noteReadsOf(house.db, file.share.id)).some((read) => read.actorId === house.actor.id),
      unit: file.shop.unit,
      started: file.start !== undefined,
      closed: file.closing !== undefined,
      whyNotReady: whyNot(file),
      chilling: !file.start && isChilling(file, house.now),
      lines: expected.lines.map((line) => ({
        ...line,
        packs: packsDueOfLine(file, line.key) ?? line.packs,
      })),
      asked: askedOf(file),
      losses: expected.losses,
      expectedTub: sumWeights([expected.pool.lean, expected.pool.fatUsed]),
      weighings: await listed(house, file),
      settledLines: file.notes.map((note) => note.lineKey),
      inSmoke: inSmokeOf(house, file),
      cold: coldWeight(file),
      onBlock: balanceOfKind(file.held, 'share'),
      inTub: balanceOfKind(file.held, 'tub'),
      tradeItems: tradeItemsOf(file),
      barrels: file.rules.barrels,
      trays: house.setUp.rules.trays.map(({ name, lb }) => ({
        name,
        weight: weight(convertUnits(lb, 'lb', file.shop.unit)),
      })),
      scaleMost: benchMost(file),
      cautions: species.cautions.filter((each) => each.where === 'block').map((each) => each.text),
    };
  },
});

function inSmokeOf(house: House, file: ShareFile): Record<string, string> {
  const ground = cureGround(house);
  const lines = planOf(file).expected.lines.filter(({ cure }) => cure !== null);
  const through = lines.map(({ key }) => [key, throughOf(file, key, ground)] as const);
  return Object.fromEntries(
    through.filter(([, { green }]) => green === 0).map(([key, { waits }]) => [key, waits] as const),
  );
}

function tradeItemsOf(file: ShareFile): Record<string, string> {
  const { expected, items } = planOf(file);
  return Object.fromEntries(
    expected.lines.map(({ key }) => [key, tradeItem(file.shop.codePrefix, items[key]!)]),
  );
}

function whyNot({ sheet, sides }: ShareFile): string {
  if (!sheet?.approved) return 'The sheet is not approved yet.';
  return sides.some((side) => !side.cold) ? 'The cold weight is missing.' : '';
}

async function listed({ db, actor }: House, { share, weighings }: ShareFile): Promise<ListedWeighing[]> {
  const printed = await printedOfShare(db, share.id);
  return weighings.map(({ id, kind, source, lineKey, cut, net, pieces, serial, origin, onto, actorId }) => ({
    id,
    kind,
    source,
    lineKey,
    cut,
    net,
    pieces,
    serial,
    origin,
    onto,
    printed: printed.has(id),
    mine: actorId === actor.id,
  }));
}
