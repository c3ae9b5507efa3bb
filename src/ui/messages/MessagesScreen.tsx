'use client';

import Link from 'next/link';
import type { SentMessage } from '@/server/book';
import { useLive } from '../kit/live/useLive';
import { Nothing } from '../kit/States';
import styles from './MessagesScreen.module.css';

/** What was said to people outside the shop, the newest first. The gateway is a simulated one: nothing leaves the house. */
export function MessagesScreen({ messages: first }: { messages: readonly SentMessage[] }) {
  const { value: messages } = useLive('messagesView', {}, first);
  return (
    <div className={styles.page}>
      <h1>Messages</h1>
      <p className="quiet">Given to the simulated gateway: texts and mail that a real one would carry.</p>
      {messages.length === 0 ? (
        <Nothing>
          Nobody has been told anything yet. Booking an animal confirms it to whoever is called about it.
        </Nothing>
      ) : (
        <ol className={styles.list}>
          {messages.map((message) => (
            <li key={message.id}>
              <span className="quiet">{message.at}</span>
              <span>
                <b>{message.name}</b>, {message.kind} to {message.recipient}
                {message.subject !== '' && (
                  <>
                    <br />
                    <b>{message.subject}</b>
                  </>
                )}
                <pre>{message.body}</pre>
                <Link href={`/ticket/${message.shareId}`}>its ticket</Link>{' '}
                <a href={`/api/confirmation/${message.shareId}`}>as a paper</a>
              </span>
            </li>
          ))}
        </ol>
      )}
    </div>
  );
}
