'use client';

import type { RefObject } from 'react';
import type { Finding } from '@/core/questions/findings';
import { counted } from '@/core/quantity/counted';
import { Opens } from '../kit/Opens';
import styles from './SheetScreen.module.css';
import type { SheetState } from './useSheet';

type Props = {
  findings: readonly Finding[];
  state: RefObject<SheetState>;
  onOpen: (decision: string) => void;
};

/** How many questions are open, and what they are. */
export function Questions({ findings, state, onOpen }: Props) {
  const blocking = findings.filter((finding) => finding.blocks);
  const remarks = findings.length - blocking.length;
  if (findings.length === 0) return <span className={styles.complete}>complete</span>;
  const words = [
    blocking.length > 0 ? counted(blocking.length, 'question') : '',
    remarks > 0 ? counted(remarks, 'remark') : '',
  ];
  return (
    <Opens
      placement="bottomLeft"
      content={(close) => (
        <QuestionList
          findings={findings}
          state={state.current}
          onOpen={(decision) => {
            close();
            onOpen(decision);
          }}
        />
      )}
    >
      {(opening) => (
        <button
          type="button"
          className={blocking.length > 0 ? styles.openCount : styles.remarkCount}
          {...opening}
        >
          {words.filter(Boolean).join(', ')}
        </button>
      )}
    </Opens>
  );
}

type ListProps = {
  findings: readonly Finding[];
  state: SheetState;
  onOpen: (decision: string) => void;
};

function QuestionList({ findings, state, onOpen }: ListProps) {
  return (
    <ul className={styles.questionList}>
      {findings.map((finding, index) => (
        <li key={index}>
          <button type="button" onClick={() => onOpen(finding.decision)}>
            <b>{titleOf(state, finding.decision)}</b> {finding.sentence}
          </button>
        </li>
      ))}
    </ul>
  );
}

function titleOf({ situation }: SheetState, decision: string): string {
  return situation.species.decisions.find((each) => each.id === decision)?.title ?? 'Grind and sausage';
}
