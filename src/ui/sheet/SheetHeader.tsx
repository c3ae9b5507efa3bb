'use client';

import { Button } from 'antd';
import { memo, useCallback, useState } from 'react';
import { houseSheet } from '@/core/sheet/houseSheet';
import type { SheetView } from '@/server/sheet';
import { useKey } from '../kit/keys/useKey';
import { useLatest } from '../kit/useLatest';
import { useSteady } from '../kit/useSteady';
import { useSignal } from '../kit/useSignal';
import { onDemand } from '../kit/onDemand';
import { CallLog } from './CallLog';
import { Questions } from './Questions';
import type { Saving, SheetSaver } from './sheetSaver';
import styles from './SheetScreen.module.css';
import type { SheetState } from './useSheet';

const TwoWays = onDemand(() => import('./TwoWays').then((module) => module.TwoWays));
const TheirPage = onDemand(() => import('./TheirPage').then((module) => module.TheirPage));
const ApproveDialog = onDemand(() => import('./ApproveDialog').then((module) => module.ApproveDialog));

type Props = {
  view: SheetView;
  state: SheetState;
  onQuestion: (decision: string) => void;
  onWish: () => void;
};

/** Whose sheet it is, what is open on it, whether it is saved, and what can be done with it as a whole. */
export function SheetHeader({ view, state, onQuestion, onWish }: Props) {
  const [asking, setAsking] = useState(false);
  const [giving, setGiving] = useState(false);
  const [comparing, setComparing] = useState(false);
  const compare = useCallback(() => setComparing(true), []);
  const give = useCallback(() => setGiving(true), []);
  const latest = useLatest(state);
  const openQuestions = useSteady(() =>
    state.findings.filter((finding) => finding.blocks).map((finding) => finding.sentence),
  );
  const takeHouse = useSteady(() => {
    const { situation, sheet, change } = state;
    // What the customer wrote to the cutter, and how it is wrapped, stays.
    change({ ...houseSheet(situation), instructions: sheet.instructions, wrap: sheet.wrap });
  });
  const undo = useSteady(() => state.undo?.());
  const approve = useCallback(() => setAsking(true), []);
  const redo = useSteady(() => state.redo?.());
  useKey('sheet', 'undo', undo);
  useKey('sheet', 'redo', redo);
  useKey('sheet', 'houseAll', takeHouse, !view.locked);
  useKey('sheet', 'approve', approve, !view.locked && !state.approved);
  return (
    <header className={styles.header}>
      <h1>{view.name}</h1>
      <span className={`quiet ${styles.about}`} title={view.about}>
        {view.about}
      </span>
      <Questions findings={state.findings} state={latest} onOpen={onQuestion} />
      <span className={styles.spacer} />
      <SavedMark saver={state.saver} locked={view.locked} />
      {view.sent && <span className="quiet">they sent it {view.sent.at}</span>}
      <WishButton onWish={onWish} />
      <CompareButton onCompare={compare} />
      <PageButton onGive={give} />
      <SteadyCallLog view={view} openQuestions={openQuestions} />
      {!view.locked && (
        <>
          <UndoButton disabled={!state.undo} onUndo={undo} />
          {state.redo && (
            <button type="button" className="link" onClick={redo}>
              Again
            </button>
          )}
          <HouseButton onTake={takeHouse} />
          <ApproveButton approved={state.approved} onApprove={approve} />
        </>
      )}
      {comparing && <TwoWays view={view} state={state} onClose={() => setComparing(false)} />}
      {giving && <TheirPage view={view} onClose={() => setGiving(false)} />}
      {asking && <ApproveDialog view={view} state={state} onClose={() => setAsking(false)} />}
    </header>
  );
}

const SteadyCallLog = memo(CallLog);

const UndoButton = memo(function UndoButton({ disabled, onUndo }: { disabled: boolean; onUndo: () => void }) {
  return (
    <button type="button" className="link" disabled={disabled} onClick={onUndo}>
      Undo
    </button>
  );
});

const WishButton = memo(function WishButton({ onWish }: { onWish: () => void }) {
  return (
    <button type="button" className="link" onClick={onWish}>
      Wishes
    </button>
  );
});

const CompareButton = memo(function CompareButton({ onCompare }: { onCompare: () => void }) {
  return (
    <button type="button" className="link" onClick={onCompare}>
      Against
    </button>
  );
});

const PageButton = memo(function PageButton({ onGive }: { onGive: () => void }) {
  return (
    <button type="button" className="link" onClick={onGive}>
      Their page
    </button>
  );
});

const HouseButton = memo(function HouseButton({ onTake }: { onTake: () => void }) {
  return <Button onClick={onTake}>House standard</Button>;
});

type ApproveProps = { approved: boolean; onApprove: () => void };

/** Does not go grey with every choice: the dialog it opens waits until what was chosen is saved. */
const ApproveButton = memo(function ApproveButton({ approved, onApprove }: ApproveProps) {
  return (
    <Button type="primary" disabled={approved} onClick={onApprove}>
      {approved ? 'Approved' : 'Approve the sheet'}
    </Button>
  );
});

const SAVED_WORDS: Record<Saving['state'], string> = {
  saved: 'all saved',
  saving: 'saving',
  waiting: 'kept here, network away',
  held: 'kept here, until somebody says why',
  refused: 'not saved',
};

const SavedMark = memo(function SavedMark({ saver, locked }: { saver: SheetSaver; locked: boolean }) {
  const { state, message } = useSignal(saver.saving);
  if (locked) return <span className="quiet">on the block: the sheet stands</span>;
  const alarming = state === 'refused' || state === 'waiting';
  return (
    <span className={alarming ? 'alarm' : 'quiet'} role="status" data-saving={state} title={message}>
      {SAVED_WORDS[state]}
      {state === 'refused' && `: ${message}`}
    </span>
  );
});
