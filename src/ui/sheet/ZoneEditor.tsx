'use client';

import { Segmented } from 'antd';
import { memo, useState } from 'react';
import { houseFromAnswer, isHouses, reasonNow } from '@/core/setUp/houseFromAnswer';
import type { Finding } from '@/core/questions/findings';
import { numberedOptions } from '@/core/sheet/digits';
import { formOf, houseWay } from '@/core/sheet/houseSheet';
import { optionById, whyNotOffered, type Situation } from '@/core/sheet/situation';
import { answerSummary } from '@/core/sheet/summary';
import { takenOver, takenWords } from '@/core/sheet/takenOver';
import type { Answer, Sheet } from '@/core/sheet/types';
import { answerOn } from '@/core/sheet/wishes';
import type { Decision } from '@/core/species/types';
import type { SheetView } from '@/server/sheet';
import { useKey } from '../kit/keys/useKey';
import { useSteady } from '../kit/useSteady';
import { onDemand } from '../kit/onDemand';
import { answeredOn } from './answered';
import { OptionRows } from './OptionRows';
import styles from './SheetScreen.module.css';
import type { SheetState } from './useSheet';
import { Warnings } from './Warnings';

type Props = {
  decision: Decision;
  state: SheetState;
  settled: SheetState;
  view: SheetView;
  /** A way was chosen by its digit, which makes this sheet. */
  onDigit?: ((sheet: Sheet) => void) | undefined;
};

/** The open zone: its forms side by side with what each gives and costs, and what the chosen ones need to know. */
export function ZoneEditor({ decision, state, settled, view: { locked, setsUp }, onDigit }: Props) {
  const { situation, sheet } = state;
  const [side, setSide] = useState<1 | 2>(1);
  const answerIn = (from: Sheet) =>
    (side === 2 ? from.secondSide[decision.id] : undefined) ?? from.answers[decision.id];
  const [answer, settledAnswer] = [answerIn(sheet), answerIn(settled.sheet)];
  const answered = answeredOn(side, decision.id);
  const offered = numberedOptions(decision, situation);
  const refused = decision.options.filter((option) => whyNotOffered(option, situation));
  const mine = findingsOfZone(settled.findings, decision, situation);
  const choose = useSteady((option: string) => {
    // Chosen again it stays as it is: its sizes are not those of the house any more.
    if (locked || (answer?.forms.length === 1 && answer.forms[0]!.option === option)) return;
    state.change(answered(sheet, { forms: [formOf(decision, option, situation)] }));
  });
  useKey('sheet', 'option', (event) => {
    const chosen = offered.find(({ digit }) => digit === event.key);
    if (!chosen) return;
    choose(chosen.option.id);
    onDigit?.(answered(sheet, { forms: [formOf(decision, chosen.option.id, situation)] }));
  });
  const houseStep = useSteady((reason: string) => {
    const step = houseFromAnswer(decision, settledAnswer!, { situation, reason });
    return step.ok ? step.value : step.message;
  });
  const taker = takenOver(situation.species, (id) => answerOn(sheet, id, side)).get(decision.id);
  return (
    <div className={styles.open}>
      <div className={styles.openHead}>
        <h2>{decision.title}</h2>
        {!answer && (
          <span className="alarm">
            not answered; the house: {optionById(decision, houseWay(decision, situation).options[0]!).label}
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
      {houseWay(decision, situation).advice.map((words) => (
        <p key={words} className={styles.remark}>
          {words}
        </p>
      ))}
      {taker && (
        <p className={styles.remark} role="status">
          It goes {takenWords(taker)}. To cut it here, answer {taker.decision.title.toLowerCase()} otherwise.
        </p>
      )}
      <Warnings findings={mine} state={settled} locked={locked} />
      <OptionRows
        decision={decision}
        options={offered}
        settled={settled}
        side={side}
        chosen={new Set(taker ? [] : answer?.forms.map((form) => form.option))}
        locked={locked}
        onChoose={choose}
      />
      {refused.length > 0 && (
        <p className="quiet">{refused.map((option) => whyNotOffered(option, situation)).join(' ')}</p>
      )}
      {settledAnswer && !taker && (
        <Forms decision={decision} answer={settledAnswer} state={state} side={side} locked={locked} />
      )}
      {setsUp && settledAnswer && !taker && !isHouses(decision, settledAnswer, situation) && (
        <SteadyHouseSays
          what={`${decision.title}: ${answerSummary(decision, settledAnswer, situation.unit)}`}
          reason={reasonNow(decision, situation)}
          step={houseStep}
        />
      )}
    </div>
  );
}

/** What is remarked of the row in hand, and of the rows of its zone, which a choice here may have brought about. */
function findingsOfZone(
  findings: readonly Finding[],
  { id, zone }: Decision,
  { species }: Situation,
): readonly Finding[] {
  const inZone = new Set(species.decisions.filter((each) => each.zone === zone).map((each) => each.id));
  const isOwn = ({ decision, holder }: Finding) => decision === id || holder === id;
  const of = findings.filter((finding) => finding.kind !== 'unanswered');
  return [...of.filter(isOwn), ...of.filter((finding) => !isOwn(finding) && inZone.has(finding.decision))];
}

const SteadyHouseSays = memo(onDemand(() => import('./HouseSays').then((module) => module.HouseSays)));

type FormsProps = { decision: Decision; answer: Answer; state: SheetState; side: 1 | 2; locked: boolean };

/** The sizes of the chosen forms; fields are dear to draw, and are drawn again only when their answer has changed. */
function Forms({ decision, answer, state, side, locked }: FormsProps) {
  const change = useSteady((changed: Answer) =>
    state.change(answeredOn(side, decision.id)(state.sheet, changed)),
  );
  return (
    <SteadyFormRows
      decision={decision}
      answer={answer}
      situation={state.situation}
      locked={locked}
      onChange={change}
    />
  );
}

/** Fields are dear to load as well: they come when the first zone that has some is open. */
const SteadyFormRows = memo(onDemand(() => import('./FormRows').then((module) => module.FormRows)));

type SwitchProps = { side: 1 | 2; differs: boolean; onSide: (side: 1 | 2) => void; onSame: () => void };

/** A whole animal is mirrored; one side may differ. */
function SideSwitch({ side, differs, onSide, onSame }: SwitchProps) {
  return (
    <span className={styles.sideSwitch}>
      <Segmented
        aria-label="Which side"
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
