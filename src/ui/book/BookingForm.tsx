'use client';

import { Button, Checkbox, Input, Segmented } from 'antd';
import { useState } from 'react';
import type { OrderDocument } from '@/core/order/document';
import type { Failure } from '@/core/quantity/result';
import type { WeighingUnit } from '@/core/quantity/weight';
import { AnimalFields } from './AnimalFields';
import type { BookableSpecies } from '@/server/book';
import { documentOf, emptyDraft, type Draft, type Household } from './bookingDraft';
import styles from './BookScreen.module.css';

type Props = {
  unit: WeighingUnit;
  species: readonly BookableSpecies[];
  problem: Failure | null;
  onBook: (document: OrderDocument) => Promise<boolean>;
};

/** One animal, its farm, and the households that bought it. */
export function BookingForm({ unit, species, problem, onBook }: Props) {
  const [draft, setDraft] = useState(() => emptyDraft(species[0]!.id));
  const [busy, setBusy] = useState(false);
  const change = (part: Partial<Draft>) => setDraft((before) => ({ ...before, ...part }));
  const wrong = new Set((problem?.problems ?? [problem]).map((each) => each?.field));

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
      <AnimalFields draft={draft} species={species} wrong={wrong} onChange={change} />
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
