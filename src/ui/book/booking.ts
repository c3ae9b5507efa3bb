import type { Dayjs } from 'dayjs';
import type { OrderDocument, PersonDocument, ShareDocument } from '@/core/order/document';
import type { WeighingUnit } from '@/core/quantity/weight';

type Named = { name?: string; phone?: string };

/** One household as it stands in the form: whoever differs from the eater is named, nobody else. */
export type HouseholdFields = {
  owner?: Named;
  payer?: Named;
  contact?: Named;
  deposit?: string;
  sheet?: { houseForTheRest?: boolean };
};

/** What stands in the booking form; its fields are named as the order file has them, so that problems find them. */
export type BookingFields = {
  animal: {
    tag?: string;
    species: string;
    sex?: string;
    killDate?: Dayjs | null;
    inspection: 'custom-exempt' | 'inspected';
    addOns?: string[];
    carcass?: { school?: string; condition?: { type?: string; flags?: string[] } };
  };
  farm?: Named;
  split: 'halves' | 'whole';
  shares: HouseholdFields[];
};

export function emptyBooking(species: string): BookingFields {
  return { animal: { species, inspection: 'custom-exempt' }, split: 'halves', shares: [{}, {}] };
}

/** Fields left blank are left out of the document, so that the house can say which are missing. */
function personOf(said: Named | undefined): PersonDocument {
  const phone = said?.phone?.trim();
  return { name: said?.name?.trim() ?? '', ...(phone ? { phone } : {}) };
}

function shareOf(part: ShareDocument['part'], fields: HouseholdFields): ShareDocument {
  const { payer, contact } = fields;
  const deposit = fields.deposit?.trim() ?? '';
  return {
    part,
    owner: personOf(fields.owner),
    ...(payer?.name?.trim() ? { payer: personOf(payer) } : {}),
    ...(contact?.name?.trim() ? { contact: personOf(contact) } : {}),
    // What is no number goes as it was typed: the house says so on the field.
    ...(deposit ? { deposit: (Number.isFinite(Number(deposit)) ? Number(deposit) : deposit) as number } : {}),
    ...(fields.sheet?.houseForTheRest ? { sheet: { houseForTheRest: true } } : {}),
  };
}

/** What is said of the carcass; nothing when nothing is. */
function carcassOf({ carcass }: BookingFields['animal']): Pick<OrderDocument['animal'], 'carcass'> {
  const { type, flags = [] } = carcass?.condition ?? {};
  const condition = { ...(type ? { type } : {}), ...(flags.length > 0 ? { flags } : {}) };
  const said = {
    ...(carcass?.school ? { school: carcass.school } : {}),
    ...(Object.keys(condition).length > 0 ? { condition } : {}),
  };
  return Object.keys(said).length > 0 ? { carcass: said } : {};
}

/** The order that the form stands for, as an open order file would say it. */
export function documentOf(fields: BookingFields, unit: WeighingUnit): OrderDocument {
  const { animal, farm, split, shares } = fields;
  const [first = {}, second = {}] = shares;
  const sex = animal.sex?.trim();
  return {
    format: 'fractum.order',
    version: 1,
    unit,
    farm: personOf(farm),
    animal: {
      tag: animal.tag?.trim() ?? '',
      species: animal.species,
      killDate: animal.killDate?.format('YYYY-MM-DD') ?? '',
      inspection: animal.inspection,
      addOns: animal.addOns ?? [],
      ...carcassOf(animal),
      ...(sex ? { sex } : {}),
    },
    shares:
      split === 'whole' ? [shareOf('whole', first)] : [shareOf('left', first), shareOf('right', second)],
  };
}
