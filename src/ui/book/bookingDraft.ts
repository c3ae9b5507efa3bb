import type { OrderDocument, PersonDocument, ShareDocument } from '@/core/order/document';
import type { WeighingUnit } from '@/core/quantity/weight';

/** What is typed for one household. */
export type Household = {
  name: string;
  phone: string;
  payer: string;
  contact: string;
  deposit: string;
  house: boolean;
};

const NOBODY: Household = { name: '', phone: '', payer: '', contact: '', deposit: '', house: false };

/** What stands in the booking form, as typed. */
export type Draft = {
  tag: string;
  species: string;
  sex: string;
  killDate: string;
  inspection: 'custom-exempt' | 'inspected';
  addOns: string[];
  /** Empty for the shop's usual way of breaking, and for the reference carcass. */
  school: string;
  type: string;
  flags: string[];
  farm: string;
  farmPhone: string;
  split: 'halves' | 'whole';
  households: [Household, Household];
};

export function emptyDraft(species: string): Draft {
  return {
    tag: '',
    species,
    sex: '',
    killDate: '',
    inspection: 'custom-exempt',
    addOns: [],
    school: '',
    type: '',
    flags: [],
    farm: '',
    farmPhone: '',
    split: 'halves',
    households: [{ ...NOBODY }, { ...NOBODY }],
  };
}

/** Fields left blank are left out of the document, so that the house can say which are missing. */
function personOf(name: string, phone: string): PersonDocument {
  return { name: name.trim(), ...(phone.trim() ? { phone: phone.trim() } : {}) };
}

function shareOf(part: ShareDocument['part'], household: Household): ShareDocument {
  return {
    part,
    owner: personOf(household.name, household.phone),
    ...(household.payer.trim() ? { payer: { name: household.payer.trim() } } : {}),
    ...(household.contact.trim() ? { contact: { name: household.contact.trim() } } : {}),
    ...(household.deposit.trim() ? { deposit: Number(household.deposit) } : {}),
    ...(household.house ? { sheet: { houseForTheRest: true } } : {}),
  };
}

/** What is said of the carcass; nothing when nothing is. */
function carcassOf({ school, type, flags }: Draft): Pick<OrderDocument['animal'], 'carcass'> {
  const condition = { ...(type ? { type } : {}), ...(flags.length > 0 ? { flags } : {}) };
  const carcass = {
    ...(school ? { school } : {}),
    ...(Object.keys(condition).length > 0 ? { condition } : {}),
  };
  return Object.keys(carcass).length > 0 ? { carcass } : {};
}

/** The order that a draft stands for, as an open order file would say it. */
export function documentOf(draft: Draft, unit: WeighingUnit): OrderDocument {
  const [first, second] = draft.households;
  return {
    format: 'fractum.order',
    version: 1,
    unit,
    farm: personOf(draft.farm, draft.farmPhone),
    animal: {
      tag: draft.tag.trim(),
      species: draft.species,
      killDate: draft.killDate,
      inspection: draft.inspection,
      addOns: draft.addOns,
      ...carcassOf(draft),
      ...(draft.sex.trim() ? { sex: draft.sex.trim() } : {}),
    },
    shares:
      draft.split === 'whole'
        ? [shareOf('whole', first)]
        : [shareOf('left', first), shareOf('right', second)],
  };
}
