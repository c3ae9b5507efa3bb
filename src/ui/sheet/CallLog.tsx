'use client';

import { Button, Input, Modal, Segmented } from 'antd';
import { useRouter } from 'next/navigation';
import { useState } from 'react';
import type { SheetView } from '@/server/sheet';
import { act, newClientId } from '../kit/act';
import styles from './SheetScreen.module.css';

type Reached = SheetView['calls'][number]['reached'];

const REACHED_WORDS: Record<Reached, string> = {
  spoken: 'spoke with',
  message: 'left a message',
  nobody: 'nobody there',
};

/** Whom to call, what was said before, and a place to write down what is said now. */
export function CallLog({ view, openQuestions }: { view: SheetView; openQuestions: readonly string[] }) {
  const [open, setOpen] = useState(false);
  const { contact, calls } = view;
  return (
    <>
      <Button onClick={() => setOpen(true)} aria-label={`Call ${contact.name}`}>
        Call{calls.length > 0 ? `, ${calls.length} noted` : ''}
      </Button>
      {open && <CallDialog view={view} openQuestions={openQuestions} onClose={() => setOpen(false)} />}
    </>
  );
}

type DialogProps = { view: SheetView; openQuestions: readonly string[]; onClose: () => void };

function CallDialog({ view, openQuestions, onClose }: DialogProps) {
  const router = useRouter();
  const [clientId] = useState(newClientId);
  const [reached, setReached] = useState<Reached>('spoken');
  const [said, setSaid] = useState('');
  const [problem, setProblem] = useState('');
  const { contact, calls } = view;

  async function write() {
    const result = await act('noteCall', { clientId, shareId: view.shareId, reached, said });
    if (!result.ok) return setProblem(result.message);
    onClose();
    router.refresh();
  }

  return (
    <Modal
      open
      title={`${contact.name}, ${contact.phone ?? 'no telephone number'}`}
      onCancel={onClose}
      onOk={() => void write()}
      okText="Write it down"
    >
      {openQuestions.length > 0 && (
        <>
          <b>To ask</b>
          <ul className={styles.toAsk}>
            {openQuestions.map((sentence) => (
              <li key={sentence}>{sentence}</li>
            ))}
          </ul>
        </>
      )}
      {calls.map((call) => (
        <p key={call.id} className="quiet">
          {call.at}, {call.actorName}, {REACHED_WORDS[call.reached]}
          {call.said && `: ${call.said}`}
        </p>
      ))}
      <Segmented
        value={reached}
        onChange={(value) => setReached(value as Reached)}
        options={(['spoken', 'message', 'nobody'] as const).map((value) => ({
          value,
          label: REACHED_WORDS[value],
        }))}
      />
      <label htmlFor="said" className={styles.saidLabel}>
        What was said
      </label>
      <Input.TextArea id="said" rows={2} value={said} onChange={(event) => setSaid(event.target.value)} />
      <p role="alert" className="alarm">
        {problem}
      </p>
    </Modal>
  );
}
