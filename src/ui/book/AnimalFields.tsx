'use client';

import { Checkbox, Input, Select } from 'antd';
import type { ReactNode } from 'react';
import type { BookableSpecies } from '@/server/book';
import type { Draft } from './bookingDraft';
import styles from './BookScreen.module.css';

type Props = {
  draft: Draft;
  species: readonly BookableSpecies[];
  /** Fields of the order file that were refused. */
  wrong: ReadonlySet<string | undefined>;
  onChange: (part: Partial<Draft>) => void;
};

/** A field with its label above it. */
function Field({ id, label, children }: { id: string; label: string; children: ReactNode }) {
  return (
    <div>
      <label htmlFor={id}>{label}</label>
      {children}
    </div>
  );
}

/** The choices of a species, with the usual one first. */
function withUsual(choices: BookableSpecies['types'] | undefined, usual: string) {
  return [{ value: '', label: usual }, ...(choices ?? []).map(({ id, label }) => ({ value: id, label }))];
}

/** What is asked of the animal and its farm. */
export function AnimalFields({ draft, species, wrong, onChange: change }: Props) {
  const status = (field: string) => (wrong.has(field) ? { status: 'error' as const } : {});
  const chosen = species.find((each) => each.id === draft.species);
  const addOns = chosen?.addOns ?? [];
  const flags = chosen?.flags ?? [];
  return (
    <>
      <div className={styles.row}>
        <Field id="tag" label="Tag">
          <Input
            id="tag"
            value={draft.tag}
            {...status('animal.tag')}
            onChange={(e) => change({ tag: e.target.value })}
          />
        </Field>
        <Field id="species" label="Species">
          <Select
            id="species"
            value={draft.species}
            onChange={(value) => change({ species: value, addOns: [], school: '', type: '', flags: [] })}
            options={species.map((each) => ({ value: each.id, label: each.name }))}
            style={{ width: '100%' }}
          />
        </Field>
        <Field id="kill-date" label="Kill day">
          <Input
            id="kill-date"
            type="date"
            value={draft.killDate}
            {...status('animal.killDate')}
            onChange={(e) => change({ killDate: e.target.value })}
          />
        </Field>
        <Field id="sex" label="Sex">
          <Input id="sex" value={draft.sex} onChange={(e) => change({ sex: e.target.value })} />
        </Field>
      </div>
      <div className={styles.row}>
        <Field id="farm" label="Farm, the animal’s owner until it is sold">
          <Input
            id="farm"
            value={draft.farm}
            {...status('farm.name')}
            onChange={(e) => change({ farm: e.target.value })}
          />
        </Field>
        <Field id="farm-phone" label="Farm’s phone">
          <Input
            id="farm-phone"
            value={draft.farmPhone}
            onChange={(e) => change({ farmPhone: e.target.value })}
          />
        </Field>
      </div>
      <div className={styles.row}>
        <Field id="inspection" label="Inspection">
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
        </Field>
        <Field id="carcass-type" label="Finish, breed type or age">
          <Select
            id="carcass-type"
            value={draft.type}
            {...status('animal.carcass.condition.type')}
            onChange={(value) => change({ type: value })}
            options={withUsual(chosen?.types, 'as usual')}
            style={{ width: '100%' }}
          />
        </Field>
        <Field id="school" label="Broken and named the way of">
          <Select
            id="school"
            value={draft.school}
            {...status('animal.carcass.school')}
            onChange={(value) => change({ school: value })}
            options={withUsual(chosen?.schools, 'this shop')}
            style={{ width: '100%' }}
          />
        </Field>
      </div>
      {flags.length > 0 && (
        <div className={styles.row}>
          <div>
            <span className={styles.fieldName} id="carcass-flags">
              True of this animal
            </span>
            <Checkbox.Group
              aria-labelledby="carcass-flags"
              value={draft.flags}
              onChange={(values) => change({ flags: values as string[] })}
              options={flags.map((flag) => ({ value: flag.id, label: flag.label }))}
            />
          </div>
        </div>
      )}
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
    </>
  );
}
