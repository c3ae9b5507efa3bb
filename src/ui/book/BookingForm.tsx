'use client';

import { Button, Checkbox, Form, Input, Segmented } from 'antd';
import { useEffect, type ReactNode } from 'react';
import type { OrderDocument } from '@/core/order/document';
import type { Failure } from '@/core/quantity/result';
import type { WeighingUnit } from '@/core/quantity/weight';
import type { BookableSpecies } from '@/server/book';
import { AnimalFields } from './AnimalFields';
import { documentOf, emptyBooking, type BookingFields } from './booking';
import styles from './BookScreen.module.css';

/** The first field that something is wrong with. */
const WRONG = '.ant-form-item-has-error input';

type Props = {
  unit: WeighingUnit;
  species: readonly BookableSpecies[];
  problem: Failure<string> | null;
  busy: boolean;
  /** @returns whether it was booked: the form is empty again */
  onBook: (document: OrderDocument) => Promise<boolean>;
};

/** One animal, its farm, and the households that bought it. What is wrong stands on its field. */
export function BookingForm({ unit, species, problem, busy, onBook }: Props) {
  const [form] = Form.useForm<BookingFields>();
  const split = Form.useWatch('split', form) ?? 'halves';

  useEffect(() => {
    const said =
      problem?.problems ?? (problem?.field ? [{ field: problem.field, message: problem.message }] : []);
    const marks = said.map(({ field, message }) => ({ name: nameOf(field), errors: [message] }));
    form.setFields(marks as Parameters<typeof form.setFields>[0]);
    // The first on the page, whichever the house named first; it is marked in the next frame.
    if (marks.length > 0) requestAnimationFrame(() => document.querySelector<HTMLElement>(WRONG)?.focus());
  }, [form, problem]);

  async function send(fields: BookingFields) {
    if (!(await onBook(documentOf(fields, unit)))) return;
    form.resetFields();
    form.setFieldValue(['animal', 'species'], fields.animal.species);
    form.focusField(['animal', 'tag']);
  }

  return (
    <Form
      form={form}
      layout="vertical"
      requiredMark={false}
      disabled={busy}
      initialValues={emptyBooking(species[0]!.id)}
      onFinish={(fields) => void send(fields)}
    >
      <AnimalFields species={species} />
      <div className={styles.households}>
        <h2>Who eats it</h2>
        <Form.Item name="split" noStyle>
          <Segmented
            aria-label="How it is sold"
            options={[
              { value: 'halves', label: 'two halves' },
              { value: 'whole', label: 'one whole' },
            ]}
          />
        </Form.Item>
      </div>
      {split === 'whole' ? (
        <Household at={0} title="The whole animal" />
      ) : (
        <>
          <Household at={0} title="Left half" />
          <Household at={1} title="Right half" />
        </>
      )}
      <Button type="primary" htmlType="submit" loading={busy} className={styles.send!}>
        Book it in
      </Button>
    </Form>
  );
}

/** The field of the form that a field of the document stands in; numbers are places in a list. */
function nameOf(field: string): (string | number)[] {
  return field
    .replace(/^document\./, '')
    .split('.')
    .map((part) => (/^\d+$/.test(part) ? Number(part) : part));
}

/** The eater, and only where they differ, who pays and whom to call. */
function Household({ at, title }: { at: number; title: string }) {
  const field = (path: readonly string[], label: string, input: ReactNode) => (
    <Form.Item name={['shares', at, ...path]} label={label}>
      {input}
    </Form.Item>
  );
  return (
    <div role="group" aria-label={title} className={styles.household}>
      <b>{title}</b>
      <div className={styles.row}>
        {field(['owner', 'name'], 'Household that eats it', <Input autoComplete="off" />)}
        {field(['owner', 'phone'], 'Phone', <Input inputMode="tel" autoComplete="off" />)}
        {field(['deposit'], 'Deposit', <Input inputMode="decimal" autoComplete="off" />)}
      </div>
      <div className={styles.row}>
        {field(['payer', 'name'], 'Who pays', <Input placeholder="the same" autoComplete="off" />)}
        {field(['contact', 'name'], 'Whom to call', <Input placeholder="the same" autoComplete="off" />)}
        <Form.Item name={['shares', at, 'sheet', 'houseForTheRest']} valuePropName="checked" label=" ">
          <Checkbox>start from the house sheet</Checkbox>
        </Form.Item>
      </div>
    </div>
  );
}
