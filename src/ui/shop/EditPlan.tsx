'use client';

import { Button, Checkbox, Form, Input, InputNumber } from 'antd';
import { degreeSign, ownDegrees, toFahrenheit } from '@/core/quantity/degrees';
import type { WeighingUnit } from '@/core/quantity/weight';
import type { SmokePlan } from '@/core/smokehouse/plan';
import { AskDialog } from '../kit/AskDialog';
import type { FieldProblem } from '../kit/asking';
import type { Question } from '../kit/useAsk';
import { idOf } from './idOf';
import styles from './SetUp.module.css';

/** What is offered first: ground meat and what is unknown. */
const COOKED = { over: 160, minutes: 0 } as const;

type Values = {
  name: string;
  label: string;
  lethal: { over: number; minutes: number }[];
  cooling: { from: number; to: number; hours: number }[];
  ground: boolean;
  curedOnly: boolean;
};

type Props = { unit: WeighingUnit; plan?: SmokePlan; onDone: () => void; onClose: () => void };

/** A plan of the smokehouse: any one of its heats is enough, every stretch of cooling is kept. */
export function EditPlan({ unit, plan, onDone, onClose }: Props) {
  const own = (fahrenheit: number) => Math.round(ownDegrees(fahrenheit, unit));
  const kept = (degrees: number) => Math.round(toFahrenheit(degrees, unit));
  const sign = degreeSign(unit);
  const initial: Values = {
    name: plan?.name ?? '',
    label: plan?.label ?? '',
    lethal: (plan?.lethal ?? [COOKED]).map(({ over, minutes }) => ({ over: own(over), minutes })),
    cooling: (plan?.cooling ?? []).map(({ from, to, minutes }) => ({
      from: own(from),
      to: own(to),
      hours: minutes / 60,
    })),
    ground: plan?.ground ?? false,
    curedOnly: plan?.curedOnly ?? false,
  };
  return (
    <AskDialog
      title={plan ? plan.name : 'A plan of our own'}
      asks="changeSetUp"
      width={560}
      initial={initial}
      question={({
        name,
        label,
        lethal,
        cooling,
        ground,
        curedOnly,
      }): Question<'changeSetUp'> | FieldProblem => {
        if (name.trim() === '') return { field: 'name', message: 'It needs a name.' };
        if (label.trim() === '') return { field: 'label', message: 'Say whether it is cooked.' };
        return {
          change: {
            kind: 'smoke-plan',
            plan: {
              ...{ id: plan?.id ?? `own-${idOf(name)}`, name: name.trim(), label: label.trim() },
              lethal: lethal.map(({ over, minutes }) => ({ over: kept(over), minutes })),
              cooling: cooling.map(({ from, to, hours }) => ({
                from: kept(from),
                to: kept(to),
                minutes: Math.round(hours * 60),
              })),
              ...(ground ? { ground: true } : {}),
              ...(curedOnly ? { curedOnly: true } : {}),
            },
          },
        };
      }}
      does="Keep it"
      onDone={onDone}
      onClose={onClose}
    >
      <Form.Item name="name" label="Its name">
        <Input maxLength={60} autoFocus />
      </Form.Item>
      <Form.Item name="label" label="What labels say of it">
        <Input maxLength={80} placeholder="Smoked and cooked." />
      </Form.Item>
      <Stretches
        name="lethal"
        title="It gets over, any one of these; none for what is not cooked"
        fields={[
          ['over', sign],
          ['minutes', 'min'],
        ]}
        another={{ over: own(COOKED.over), minutes: 0 }}
      />
      <Stretches
        name="cooling"
        title="It cools, each of these"
        fields={[
          ['from', `${sign} to`],
          ['to', `${sign} within`],
          ['hours', 'h'],
        ]}
        another={{ from: own(130), to: own(80), hours: 5 }}
      />
      <Form.Item name="ground" valuePropName="checked" noStyle>
        <Checkbox>ground meat may go by it</Checkbox>
      </Form.Item>
      <Form.Item name="curedOnly" valuePropName="checked" noStyle>
        <Checkbox>only for meat with nitrite</Checkbox>
      </Form.Item>
      <p className="quiet">Follow your plan and local code: the program decides nothing.</p>
    </AskDialog>
  );
}

type StretchesProps = {
  name: string;
  title: string;
  fields: readonly (readonly [string, string])[];
  another: object;
};

function Stretches({ name, title, fields, another }: StretchesProps) {
  return (
    <Form.List name={name}>
      {(rows, { add, remove }) => (
        <div>
          <p>{title}</p>
          {rows.map((row) => (
            <div key={row.key} className={styles.partRow}>
              {fields.map(([field, unit]) => (
                <span key={field}>
                  <Form.Item name={[row.name, field]} noStyle>
                    <InputNumber aria-label={`${title}: ${field}`} min={0} max={5000} style={{ width: 90 }} />
                  </Form.Item>{' '}
                  {unit}{' '}
                </span>
              ))}
              <Button size="small" onClick={() => remove(row.name)}>
                out
              </Button>
            </div>
          ))}
          <Button size="small" onClick={() => add(another)}>
            Another
          </Button>
        </div>
      )}
    </Form.List>
  );
}
