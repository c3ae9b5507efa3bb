'use client';

import { memo, useMemo } from 'react';
import { formatWeight, sumWeights } from '@/core/quantity/weight';
import { decisionsAsked } from '@/core/sheet/situation';
import { answerSummary, extrasSummary, grindSummary } from '@/core/sheet/summary';
import { takenOver, takenWords } from '@/core/sheet/takenOver';
import type { Decision } from '@/core/species/types';
import type { SheetView } from '@/server/sheet';
import { EXTRAS_ROW, FAT_BESIDE, GRIND_ROW } from './rows';
import styles from './SheetScreen.module.css';
import type { SheetState } from './useSheet';
import { onDemand } from '../kit/onDemand';
import { ZoneEditor } from './ZoneEditor';

const ExtrasEditor = onDemand(() => import('./ExtrasEditor').then((module) => module.ExtrasEditor));
const GrindEditor = onDemand(() => import('./GrindEditor').then((module) => module.GrindEditor));
const FieldStyles = onDemand(() => import('./FieldStyles').then((module) => module.FieldStyles));

type Props = {
  state: SheetState;
  /** The same a moment later: what closed rows and the fields of the open one are drawn from. */
  settled: SheetState;
  view: SheetView;
  open: string;
  onOpen: (row: string) => void;
};

/** Every decision in the cutter's order, one open at a time; then the grind, then what is kept besides. */
export function ZoneList({ state, settled, view, open, onOpen }: Props) {
  const decisions = useMemo(() => decisionsAsked(state.situation), [state.situation]);
  const rows = useMemo(() => decisions.map((decision) => rowOf(settled, decision)), [decisions, settled]);
  return (
    <>
      {decisions.map((decision, index) =>
        decision.id === open ? (
          <ZoneEditor key={decision.id} decision={decision} state={state} settled={settled} view={view} />
        ) : (
          <Row key={decision.id} id={decision.id} {...rows[index]!} onOpen={onOpen} />
        ),
      )}
      {open === GRIND_ROW ? (
        <GrindEditor state={state} view={view} />
      ) : (
        <Row id={GRIND_ROW} {...grindRow(settled)} onOpen={onOpen} />
      )}
      {open === EXTRAS_ROW ? (
        <ExtrasEditor state={state} view={view} />
      ) : (
        <Row
          id={EXTRAS_ROW}
          title="Wrap, extras"
          words={extrasWords(settled)}
          alarming={false}
          weight=""
          onOpen={onOpen}
        />
      )}
      <FieldStyles />
    </>
  );
}

function extrasWords({ sheet, situation }: SheetState): string {
  const words = extrasSummary(situation.species, sheet);
  return sheet.instructions ? `${words}; “${sheet.instructions}”` : words;
}

type RowWords = { title: string; words: string; alarming: boolean; weight: string };

function rowOf({ sheet, situation, findings, now }: SheetState, decision: Decision): RowWords {
  const { unit } = situation;
  const [answer, right] = [sheet.answers[decision.id], sheet.secondSide[decision.id]];
  const trouble = findings.find((finding) => finding.decision === decision.id && finding.blocks);
  const lines = now.forecast.lines.filter((line) => line.decision === decision.id);
  const packed = sumWeights(lines.map((line) => line.packaged));
  const taker = takenOver(situation.species, (id) => sheet.answers[id]).get(decision.id);
  const asked = answer
    ? `${answerSummary(decision, answer, unit)}${right ? `; right side ${answerSummary(decision, right, unit)}` : ''}`
    : 'not answered';
  const said = taker ? takenWords(taker) : asked;
  return {
    title: decision.title,
    words: trouble && trouble.kind !== 'unanswered' ? trouble.sentence : said,
    alarming: trouble !== undefined,
    weight: packed > 0 ? formatWeight(packed, 1) : '',
  };
}

function grindRow({ sheet, situation, findings, now }: SheetState): RowWords {
  const own = findings.filter((finding) => finding.decision === GRIND_ROW);
  const { fatPct, grind } = now.forecast.pool;
  const beside = Math.abs(fatPct - sheet.grind.fatPct) > FAT_BESIDE ? `; reaches ${fatPct.toFixed(0)} %` : '';
  return {
    title: 'Grind',
    words:
      own[0]?.sentence ??
      (grind === 0
        ? 'nothing is ground'
        : `${grindSummary(situation.species, sheet.grind, situation.unit)}${beside}`),
    alarming: own.some((finding) => finding.blocks),
    weight: formatWeight(grind, 1),
  };
}

type RowProps = RowWords & { id: string; onOpen: (row: string) => void };

/** A closed row; drawn again only when its words have changed. */
const Row = memo(function Row({ id, title, words, alarming, weight, onOpen }: RowProps) {
  return (
    <button type="button" className={styles.row} onClick={() => onOpen(id)}>
      <b>{title}</b>
      <span className={alarming ? 'alarm' : undefined}>{words}</span>
      <span className={styles.rowWeight}>{weight}</span>
    </button>
  );
});
