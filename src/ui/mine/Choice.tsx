'use client';

import { useMemo } from 'react';
import { tradeOffSentence } from '@/core/questions/evaluate';
import { formatMoney } from '@/core/quantity/money';
import { formatWeight, sumWeights } from '@/core/quantity/weight';
import { formOf, houseWay, withAnswer } from '@/core/sheet/houseSheet';
import { optionById, whyNotOffered } from '@/core/sheet/situation';
import { takenOver, takenWords } from '@/core/sheet/takenOver';
import { frameOf, zonePath } from '@/core/species/sideMapPath';
import type { Decision, Option } from '@/core/species/types';
import { WholeBar } from '../kit/WholeBar';
import { expectedParts } from '@/core/order/whole';
import { FieldStyles } from '../sheet/FieldStyles';
import { FormRows } from '../sheet/FormRows';
import { Help } from '../sheet/Help';
import type { SheetState } from '../sheet/useSheet';
import styles from './Mine.module.css';
import type { MinePage } from './minePage';

type Props = {
  page: MinePage;
  state: SheetState;
  decision: Decision;
  place: { readonly at: number; readonly of: number };
  next: Decision | undefined;
  onBack: () => void;
  onNext: () => void;
  onUsual: () => void;
};

/** One choice: where it is on the animal, what can be done with it, and what each way gives and takes. */
export function Choice({ page, state, decision, place, next, onBack, onNext, onUsual }: Props) {
  const { situation, sheet, now, ground } = state;
  const way = houseWay(decision, situation);
  const answer = sheet.answers[decision.id];
  const taker = takenOver(situation.species, (id) => sheet.answers[id]).get(decision.id);
  const chosen = new Set(answer?.forms.map((form) => form.option));
  const offered = decision.options.filter((option) => !whyNotOffered(option, situation));
  const mineFindings = state.findings.filter(
    (finding) => finding.decision === decision.id && finding.kind !== 'unanswered',
  );
  const spoken = offered.find(({ id }) => chosen.has(id)) ?? optionById(decision, way.options[0]!);
  const choose = (option: string) => {
    if (page.sheet.locked || (chosen.size === 1 && chosen.has(option))) return;
    state.change(withAnswer(sheet, decision.id, { forms: [formOf(decision, option, situation)] }));
  };
  const goOn = () => {
    // Whoever goes on without a choice takes ours, and sees it on the sheet.
    if (!answer && !taker) {
      state.change(
        withAnswer(sheet, decision.id, {
          forms: way.options.map((id) => formOf(decision, id, situation)),
        }),
      );
    }
    onNext();
  };
  return (
    <>
      <div className={styles.body}>
        <div className={styles.twoParts}>
          <div>
            <p className="quiet">
              {place.at + 1} of {place.of}, at the {decision.zone}
            </p>
            <h1>{decision.title}</h1>
          </div>
          <Where decision={decision} state={state} />
        </div>
        {way.advice.map((words) => (
          <p key={words}>{words}</p>
        ))}
        {taker ? (
          <p>
            It goes {takenWords(taker)}. To have it cut here, choose otherwise at{' '}
            {taker.decision.title.toLowerCase()}.
          </p>
        ) : (
          <div role="radiogroup" aria-label={decision.title} className={styles.ways}>
            {offered.map((option) => (
              <Way
                key={option.id}
                state={state}
                decision={decision}
                option={option}
                chosen={chosen.has(option.id)}
                usual={way.options.includes(option.id) ? way.reason : ''}
                locked={page.sheet.locked}
                onChoose={() => choose(option.id)}
              />
            ))}
          </div>
        )}
        {!taker && situation.species.help && (
          <Help key={[...chosen][0] ?? ''} state={state} decision={decision} option={spoken} isOpen />
        )}
        {answer && !taker && (
          <div className={styles.sizes}>
            <FormRows
              decision={decision}
              answer={answer}
              situation={situation}
              locked={page.sheet.locked}
              onChange={(changed) => state.change(withAnswer(sheet, decision.id, changed))}
            />
          </div>
        )}
        {mineFindings.map(({ sentence, blocks }) => (
          <p key={sentence} className={blocks ? 'alarm' : 'quiet'} role="status">
            {sentence}
          </p>
        ))}
        <button type="button" className={styles.quietLink} onClick={onUsual}>
          All that is left the way you usually do
        </button>
        <FieldStyles />
      </div>
      <footer className={styles.bar}>
        <WholeBar parts={expectedParts(now.forecast)} unit={situation.unit} label="Where it goes" />
        <p className={styles.figures}>
          <span>
            <b>{formatWeight(now.forecast.takeHome, 1)}</b> {situation.unit} home
          </span>
          <span>
            <b>{now.forecast.freezerCuFt.toFixed(1)}</b> cu ft
          </span>
          {page.prices && <b>{formatMoney(now.bill.total, ground.priceList.sign)}</b>}
        </p>
        <div className={styles.steps}>
          <button type="button" className={styles.quietLink} onClick={onBack}>
            Back
          </button>
          <button type="button" className={styles.main} onClick={goOn}>
            {next ? `Next, ${next.title.toLowerCase()}` : 'See what comes home'}
          </button>
        </div>
      </footer>
    </>
  );
}

type WayProps = {
  state: SheetState;
  decision: Decision;
  option: Option;
  chosen: boolean;
  /** Why the shop would do it so; empty where it would not. */
  usual: string;
  locked: boolean;
  onChoose: () => void;
};

/** One way to have it: what it is, what comes of it, and what it gives and takes against what is chosen. */
function Way({ state, decision, option, chosen, usual, locked, onChoose }: WayProps) {
  const { now, evaluations, sheet, situation, ground } = state;
  const figures = useMemo(() => {
    const other = withAnswer(sheet, decision.id, { forms: [formOf(decision, option.id, situation)] });
    const then = chosen ? now : evaluations.of(other);
    const lines = then.forecast.lines.filter((line) => line.decision === decision.id);
    return {
      packed: sumWeights(lines.map((line) => line.packaged)),
      against: chosen
        ? ''
        : tradeOffSentence(now, then, { unit: situation.unit, sign: ground.priceList.sign }),
    };
  }, [chosen, decision, evaluations, ground, now, option, sheet, situation]);
  return (
    <button
      type="button"
      role="radio"
      aria-checked={chosen}
      className={styles.way}
      disabled={locked}
      onClick={onChoose}
    >
      <b>{option.label}</b>
      {figures.packed > 0 && (
        <span className={styles.wayWeight}>
          {formatWeight(figures.packed, 1)}
          <span className="unit">{situation.unit}</span>
        </span>
      )}
      <span className={styles.wayWords}>
        {option.note} {usual !== '' && <em>Our usual way. {usual}</em>}
      </span>
      {figures.against !== '' && sheet.answers[decision.id] && (
        <span className={styles.wayWords}>Instead of what you chose: {figures.against}.</span>
      )}
    </button>
  );
}

/** Where on the side it is. */
function Where({ decision, state }: { decision: Decision; state: SheetState }) {
  const map = state.situation.species.sideMap;
  return (
    <svg
      viewBox={frameOf(map).join(' ')}
      className={styles.where}
      role="img"
      aria-label={`At the ${decision.zone}`}
    >
      {Object.keys(map.zones).map((zone) => (
        <path key={zone} d={zonePath(map, zone)} data-here={zone === decision.zone || undefined} />
      ))}
    </svg>
  );
}
