'use client';

import { Button, Checkbox, Input, Segmented, Select } from 'antd';
import { useState } from 'react';
import type { OrderDocument, PersonDocument, ShareDocument } from '@/core/order/document';
import type { Failure } from '@/core/quantity/result';
import type { WeighingUnit } from '@/core/quantity/weight';
import styles from './BookScreen.module.css';

export type SpeciesChoice = {
  readonly id: string;
  readonly name: string;
  readonly addOns: readonly { readonly id: string; readonly label: string }[];
};

type Household = {
  name: string;
  phone: string;
  payer: string;
  contact: string;
  deposit: string;
  house: boolean;
};

const NOBODY: Household = { name: '', phone: '', payer: '', contact: '', deposit: '', house: false };

type Draft = {
  tag: string;
  species: string;
  sex: string;
  killDate: string;
  inspection: 'custom-exempt' | 'inspected';
  addOns: string[];
  farm: string;
  farmPhone: string;
  split: 'halves' | 'whole';
  households: [Household, Household];
};

type Props = {
  unit: WeighingUnit;
  species: readonly SpeciesChoice[];
  problem: Failure | null;
  onBook: (document: OrderDocument) => Promise<boolean>;
};

function emptyDraft(species: string): Draft {
  return {
    tag: '',
    species,
    sex: '',
    killDate: '',
    inspection: 'custom-exempt',
    addOns: [],
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

function documentOf(draft: Draft, unit: WeighingUnit): OrderDocument {
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
      ...(draft.sex.trim() ? { sex: draft.sex.trim() } : {}),
    },
    shares:
      draft.split === 'whole'
        ? [shareOf('whole', first)]
        : [shareOf('left', first), shareOf('right', second)],
  };
}

/** One animal, its farm, and the households that bought it. */
export function BookingForm({ unit, species, problem, onBook }: Props) {
  const [draft, setDraft] = useState(() => emptyDraft(species[0]!.id));
  const [busy, setBusy] = useState(false);
  const change = (part: Partial<Draft>) => setDraft((before) => ({ ...before, ...part }));
  const wrong = new Set((problem?.problems ?? [problem]).map((each) => each?.field));
  const status = (field: string) => (wrong.has(field) ? { status: 'error' as const } : {});
  const addOns = species.find((each) => each.id === draft.species)?.addOns ?? [];

  function changeHousehold(index: 0 | 1, part: Partial<Household>) {
    const households: Draft['households'] = [...draft.households];
    households[index] = { ...households[index], ...part };
    change({ households });
  }

  async function send() {
    setBusy(true);
    if (await onBook(documentOf(draft, unit))) setDraft(emptyDraft(draft.species));
    setBusy(false);
  }

  return (
    <form
      onSubmit={(event) => {
        event.preventDefault();
        void send();
      }}
    >
      <div className={styles.row}>
        <div>
          <label htmlFor="tag">Tag</label>
          <Input
            id="tag"
            value={draft.tag}
            {...status('animal.tag')}
            onChange={(e) => change({ tag: e.target.value })}
          />
        </div>
        <div>
          <label htmlFor="species">Species</label>
          <Select
            id="species"
            value={draft.species}
            onChange={(value) => change({ species: value, addOns: [] })}
            options={species.map((each) => ({ value: each.id, label: each.name }))}
            style={{ width: '100%' }}
          />
        </div>
        <div>
          <label htmlFor="kill-date">Kill day</label>
          <Input
            id="kill-date"
            type="date"
            value={draft.killDate}
            {...status('animal.killDate')}
            onChange={(e) => change({ killDate: e.target.value })}
          />
        </div>
        <div>
          <label htmlFor="sex">Sex</label>
          <Input id="sex" value={draft.sex} onChange={(e) => change({ sex: e.target.value })} />
        </div>
      </div>
      <div className={styles.row}>
        <div>
          <label htmlFor="farm">Farm, the animal’s owner until it is sold</label>
          <Input
            id="farm"
            value={draft.farm}
            {...status('farm.name')}
            onChange={(e) => change({ farm: e.target.value })}
          />
        </div>
        <div>
          <label htmlFor="farm-phone">Farm’s phone</label>
          <Input
            id="farm-phone"
            value={draft.farmPhone}
            onChange={(e) => change({ farmPhone: e.target.value })}
          />
        </div>
        <div>
          <label htmlFor="inspection">Inspection</label>
          <Select
            id="inspection"
            value={draft.inspection}
            {...status('animal.inspection')}
            onChange={(value) => change({ inspection: value })}
            options={[
              { value: 'custom-exempt', label: 'custom exempt, not for sale' },
              { value: 'inspected', label: 'inspected' },
            ]}
            style={{ width: '100%' }}
          />
        </div>
      </div>
      {addOns.length > 0 && (
        <div className={styles.row}>
          <div>
            <span className={styles.fieldName} id="left-on">
              Left on and weighed in
            </span>
            <Checkbox.Group
              aria-labelledby="left-on"
              value={draft.addOns}
              onChange={(values) => change({ addOns: values as string[] })}
              options={addOns.map((addOn) => ({ value: addOn.id, label: addOn.label }))}
            />
          </div>
        </div>
      )}
      <div className={styles.households}>
        <h2>Who eats it</h2>
        <Segmented
          value={draft.split}
          onChange={(value) => change({ split: value as Draft['split'] })}
          options={[
            { value: 'halves', label: 'two halves' },
            { value: 'whole', label: 'one whole' },
          ]}
        />
      </div>
      {([0, 1] as const).slice(0, draft.split === 'whole' ? 1 : 2).map((index) => (
        <HouseholdFields
          key={index}
          index={index}
          title={draft.split === 'whole' ? 'The whole animal' : index === 0 ? 'Left half' : 'Right half'}
          household={draft.households[index]}
          wrong={wrong.has(`shares.${index}.owner.name`)}
          onChange={(part) => changeHousehold(index, part)}
        />
      ))}
      <Button type="primary" htmlType="submit" loading={busy} className={styles.send}>
        Book it in
      </Button>
    </form>
  );
}

type HouseholdProps = {
  index: number;
  title: string;
  household: Household;
  wrong: boolean;
  onChange: (part: Partial<Household>) => void;
};

/** The eater, and only where they differ, who pays and whom to call. */
function HouseholdFields({ index, title, household, wrong, onChange }: HouseholdProps) {
  const field = (
    key: 'name' | 'phone' | 'payer' | 'contact' | 'deposit',
    label: string,
    placeholder = '',
  ) => (
    <div>
      <label htmlFor={`${key}-${index}`}>{label}</label>
      <Input
        id={`${key}-${index}`}
        value={household[key]}
        placeholder={placeholder}
        inputMode={key === 'deposit' ? 'decimal' : 'text'}
        {...(wrong && key === 'name' ? { status: 'error' as const } : {})}
        onChange={(event) => onChange({ [key]: event.target.value })}
      />
    </div>
  );
  return (
    <div className={styles.household}>
      <b>{title}</b>
      <div className={styles.row}>
        {field('name', 'Household that eats it')}
        {field('phone', 'Phone')}
        {field('deposit', 'Deposit')}
      </div>
      <div className={styles.row}>
        {field('payer', 'Who pays', 'the same')}
        {field('contact', 'Whom to call', 'the same')}
        <div style={{ alignSelf: 'end' }}>
          <Checkbox checked={household.house} onChange={(event) => onChange({ house: event.target.checked })}>
            start from the house sheet
          </Checkbox>
        </div>
      </div>
    </div>
  );
}
