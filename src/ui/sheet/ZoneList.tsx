'use client';

import { formatWeight, sumWeights } from '@/core/quantity/weight';
import { decisionsAsked } from '@/core/sheet/situation';
import { answerSummary, grindSummary } from '@/core/sheet/summary';
import type { SheetView } from '@/server/sheet';
import { ExtrasEditor, extrasSummary } from './ExtrasEditor';
import { GrindEditor } from './GrindEditor';
import { EXTRAS_ROW, GRIND_ROW } from './rows';
import styles from './SheetScreen.module.css';
import type { SheetState } from './useSheet';
import { ZoneEditor } from './ZoneEditor';

type Props = { state: SheetState; view: SheetView; open: string; onOpen: (row: string) => void };

/** Every decision in the cutter's order, one open at a time; then the grind, then what is kept besides. */
export function ZoneList({ state, view, open, onOpen }: Props) {
  const { situation, sheet, now, findings } = state;
  const weightOf = (decision: string) =>
    sumWeights(now.forecast.lines.filter((line) => line.decision === decision).map((line) => line.packaged));
  return (
    <>
      {decisionsAsked(situation).map((decision) => {
        const answer = sheet.answers[decision.id];
        const trouble = findings.find((finding) => finding.decision === decision.id && finding.blocks);
        const packed = weightOf(decision.id);
        if (decision.id === open) {
          return <ZoneEditor key={decision.id} decision={decision} state={state} view={view} />;
        }
        return (
          <Row
            key={decision.id}
            title={decision.title}
            words={
              trouble && trouble.kind !== 'unanswered'
                ? trouble.sentence
                : answer
                  ? answerSummary(decision, answer, view.unit)
                  : 'not answered'
            }
            alarming={trouble !== undefined}
            weight={packed > 0 ? formatWeight(packed, 1) : ''}
            onOpen={() => onOpen(decision.id)}
          />
        );
      })}
      {open === GRIND_ROW ? (
        <GrindEditor state={state} view={view} />
      ) : (
        <Row
          title="Grind"
          words={
            findings.find((finding) => finding.decision === GRIND_ROW)?.sentence ??
            grindSummary(situation.species, sheet.grind, view.unit)
          }
          alarming={findings.some((finding) => finding.decision === GRIND_ROW && finding.blocks)}
          weight={formatWeight(now.forecast.pool.grind, 1)}
          onOpen={() => onOpen(GRIND_ROW)}
        />
      )}
      {open === EXTRAS_ROW ? (
        <ExtrasEditor state={state} locked={view.locked} />
      ) : (
        <Row
          title="Wrap, extras"
          words={extrasSummary(state)}
          alarming={false}
          weight=""
          onOpen={() => onOpen(EXTRAS_ROW)}
        />
      )}
    </>
  );
}

type RowProps = { title: string; words: string; alarming: boolean; weight: string; onOpen: () => void };

function Row({ title, words, alarming, weight, onOpen }: RowProps) {
  return (
    <button type="button" className={styles.row} onClick={onOpen}>
      <b>{title}</b>
      <span className={alarming ? 'alarm' : undefined}>{words}</span>
      <span className={styles.rowWeight}>{weight}</span>
    </button>
  );
}
