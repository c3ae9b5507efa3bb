'use client';

import { Button, Input } from 'antd';
import { useState } from 'react';
import type { PriceList } from '@/core/charges/priceList';
import type { ListInHand } from '@/server/shop';
import { Dialog } from '../kit/Dialog';
import { Note } from '../kit/Note';
import { useAsk } from '../kit/useAsk';
import styles from './PricesScreen.module.css';

type Props = { list: PriceList; inHand?: ListInHand; onClose: () => void };

/** The list as a file, and the charges of a file into the list in hand. */
export function PriceFiles({ list, inHand, onClose }: Props) {
  const [text, setText] = useState('');
  const { ask, busy, refusal } = useAsk('importPrices');
  const href = (as: string) => `/api/prices/${encodeURIComponent(list.id)}?as=${as}`;
  return (
    <Dialog title={`${list.name} as a file`} onClose={onClose} width={640}>
      <p>
        <a href={href('csv')} download>
          Save as CSV, for a spreadsheet
        </a>
        {' · '}
        <a href={href('json')} download>
          Save as JSON
        </a>
      </p>
      {inHand ? (
        <>
          <label htmlFor="prices-text">
            Take the charges of a file into this list: choose it, or paste it here
          </label>
          <p>
            <input
              type="file"
              accept=".csv,.json,text/csv,application/json"
              aria-label="Price list file"
              onChange={(event) => void event.target.files?.[0]?.text().then(setText)}
            />
          </p>
          <Input.TextArea
            id="prices-text"
            rows={8}
            value={text}
            onChange={(event) => setText(event.target.value)}
          />
          <Note failure={refusal} />
          <p className={styles.fileFoot}>
            <Button
              type="primary"
              loading={busy}
              disabled={text.trim() === ''}
              onClick={() => void ask({ draftId: inHand.id, text }).then((answer) => answer.ok && onClose())}
            >
              Take its charges
            </Button>
          </p>
        </>
      ) : (
        <p className="quiet">This list stands. Take another one in hand to bring a file into it.</p>
      )}
    </Dialog>
  );
}
