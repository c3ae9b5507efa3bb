'use client';

import { Button } from 'antd';
import { useState } from 'react';
import { houseSheet } from '@/core/sheet/houseSheet';
import { decisionsAsked } from '@/core/sheet/situation';
import { answerSummary } from '@/core/sheet/summary';
import { mainDecisionOf, zoneDestination } from '@/core/questions/zones';
import { formatWeight, sumWeights } from '@/core/quantity/weight';
import type { Species } from '@/core/species/types';
import type { SheetView } from '@/server/sheet';
import { useKey, useScope } from '../kit/keys/useKey';
import { SideMap } from '../kit/SideMap';
import { ApproveDialog } from './ApproveDialog';
import { Boxes } from './Boxes';
import { CallLog } from './CallLog';
import { Questions } from './Questions';
import styles from './SheetScreen.module.css';
import { EXTRAS_ROW, GRIND_ROW } from './rows';
import { useSpecies } from './useSpecies';
import { useSheet, type Saving, type SheetState } from './useSheet';
import { WeightBar } from './WeightBar';
import { ZoneList } from './ZoneList';

/** The sheet, as soon as its species has come. */
export function SheetScreen({ view }: { view: SheetView }) {
  const { species, failed } = useSpecies(view.species);
  if (species) return <SheetWorkedOn view={view} species={species} />;
  return (
    <p className={failed ? 'alarm' : 'quiet'} role="status">
      {failed ? 'The catalogue did not come. Load the page again.' : `Loading the sheet of ${view.name}`}
    </p>
  );
}

/** The signature screen: the side, the decisions in the cutter's order, the boxes, and one bar that adds up. */
function SheetWorkedOn({ view, species }: { view: SheetView; species: Species }) {
  const state = useSheet(view, species);
  const { situation, sheet, now } = state;
  const [open, setOpen] = useState<string>(() => firstOpen(state) ?? decisionsAsked(situation)[0]!.id);
  const [pointed, setPointed] = useState<string>();
  const rows = [...decisionsAsked(situation).map((decision) => decision.id), GRIND_ROW, EXTRAS_ROW];
  const openDecision = species.decisions.find((decision) => decision.id === open);

  const step = (by: number) =>
    setOpen((before) => rows[(rows.indexOf(before) + by + rows.length) % rows.length]!);
  useScope('sheet');
  useKey('sheet', 'next', () => step(1));
  useKey('sheet', 'before', () => step(-1));
  useKey('sheet', 'question', () => setOpen((before) => nextQuestion(state, before) ?? before));

  const describe = (zone: string) => {
    const decision = mainDecisionOf(species, zone);
    const answer = decision && sheet.answers[decision.id];
    if (!decision || !answer) return `${decision?.title ?? zone}: not answered`;
    const packed = sumWeights(
      now.forecast.lines.filter((line) => line.decision === decision.id).map((line) => line.packaged),
    );
    const weight = packed > 0 ? `, ${formatWeight(packed, 1)} ${view.unit}` : '';
    return `${decision.title}: ${answerSummary(decision, answer, view.unit)}${weight}`;
  };
  const shownZone = pointed ?? openDecision?.zone;

  return (
    <div className={styles.screen}>
      <SheetHeader view={view} state={state} onQuestion={setOpen} />
      <div className={styles.columns}>
        <aside className={styles.side}>
          <div className={styles.drawing}>
            <SideMap
              map={species.sideMap}
              destinationOf={(zone) => zoneDestination({ species, sheet, expected: now.forecast }, zone)}
              describe={describe}
              active={openDecision?.zone}
              onChoose={(zone) => setOpen(mainDecisionOf(species, zone)?.id ?? open)}
              onPoint={setPointed}
            />
          </div>
          <p className={styles.caption} aria-live="polite">
            {shownZone ? describe(shownZone) : 'Point at a zone, or tap it.'}
          </p>
        </aside>
        <section className={styles.zones} aria-label="Decisions, in cutting order">
          <ZoneList state={state} view={view} open={open} onOpen={setOpen} />
        </section>
        <aside className={styles.boxes}>
          <Boxes state={state} view={view} openDecision={open} onOpen={setOpen} />
        </aside>
      </div>
      <WeightBar forecast={now.forecast} unit={view.unit} basis={view.weightBasis} />
    </div>
  );
}

function firstOpen(state: SheetState): string | undefined {
  return state.findings.find((finding) => finding.blocks)?.decision;
}

function nextQuestion(state: SheetState, after: string): string | undefined {
  const open = state.findings.filter((finding) => finding.blocks).map((finding) => finding.decision);
  return open[open.indexOf(after) + 1] ?? open[0];
}

type HeaderProps = { view: SheetView; state: SheetState; onQuestion: (decision: string) => void };

function SheetHeader({ view, state, onQuestion }: HeaderProps) {
  const [asking, setAsking] = useState(false);
  return (
    <header className={styles.header}>
      <h1>{view.name}</h1>
      <span className="quiet">{view.about}</span>
      <Questions findings={state.findings} state={state} onOpen={onQuestion} />
      <span className={styles.spacer} />
      <SavedMark saving={state.saving} locked={view.locked} />
      <CallLog view={view} openQuestions={blockingSentences(state)} />
      {!view.locked && (
        <>
          <Button onClick={() => state.change(keepingWords(state))}>House standard</Button>
          <Button
            type="primary"
            disabled={state.approved || state.saving.state !== 'saved'}
            onClick={() => setAsking(true)}
          >
            {state.approved ? 'Approved' : 'Approve the sheet'}
          </Button>
        </>
      )}
      {asking && <ApproveDialog view={view} state={state} onClose={() => setAsking(false)} />}
    </header>
  );
}

function blockingSentences({ findings }: SheetState): string[] {
  return findings.filter((finding) => finding.blocks).map((finding) => finding.sentence);
}

/** The house's answers; what the customer wrote to the cutter stays. */
function keepingWords({ situation, sheet }: SheetState) {
  return { ...houseSheet(situation), instructions: sheet.instructions, wrap: sheet.wrap };
}

const SAVED_WORDS: Record<Saving['state'], string> = {
  saved: 'all saved',
  saving: 'saving',
  waiting: 'kept here, network away',
  refused: 'not saved',
};

function SavedMark({ saving, locked }: { saving: Saving; locked: boolean }) {
  if (locked) return <span className="quiet">on the block: the sheet stands</span>;
  const alarming = saving.state === 'refused' || saving.state === 'waiting';
  return (
    <span
      className={alarming ? 'alarm' : 'quiet'}
      role="status"
      data-saving={saving.state}
      title={saving.message}
    >
      {SAVED_WORDS[saving.state]}
      {saving.state === 'refused' && `: ${saving.message}`}
    </span>
  );
}
