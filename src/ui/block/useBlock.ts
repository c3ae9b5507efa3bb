'use client';

import { useCallback, useEffect, useRef, useState } from 'react';
import type { HandId } from '@/core/block/hand';
import type { ShareId } from '@/core/order/animal';
import { formatWeight, type Weight } from '@/core/quantity/weight';
import type { InputOf } from '@/server/useCases';
import type { BlockView, PieceAtBlock, StepAtBlock } from '@/server/block';
import { useFloorView } from '../offline/useFloorView';
import { newClientId } from '../kit/act';
import { useAsk } from '../kit/useAsk';
import { useSignal } from '../kit/useSignal';
import { useWho } from '../kit/Who';
import type { FloorWrite, Waiting } from '../outbox/outbox';
import { outbox } from '../outbox/useOutbox';
import type { SignedReading } from '@/core/scale/reading';
import type { Typed } from '../wrap/TypedWeight';
import { useNotice } from '../wrap/useNotice';
import { useScale } from '../wrap/useScale';

/** The first step that is to come; the last where all are done. */
function firstOpen(steps: readonly StepAtBlock[]): number {
  const open = steps.findIndex(({ doneAt }) => doneAt === '');
  return open === -1 ? steps.length - 1 : open;
}

type Say = ReturnType<typeof useNotice>['say'];

/** What was done at this block and is on its way; what the house would not take is said. */
function useSent(shareId: ShareId, say: Say, reload: () => Promise<void>) {
  const who = useWho();
  const everything = useSignal(outbox.waiting);
  const away = useSignal(outbox.away);
  useEffect(
    () =>
      outbox.onAnswer(({ name, input }, answer) => {
        if ((name !== 'markStep' && name !== 'readNote') || input.shareId !== shareId) return false;
        if (!answer.ok) say('refused', answer.message);
        void reload();
        return true;
      }),
    [shareId, say, reload],
  );
  const pending = everything.filter(
    ({ input, setAside }) => 'shareId' in input && input.shareId === shareId && setAside === '',
  );
  const send = useCallback(
    (write: FloorWrite) => {
      outbox.add(write, who);
      void outbox.flush(who.id);
    },
    [who],
  );
  return { pending, away, send };
}

/** The view with what is on its way: it is done for whoever did it. */
function withSent(view: BlockView, pending: readonly Waiting[]): BlockView {
  if (pending.length === 0) return view;
  const marks = new Map<string, boolean>();
  const weights = new Map<string, Weight | null>();
  for (const { name, input } of pending) {
    if (name === 'markStep' && input.hand === view.hand) marks.set(input.step, input.done);
    if (name === 'weighPiece' && input.hand === view.hand) weights.set(input.piece, netOf(input));
    if (name === 'takePieceBack' && input.hand === view.hand) weights.set(input.piece, null);
  }
  const steps = view.steps.map((step) => {
    const done = marks.get(step.id);
    if (done === undefined) return step;
    return { ...step, doneAt: done ? step.doneAt || 'now' : '', doneBy: done ? step.doneBy : '' };
  });
  const isRead = view.isRead || pending.some(({ name }) => name === 'readNote');
  const pieces = view.pieces.map((piece) =>
    weights.has(piece.id) ? { ...piece, weighed: weights.get(piece.id)! } : piece,
  );
  const weighed = (of: BlockView['pieces']) => of.reduce((sum, piece) => sum + (piece.weighed ?? 0), 0);
  const left = (view.left + weighed(view.pieces) - weighed(pieces)) as Weight;
  return { ...view, steps, isRead, pieces, left };
}

function netOf(input: InputOf<'weighPiece'>): Weight {
  return ('reading' in input ? input.reading.net : input.typed.gross - input.typed.tare) as Weight;
}

/** Everything that can be done at the block, and what it shows. */
export function useBlock(first: BlockView) {
  const [hand, setHand] = useState<HandId>(first.hand);
  const { value: known, reload } = useFloorView('blockView', { shareId: first.shareId, hand }, first);
  const { notice, flash, say, clear } = useNotice();
  const sent = useSent(first.shareId, say, reload);
  const view = withSent(known, sent.pending);
  const { steps, unit, shareId } = view;
  const [at, setAt] = useState(() => firstOpen(first.steps));
  // Another side, or a row done otherwise, is another break: what is to come is found again.
  const shape = `${view.hand} ${steps.map(({ id }) => id).join(' ')}`;
  const seen = useRef(shape);
  useEffect(() => {
    if (seen.current === shape) return;
    seen.current = shape;
    setAt(firstOpen(steps));
  }, [shape, steps]);
  const step = steps[Math.min(at, steps.length - 1)]!;
  const scale = useScale('rail-scale');
  const weighing = useAsk('weighPiece');
  const odd = useRef('');
  const [toWeigh] = toWeighOf(view, step);
  const steady = scale.reading?.state === 'steady' ? scale.reading : undefined;
  const taken = useRef('');
  const isNewLoad = steady !== undefined && `${steady.scaleId} ${steady.loadId}` !== taken.current;

  function acknowledge() {
    sent.send({ name: 'readNote', input: { clientId: newClientId(), shareId } });
    clear();
  }

  function mark({ id: step }: StepAtBlock, done: boolean) {
    const takenAt = new Date().toISOString();
    const input = { clientId: newClientId(), shareId, hand: view.hand, step, done, takenAt };
    sent.send({ name: 'markStep', input });
  }

  /** The next step is in view at once; what is done goes to the house after it, network or not. */
  async function forward() {
    if (!view.isRead) return acknowledge();
    if (!step.mayDo) return skip();
    if (toWeigh && isNewLoad) {
      const isTaken = await weigh(toWeigh);
      // Another piece of this step is put on next.
      if (!isTaken || toWeighOf(view, step).length > 1) return;
    }
    if (step.doneAt === '') mark(step, true);
    setAt(Math.min(at + 1, steps.length - 1));
    clear();
  }

  /** A step that is not one's own yet is passed by: whoever does it signs for it. */
  function skip() {
    setAt(Math.min(at + 1, steps.length - 1));
    clear();
  }

  function back() {
    if (at === 0) return;
    const before = steps[at - 1]!;
    setAt(at - 1);
    clear();
    if (before.doneAt !== '') mark(before, false);
  }

  /** @returns whether it was taken */
  async function weigh(piece: PieceAtBlock): Promise<boolean> {
    if (!steady) {
      say('refused', scale.away ? 'The rail scale is away: go on, and weigh it later.' : 'Wait for steady.');
      return false;
    }
    const load = `${steady.scaleId} ${steady.loadId}`;
    if (!(await takeWeight(piece, load, { reading: steady }))) return false;
    taken.current = load;
    return true;
  }

  /** What is out of the ordinary is taken at the second time of asking. */
  async function takeWeight(
    piece: PieceAtBlock,
    load: string,
    weight: { reading: SignedReading } | { typed: Typed },
  ): Promise<boolean> {
    const asked = `${load} ${piece.id}`;
    const input = { shareId, hand: view.hand, piece: piece.id, ...weight };
    const answer = await weighing.ask({ ...input, sure: odd.current === asked });
    odd.current = !answer.ok && answer.reason === 'unusual' ? asked : '';
    if (!answer.ok && answer.reason === 'kept') {
      say('done', `${piece.label}: ${answer.message}`);
      return true;
    }
    if (!answer.ok) {
      say('refused', odd.current ? `${answer.message} Again if it is right.` : answer.message);
      return false;
    }
    const { net, left } = answer.value;
    say('done', `${piece.label} ${formatWeight(net, 1)} ${unit}; ${formatWeight(left, 1)} left`);
    return true;
  }

  return {
    view,
    reload,
    step,
    at: Math.min(at, steps.length - 1),
    goTo: setAt,
    hold: (next: HandId) => setHand(next),
    scale,
    toWeigh,
    canWeigh: toWeigh !== undefined && isNewLoad,
    /** A weight is being taken: the next key waits for it. */
    busy: weighing.busy,
    unsent: sent.pending.length,
    away: sent.away,
    notice,
    flash,
    say,
    forward,
    back,
    weigh,
    weighTyped: (piece: PieceAtBlock, typed: Typed) =>
      takeWeight(piece, `typed ${typed.gross} ${typed.tare}`, { typed }),
    acknowledge,
  };
}

/** The pieces that the step leaves alone and that have no weight yet. */
function toWeighOf({ pieces }: BlockView, { weigh }: StepAtBlock): PieceAtBlock[] {
  return pieces.filter(({ id, weighed }) => weigh.includes(id) && weighed === null);
}

export type AtBlock = ReturnType<typeof useBlock>;
