'use client';

import { Form, Input } from 'antd';
import { useRouter } from 'next/navigation';
import { formatWeight } from '@/core/quantity/weight';
import type { BalanceView } from '@/server/settle';
import { AskDialog } from '../kit/AskDialog';

/** Ends the weighing of a share; what is unaccounted is said before, and looked for when it is much. */
export function CloseDialog({ view, onClose }: { view: BalanceView; onClose: () => void }) {
  const router = useRouter();
  const { reconciliation: balance, unit, shareId } = view;
  return (
    <AskDialog
      title="Close the balance"
      asks="closeShare"
      does="Close and make the bill final"
      initial={{ note: '' }}
      question={({ note }) => ({ shareId, note: note.trim() })}
      onDone={() => router.push(`/settle/${shareId}`)}
      onClose={onClose}
    >
      <p>
        {formatWeight(balance.unaccounted, unit)} {unit} ({(balance.unaccountedBp / 100).toFixed(2)} %) will
        stand as unaccounted. After this nothing more is weighed to {view.name}.
      </p>
      <Form.Item
        name="note"
        label={balance.verdict === 'usual' ? 'What was found, if anything' : 'What was found'}
      >
        <Input maxLength={500} />
      </Form.Item>
    </AskDialog>
  );
}
