'use client';

import { Button, Form, Input } from 'antd';
import { useState } from 'react';
import { Dialog } from './Dialog';
import styles from './Dialog.module.css';
import { signIn } from './signIn';
import { useWho } from './Who';

/** The session has ended in the middle of something: the same person signs in over the page, and nothing is lost. */
export function SignInDialog({ onDone }: { onDone: (signedIn: boolean) => void }) {
  const { name } = useWho();
  const [problem, setProblem] = useState('');
  const [busy, setBusy] = useState(false);
  async function enter({ secret }: { secret: string }) {
    setBusy(true);
    const result = await signIn(name, secret);
    setBusy(false);
    if (result.ok) onDone(true);
    else setProblem(result.message);
  }
  return (
    <Dialog
      title="Your session has ended"
      width={400}
      onClose={() => onDone(false)}
      around={(dialog) => (
        <Form layout="vertical" disabled={busy} onFinish={(typed) => void enter(typed)}>
          {dialog}
        </Form>
      )}
      footer={<Foot busy={busy} />}
    >
      <p>What you have typed is still here, {name}. Sign in again and it goes on where it was.</p>
      <Form.Item
        name="secret"
        label={`Secret of ${name}`}
        {...(problem ? { validateStatus: 'error' as const, help: problem } : {})}
        rules={[{ required: true, message: 'Type your secret.' }]}
      >
        <Input.Password autoComplete="current-password" />
      </Form.Item>
    </Dialog>
  );
}

function Foot({ busy }: { busy: boolean }) {
  return (
    <div className={styles.foot}>
      <Button href="/sign-in">Somebody else</Button>
      <Button type="primary" htmlType="submit" loading={busy} data-main>
        Sign in and go on
      </Button>
    </div>
  );
}
