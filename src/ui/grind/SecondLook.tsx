'use client';

import { Button, Form, Input } from 'antd';
import { useState } from 'react';
import { Dialog } from '../kit/Dialog';
import { lookAsSecond, newClientId } from '../kit/act';
import { useRefreshLive } from '../kit/live/useLive';

type Props = {
  /** What it is in: a batch, or a brine or rub. */
  of: { readonly batchId: string } | { readonly mixId: string };
  ingredient: string;
  /** In words: `27.3 g, 150 ppm of 156`. */
  about: string;
  onClose: () => void;
  onLooked: () => void;
};

/** A second person looks at what brings nitrite, and signs with name and secret; whoever weighed it is refused. */
export function SecondLook({ of, ingredient, about, onClose, onLooked }: Props) {
  const [problem, setProblem] = useState('');
  const [busy, setBusy] = useState(false);
  const [clientId] = useState(newClientId);
  const refresh = useRefreshLive();
  async function sign(said: { name: string; secret: string }) {
    setBusy(true);
    const answer = await lookAsSecond({ clientId, ...of, ingredient }, said);
    setBusy(false);
    if (!answer.ok) return setProblem(answer.message);
    refresh();
    onLooked();
  }
  return (
    <Dialog
      title={`A second person looks at the ${ingredient}`}
      onClose={onClose}
      around={(dialog) => (
        <Form layout="vertical" disabled={busy} onFinish={(said) => void sign(said)}>
          {dialog}
        </Form>
      )}
      footer={
        <Button type="primary" htmlType="submit" loading={busy} data-main>
          I have looked
        </Button>
      }
    >
      <p>{about}</p>
      <Form.Item name="name" label="Your name" rules={[{ required: true, message: 'Say who looks.' }]}>
        <Input autoComplete="off" maxLength={60} />
      </Form.Item>
      <Form.Item
        name="secret"
        label="Your secret"
        {...(problem ? { validateStatus: 'error' as const, help: problem } : {})}
        rules={[{ required: true, message: 'Type your secret.' }]}
      >
        <Input.Password autoComplete="off" />
      </Form.Item>
    </Dialog>
  );
}
