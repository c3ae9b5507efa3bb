'use client';

import { Button, Form, Input } from 'antd';
import { Dialog } from '../kit/Dialog';
import { useAsk } from '../kit/useAsk';

type Props = {
  batchId: string;
  ingredient: string;
  /** In words: `27.3 g, 150 ppm of 156`. */
  about: string;
  onClose: () => void;
  onLooked: () => void;
};

/** A second person looks at what brings nitrite, and signs with name and secret; whoever weighed it is refused. */
export function SecondLook({ batchId, ingredient, about, onClose, onLooked }: Props) {
  const look = useAsk('lookSecond');
  async function sign(said: { name: string; secret: string }) {
    const answer = await look.ask({ batchId, ingredient, ...said });
    if (answer.ok) onLooked();
  }
  return (
    <Dialog
      title={`A second person looks at the ${ingredient}`}
      onClose={onClose}
      around={(dialog) => (
        <Form layout="vertical" disabled={look.busy} onFinish={(said) => void sign(said)}>
          {dialog}
        </Form>
      )}
      footer={
        <Button type="primary" htmlType="submit" loading={look.busy} data-main>
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
        {...(look.refusal ? { validateStatus: 'error' as const, help: look.refusal.message } : {})}
        rules={[{ required: true, message: 'Type your secret.' }]}
      >
        <Input.Password autoComplete="off" />
      </Form.Item>
    </Dialog>
  );
}
