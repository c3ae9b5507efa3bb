'use client';

import { Form, Input } from 'antd';
import type { LineComparison } from '@/core/reconcile/reconcile';
import type { BalanceView } from '@/server/settle';
import { AskDialog } from '../kit/AskDialog';

type Props = { view: BalanceView; line: LineComparison; onClose: () => void };

/** A word of why a line is short, over or missing. */
export function ExplainDialog({ view: { shareId }, line: { cut, lineKey }, onClose }: Props) {
  return (
    <AskDialog
      title={`${cut}: say why`}
      asks="noteLine"
      does="Write it down"
      initial={{ note: '' }}
      question={({ note }) => ({ shareId, lineKey, note: note.trim() })}
      onDone={onClose}
      onClose={onClose}
    >
      <p className="quiet">The household reads this on its statement.</p>
      <Form.Item name="note" label="Why">
        <Input maxLength={200} />
      </Form.Item>
    </AskDialog>
  );
}
