'use client';

import { Button, DatePicker, Form, Input } from 'antd';
import dayjs from 'dayjs';
import Link from 'next/link';
import { useRouter } from 'next/navigation';
import { useState } from 'react';
import { DAY_SECTION_WORDS, DAY_SECTIONS } from '@/core/dayBook/dayBook';
import { clockIn, dayWords, daysAfter, momentWords } from '@/core/time/shopTime';
import type { DayBookView } from '@/server/dayBook';
import { AskDialog } from '../kit/AskDialog';
import { useLive } from '../kit/live/useLive';
import { useWho } from '../kit/Who';
import styles from './DayBook.module.css';

type Props = { asked: { readonly day?: DayBookView['day'] }; first: DayBookView };

/** The inspector's day: everything that was received, measured, ground, cured, smoked, cleaned, held and corrected. */
export function DayBookScreen({ asked, first }: Props) {
  const { value: book } = useLive('dayBookView', asked, first);
  const [signing, setSigning] = useState(false);
  const { role } = useWho();
  const router = useRouter();
  const go = (day: string) => router.push(`/book-of-day?day=${day}`);
  return (
    <div className={styles.page}>
      <header className={styles.head}>
        <h1>The book of {dayWords(book.day)}</h1>
        <div className={styles.acts}>
          <Button onClick={() => go(daysAfter(book.day, -1))}>The day before</Button>
          <DatePicker
            value={dayjs(book.day)}
            allowClear={false}
            format="YYYY-MM-DD"
            aria-label="Day"
            onChange={(day) => day && go(day.format('YYYY-MM-DD'))}
          />
          <Button disabled={book.day >= book.today} onClick={() => go(daysAfter(book.day, 1))}>
            The day after
          </Button>
          <Link href={`/api/book-of-day?day=${book.day}`} target="_blank">
            PDF
          </Link>
          <a href={`/api/book-of-day?day=${book.day}&as=csv`}>CSV</a>
          {role === 'owner' && (
            <Button type="primary" onClick={() => setSigning(true)}>
              Sign it
            </Button>
          )}
        </div>
      </header>
      {book.signed.length === 0 ? (
        <p className="quiet">Nobody has signed this day yet.</p>
      ) : (
        book.signed.map(({ at, by, words }) => (
          <p key={at} className={styles.signed}>
            Signed by {by}, {momentWords(book.zone, at)}: {words}
          </p>
        ))
      )}
      <div className={styles.sections}>
        {DAY_SECTIONS.map((section) => {
          const entries = book.entries.filter((entry) => entry.section === section);
          return (
            <section key={section} data-empty={entries.length === 0 || undefined}>
              <h2>
                {DAY_SECTION_WORDS[section]} <span className="quiet">{entries.length || 'nothing'}</span>
              </h2>
              <ol>
                {entries.map(({ at, words, by }, index) => (
                  <li key={index}>
                    <time>{clockIn(book.zone, at)}</time>
                    <span>
                      {words} <small>{by.join(' and ')}</small>
                    </span>
                  </li>
                ))}
              </ol>
            </section>
          );
        })}
      </div>
      {signing && (
        <AskDialog
          title={`Sign the book of ${dayWords(book.day)}`}
          asks="signDay"
          does="Sign it"
          initial={{ words: '' }}
          question={({ words }) => ({ day: book.day, words: words.trim() })}
          onDone={() => setSigning(false)}
          onClose={() => setSigning(false)}
        >
          <Form.Item name="words" label="What was found">
            <Input maxLength={200} autoComplete="off" placeholder="Looked through; nothing to add" />
          </Form.Item>
        </AskDialog>
      )}
    </div>
  );
}
