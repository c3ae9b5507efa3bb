'use client';

import { Button, Form, Input } from 'antd';
import { useState } from 'react';
import type { FoundOnSide } from '@/server/hang';
import { AskDialog } from '../kit/AskDialog';
import styles from './HangScreen.module.css';

/** What was found on a side, with its photographs; each can be withdrawn with a reason. */
export function FoundList({ found }: { found: readonly FoundOnSide[] }) {
  const [withdrawn, setWithdrawn] = useState<FoundOnSide>();
  return (
    <>
      <ul className={styles.found}>
        {found.map((each) => (
          <li key={each.id}>
            {each.words}{' '}
            {each.photoId && (
              <a href={`/api/photo/${each.photoId}`} target="_blank" rel="noreferrer">
                photo
              </a>
            )}{' '}
            <Button size="small" type="link" onClick={() => setWithdrawn(each)}>
              withdraw
            </Button>
          </li>
        ))}
      </ul>
      {withdrawn && (
        <AskDialog
          title={`Withdraw: ${withdrawn.words}`}
          asks="withdrawFound"
          does="Withdraw it"
          initial={{ reason: '' }}
          question={({ reason }) => ({ foundId: withdrawn.id, reason })}
          onDone={() => setWithdrawn(undefined)}
          onClose={() => setWithdrawn(undefined)}
        >
          <Form.Item name="reason" label="Why it was no finding">
            <Input maxLength={200} />
          </Form.Item>
          <p className="quiet">It stays in the book; the forecast goes without it.</p>
        </AskDialog>
      )}
    </>
  );
}
