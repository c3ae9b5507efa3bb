'use client';

import Link from 'next/link';
import { useEffect, useRef, type CSSProperties } from 'react';
import type { TaskShown } from '@/server/today';
import { STAGE_WORDS } from '../rail/stages';
import { actOf, callOf, isCalled, MANY, ticketOf } from './acts';
import styles from './TodayScreen.module.css';

type Props = {
  tasks: readonly TaskShown[];
  /** The hook it hangs below, counted from the left. */
  at: number;
  when: 'late' | 'today' | 'soon';
  /** Too near to the right edge: it hangs to the left of its string. */
  isTurned: boolean;
  isInHand: boolean;
  onChoose: () => void;
};

/** A shop tag on the string of its stage: whose it is, what it waits for, and behind a tear line what is done about it. */
export function Tag({ tasks, at, when, isTurned, isInHand, onChoose }: Props) {
  const [task] = tasks as [TaskShown];
  const box = useRef<HTMLElement>(null);
  useEffect(() => {
    if (isInHand) box.current?.scrollIntoView({ block: 'nearest' });
  }, [isInHand]);
  return (
    <article
      ref={box}
      className={styles.tag}
      style={{ '--at': at } as CSSProperties}
      data-when={when}
      data-turned={isTurned || undefined}
      data-in-hand={isInHand || undefined}
      aria-current={isInHand || undefined}
      onMouseDown={onChoose}
      onFocus={onChoose}
    >
      {tasks.length > 1 ? <Many tasks={tasks} isOpen={isInHand} /> : <One task={task} isOpen={isInHand} />}
    </article>
  );
}

function One({ task, isOpen }: { task: TaskShown; isOpen: boolean }) {
  const { does, page } = actOf(task);
  const { title, about, words, question, phone, owed, stage } = task;
  return (
    <>
      <Link className={styles.body} href={ticketOf(task)}>
        <span className={styles.stage}>{STAGE_WORDS[stage].word}</span>
        <b>{title}</b> <span className="quiet">{about}</span>
        <span className={styles.words}>{words}</span>
        {isOpen && question !== '' && <q className={styles.question}>{question}</q>}
      </Link>
      {isOpen && phone !== '' && (
        <a className={styles.phone} href={`tel:${phone.replace(/\s/g, '')}`}>
          {phone}
        </a>
      )}
      {isOpen && isCalled(task) && (
        <Link className={styles.stub} href={callOf(task)}>
          What to ask <kbd>C</kbd>
        </Link>
      )}
      <Link className={styles.stub} href={page}>
        {owed !== '' ? `${owed} due` : !isOpen && phone !== '' ? phone : does}
        {isOpen && <kbd>Enter</kbd>}
      </Link>
    </>
  );
}

/** Like things that are due together: told as one, opened to each. */
function Many({ tasks, isOpen }: { tasks: readonly TaskShown[]; isOpen: boolean }) {
  const [first] = tasks as [TaskShown];
  return (
    <div className={styles.body}>
      <span className={styles.stage}>{STAGE_WORDS[first.stage].word}</span>
      <b>
        {tasks.length} {MANY[first.kind]}
      </b>
      {isOpen ? (
        <ul>
          {tasks.map((task) => (
            <li key={task.key}>
              <Link href={actOf(task).page}>{task.title}</Link> <span className="quiet">{task.words}</span>
            </li>
          ))}
        </ul>
      ) : (
        <span className={styles.words}>{tasks.map((task) => task.title.split(', ')[0]).join(', ')}</span>
      )}
    </div>
  );
}
