'use client';

import Link from 'next/link';
import { useCallback, useEffect, useState } from 'react';
import type { Failure } from '@/core/quantity/result';
import { formatWeight } from '@/core/quantity/weight';
import type { WrapView } from '@/server/views/wrapView';
import { act, newClientId } from '../act';
import { BeforeTheBlock } from './BeforeTheBlock';
import { NothingMore } from './NothingMore';
import { ScalePanel } from './ScalePanel';
import { sound } from './sound';
import { TargetGrid } from './TargetGrid';
import { isDue, SECTIONS, targetsOf, type Section, type Target } from './targets';
import { useScale } from './useScale';
import { useWeighingQueue } from './useWeighingQueue';
import { useWrapKeys } from './useWrapKeys';
import styles from './WrapScreen.module.css';

export type Notice = { readonly kind: 'done' | 'refused'; readonly words: string };

/** How long a flash of the screen stands. */
const FLASH_MS = 450;

/** Other stations weigh too: the counts are loaded again this often. */
const REFRESH_MS = 8000;

/** The wrap table: what is due, the live weight, one action, the last packs. */
export function WrapScreen({ first }: { first: WrapView }) {
  const [view, setView] = useState(first);
  const [section, setSection] = useState<Section>('block');
  const [chosen, setChosen] = useState<string>();
  const [pieces, setPieces] = useState<number | null>(null);
  const [notice, setNotice] = useState<Notice | null>(null);
  const [flash, setFlash] = useState<Notice['kind'] | null>(null);
  const [asking, setAsking] = useState(false);
  const [read, setRead] = useState(false);
  const scale = useScale();

  const reload = useCallback(async () => {
    const result = await act('wrapView', { shareId: first.shareId });
    if (result.ok) setView(result.value);
  }, [first.shareId]);
  const say = useCallback((kind: Notice['kind'], words: string) => {
    sound(kind);
    setNotice({ kind, words });
    setFlash(kind);
    setTimeout(() => setFlash(null), FLASH_MS);
  }, []);
  const refuse = useCallback((failure: Failure) => say('refused', failure.message), [say]);

  const queue = useWeighingQueue(first.shareId, {
    onTaken: (taken) => {
      say(
        'done',
        `${taken.cut} ${formatWeight(taken.net)} ${view.unit}${taken.labelFile ? ', label printed' : ''}`,
      );
      void reload();
    },
    onRefused: (failure) => {
      refuse(failure);
      void reload();
    },
  });

  useEffect(() => {
    const timer = setInterval(() => void reload(), REFRESH_MS);
    window.addEventListener('focus', reload);
    return () => {
      clearInterval(timer);
      window.removeEventListener('focus', reload);
    };
  }, [reload]);

  const pendingCounts = queue.pending.map(({ purpose }) => ({
    kind: purpose.kind,
    source: purpose.kind === 'package' ? purpose.from : purpose.kind === 'barrel' ? purpose.barrel : '',
    lineKey: 'lineKey' in purpose ? purpose.lineKey : '',
  }));
  const targets = targetsOf(view, pendingCounts);
  const inSection = targets.filter((target) => target.section === section);
  const target = currentTarget(inSection, chosen);
  const inPack = pieces ?? target?.pieces ?? null;

  function choose(next: Target | undefined) {
    if (!next) return;
    setChosen(next.key);
    setPieces(null);
    setNotice(null);
  }

  function take() {
    const { reading } = scale;
    const must = view.instructions !== '' && !read;
    if (must) {
      setRead(true);
      return say('refused', `Read first: ${view.instructions} Press Enter again to weigh.`);
    }
    if (!target) return say('refused', 'Choose what is on the scale.');
    if (target.waits !== '') return say('refused', `${target.title}: ${target.waits}.`);
    if (!reading) return say('refused', 'The scale does not answer. Check its cable.');
    if (reading.state === 'moving') return say('refused', 'The scale is still moving. Wait for steady.');
    if (reading.state === 'overload')
      return say('refused', 'Too heavy for this scale. Take it off and split it.');
    if (reading.state === 'empty') return say('refused', 'Nothing is on the scale.');
    setPieces(null);
    queue.add({
      clientId: newClientId(),
      shareId: view.shareId,
      purpose: target.purpose,
      pieces: target.purpose.kind === 'package' ? inPack : null,
      reading,
    });
  }

  async function takeBack() {
    const last = view.weighings.at(-1);
    if (!last) return say('refused', 'Nothing has been weighed yet.');
    const input = { clientId: newClientId(), weighingId: last.id, reason: 'taken back at the wrap table' };
    const result = await act('voidWeighing', input);
    if (!result.ok) return refuse(result);
    say('done', `Taken back: ${last.cut} ${formatWeight(last.net)} ${view.unit}. Weigh it again.`);
    await reload();
  }

  async function printAgain() {
    const last = view.weighings.findLast((each) => each.kind === 'package');
    if (!last) return say('refused', 'No pack has a label yet.');
    const result = await act('reprintLabel', { clientId: newClientId(), weighingId: last.id });
    if (!result.ok) return refuse(result);
    say('done', `Label of ${last.cut} printed again.`);
  }

  async function tare() {
    const result = await act('tareScale', {});
    if (!result.ok) return refuse(result);
    say('done', 'Tare taken.');
  }

  async function explain(note: string) {
    setAsking(false);
    if (!target || !('lineKey' in target.purpose)) return;
    const { lineKey } = target.purpose;
    const result = await act('noteLine', { clientId: newClientId(), shareId: view.shareId, lineKey, note });
    if (!result.ok) return refuse(result);
    say('done', `${target.title}: ${note}.`);
    setChosen(undefined);
    await reload();
  }

  useWrapKeys(view.started && !asking, {
    digit: (index) => choose(inSection[index]),
    step: (by) => choose(inSection[inSection.findIndex((each) => each.key === target?.key) + by]),
    section: (by) => {
      const at = SECTIONS.indexOf(section) + by;
      setSection(SECTIONS[(at + SECTIONS.length) % SECTIONS.length]!);
      setChosen(undefined);
      setPieces(null);
    },
    enter: take,
    back: () => void takeBack(),
    label: () => void printAgain(),
    tare: () => void tare(),
    pieces: (by) => inPack !== null && setPieces(Math.max(1, inPack + by)),
    nothingMore: () => target && 'lineKey' in target.purpose && setAsking(true),
  });

  if (!view.started) return <BeforeTheBlock view={view} onStarted={reload} />;
  return (
    <main className={styles.floor} data-ground="floor" data-flash={flash ?? undefined}>
      <WrapHeader
        view={view}
        waiting={queue.pending.length}
        offline={queue.offline}
        read={read}
        onRead={() => setRead(true)}
      />
      <div className={styles.columns}>
        <TargetGrid
          targets={targets}
          section={section}
          chosen={target?.key}
          onSection={(next) => {
            setSection(next);
            setChosen(undefined);
            setPieces(null);
          }}
          onChoose={choose}
        />
        <ScalePanel
          scale={scale}
          target={target}
          pieces={inPack}
          view={view}
          notice={notice}
          onPieces={(by) => inPack !== null && setPieces(Math.max(1, inPack + by))}
          onTake={take}
          onBack={() => void takeBack()}
          onLabel={() => void printAgain()}
          onTare={() => void tare()}
          onNothingMore={() => setAsking(true)}
        />
      </div>
      {asking && target && (
        <NothingMore
          title={target.title}
          onReason={(note) => void explain(note)}
          onClose={() => setAsking(false)}
        />
      )}
    </main>
  );
}

/** The chosen target, or the first that is still due. A finished target gives way to the next. */
function currentTarget(inSection: readonly Target[], chosen: string | undefined): Target | undefined {
  const explicit = inSection.find((target) => target.key === chosen);
  const isOpen = (target: Target) => isDue(target) && target.waits === '';
  if (explicit && (isOpen(explicit) || explicit.made >= explicit.due)) return explicit;
  return explicit ?? inSection.find(isOpen) ?? inSection[0];
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
