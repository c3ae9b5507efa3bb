'use client';

import { Form, Input } from 'antd';
import type { PriceList } from '@/core/charges/priceList';
import { AskDialog } from '../kit/AskDialog';

type Props = { from: PriceList; today: string; onDone: (id: string) => void; onClose: () => void };

/** Takes another list in hand, as a copy of one. */
export function BeginList({ from, today, onDone, onClose }: Props) {
  return (
    <AskDialog
      title={`Another list, as a copy of ${from.name.toLowerCase()}`}
      asks="startPriceList"
      initial={{ name: '', effectiveFrom: today }}
      question={({ name, effectiveFrom }) => ({ baseId: from.id, name, effectiveFrom })}
      does="Take it in hand"
      onDone={({ draftId }) => {
        onDone(draftId);
        onClose();
      }}
      onClose={onClose}
    >
      <Form.Item name="name" label="Its name">
        <Input maxLength={80} placeholder="Winter prices" />
      </Form.Item>
      <Form.Item name="effectiveFrom" label="In force from">
        <Input placeholder="2027-01-04" />
      </Form.Item>
    </AskDialog>
  );
}
