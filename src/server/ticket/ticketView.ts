import { handsOf, handWords } from '@/core/block/hand';
import { whoDid } from '@/core/block/handWork';
import { foundWords } from '@/core/order/found';
import type { AnimalId, ShareId } from '@/core/order/animal';
import type { Facts } from '@/core/order/changes';
import { factsOf } from '@/core/order/facts';
import { animalWords, shareName } from '@/core/order/naming';
import { dueOf, finalBill, paidOf, reconciliationOf } from '@/core/order/settling';
import type { HungSide, ShareFile } from '@/core/order/shareFile';
import type { Place } from '@/core/order/stage';
import { stageRowOf, type StageRow } from '@/core/order/stageRow';
import { coldSides, coldWeight, daysHung, estimateOf, hotWeight, netOf } from '@/core/order/standing';
import { wholeOf, type PartOfWhole } from '@/core/order/whole';
import type { Cents } from '@/core/quantity/money';
import type { Weight, WeighingUnit } from '@/core/quantity/weight';
import type { WeightBasis } from '@/core/hang/sideToCut';
import type { PartShare } from '@/core/shares/parts';
import { unsoldParts } from '@/core/shares/unsold';
import { smokedWords } from '@/core/smokehouse/smokedWords';
import { momentWords } from '@/core/time/shopTime';
import { stageRowsOf } from '@/data/rail';
import { handWorkOf, stepMarksOf } from '@/data/block';
import { voidsOfShare } from '@/data/wrap';
import { cureGround } from '../house/cureGround';
import { defineShareView } from '../house/shareView';
import { isOffice, STAFF, type House } from '../house/useCase';
import { sheetInShort, type SheetInShort } from './inShort';
import { lineOf, type Step } from './line';
import { namesOf, type NameOf } from './names';
import { packLines, type PackLine } from './packs';
import { saidOf, type Said } from './said';

export type SideOnTicket = {
  readonly position: 'left' | 'right';
  readonly hot: Weight | null;
  readonly hotOn: string;
  readonly cold: Weight | null;
  readonly coldOn: string;
};

type Person = { readonly does: string; readonly name: string; readonly phone: string };

export type Bills = {
  readonly sign: string;
  readonly list: string;
  readonly estimate: Cents;
  /** As weighed; null before the block. */
  readonly bill: Cents | null;
  readonly final: boolean;
  readonly deposit: Cents;
  readonly paid: Cents;
  readonly due: Cents;
};

/** What only the office sees: people, what was said, money. */
export type OfficeBlocks = {
  readonly people: readonly Person[];
  readonly facts: Facts;
  readonly said: readonly Said[];
  readonly money: Bills;
};

/** Everything on one share, in the order of the work. */
export type TicketView = {
  readonly shareId: ShareId;
  readonly animalId: AnimalId;
  readonly number: number;
  readonly name: string;
  readonly about: string;
  readonly unit: WeighingUnit;
  readonly stage: Place;
  readonly cancelled: { readonly why: string; readonly who: string; readonly at: string } | null;
  readonly line: readonly Step[];
  /** The other shares of the animal, and its parts that nobody has. */
  readonly others: readonly Pick<StageRow, 'shareId' | 'name' | 'stage'>[];
  readonly unsold: readonly Required<PartShare>[];
  readonly sides: readonly SideOnTicket[];
  readonly daysHung: number;
  readonly cold: Weight;
  readonly hot: Weight;
  readonly basis: WeightBasis;
  readonly sheet: SheetInShort;
  /** The newest step of the shop's set-up. */
  readonly setUp: number;
  readonly found: readonly {
    readonly what: string;
    readonly words: string;
    readonly photoId?: string | null;
  }[];
  /** Who cut, boned and trimmed it, side by side. */
  readonly worked: readonly string[];
  readonly packs: readonly PackLine[];
  /** What cure and smoke did, piece by piece. */
  readonly smoked: readonly string[];
  readonly takenBack: readonly { readonly cut: string; readonly net: Weight; readonly why: string }[];
  readonly whole: readonly PartOfWhole[];
  readonly balance: {
    readonly boxes: Weight;
    readonly unaccounted: Weight;
    readonly bp: number;
    readonly verdict: string;
  } | null;
  readonly office: OfficeBlocks | null;
};

/** One page for one share: everything known of it. People, telephones and money are sent to the office alone. */
export const ticketView = defineShareView<TicketView>({
  name: 'ticketView',
  roles: STAFF,
  show: async (house, file) => {
    const nameOf = await namesOf(house, file);
    const row = stageRowOf(file);
    const { share, animal, cancellation, shop } = file;
    const siblings = file.siblings.filter((each) => each.id !== share.id);
    return {
      shareId: share.id,
      animalId: animal.id,
      number: share.number,
      name: shareName(file),
      about: aboutOf(file),
      unit: shop.unit,
      stage: row.stage,
      cancelled: cancellation
        ? {
            why: cancellation.reason,
            who: nameOf(cancellation.actorId),
            at: momentWords(shop.zone, cancellation.at),
          }
        : null,
      line: lineOf(file, row.stage, nameOf),
      others: (
        await stageRowsOf(
          house.db,
          siblings.map((each) => each.id),
        )
      ).map(({ shareId, name, stage }) => ({ shareId, name, stage })),
      unsold: unsoldParts(file.siblings.filter((each) => !each.cancelled)),
      sides: file.sides.map((side) => sideOnTicket(file, side)),
      daysHung: daysHung(file, house.now),
      cold: coldWeight(file),
      hot: hotWeight(file),
      basis: coldSides(file).basis,
      sheet: sheetInShort(file, row.openQuestions),
      setUp: house.setUp.number,
      found: foundOf(file),
      worked: await workedOf(house, file, nameOf),
      smoked: smokedWords(file, cureGround(house)),
      packs: packLines(file, nameOf),
      takenBack: (await voidsOfShare(house.db, share.id)).map(({ cut, net, reason }) => ({
        cut,
        net,
        why: reason,
      })),
      whole: wholeOf(file),
      balance: file.start ? balanceOf(file) : null,
      office: isOffice(house.actor) ? await officeBlocks(house, file, nameOf) : null,
    };
  },
});

/** `left side: cut by Iver, trimmed by Sunna`; of what nobody has touched nothing. */
async function workedOf({ db }: House, file: ShareFile, nameOf: NameOf): Promise<string[]> {
  if (!file.start || !file.situation.species.guide) return [];
  const leadId = file.together[0]!.id;
  const [said, marks] = [await handWorkOf(db, leadId), await stepMarksOf(db, leadId)];
  return handsOf(file).flatMap((hand) => {
    const did = [...whoDid(said, marks, hand.id)].map(([task, personId]) => `${task} by ${nameOf(personId)}`);
    return did.length > 0 ? [`${handWords(file, hand)}: ${did.join(', ')}`] : [];
  });
}

const INSPECTION_WORDS = {
  'custom-exempt': 'Custom exempt, not for sale.',
  inspected: 'Inspected.',
} as const;

function aboutOf(file: ShareFile): string {
  const { animal } = file;
  const sex = animal.sex ? `, ${animal.sex},` : '';
  const { breed, months, grade, liveWeight } = animal.facts;
  const said = [
    breed,
    months === undefined ? '' : `${months} months`,
    grade,
    liveWeight === undefined ? '' : `${liveWeight} ${file.shop.unit} live`,
  ].filter(Boolean);
  const facts = said.length > 0 ? ` ${said.join(', ')}.` : '';
  return `${animalWords(file).replace(animal.tag, `${animal.tag}${sex}`)}.${facts} ${INSPECTION_WORDS[animal.inspection]}`;
}

function sideOnTicket({ shop }: ShareFile, { side, hot, cold }: HungSide): SideOnTicket {
  const on = (ticket: typeof hot) => (ticket ? momentWords(shop.zone, ticket.at) : '');
  return {
    position: side.position,
    hot: hot ? netOf(hot) : null,
    hotOn: on(hot),
    cold: cold ? netOf(cold) : null,
    coldOn: on(cold),
  };
}

/** Sides of the animal that nobody has: they can be sold while the animal is in the shop. */
/** What was found on the carcass, and what the table said of single cuts. */
function foundOf(file: ShareFile): TicketView['found'] {
  const { condition } = file.animal.carcass;
  const { species } = file.situation;
  const { lines } = file.plan?.expected ?? { lines: [] };
  const title = (atom: string) => species.atlas.atoms.find((each) => each.id === atom)?.name ?? atom;
  const share = (part: number) => (part >= 1 ? '' : `, ${Math.round(part * 100)} %`);
  return [
    ...Object.entries(condition?.missing ?? {}).map(([atom, part]) => ({
      what: title(atom),
      words: `missing${share(part)}`,
    })),
    ...Object.entries(condition?.condemned ?? {}).map(([atom, part]) => ({
      what: title(atom),
      words: `condemned${share(part)}`,
    })),
    ...file.sides.flatMap(({ side, found }) =>
      found.map((each) => ({
        what: `${side.position} side`,
        words: foundWords(each, species.decisions, file.shop.unit),
        photoId: each.photoId,
      })),
    ),
    ...(condition?.eyeSqIn ? [{ what: 'eye', words: `${condition.eyeSqIn} sq in, measured` }] : []),
    ...file.notes.map(({ lineKey, note }) => ({
      what: lines.find((line) => line.key === lineKey)?.cut ?? lineKey,
      words: note,
    })),
  ];
}

function balanceOf(file: ShareFile): TicketView['balance'] {
  const { boxes, unaccounted, unaccountedBp, verdict } = reconciliationOf(file);
  return { boxes, unaccounted, bp: unaccountedBp, verdict };
}

async function officeBlocks(house: House, file: ShareFile, nameOf: NameOf): Promise<OfficeBlocks> {
  const facts = factsOf(file);
  const { animal, share } = file;
  return {
    people: [
      { does: 'eats it', name: share.owner.name, phone: facts.ownerPhone },
      { does: 'pays', name: facts.payerName || 'the same', phone: facts.payerPhone },
      { does: 'is called', name: facts.contactName || 'the same', phone: facts.contactPhone },
      { does: 'farm', name: animal.farm.name, phone: facts.farmPhone },
    ],
    facts,
    said: await saidOf(house, file, nameOf),
    money: billsOf(file),
  };
}

function billsOf(file: ShareFile): Bills {
  const { priceList, share, closing, start } = file;
  const estimate = estimateOf(file);
  const bill = closing?.bill ?? (start ? finalBill(file) : null);
  const paid = paidOf(file);
  const due = file.cancellation ? 0 : closing ? dueOf(file) : (bill ?? estimate).due - paid;
  return {
    sign: priceList.sign,
    list: priceList.name,
    estimate: estimate.total,
    bill: bill?.total ?? null,
    final: closing !== undefined,
    deposit: share.deposit,
    paid,
    due: due as Cents,
  };
}
