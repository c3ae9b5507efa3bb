'use client';

import { Form, Input } from 'antd';
import { useState } from 'react';
import type { SaidChange } from '@/server/shop';
import { AskDialog } from '../kit/AskDialog';
import styles from './SheetScreen.module.css';

type HouseChange = Extract<SaidChange, { readonly kind: 'house' | 'keep' }>;

type Props = {
  /** What is said of it, in words: `Butt: steaks, 1 inch`. */
  what: string;
  /** Why the house says otherwise until now. */
  reason: string;
  /** The step, with the reason that is typed; or why there is none. */
  step: (reason: string) => HouseChange | string;
};

type Typed = { readonly says: string };

/** An owner's way from an answer to the house's own: from then on it stands on new sheets, with its reason. */
export function HouseSays({ what, reason, step }: Props) {
  const [asking, setAsking] = useState(false);
  const [taken, setTaken] = useState('');
  if (taken === what) {
    return (
      <p className={styles.remark} role="status">
        The house says so from now on. Sheets that were begun keep what held then.
      </p>
    );
  }
  return (
    <p>
      <button type="button" className={styles.link} onClick={() => setAsking(true)}>
        Make this the house’s answer
      </button>
      {asking && (
        <AskDialog
          title={`The house says: ${what}`}
          asks="changeSetUp"
          does="Say so from now on"
          initial={{ says: '' } as Typed}
          question={({ says }) => {
            const change = step(says.trim());
            return typeof change === 'string' ? { field: 'says', message: change } : { change };
          }}
          onDone={() => {
            setTaken(what);
            setAsking(false);
          }}
          onClose={() => setAsking(false)}
        >
          <Form.Item
            name="says"
            label="Why, as the customer reads it"
            rules={[{ required: true, whitespace: true, message: 'A reason is shown to the customer.' }]}
          >
            <Input autoFocus maxLength={200} placeholder={`until now: ${reason}`} />
          </Form.Item>
        </AskDialog>
      )}
    </p>
  );
}
