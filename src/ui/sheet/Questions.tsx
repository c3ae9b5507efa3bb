'use client';

import { Button } from 'antd';
import type { RefObject } from 'react';
import type { Finding } from '@/core/questions/findings';
import { waysOut } from '@/core/questions/clash';
import { tradeOffSentence } from '@/core/questions/evaluate';
import { decisionById, optionById } from '@/core/sheet/situation';
import { counted } from '@/core/quantity/counted';
import { formatMoney } from '@/core/quantity/money';
import { inSentence } from '@/core/quantity/inSentence';
import { formatWeight } from '@/core/quantity/weight';
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

/** Both ways out of a clash with the weight and the money of each, and a button for each. */
export function ClashChoice({
  state,
  clash,
  locked,
}: {
  state: SheetState;
  clash: Finding;
  locked: boolean;
}) {
  const { situation, ground, sheet, evaluations } = state;
  const { unit } = situation;
  const ways = waysOut(
    { situation, sheet, coldSides: ground.coldSides },
    clash,
    (_, changed) => evaluations.of(changed).bill.total,
  );
  const label = (decision: string) => {
    const answer = sheet.answers[decision];
    const found = decisionById(situation.species, decision);
    return answer ? optionById(found, answer.forms[0]!.option).label : found.title;
  };
  return (
    <div className={styles.clash} role="alert">
      <b>{clash.sentence}</b>
      {ways.map((way) => (
        <div key={way.keeps} className={styles.way}>
          <span>
            <b>{label(way.keeps)}</b>, and {inSentence(decisionById(situation.species, way.changes).title)}{' '}
            becomes {inSentence(way.becomes)}: <b>{formatWeight(way.forecast.takeHome, unit)}</b> {unit} in
            the boxes, <b>{formatMoney(way.charges, ground.priceList.sign)}</b>.
          </span>
          <Button size="small" type="primary" disabled={locked} onClick={() => state.change(way.sheet)}>
            Keep {inSentence(label(way.keeps))}
          </Button>
        </div>
      ))}
      {ways.length === 2 && (
        <p className="quiet">
          The second way against the first:{' '}
          {tradeOffSentence(evaluations.of(ways[0]!.sheet), evaluations.of(ways[1]!.sheet), {
            unit,
            sign: ground.priceList.sign,
          })}
          .
        </p>
      )}
    </div>
  );
}
