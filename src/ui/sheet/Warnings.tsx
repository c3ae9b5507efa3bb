'use client';

import { useMemo, useState } from 'react';
import { tradeOffSentence } from '@/core/questions/evaluate';
import type { Finding } from '@/core/questions/findings';
import { remediesOf, type Remedy } from '@/core/questions/remedies';
import { counted } from '@/core/quantity/counted';
import { useKey } from '../kit/keys/useKey';
import type { SheetState } from './useSheet';
import styles from './Warnings.module.css';

type Props = {
  /** What is remarked of the row in hand; what blocks stands first. */
  findings: readonly Finding[];
  /** As the figures stand. */
  state: SheetState;
  locked: boolean;
};

/** More warnings than these are folded to a line. */
const MOST_OPEN = 2;
const LETTERS = 'abcdef';

/** What is wrong with a row, each with its ways out as letters and what each way costs; a way is one step of undo. */
export function Warnings({ findings, state, locked }: Props) {
  const [all, setAll] = useState(false);
  const inOrder = [...findings].sort((a, b) => Number(b.blocks) - Number(a.blocks));
  const shown = inOrder.slice(0, all ? inOrder.length : MOST_OPEN);
  const { situation, sheet, ground, now, evaluations } = state;
  const warnings = useMemo(() => {
    const job = { situation, sheet, coldSides: ground.coldSides };
    const found = { findings: state.findings, expected: now.forecast };
    let letter = 0;
    return shown.map((finding) => ({
      finding,
      ways: (locked ? [] : remediesOf(job, finding, found)).map((way) => ({
        way,
        letter: LETTERS[letter++] ?? '',
      })),
    }));
    // eslint-disable-next-line react-hooks/exhaustive-deps -- `shown` follows from the findings and the fold
  }, [situation, sheet, ground, now, findings, all, locked]);
  useKey('sheet', 'wayOut', (event) => {
    const way = warnings.flatMap(({ ways }) => ways).find(({ letter }) => letter === event.key.toLowerCase());
    if (way) state.change(way.way.sheet);
  });
  const costs = (way: Remedy) =>
    tradeOffSentence(now, evaluations.of(way.sheet), { unit: situation.unit, sign: ground.priceList.sign });
  const folded = inOrder.length - shown.length;
  return (
    <>
      {warnings.map(({ finding, ways }) => (
        <div
          key={`${finding.kind} ${finding.sentence}`}
          className={styles.warning}
          data-blocks={finding.blocks || undefined}
          role={finding.blocks ? 'alert' : 'status'}
        >
          <b>{finding.sentence}</b>
          {ways.map(({ way, letter }) => (
            <button
              key={way.does}
              type="button"
              className={styles.way}
              onClick={() => state.change(way.sheet)}
            >
              <kbd data-none={letter === '' || undefined}>{letter.toUpperCase()}</kbd>
              <span>{way.does}</span>
              <i>{costs(way)}</i>
            </button>
          ))}
        </div>
      ))}
      {folded > 0 && (
        <button type="button" className="link" onClick={() => setAll(true)}>
          and {counted(folded, 'more')}
        </button>
      )}
    </>
  );
}
