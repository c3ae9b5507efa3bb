'use client';

import { Form, Input, Segmented } from 'antd';
import type { OfficeBlocks, TicketView } from '@/server/ticket';
import { AskDialog } from '../kit/AskDialog';

type Props = { view: TicketView; office: OfficeBlocks; onClose: () => void };

/** What the owner of the meat has said in writing to being ground together with others. */
export function PoolDialog({ view, office, onClose }: Props) {
  return (
    <AskDialog
      title={`Grinding together: ${view.name}`}
      asks="notePoolWord"
      does="Write it down"
      initial={{ yes: true, name: office.facts.ownerName, how: 'paper' as const }}
      question={({ yes, name, how }) => ({ shareId: view.shareId, yes, name: name.trim(), how })}
      onDone={onClose}
      onClose={onClose}
    >
      <p>
        Ground in one batch with others, nobody gets back their own animal alone: each gets whole packs by the
        weight that went in, and is told the difference. Keep the signed words. Local code may forbid it for
        custom-exempt meat.
      </p>
      <Form.Item name="yes" label="They have said">
        <Segmented
          options={[
            { value: true, label: 'yes, in writing' },
            { value: false, label: 'no, or not any more' },
          ]}
        />
      </Form.Item>
      <Form.Item name="name" label="Who said it">
        <Input maxLength={80} autoComplete="off" />
      </Form.Item>
      <Form.Item name="how" label="How">
        <Segmented
          options={[
            { value: 'paper', label: 'signed on paper' },
            { value: 'mail', label: 'by mail' },
            { value: 'text', label: 'by text message' },
          ]}
        />
      </Form.Item>
    </AskDialog>
  );
}
