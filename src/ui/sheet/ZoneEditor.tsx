'use client';

import { Segmented } from 'antd';
import { useState } from 'react';
import { evaluate, tradeOffSentence } from '@/core/questions/evaluate';
import { formOf, withAnswer } from '@/core/sheet/houseSheet';
import { whyNotOffered } from '@/core/sheet/situation';
import type { Answer, Sheet } from '@/core/sheet/types';
import type { Decision, Option } from '@/core/species/types';
import { formatMoney, type Cents } from '@/core/quantity/money';
import { formatWeight, sumWeights } from '@/core/quantity/weight';
import type { SheetView } from '@/server/sheet';
import { useKey } from '../kit/keys/useKey';
import { FormRows } from './FormRows';
import { ClashChoice } from './Questions';
import styles from './SheetScreen.module.css';
import { useScrolledIntoView } from './useScrolledIntoView';
import type { SheetState } from './useSheet';

type Props = { decision: Decision; state: SheetState; view: SheetView };

/** The open zone: its forms side by side with what each gives and costs, and what the chosen ones need to know. */
export function ZoneEditor({ decision, state, view }: Props) {
  const { situation, sheet, findings } = state;
  const [side, setSide] = useState<1 | 2>(1);
  const [pointed, setPointed] = useState<string>();
  const answer = (side === 2 ? sheet.secondSide[decision.id] : undefined) ?? sheet.answers[decision.id];
  const answered = (changed: Answer): Sheet =>
    side === 1
      ? withAnswer(sheet, decision.id, changed)
      : { ...sheet, secondSide: { ...sheet.secondSide, [decision.id]: changed } };
  const choose = (option: Option) =>
    state.change(answered({ forms: [formOf(decision, option.id, situation)] }));
  const offered = decision.options.filter((option) => !whyNotOffered(option, situation));
  const refused = decision.options.filter((option) => whyNotOffered(option, situation));
  const mine = findings.filter(
    (finding) => finding.decision === decision.id || finding.holder === decision.id,
  );
  const clash = mine.find((finding) => finding.kind === 'clash');
  const chosen = new Set(answer?.forms.map((form) => form.option));
  const spoken = offered.find((option) => option.id === (pointed ?? answer?.forms[0]?.option));
  useKey('sheet', 'option', (event) => {
    const option = offered[Number(event.key) - 1];
    if (option && !view.locked) choose(option);
  });
  const box = useScrolledIntoView(decision.id);
  return (
    <div className={styles.open} ref={box}>
      <div className={styles.openHead}>
        <h2>{decision.title}</h2>
        {!answer && (
          <span className="alarm">
            not answered; the house:{' '}
            {decision.options.find((each) => each.id === decision.house.option)?.label}
          </span>
        )}
        {situation.sides === 2 && (
          <SideSwitch
            side={side}
            differs={decision.id in sheet.secondSide}
            onSide={setSide}
            onSame={() => {
              const { [decision.id]: _dropped, ...secondSide } = sheet.secondSide;
              state.change({ ...sheet, secondSide });
              setSide(1);
            }}
          />
        )}
      </div>
      {clash && <ClashChoice state={state} clash={clash} locked={view.locked} />}
      <div className={styles.options} role="radiogroup" aria-label={decision.title}>
        {offered.map((option, index) => (
          <OptionCard
            key={option.id}
            option={option}
            index={index}
            chosen={chosen.has(option.id)}
            locked={view.locked}
            state={state}
            changed={answered({ forms: [formOf(decision, option.id, situation)] })}
            decision={decision}
            onChoose={() => choose(option)}
            onPoint={setPointed}
          />
        ))}
      </div>
      <p className={styles.sentence}>
        {spoken?.note && <span>{spoken.note} </span>}
        {spoken && answer && !chosen.has(spoken.id) && (
          <Against state={state} changed={answered({ forms: [formOf(decision, spoken.id, situation)] })} />
        )}
        {!answer && <span className="quiet">{decision.house.reason}</span>}
      </p>
      {refused.length > 0 && (
        <p className="quiet">{refused.map((option) => whyNotOffered(option, situation)).join(' ')}</p>
      )}
      {answer && (
        <FormRows
          decision={decision}
          answer={answer}
          state={state}
          locked={view.locked}
          onChange={(changed) => state.change(answered(changed))}
        />
      )}
      {mine
        .filter((finding) => finding.kind !== 'unanswered' && finding !== clash)
        .map((finding) => (
          <p key={finding.sentence} className={finding.blocks ? 'alarm' : styles.remark} role="status">
            {finding.sentence}
          </p>
        ))}
    </div>
  );
}

function Against({ state, changed }: { state: SheetState; changed: Sheet }) {
  const { ground, now, situation } = state;
  const sentence = tradeOffSentence(now, evaluate(ground, changed), {
    unit: situation.unit,
    sign: ground.priceList.sign,
  });
  return <b>Instead of what is chosen: {sentence}.</b>;
}

type CardProps = {
  option: Option;
  index: number;
  chosen: boolean;
  locked: boolean;
  state: SheetState;
  changed: Sheet;
  decision: Decision;
  onChoose: () => void;
  onPoint: (option: string | undefined) => void;
};

function OptionCard({
  option,
  index,
  chosen,
  locked,
  state,
  changed,
  decision,
  onChoose,
  onPoint,
}: CardProps) {
  const { now, ground, situation } = state;
  const other = chosen ? now : evaluate(ground, changed);
  const lines = other.forecast.lines.filter((line) => line.decision === decision.id);
  const packed = sumWeights(lines.map((line) => line.packaged));
  const pieces = lines.reduce((sum, line) => sum + (line.pieces ?? 0), 0);
  const money = (other.bill.total - now.bill.total) as Cents;
  return (
    <button
      type="button"
      role="radio"
      aria-checked={chosen}
      className={chosen ? styles.chosenCard : styles.card}
      disabled={locked}
      onClick={onChoose}
      onMouseEnter={() => onPoint(option.id)}
      onMouseLeave={() => onPoint(undefined)}
      onFocus={() => onPoint(option.id)}
      onBlur={() => onPoint(undefined)}
    >
      <span className={styles.cardTitle}>
        {index < 9 && <kbd>{index + 1}</kbd>} {option.label}
      </span>
      <span className={styles.cardFigures}>
        {packed > 0 ? (
          <>
            <b>{formatWeight(packed, 1)}</b>
            <span className="unit">{situation.unit}</span>
            {pieces > 0 && <span className="quiet"> in {pieces}</span>}
          </>
        ) : (
          <span className="quiet">
            {option.products.length === 0 ? grindWords(other, now, chosen) : 'nothing is left for it'}
          </span>
        )}
        {!chosen && money !== 0 && (
          <span className={styles.cardMoney}>
            {money > 0 ? '+' : '−'}
            {formatMoney(Math.abs(money) as Cents, ground.priceList.sign)}
          </span>
        )}
      </span>
    </button>
  );
}

function grindWords(other: SheetState['now'], now: SheetState['now'], chosen: boolean): string {
  const gained = other.forecast.pool.grind - now.forecast.pool.grind;
  if (chosen || Math.abs(gained) < 20) return 'nothing in the boxes from here';
  return `${gained > 0 ? '+' : '−'}${formatWeight(Math.abs(gained) as never, 1)} grind`;
}

type SwitchProps = { side: 1 | 2; differs: boolean; onSide: (side: 1 | 2) => void; onSame: () => void };

/** A whole animal is mirrored; one side may differ. */
function SideSwitch({ side, differs, onSide, onSame }: SwitchProps) {
  return (
    <span className={styles.sideSwitch}>
      <Segmented
        size="small"
        value={side}
        onChange={(value) => onSide(value as 1 | 2)}
        options={[
          { value: 1, label: differs ? 'left side' : 'both sides' },
          { value: 2, label: differs ? 'right side' : 'right otherwise' },
        ]}
      />
      {differs && (
        <button type="button" className={styles.link} onClick={onSame}>
          the same on both
        </button>
      )}
    </span>
  );
}
