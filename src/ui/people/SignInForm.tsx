'use client';

import { Button, Input } from 'antd';
import { useState } from 'react';
import { signIn } from '../kit/signIn';
import styles from './SignInForm.module.css';

type DemoUser = {
  readonly name: string;
  readonly role: string;
  readonly secret: string;
  readonly does: string;
};

export function SignInForm({ demoUsers }: { demoUsers: readonly DemoUser[] }) {
  const [name, setName] = useState('');
  const [secret, setSecret] = useState('');
  const [problem, setProblem] = useState('');
  const [busy, setBusy] = useState(false);

  async function enter(asName: string, withSecret: string) {
    setBusy(true);
    const result = await signIn(asName, withSecret);
    if (result.ok) window.location.assign('/');
    else {
      setProblem(result.message);
      setBusy(false);
    }
  }

  return (
    <main className={styles.page}>
      <section className={styles.ticket}>
        <h1 className={styles.mark}>Fractum</h1>
        <p className="quiet">From the rail to the boxes to the bill.</p>
        <form
          onSubmit={(event) => {
            event.preventDefault();
            void enter(name, secret);
          }}
        >
          <label htmlFor="name">Name</label>
          <Input
            id="name"
            autoComplete="username"
            value={name}
            onChange={(e) => setName(e.target.value)}
            autoFocus
          />
          <label htmlFor="secret">Secret</label>
          <Input.Password
            id="secret"
            autoComplete="current-password"
            value={secret}
            onChange={(e) => setSecret(e.target.value)}
          />
          <p role="alert" className={styles.problem}>
            {problem}
          </p>
          <Button
            type="primary"
            htmlType="submit"
            loading={busy}
            disabled={name === '' || secret === ''}
            block
          >
            Sign in
          </Button>
        </form>
      </section>
      {demoUsers.length > 0 && (
        <section className={styles.people} aria-label="Demo people">
          <h2>The demo shop</h2>
          <p className="quiet">Skerry Sound Cut &amp; Wrap. Everybody and everything in it is invented.</p>
          {demoUsers.map((user) => (
            <button
              key={user.name}
              type="button"
              onClick={() => void enter(user.name, user.secret)}
              disabled={busy}
            >
              <b>{user.name}</b>
              <span>
                {user.role}, {user.does}
              </span>
              <code>{user.secret}</code>
            </button>
          ))}
        </section>
      )}
    </main>
  );
}
