'use client';

import Link from 'next/link';
import { useRef, useState } from 'react';
import { counted } from '@/core/quantity/counted';
import { formatWeight } from '@/core/quantity/weight';
import type { WrapView } from '@/server/wrap';
import { useLiveChosen } from '../kit/live/useLive';
import { BeforeTheBlock } from './BeforeTheBlock';
import { typedDigit } from './byDigits';
import { NothingMore } from './NothingMore';
import { ScalePanel } from './ScalePanel';
import { TargetGrid } from './TargetGrid';
import { TypedWeight } from './TypedWeight';
import { useWrapKeys } from './useWrapKeys';
import { useWrapTable } from './useWrapTable';
import styles from './WrapScreen.module.css';

/** The wrap table: what is due, the live weight, one action, the last packs. */
export function WrapScreen({ first }: { first: WrapView }) {
  const table = useWrapTable(first);
  const [asking, setAsking] = useState(false);
  const [typing, setTyping] = useState(false);
  const typed = useRef('');
  const { view, chosen } = table;
  const { target, inSection } = chosen;
  const askWhy = () => target && 'lineKey' in target.purpose && setAsking(true);

  useWrapKeys(view.started && !asking && !typing, {
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
  });

  if (!view.started) return <BeforeTheBlock view={view} back="/wrap" onStarted={table.reload} />;
  return (
    <main className={styles.floor} data-ground="floor" data-flash={table.flash ?? undefined}>
      <WrapHeader
        view={view}
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
          onPieces={chosen.changePieces}
          onTake={table.take}
          onBack={() => void table.takeBack()}
          onLabel={() => void table.printAgain()}
          onTare={() => void table.tare()}
          onNothingMore={askWhy}
        />
      </div>
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

type HeaderProps = { view: WrapView; waiting: number; offline: boolean; read: boolean; onRead: () => void };

function WrapHeader({ view, waiting, offline, read, onRead }: HeaderProps) {
  const saved =
    waiting === 0 ? 'all saved' : `${waiting} kept here${offline ? ', network away' : ', sending'}`;
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
        on the block <b>{formatWeight(view.onBlock, 1)}</b> {view.unit}
      </span>
      <span className={waiting === 0 ? styles.saved : styles.unsaved} role="status" data-pending={waiting}>
        {saved}
      </span>
    </header>
  );
}
