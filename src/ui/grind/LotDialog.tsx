'use client';

import { Button, Form, Input } from 'antd';
import { Dialog } from '../kit/Dialog';

type Props = { ingredient: string; lot: string; onSaid: (lot: string) => void; onClose: () => void };

/** The lot on the bag that an ingredient is taken from: by it, whoever got some is found again. */
export function LotDialog({ ingredient, lot, onSaid, onClose }: Props) {
  return (
    <Dialog
      title={`The lot of the ${ingredient}`}
      onClose={onClose}
      around={(dialog) => (
        <Form layout="vertical" onFinish={(said: { lot?: string }) => onSaid((said.lot ?? '').trim())}>
          {dialog}
        </Form>
      )}
      footer={
        <Button type="primary" htmlType="submit" data-main>
          From this lot
        </Button>
      }
    >
      <Form.Item name="lot" label="As it stands on the bag" initialValue={lot}>
        <Input autoComplete="off" maxLength={40} />
      </Form.Item>
    </Dialog>
  );
}
