'use client';

import { useState } from 'react';
import type { BlockView } from '@/server/block';
import { FloorHeader } from '../kit/FloorHeader';
import { useKey, useScope } from '../kit/keys/useKey';
import { useWho } from '../kit/Who';
import { TypedWeight } from '../wrap/TypedWeight';
import { BlockDrawing } from './BlockDrawing';
import styles from './BlockScreen.module.css';
import { BlockStart } from './BlockStart';
import { CutThrough } from './CutThrough';
import { DoneOtherwise } from './DoneOtherwise';
import { PieceBar } from './PieceBar';
import { StepPanel } from './StepPanel';
import { StepRail } from './StepRail';
import { useBlock, type AtBlock } from './useBlock';
import { WhoDid } from './WhoDid';
import { WholeBreak } from './WholeBreak';

type Over = 'otherwise' | 'whole' | 'typed' | 'who' | undefined;

/** The block: one step at a time, what is wanted there, what must not be cut, and what is left on the rail. */
export function BlockScreen({ first }: { first: BlockView }) {
  const block = useBlock(first);
  const { view, step } = block;
  const [over, setOver] = useState<Over>();
  const [notes, setNotes] = useState(true);
  const isOpen = view.started && over === undefined && view.steps.length > 0;
  const isAtWork = isOpen && view.mayCut;
  const next = view.hands[(view.hands.findIndex(({ id }) => id === view.hand) + 1) % view.hands.length];
  useScope('block');
  useKey('block', 'forward', () => void block.forward(), isAtWork && !block.busy);
  useKey('block', 'back', block.back, isAtWork);
  useKey('block', 'weigh', () => block.toWeigh && void block.weigh(block.toWeigh), isAtWork);
  useKey('block', 'typed', () => block.toWeigh && setOver('typed'), isAtWork);
  useKey('block', 'otherwise', () => setOver('otherwise'), isAtWork);
  useKey('block', 'who', () => setOver('who'), isAtWork);
  useKey('block', 'whole', () => setOver('whole'), isOpen);
  useKey('block', 'notes', () => setNotes(!notes), isOpen);
  useKey('block', 'other', () => next && block.hold(next.id), isOpen && view.hands.length > 1);

  if (!view.started) return <BlockStart view={view} onStarted={block.reload} />;
  if (!step) return <NoGuide view={view} />;
  return (
    <main className={styles.floor} data-ground="floor" data-flash={block.flash ?? undefined}>
      <BlockHeader block={block} />
      <StepRail steps={view.steps} at={block.at} onGo={block.goTo} />
      <div className={styles.columns}>
        <CutThrough of={`${view.hand} ${step.id} ${String(notes)} ${String(view.isRead)}`} />
        <div className={styles.left}>
          <BlockDrawing drawing={view.drawing} step={step} />
          {notes && step.mayDo && <Notes step={step} />}
        </div>
        <div className={styles.right}>
          {view.isRead ? <StepPanel step={step} unit={view.unit} /> : <Words block={block} />}
          <PieceBar block={block} />
          <Keys block={block} onOver={setOver} onNotes={() => setNotes(!notes)} />
        </div>
      </div>
      {over === 'whole' && (
        <WholeBreak
          view={view}
          at={block.at}
          onGo={(index) => {
            block.goTo(index);
            setOver(undefined);
          }}
          onClose={() => setOver(undefined)}
        />
      )}
      {over === 'typed' && block.toWeigh && (
        <TypedWeight
          title={block.toWeigh.label}
          unit={view.unit}
          onTyped={(typed) => {
            setOver(undefined);
            void block.weighTyped(block.toWeigh!, typed);
          }}
          onClose={() => setOver(undefined)}
        />
      )}
      {over === 'who' && <WhoDid view={view} onClose={() => setOver(undefined)} />}
      {over === 'otherwise' && (
        <DoneOtherwise
          view={view}
          step={step}
          onClose={() => setOver(undefined)}
          onDone={(words) => {
            setOver(undefined);
            block.say('done', words);
          }}
        />
      )}
    </main>
  );
}

function BlockHeader({ block: { view, unsent, away, hold, acknowledge } }: { block: AtBlock }) {
  const { name } = useWho();
  const mine = view.hands.find(({ id }) => id === view.hand)!;
  return (
    <FloorHeader
      back="/block"
      name={view.name}
      about={
        <>
          {mine.words}, {view.about}
        </>
      }
      who={view.mayCut ? `${name} cuts` : `${name} looks on`}
      saved={
        <span className={unsent > 0 ? styles.unsaved : styles.saved} role="status" data-pending={unsent}>
          {unsent === 0 ? 'all saved' : away ? `${unsent} not sent, safe here` : 'saving'}
        </span>
      }
    >
      {view.words !== '' && (
        <button type="button" className={view.isRead ? styles.wordsRead : styles.words} onClick={acknowledge}>
          <b>“{view.words}”</b> {view.readBy.length > 0 && `read, ${view.readBy.join(', ')}`}
        </button>
      )}
      {view.hands.length > 1 && (
        <span className={styles.hands} role="group" aria-label="Which side is in hand">
          {view.hands.map(({ id, words, done, steps }) => (
            <button key={id} type="button" aria-pressed={id === view.hand} onClick={() => hold(id)}>
              {words} {done}/{steps}
            </button>
          ))}
        </span>
      )}
    </FloorHeader>
  );
}

/** Words that stop the cutter once: they fill the right side until somebody has read them. */
function Words({ block: { view, acknowledge } }: { block: AtBlock }) {
  return (
    <section className={styles.stopped} aria-label="Read first">
      <h2>Read first</h2>
      <p>{view.words}</p>
      <button type="button" onClick={acknowledge}>
        Read <kbd>Space</kbd>
      </button>
    </section>
  );
}

function Notes({ step }: { step: AtBlock['step'] }) {
  const [question, answer] = step.ask;
  return (
    <dl className={styles.notes} aria-label="Teaching notes">
      {step.hand !== '' && (
        <div>
          <dt>hand</dt>
          <dd>{step.hand}</dd>
        </div>
      )}
      <div>
        <dt>look</dt>
        <dd>{step.look}</dd>
      </div>
      <div>
        <dt>protect</dt>
        <dd>{step.protect}</dd>
      </div>
      <div>
        <dt>wrong</dt>
        <dd>{step.wrong}</dd>
      </div>
      <div>
        <dt>{question}</dt>
        <dd>{answer}</dd>
      </div>
    </dl>
  );
}

type KeysProps = { block: AtBlock; onOver: (over: Over) => void; onNotes: () => void };

function Keys({ block, onOver, onNotes }: KeysProps) {
  const { view, step, at } = block;
  const isLast = at === view.steps.length - 1;
  const forward = block.canWeigh
    ? `Weigh ${block.toWeigh!.label}`
    : step.doneAt !== '' || !step.mayDo
      ? 'Next'
      : isLast
        ? 'Done'
        : 'Done, next';
  return (
    <div className={styles.keys}>
      {view.mayCut && (
        <>
          <button
            type="button"
            className={styles.act}
            disabled={block.busy}
            onClick={() => void block.forward()}
          >
            {forward} <kbd>Space</kbd>
          </button>
          <button type="button" onClick={block.back} disabled={at === 0}>
            <kbd>⌫</kbd> back
          </button>
          <button type="button" onClick={() => onOver('otherwise')}>
            <kbd>D</kbd> did otherwise
          </button>
        </>
      )}
      {view.mayCut && (
        <button type="button" onClick={() => onOver('who')}>
          <kbd>P</kbd> {whoWords(view)}
        </button>
      )}
      <button type="button" onClick={() => onOver('whole')}>
        <kbd>B</kbd> whole break
      </button>
      <button type="button" onClick={onNotes}>
        <kbd>T</kbd> notes
      </button>
    </div>
  );
}

/** Who cut it, in the fewest words; the others stand behind the key. */
function whoWords({ who: { cut, boned } }: BlockView): string {
  if (cut === '') return 'who cuts';
  return boned === '' || boned === cut ? `${cut} cut` : `${cut} cut, ${boned} boned`;
}

function NoGuide({ view }: { view: BlockView }) {
  return (
    <main className={styles.floor} data-ground="floor">
      <p className={styles.none}>
        {view.name}: nobody has written down how this species is broken. Its block sheet is{' '}
        <a href={`/api/block/${view.shareId}`}>on paper</a>.
      </p>
    </main>
  );
}
