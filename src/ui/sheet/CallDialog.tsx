'use client';

import { Form, Input, Segmented } from 'antd';
import { useRouter } from 'next/navigation';
import type { Reached } from '@/core/order/work';
import type { SheetView } from '@/server/sheet';
import { AskDialog } from '../kit/AskDialog';
import styles from './SheetScreen.module.css';

const REACHED_WORDS: Record<Reached, string> = {
  spoken: 'spoke with',
  message: 'left a message',
  nobody: 'nobody there',
};

type DialogProps = { view: SheetView; openQuestions: readonly string[]; onClose: () => void };
type Typed = { readonly reached: Reached; readonly said: string };

/** What to ask, what was said before, and a place to write down what is said now. */
export function CallDialog({ view, openQuestions, onClose }: DialogProps) {
  const router = useRouter();
  const { contact, calls } = view;
  const initial: Typed = { reached: 'spoken', said: '' };
  return (
    <AskDialog
      title={`${contact.name}, ${contact.phone ?? 'no telephone number'}`}
      asks="noteCall"
      does="Write it down"
      initial={initial}
      question={(typed) => ({ shareId: view.shareId, ...typed })}
      onDone={() => {
        onClose();
        router.refresh();
      }}
      onClose={onClose}
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
      <Form.Item name="reached" label="How it went">
        <Segmented
          options={(['spoken', 'message', 'nobody'] as const).map((value) => ({
            value,
            label: REACHED_WORDS[value],
          }))}
        />
      </Form.Item>
      <Form.Item name="said" label="What was said">
        <Input.TextArea rows={2} />
      </Form.Item>
    </AskDialog>
  );
}
