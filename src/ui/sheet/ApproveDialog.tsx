'use client';

import { Form, Input } from 'antd';
import { useRouter } from 'next/navigation';
import { counted } from '@/core/quantity/counted';
import { AskDialog } from '../kit/AskDialog';
import { useSignal } from '../kit/useSignal';
import type { SheetView } from '@/server/sheet';
import type { SheetState } from './useSheet';

type Props = { view: SheetView; state: SheetState; onClose: () => void };

/** A sheet with holes goes to the floor only with a reason. */
export function ApproveDialog({ view, state, onClose }: Props) {
  const router = useRouter();
  const blocking = state.findings.filter((finding) => finding.blocks);
  const open = blocking.length;
  const { state: saved, message } = useSignal(state.saver.saving);
  return (
    <AskDialog
      title={open === 0 ? 'Approve the sheet' : counted(open, 'open question')}
      asks="approveSheet"
      does={open === 0 ? 'Approve' : 'Approve all the same'}
      disabled={saved !== 'saved'}
      initial={{ overrideReason: '' }}
      question={({ overrideReason }) => {
        const reason = overrideReason.trim();
        if (open > 0 && reason === '') {
          return { field: 'overrideReason', message: 'Say why it goes to the floor with questions open.' };
        }
        return { shareId: view.shareId, version: state.saver.version.get(), overrideReason: reason };
      }}
      onDone={() => router.push('/sheet')}
      onClose={onClose}
    >
      {saved === 'waiting' && (
        <p className="alarm">
          Not saved yet: the network is away. It goes by itself when it is back, then approve.
        </p>
      )}
      {saved === 'held' && (
        <p className="alarm">It was approved before: say first, on the sheet, why it changes.</p>
      )}
      {saved === 'refused' && <p className="alarm">Not saved: {message}</p>}
      {open === 0 ? (
        <p>Every zone is answered and nothing clashes. The floor sees this sheet from now on.</p>
      ) : (
        <>
          <ul>
            {blocking.map((finding, index) => (
              <li key={index}>{finding.sentence}</li>
            ))}
          </ul>
          <Form.Item name="overrideReason" label="Why it goes to the floor so">
            <Input maxLength={200} />
          </Form.Item>
        </>
      )}
    </AskDialog>
  );
}
