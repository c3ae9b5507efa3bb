'use client';

import { useSearchParams } from 'next/navigation';
import { memo, useCallback, useState } from 'react';
import { takenOver, takenWords } from '@/core/sheet/takenOver';
import { decisionsAsked } from '@/core/sheet/situation';
import { answerSummary } from '@/core/sheet/summary';
import { mainDecisionOf, zoneDestination } from '@/core/questions/zones';
import { formatWeight, sumWeights } from '@/core/quantity/weight';
import type { Decision, Species } from '@/core/species/types';
import type { SheetView } from '@/server/sheet';
import { useKey, useScope } from '../kit/keys/useKey';
import { useSettled } from '../kit/useSettled';
import { useSteady } from '../kit/useSteady';
import { SideMap } from '../kit/SideMap';
import { Boxes } from './Boxes';
import styles from './SheetScreen.module.css';
import { EXTRAS_ROW, GRIND_ROW } from './rows';
import { SheetHeader } from './SheetHeader';
import { useSheet, type SheetState } from './useSheet';
import { WeightBar } from './WeightBar';
import { ZoneList } from './ZoneList';

/** The signature screen: the side, the decisions in the cutter's order, the boxes, and one bar that adds up. */
export function SheetWorkedOn({ view, species }: { view: SheetView; species: Species }) {
  const state = useSheet(view, species);
  // The figures of a choice are drawn first; what the eye goes to afterwards follows in the frames after.
  const settled = useSettled(state);
  const { now } = state;
  const [open, setOpen] = useOpenRow(state, settled);
  const openDecision = species.decisions.find((decision) => decision.id === open);
  return (
    <div className={styles.screen}>
      <SteadyHeader view={view} state={settled} onQuestion={setOpen} />
      <div className={styles.columns}>
        <SteadySide state={settled} species={species} openDecision={openDecision} onOpen={setOpen} />
        <section className={styles.zones} aria-label="Decisions, in cutting order">
          <ZoneList state={state} settled={settled} view={view} open={open} onOpen={setOpen} />
        </section>
        <aside className={styles.boxes}>
          <Boxes state={state} view={view} openDecision={open} onOpen={setOpen} />
        </aside>
      </div>
      <WeightBar forecast={now.forecast} unit={view.unit} basis={view.weightBasis} />
    </div>
  );
}

/** Which row is open: the first question, what the palette leads to, and what the keys go on to. */
function useOpenRow(state: SheetState, settled: SheetState): [string, (row: string) => void] {
  const asked = useSearchParams().get('row');
  const decisions = decisionsAsked(state.situation);
  const [open, setOpen] = useState<string>(() => asked ?? firstOpen(state) ?? decisions[0]!.id);
  const rows = [...decisions.map((decision) => decision.id), GRIND_ROW, EXTRAS_ROW];
  const step = (by: number) =>
    setOpen((before) => rows[(rows.indexOf(before) + by + rows.length) % rows.length]!);
  useScope('sheet');
  useKey('sheet', 'next', () => step(1));
  useKey('sheet', 'before', () => step(-1));
  useKey('sheet', 'question', () => setOpen((before) => nextQuestion(settled, before) ?? before));
  const [followed, setFollowed] = useState(asked);
  if (asked !== followed) {
    // The palette leads to a row by the address, on the sheet that is open already too.
    setFollowed(asked);
    if (asked) setOpen(asked);
  }
  return [open, setOpen];
}

type SideProps = {
  state: SheetState;
  species: Species;
  openDecision: Decision | undefined;
  onOpen: (decision: string) => void;
};

/** The side as it would be cut, and one line of words for the zone that is pointed at, or open. */
function Side({ state, species, openDecision, onOpen }: SideProps) {
  const [pointed, setPointed] = useState<string>();
  const { sheet, now } = state;
  const choose = useCallback(
    (zone: string) => {
      const decision = mainDecisionOf(species, zone);
      if (decision) onOpen(decision.id);
    },
    [species, onOpen],
  );
  const describe = useSteady((zone: string) => {
    const decision = mainDecisionOf(species, zone);
    return decision ? wordsOf(state, decision) : `${zone}: not answered`;
  });
  const shown = pointed ? mainDecisionOf(species, pointed) : openDecision;
  const zones = Object.keys(species.sideMap.zones);
  const destinations = zones.map((zone) => zoneDestination({ species, sheet, expected: now.forecast }, zone));
  return (
    <aside className={styles.side}>
      <div className={styles.drawing}>
        <SteadyMap
          map={species.sideMap}
          destinations={destinations.join()}
          describe={describe}
          active={openDecision?.zone}
          onChoose={choose}
          onPoint={setPointed}
        />
      </div>
      <p className={styles.caption} aria-live="polite">
        {shown ? wordsOf(state, shown) : 'Point at a zone, or tap it.'}
      </p>
    </aside>
  );
}

const SteadyMap = memo(SideMap);
const SteadySide = memo(Side);
const SteadyHeader = memo(SheetHeader);

/** A decision in one line: what is said of it, and what of it will be in the boxes. */
function wordsOf({ sheet, now, situation }: SheetState, decision: Decision): string {
  const taker = takenOver(situation.species, (id) => sheet.answers[id]).get(decision.id);
  if (taker) return `${decision.title}: ${takenWords(taker)}`;
  const answer = sheet.answers[decision.id];
  if (!answer) return `${decision.title}: not answered`;
  const lines = now.forecast.lines.filter((line) => line.decision === decision.id);
  const packed = sumWeights(lines.map((line) => line.packaged));
  const weight = packed > 0 ? `, ${formatWeight(packed, 1)} ${situation.unit}` : '';
  return `${decision.title}: ${answerSummary(decision, answer, situation.unit)}${weight}`;
}

function firstOpen(state: SheetState): string | undefined {
  return state.findings.find((finding) => finding.blocks)?.decision;
}

function nextQuestion(state: SheetState, after: string): string | undefined {
  const open = state.findings.filter((finding) => finding.blocks).map((finding) => finding.decision);
  return open[open.indexOf(after) + 1] ?? open[0];
}
