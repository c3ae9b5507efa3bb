'use client';

import Link from 'next/link';
import { useRouter } from 'next/navigation';
import { useRef, useState } from 'react';
import { counted } from '@/core/quantity/counted';
import { tradeItemOf } from '@/core/label/gs1';
import { formatWeight, type Weight } from '@/core/quantity/weight';
import type { ScannedPack, WrapView } from '@/server/wrap';
import { act } from '../kit/act';
import { useScan } from '../kit/keys/useScan';
import { connection } from '../kit/live/hub';
import { useSignal } from '../kit/useSignal';
import { useLiveChosen } from '../kit/live/useLive';
import { BeforeTheBlock } from './BeforeTheBlock';
import { typedDigit } from './byDigits';
import { NothingMore } from './NothingMore';
import { PackOver } from './PackOver';
import type { RunningAccount } from './runningAccount';
import { ScalePanel } from './ScalePanel';
import { TargetGrid } from './TargetGrid';
import { TypedWeight } from './TypedWeight';
import { useWrapKeys } from './useWrapKeys';
import { WhatIsInTub } from './WhatIsInTub';
import { useWrapTable } from './useWrapTable';
import styles from './WrapScreen.module.css';

/** Digits of the code of a cut alone: `01` and its number. */
const CUT_CODE_LENGTH = 16;

/** The wrap table: what is due, the live weight, one action, the last packs. */
export function WrapScreen({ first }: { first: WrapView }) {
  const table = useWrapTable(first);
  const [asking, setAsking] = useState(false);
  const [typing, setTyping] = useState(false);
  const [parting, setParting] = useState(false);
  const [pack, setPack] = useState<ScannedPack>();
  const router = useRouter();
  const typed = useRef('');
  const { view, chosen } = table;
  const { target, inSection } = chosen;
  const askWhy = () => target && 'lineKey' in target.purpose && setAsking(true);

  const isAlone = !asking && !typing && !parting && !pack;
  const part = () => setParting(true);

  useWrapKeys(view.started && isAlone, {
    digit: (digit) => {
      const { rest, index } = typedDigit(typed.current, digit, inSection.length);
      typed.current = rest;
      if (index !== undefined) chosen.choose(inSection[index]?.key);
    },
    step: (by) => chosen.choose(inSection[inSection.findIndex((each) => each.key === target?.key) + by]?.key),
    section: chosen.stepSection,
    enter: table.take,
    back: () => void table.takeBack(),
    label: () => void table.printAgain(),
    tare: () => void table.tare(),
    pieces: chosen.changePieces,
    nothingMore: askWhy,
    typed: () => target?.waits === '' && setTyping(true),
    tray: table.nextTray,
    combine: table.combine,
    grade: part,
  });
  useScan(async (text) => {
    const line = Object.keys(view.tradeItems).find((key) => view.tradeItems[key] === tradeItemOf(text));
    const isCutAlone = text.length === CUT_CODE_LENGTH;
    if (isCutAlone && line) return chosen.choose(chosen.keyOfLine(line));
    const answer = await act('scannedView', { text });
    if (!answer.ok) return table.say('refused', answer.message);
    if (answer.value.kind === 'pack') return setPack(answer.value);
    const [first] = answer.value.shares.filter(({ isHere, shareId }) => isHere && shareId !== view.shareId);
    if (!first) return table.say('refused', `${text} is not at the wrap table, or is this one.`);
    return router.push(`/wrap/${first.shareId}`);
  }, view.started && isAlone);

  if (!view.started) return <BeforeTheBlock view={view} back="/wrap" onStarted={table.reload} />;
  return (
    <main className={styles.floor} data-ground="floor" data-flash={table.flash ?? undefined}>
      <WrapHeader
        view={view}
        account={table.account}
        waiting={table.pending}
        offline={table.away}
        read={table.read}
        onRead={table.acknowledge}
      />
      <PrinterTrouble />
      <div className={styles.columns}>
        <TargetGrid
          targets={table.targets}
          section={chosen.section}
          chosen={target?.key}
          onSection={chosen.openSection}
          onChoose={(next) => chosen.choose(next.key)}
        />
        <ScalePanel
          scale={table.scale}
          target={target}
          pieces={chosen.pieces}
          view={view}
          notice={table.notice}
          tray={table.tray}
          onTray={table.nextTray}
          onCombine={table.combine}
          onPieces={chosen.changePieces}
          onTake={table.take}
          onBack={() => void table.takeBack()}
          onLabel={() => void table.printAgain()}
          onTare={() => void table.tare()}
          onNothingMore={askWhy}
          onPart={part}
          grade={table.grade}
        />
      </div>
      {pack && (
        <PackOver
          pack={pack}
          onDone={(words) => {
            setPack(undefined);
            table.say('done', words);
            void table.reload();
          }}
          onClose={() => setPack(undefined)}
        />
      )}
      {parting && (
        <WhatIsInTub
          onChoose={(what) => {
            setParting(false);
            table.part(what);
          }}
          onClose={() => setParting(false)}
        />
      )}
      {typing && target && (
        <TypedWeight
          title={target.title}
          unit={view.unit}
          onTyped={(said) => {
            setTyping(false);
            table.takeTyped(said);
          }}
          onClose={() => setTyping(false)}
        />
      )}
      {asking && target && (
        <NothingMore
          title={target.title}
          onReason={(note) => {
            setAsking(false);
            void table.explain(note);
          }}
          onClose={() => setAsking(false)}
        />
      )}
    </main>
  );
}

/** What hinders the label printer, for as long as it does: packs are taken all the same, and their labels wait. */
function PrinterTrouble() {
  const { value: printer } = useLiveChosen('printerView', {});
  if (!printer || printer.trouble === '') return null;
  return (
    <p className={styles.trouble} role="alert">
      {printer.trouble} Waiting: {counted(printer.waiting, 'label')}.
    </p>
  );
}

type HeaderProps = {
  view: WrapView;
  account: RunningAccount;
  waiting: number;
  offline: boolean;
  read: boolean;
  onRead: () => void;
};

function WrapHeader({ view, account, waiting, offline, read, onRead }: HeaderProps) {
  const away = useSignal(connection) === 'away' || offline;
  const saved =
    waiting === 0
      ? `all saved${away ? ', network away' : ''}`
      : `${waiting} kept here${away ? ', network away' : ', sending'}`;
  return (
    <header className={styles.header}>
      <Link href="/wrap" className={styles.home} aria-label="Back to the rail">
        ‹
      </Link>
      <h1>{view.name}</h1>
      <span className={styles.about}>{view.about}</span>
      {view.instructions !== '' && (
        <button type="button" className={read ? styles.wordsRead : styles.words} onClick={onRead}>
          {read ? '' : 'Read: '}
          {view.instructions} {!read && <kbd>Enter</kbd>}
        </button>
      )}
      <span className={styles.due}>
        on the block <b>{formatWeight(view.onBlock, 1)}</b> {view.unit}, due{' '}
        <b>{formatWeight(account.due, 1)}</b>
        <span className={styles.over} data-under={account.over < 0 || undefined}>
          {account.over < 0 ? 'short by' : 'left over'} {formatWeight(Math.abs(account.over) as Weight, 1)}
        </span>
      </span>
      <span className={waiting === 0 ? styles.saved : styles.unsaved} role="status" data-pending={waiting}>
        {saved}
      </span>
    </header>
  );
}
