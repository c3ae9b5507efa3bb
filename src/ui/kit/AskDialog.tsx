'use client';

import { Button, Form, Input, type FormInstance } from 'antd';
import { useEffect, useState, type ReactNode } from 'react';
import type { OutputOf, UseCaseName } from '@/server/useCases';
import { onFields, type FieldProblem } from './asking';
import { Dialog, focusMain } from './Dialog';
import styles from './Dialog.module.css';
import { Note } from './Note';
import { useAsk, type Question } from './useAsk';

/** What the dialog itself finds out: a second yes to what is out of the ordinary, and a reason where one is asked. */
export type Second = { readonly sure: boolean; readonly reason: string };

type Props<Name extends UseCaseName, Values extends object> = {
  title: ReactNode;
  asks: Name;
  /** What is asked, from what stands in the fields, or what is wrong with a field. Fields are named as the house does. */
  question: (values: Values, second: Second) => Question<Name> | FieldProblem;
  initial: Values;
  /** What the main button does, in the trade's words. */
  does: string;
  /** Whether there is nothing to ask yet, or something else must come first. */
  disabled?: boolean;
  width?: number;
  onDone: (output: OutputOf<Name>) => void;
  onClose: () => void;
  /** The fields; a function when they depend on what stands in them. */
  children: ReactNode | ((values: Values) => ReactNode);
};

/** The main button, as a place for the hand. */
const MAIN = '';

function isProblem(said: object): said is FieldProblem {
  return 'field' in said && 'message' in said;
}

/**
 * The one way to ask for something with a few fields: Enter does what the main button says, what is wrong stands on its
 * field, something out of the ordinary is asked again, and a reason is asked for where the house wants one.
 */
export function AskDialog<Name extends UseCaseName, Values extends object>(props: Props<Name, Values>) {
  const { title, asks, question, initial, does, disabled = false, width, onDone, onClose, children } = props;
  const [form] = Form.useForm<Values & { reason?: string }>();
  const [values, setValues] = useState<Values>(initial);
  const { ask, busy, refusal, clear } = useAsk(asks);
  const [wantsReason, setWantsReason] = useState(false);
  const odd = refusal?.reason === 'unusual';
  /** Where the hand goes once the fields, which rest while it is asked, can be typed in again. */
  const [hand, setHand] = useState<string | null>(null);
  useEffect(() => {
    if (busy || hand === null) return;
    if (hand === MAIN) focusMain();
    else form.focusField(hand.split('.') as never);
  }, [busy, form, hand]);

  async function send(typed: Values & { reason?: string }) {
    const asked = question({ ...initial, ...typed }, { sure: odd, reason: (typed.reason ?? '').trim() });
    setHand(null);
    if (isProblem(asked)) {
      mark(form, [asked]);
      return setHand(asked.field);
    }
    const answer = await ask(asked);
    if (answer.ok) return onDone(answer.value);
    // It is safe on the device, and the head of the page says that it waits.
    if (answer.reason === 'kept') return onClose();
    const asksWhy = answer.field === 'reason' || answer.reason === 'needs-a-reason';
    if (asksWhy) setWantsReason(true);
    const { onField } = onFields(answer, fieldsOf(form));
    mark(form, onField);
    setHand(onField[0]?.field ?? (asksWhy ? null : MAIN));
  }

  return (
    <Dialog
      title={title}
      onClose={onClose}
      {...(width ? { width } : {})}
      around={(dialog) => (
        <Form
          form={form}
          layout="vertical"
          requiredMark={false}
          initialValues={initial}
          disabled={busy}
          onFinish={(typed) => void send(typed)}
          onValuesChange={(_, all) => {
            setValues({ ...initial, ...all });
            clear();
          }}
        >
          {dialog}
        </Form>
      )}
      footer={
        <div className={styles.foot}>
          <Button onClick={onClose}>Back</Button>
          <Button type="primary" htmlType="submit" loading={busy} disabled={disabled} data-main>
            {odd ? `It is right: ${does.toLowerCase()}` : does}
          </Button>
        </div>
      }
    >
      {typeof children === 'function' ? children(values) : children}
      {wantsReason && (
        <Form.Item name="reason" label="Why">
          <Input autoFocus maxLength={200} />
        </Form.Item>
      )}
      <Note failure={refusal} fields={['reason', ...Object.keys(initial)]} />
    </Dialog>
  );
}

function fieldsOf<Values>(form: FormInstance<Values>): string[] {
  return form.getFieldsError().map(({ name }) => name.join('.'));
}

function mark<Values>(form: FormInstance<Values>, problems: readonly FieldProblem[]): void {
  form.setFields(
    problems.map(({ field, message }) => ({ name: field.split('.') as never, errors: [message] })) as never,
  );
}
