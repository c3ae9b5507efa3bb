'use client';

import { Checkbox, DatePicker, Form, Input, Select } from 'antd';
import type { BookableSpecies } from '@/server/book';
import type { BookingFields } from './booking';
import styles from './BookScreen.module.css';

type Choice = { readonly id: string; readonly label: string };

const INSPECTIONS = [
  { value: 'custom-exempt', label: 'custom exempt, not for sale' },
  { value: 'inspected', label: 'inspected' },
];

/** The choices of a species, with the usual one first. */
function withUsual(choices: readonly Choice[], usual: string) {
  return [{ value: '', label: usual }, ...choices.map(({ id, label }) => ({ value: id, label }))];
}

function boxes(choices: readonly Choice[]) {
  return choices.map(({ id, label }) => ({ value: id, label }));
}

/** What is asked of the animal and its farm. */
export function AnimalFields({ species }: { species: readonly BookableSpecies[] }) {
  const form = Form.useFormInstance<BookingFields>();
  const id = Form.useWatch(['animal', 'species'], form);
  const chosen = species.find((each) => each.id === id) ?? species[0]!;
  /** What was said of another species does not hold for this one. */
  const forget = () =>
    form.setFields([
      { name: ['animal', 'addOns'], value: [] },
      { name: ['animal', 'carcass', 'school'], value: '' },
      { name: ['animal', 'carcass', 'condition', 'type'], value: '' },
      { name: ['animal', 'carcass', 'condition', 'flags'], value: [] },
    ]);
  return (
    <>
      <div className={styles.row}>
        <Form.Item name={['animal', 'tag']} label="Tag">
          <Input autoFocus autoComplete="off" />
        </Form.Item>
        <Form.Item name={['animal', 'species']} label="Species">
          <Select onChange={forget} options={species.map((each) => ({ value: each.id, label: each.name }))} />
        </Form.Item>
        <Form.Item name={['animal', 'killDate']} label="Kill day">
          <DatePicker format="YYYY-MM-DD" placeholder="year-month-day" style={{ width: '100%' }} />
        </Form.Item>
        <Form.Item name={['animal', 'sex']} label="Sex">
          <Input autoComplete="off" />
        </Form.Item>
      </div>
      <div className={styles.row}>
        <Form.Item name={['farm', 'name']} label="Farm, the animal’s owner until it is sold">
          <Input autoComplete="off" />
        </Form.Item>
        <Form.Item name={['farm', 'phone']} label="Farm’s phone">
          <Input inputMode="tel" autoComplete="off" />
        </Form.Item>
      </div>
      <div className={styles.wideRow}>
        <Form.Item name={['animal', 'inspection']} label="Inspection">
          <Select options={INSPECTIONS} popupMatchSelectWidth={false} />
        </Form.Item>
        <Form.Item
          name={['animal', 'carcass', 'condition', 'type']}
          label="Finish, breed type or age"
          initialValue=""
        >
          <Select options={withUsual(chosen.types, 'as usual')} popupMatchSelectWidth={false} />
        </Form.Item>
        <Form.Item name={['animal', 'carcass', 'school']} label="Broken the way of" initialValue="">
          <Select options={withUsual(chosen.schools, 'this shop')} popupMatchSelectWidth={false} />
        </Form.Item>
      </div>
      {chosen.flags.length > 0 && (
        <Form.Item name={['animal', 'carcass', 'condition', 'flags']} label="True of this animal">
          <Checkbox.Group options={boxes(chosen.flags)} />
        </Form.Item>
      )}
      {chosen.addOns.length > 0 && (
        <Form.Item name={['animal', 'addOns']} label="Left on and weighed in">
          <Checkbox.Group options={boxes(chosen.addOns)} />
        </Form.Item>
      )}
    </>
  );
}
