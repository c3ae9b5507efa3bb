import type { ShareId } from '@/core/order/animal';
import type { OrderDocument, PersonDocument, ShareDocument } from '@/core/order/document';
import type { WeighingUnit } from '@/core/quantity/weight';
import { pctOf, type AnimalDraft, type Call, type ShareDraft } from './call';

function personOf(name: string, phone = ''): PersonDocument {
  return { name: name.trim(), ...(phone.trim() ? { phone: phone.trim() } : {}) };
}

/** What is no number goes as it was typed: the house says so on its field. */
function numberOr(text: string): number {
  const said = text.trim().replace(',', '.');
  return (Number.isFinite(Number(said)) ? Number(said) : text) as number;
}

function shareOf(draft: ShareDraft): ShareDocument {
  const pct = pctOf(draft);
  return {
    part: draft.part,
    ...(pct === 100 ? {} : { sharePct: numberOr(draft.sharePct) }),
    owner: personOf(draft.name, draft.phone),
    ...(draft.payer.trim() ? { payer: personOf(draft.payer) } : {}),
    ...(draft.contact.trim() ? { contact: personOf(draft.contact) } : {}),
    ...(draft.deposit.trim() ? { deposit: numberOr(draft.deposit) } : {}),
    ...(draft.sheet === 'house' ? { sheet: { houseForTheRest: true } } : {}),
  };
}

function carcassOf({ school, type, rite, flags }: AnimalDraft): Pick<OrderDocument['animal'], 'carcass'> {
  const condition = {
    ...(type ? { type } : {}),
    ...(rite ? { rite: rite as 'halal' } : {}),
    ...(flags.length > 0 ? { flags } : {}),
  };
  const said = { ...(school ? { school } : {}), ...(Object.keys(condition).length > 0 ? { condition } : {}) };
  return Object.keys(said).length > 0 ? { carcass: said } : {};
}

function factsOf({ breed, months, grade, live }: AnimalDraft): Pick<OrderDocument['animal'], 'facts'> {
  const facts = {
    ...(breed.trim() ? { breed: breed.trim() } : {}),
    ...(months.trim() ? { months: numberOr(months) } : {}),
    ...(grade.trim() ? { grade: grade.trim() } : {}),
    ...(live.trim() ? { liveWeight: numberOr(live) } : {}),
  };
  return Object.keys(facts).length > 0 ? { facts } : {};
}

/** The order of one animal of a call. */
export function documentOf(call: Call, animal: AnimalDraft, unit: WeighingUnit): OrderDocument {
  const unsold = animal.shares.filter((share) => share.unsold);
  return {
    format: 'fractum.order',
    version: 1,
    unit,
    farm: personOf(call.farm.name, call.farm.phone),
    animal: {
      tag: animal.tag.trim(),
      species: animal.species,
      killDate: call.killDate,
      inspection: call.inspection,
      ...(animal.sex.trim() ? { sex: animal.sex.trim() } : {}),
      ...factsOf(animal),
      ...(animal.unsplit ? { unsplit: true } : {}),
      ...(animal.addOns.length > 0 ? { addOns: animal.addOns } : {}),
      ...carcassOf(animal),
    },
    shares: animal.shares.filter((share) => !share.unsold).map(shareOf),
    ...(unsold.length > 0
      ? {
          unsold: unsold.map(({ part, sharePct }) => ({
            part,
            ...(sharePct === '100' ? {} : { sharePct: numberOr(sharePct) }),
          })),
        }
      : {}),
  };
}

/** The shares that are sold, each with its place in the documents: `0.1`. */
function soldShares({ animals }: Call): [place: string, share: ShareDraft][] {
  return animals.flatMap(({ shares }, at) =>
    shares
      .filter((share) => !share.unsold)
      .map((share, place): [string, ShareDraft] => [`${at}.${place}`, share]),
  );
}

/** Shares that are asked to be as last time, by their place. */
export function lastTimesOf(call: Call): Record<string, ShareId> {
  return Object.fromEntries(
    soldShares(call).flatMap(([place, { sheet, known }]) =>
      sheet === 'last' && known?.last ? [[place, known.last.shareId]] : [],
    ),
  );
}

/** Codes of sheets that were tried before, by the place of their share. */
export function triedOf(call: Call): Record<string, string> {
  return Object.fromEntries(
    soldShares(call).flatMap(([place, { sheet, code }]) => (sheet === 'tried' ? [[place, code]] : [])),
  );
}
