'use client';

import { Select } from 'antd';
import { useRouter } from 'next/navigation';
import { useTransition } from 'react';
import { counted } from '@/core/quantity/counted';
import type { Fact, YieldFilter } from '@/core/yields/filter';
import type { YieldsView } from '@/server/yields';
import styles from './Yields.module.css';

const ANY: Readonly<Record<Fact, string>> = {
  boneState: 'bone-in, mixed or boneless',
  school: 'any break',
  type: 'any finish',
  farmId: 'every farm',
  part: 'any part',
  cutterId: 'whoever cut it',
};
const NAMES: Readonly<Record<Fact, string>> = {
  boneState: 'Bone state',
  school: 'Break',
  type: 'Finish or type',
  farmId: 'Farm',
  part: 'Part',
  cutterId: 'Who cut it',
};
const ORDER: readonly Fact[] = ['part', 'boneState', 'school', 'type', 'farmId', 'cutterId'];

/** The address of a choice; what is not chosen is not in it. */
export function addressOf(filter: Partial<YieldFilter> & { readonly shareId?: string }): string {
  const said = Object.entries(filter).filter(([, value]) => value !== '');
  return `/yields?${new URLSearchParams(said as [string, string][]).toString()}`;
}

/** What is looked at, as a sentence whose words are chosen. */
export function FilterSentence({ view }: { view: YieldsView }) {
  const { filter, species, choices, shares, animals } = view;
  const router = useRouter();
  const [isGoing, go] = useTransition();
  const choose = (change: Partial<YieldFilter>) => go(() => router.push(addressOf({ ...filter, ...change })));
  return (
    <p className={styles.sentence} aria-busy={isGoing}>
      <Select
        aria-label="Species"
        value={filter.species}
        popupMatchSelectWidth={false}
        onChange={(value) => choose({ ...NOTHING, farmId: filter.farmId, species: value })}
        options={species.map(({ id, label }) => ({ value: id, label }))}
      />
      {ORDER.filter((fact) => choices[fact].length > 0 || filter[fact] !== '').map((fact) => (
        <Select
          key={fact}
          aria-label={NAMES[fact]}
          value={filter[fact]}
          popupMatchSelectWidth={false}
          onChange={(value) => choose({ [fact]: value })}
          options={[
            { value: '', label: ANY[fact] },
            ...choices[fact].map(({ id, label, of }) => ({ value: id, label: `${label} (${of})` })),
          ]}
        />
      ))}
      <label>
        closed since{' '}
        <input
          type="date"
          value={filter.since}
          onChange={({ target }) => choose({ since: target.value as YieldFilter['since'] })}
        />
      </label>
      <span className="quiet">
        {counted(shares, 'share')} of {counted(animals, 'animal')}
      </span>
    </p>
  );
}

/** Another species has other facts; the farm may be the same. */
const NOTHING: Omit<YieldFilter, 'species'> = {
  boneState: '',
  farmId: '',
  type: '',
  school: '',
  part: '',
  cutterId: '',
  since: '',
};
