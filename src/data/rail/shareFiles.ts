import { group } from 'd3-array';
import { carcassOfSides } from '@/core/order/carcassOfSides';
import { speciesIn } from '@/core/catalogue/catalogue';
import type { BatchFile } from '@/core/grindroom/batch';
import { batchAccount, cureAccount, type Posting } from '@/core/ledger/ledger';
import type { Animal, AnimalId, Share, ShareId, Side } from '@/core/order/animal';
import { onRailAfter } from '@/core/order/onRail';
import { quarteredOf } from '@/core/hang/quarters';
import type { HungSide, ShareFile } from '@/core/order/shareFile';
import { netOf } from '@/core/order/standing';
import { cutTogether, leadOf } from '@/core/order/together';
import type { Weighing } from '@/core/order/work';
import type { Shop } from '@/core/shop/shop';
import { convertUnits, inUnits } from '@/core/quantity/weight';
import { quarterOfPart, sidesOfPart, type SharePart } from '@/core/shares/parts';
import type { Situation } from '@/core/sheet/situation';
import { monthOf } from '@/core/time/shopTime';
import { deviationsOfShares, startsOf } from '../block';
import { animalIdsOf, bookedWith, cancellationsOf } from '../book';
import type { Database } from '../database';
import { deepTemperaturesOf, foundOnSides, quartersOfSides, railEventsOf, ticketsOfSides } from '../hang';
import { batchesOfShares } from '../grind';
import { experiencesOf, type Experiences } from '../learning';
import { balancesOf } from '../ledger';
import { priceListsById, readShop, type SetUps, type ShopSetUp } from '../setUp';
import { allotmentsOf, closingsOf, paymentsOf, pickUpsOf } from '../settle';
import { sheetsInForce } from '../sheet';
import { curesOfShares, smokesOfShares } from '../smoke';
import { lineNotesOfShares, weighingsOfShares } from '../wrap';

/**
 * Everything known of these shares, each put together once. The number of queries is the same for one share and for a
 * hundred, and does not depend on what else the shop has ever done. In the order of their numbers; a share that is not
 * there has no file.
 *
 * @throws RangeError when the catalogue does not know the species of one of them
 */
export async function readShareFiles(
  db: Database,
  setUps: SetUps,
  shareIds: readonly ShareId[],
): Promise<ShareFile[]> {
  if (shareIds.length === 0) return [];
  const shop = await readShop(db);
  const now = await setUps.now(db);
  const booked = await bookedWith(db, await animalIdsOf(db, shareIds));
  const lists = await priceListsById(
    db,
    [...booked.animals.values()].map((animal) => animal.priceListId),
  );
  const hungOf = group(await hungSides(db, booked.sides), ({ side }) => side.animalId);
  const siblings = group(booked.shares, (share) => share.animalId);
  const wanted = new Set(shareIds);
  // What is cut as one has one sheet, one block and one balance: those of the first household.
  const leads = new Map(
    booked.shares
      .filter((share) => wanted.has(share.id))
      .map((share) => [share.id, leadOf(share, siblings.get(share.animalId)!).id]),
  );
  const leadIds = [...new Set(leads.values())];
  const sheets = await sheetsInForce(db, leadIds);
  const starts = await startsOf(db, leadIds);
  const deviations = await deviationsOfShares(db, leadIds);
  const weighings = group(await weighingsOfShares(db, leadIds), (each) => each.shareId);
  const batches = await batchesOfShares(db, leadIds);
  const cures = await curesOfShares(db, leadIds);
  const smokes = await smokesOfShares(db, leadIds);
  const notes = group(await lineNotesOfShares(db, leadIds), (note) => note.shareId);
  const allotments = await allotmentsOf(db, shareIds);
  const closings = await closingsOf(db, shareIds);
  const payments = group(await paymentsOf(db, shareIds), (payment) => payment.shareId);
  const pickUps = await pickUpsOf(db, shareIds);
  const cancellations = await cancellationsOf(db, shareIds);
  const held = await heldByShare(db, leadIds, { weighings, batches });
  // A sheet stands on what held when it was begun; where there is none yet, today's holds.
  const experienceOf = await experiencesOf(
    db,
    setUps,
    [...booked.animals.values()].map(({ species }) => species),
  );
  const begun = new Map<number, ShopSetUp>();
  for (const share of booked.shares) {
    if (sheets.has(share.id)) begun.set(share.setUpNumber, await setUps.at(db, share.setUpNumber));
  }
  return booked.shares
    .filter((share) => wanted.has(share.id))
    .sort((a, b) => a.number - b.number)
    .map((share) => {
      const animal = booked.animals.get(share.animalId)!;
      const hung = hungOf.get(animal.id) ?? [];
      const isOwn = ({ side }: HungSide) => sidesOfPart(share.part).includes(side.position);
      const leadId = leads.get(share.id)!;
      const lead = booked.shares.find((each) => each.id === leadId)!;
      const sides = hung.filter(isOwn);
      const started = starts.get(leadId);
      const setUp = (sheets.has(leadId) ? begun.get(lead.setUpNumber) : undefined) ?? now;
      return {
        shop,
        rules: setUp.rules,
        catalogueVersion: setUp.catalogue.version,
        setUpNumber: setUp.number,
        priceList: lists.get(animal.priceListId)!,
        animal,
        share,
        siblings: siblings.get(animal.id)!.filter((each) => !each.cancelled || each.id === share.id),
        sides,
        otherSides: hung.filter((each) => !isOwn(each)),
        situation: withExperience(
          situationOf(setUp, { shop, animal, sides, part: share.part }),
          experienceOf,
        ),
        together: share.cancelled ? [share] : cutTogether(share, siblings.get(animal.id)!),
        allotted: allotments.get(share.id),
        sheet: sheets.get(leadId),
        start: started?.start,
        plan: started?.plan,
        deviations: deviations.get(leadId) ?? [],
        weighings: weighings.get(leadId) ?? [],
        batches: batches.get(leadId) ?? [],
        cures: cures.get(leadId) ?? [],
        smokes: smokes.get(leadId) ?? [],
        notes: notes.get(leadId) ?? [],
        closing: closings.get(share.id),
        payments: payments.get(share.id) ?? [],
        pickUp: pickUps.get(share.id),
        cancellation: cancellations.get(share.id),
        held: held.get(leadId) ?? [],
      };
    });
}

/** The file of one share; undefined when there is no such share. */
export async function readShareFile(
  db: Database,
  setUps: SetUps,
  shareId: ShareId,
): Promise<ShareFile | undefined> {
  return (await readShareFiles(db, setUps, [shareId]))[0];
}

/** A share with its animal, and nothing that has to be worked out. */
export async function shareAlone(
  db: Database,
  shareId: ShareId,
): Promise<{ animal: Animal; share: Share } | undefined> {
  const booked = await bookedWith(db, await animalIdsOf(db, [shareId]));
  const share = booked.shares.find((each) => each.id === shareId);
  return share && { share, animal: booked.animals.get(share.animalId)! };
}

/** For each of these shares all that are cut as one with it, the one that decides first. */
export async function togetherOf(
  db: Database,
  shareIds: readonly ShareId[],
): Promise<ReadonlyMap<ShareId, readonly Share[]>> {
  const { shares } = await bookedWith(db, await animalIdsOf(db, shareIds));
  return new Map(
    shares.map((share) => [
      share.id,
      cutTogether(
        share,
        shares.filter((each) => each.animalId === share.animalId),
      ),
    ]),
  );
}

/** Sides of these animals that belong to no share, with their tickets: they hang all the same. */
export async function sidesWithoutShare(
  db: Database,
  animalIds: readonly AnimalId[],
): Promise<ReadonlyMap<AnimalId, readonly HungSide[]>> {
  const { shares, sides } = await bookedWith(db, animalIds);
  const sharesOf = group(shares, (share) => share.animalId);
  const unsold = sides.filter(
    (side) =>
      !(sharesOf.get(side.animalId) ?? []).some(
        (share) => !share.cancelled && sidesOfPart(share.part).includes(side.position),
      ),
  );
  return group(await hungSides(db, unsold), ({ side }) => side.animalId);
}

/** Sides with everything that was weighed, found and measured on them while they hung. */
async function hungSides(db: Database, sides: readonly Side[]): Promise<HungSide[]> {
  const ids = sides.map(({ id }) => id);
  const tickets = group(await ticketsOfSides(db, ids), (ticket) => ticket.sideId);
  const found = group(await foundOnSides(db, ids), (each) => each.sideId);
  const temperatures = group(await deepTemperaturesOf(db, ids), (each) => each.sideId);
  const events = group(await railEventsOf(db, ids), (event) => event.sideId);
  const quarters = group(await quartersOfSides(db, ids), (each) => each.sideId);
  return sides.map((side) => {
    const own = tickets.get(side.id) ?? [];
    return {
      side,
      firstHot: own.find((ticket) => ticket.kind === 'hot'),
      hot: own.findLast((ticket) => ticket.kind === 'hot'),
      cold: own.findLast((ticket) => ticket.kind === 'cold'),
      deep: temperatures.get(side.id)?.at(-1) ?? null,
      onRail: onRailAfter(events.get(side.id) ?? []),
      quarters: quarteredOf((quarters.get(side.id) ?? []).map((each) => ({ ...each, net: netOf(each) }))),
      found: found.get(side.id) ?? [],
    };
  });
}

type Ground = {
  readonly shop: Shop;
  readonly animal: Animal;
  readonly sides: readonly HungSide[];
  readonly part: SharePart;
};

function situationOf(
  { catalogue, rules }: ShopSetUp,
  { shop, animal, sides, part }: Ground,
): ShareFile['situation'] {
  const species = speciesIn(catalogue, animal.species);
  return {
    species,
    unit: shop.unit,
    sides: sides.length === 2 ? 2 : 1,
    ...(quarterOfPart(part) === 'side' ? {} : { part: quarterOfPart(part) }),
    addOns: animal.addOns,
    tools: rules.tools,
    known: knownOf(shop, animal, sides),
    ...carcassOfSides(species, { shop, animal, sides }),
  };
}

function withExperience(situation: Situation, experienceOf: Experiences): Situation {
  const experience = experienceOf(situation);
  return experience ? { ...situation, experience } : situation;
}

/** The month of the kill, and the mean weight of the sides that were weighed. */
function knownOf({ unit }: Shop, { killDate }: Animal, sides: readonly HungSide[]): Situation['known'] {
  const weighed = sides.flatMap(({ cold, hot }) => cold ?? hot ?? []).map((ticket) => inUnits(netOf(ticket)));
  const mean = weighed.reduce((sum, each) => sum + each, 0) / weighed.length;
  return {
    month: monthOf(killDate),
    ...(weighed.length > 0 ? { sideLb: convertUnits(mean, unit, 'lb') } : {}),
  };
}

/** What the accounts of each share hold: its own, its cures' and its packages'. */
async function heldByShare(
  db: Database,
  shareIds: readonly ShareId[],
  {
    weighings,
    batches,
  }: {
    readonly weighings: ReadonlyMap<ShareId, readonly Weighing[]>;
    readonly batches: ReadonlyMap<ShareId, readonly BatchFile[]>;
  },
): Promise<ReadonlyMap<ShareId, readonly Posting[]>> {
  const shareOfOwner = new Map<string, ShareId>();
  for (const shareId of shareIds) {
    shareOfOwner.set(shareId, shareId);
    for (const each of weighings.get(shareId) ?? []) {
      shareOfOwner.set(each.id, shareId);
      if (each.lineKey !== '') shareOfOwner.set(cureAccount(shareId, each.lineKey).owner, shareId);
    }
  }
  for (const { batch } of [...batches.values()].flat()) {
    shareOfOwner.set(batchAccount(batch.shareId, batch.lineKey).owner, batch.shareId);
  }
  const postings = await balancesOf(db, [...shareOfOwner.keys()]);
  return group(postings, (posting) => shareOfOwner.get(posting.owner)!);
}
