'use client';

import { useEffect, useRef, useState } from 'react';
import type { HandId } from '@/core/block/hand';
import { formatWeight } from '@/core/quantity/weight';
import type { BlockView, PieceAtBlock, StepAtBlock } from '@/server/block';
import { useLive } from '../kit/live/useLive';
import { useAsk } from '../kit/useAsk';
import { useNotice } from '../wrap/useNotice';
import { useScale } from '../wrap/useScale';

/** The first step that is to come; the last where all are done. */
function firstOpen(steps: readonly StepAtBlock[]): number {
  const open = steps.findIndex(({ doneAt }) => doneAt === '');
  return open === -1 ? steps.length - 1 : open;
}

/** Everything that can be done at the block, and what it shows. */
export function useBlock(first: BlockView) {
  const [hand, setHand] = useState<HandId>(first.hand);
  const { value: view, reload } = useLive('blockView', { shareId: first.shareId, hand }, first);
  const { steps, unit, shareId } = view;
  const [at, setAt] = useState(() => firstOpen(first.steps));
  // Another side, or a row done otherwise, is another break: what is to come is found again.
  const shape = `${view.hand} ${steps.map(({ id }) => id).join(' ')}`;
  const known = useRef(shape);
  useEffect(() => {
    if (known.current === shape) return;
    known.current = shape;
    setAt(firstOpen(steps));
  }, [shape, steps]);
  const step = steps[Math.min(at, steps.length - 1)]!;
  const { notice, flash, say, clear } = useNotice();
  const scale = useScale('rail-scale');
  const mark = useAsk('markStep');
  const read = useAsk('readNote');
  const weighing = useAsk('weighPiece');
  const odd = useRef('');
  const toWeigh = pieceToWeigh(view, step);
  const steady = scale.reading?.state === 'steady' ? scale.reading : undefined;
  const taken = useRef('');
  const isNewLoad = steady !== undefined && `${steady.scaleId} ${steady.loadId}` !== taken.current;

  async function acknowledge() {
    const answer = await read.ask({ shareId });
    if (!answer.ok) return say('refused', answer.message);
    clear();
  }

  /** The next step is in view at once; what the house says of it comes after. */
  async function forward() {
    if (!view.isRead) return acknowledge();
    if (toWeigh && isNewLoad && !(await weigh(toWeigh))) return;
    if (step.doneAt === '') {
      setAt(Math.min(at + 1, steps.length - 1));
      clear();
      const answer = await mark.ask({ shareId, hand: view.hand, step: step.id, done: true });
      if (!answer.ok) {
        setAt(at);
        say('refused', answer.message);
      }
    } else setAt(Math.min(at + 1, steps.length - 1));
  }

  async function back() {
    if (at === 0) return;
    const before = steps[at - 1]!;
    setAt(at - 1);
    clear();
    if (before.doneAt === '') return;
    const answer = await mark.ask({ shareId, hand: view.hand, step: before.id, done: false });
    if (!answer.ok) say('refused', answer.message);
  }

  /** @returns whether it was taken */
  async function weigh(piece: PieceAtBlock): Promise<boolean> {
    if (!steady) {
      say('refused', scale.away ? 'The rail scale is away: go on, and weigh it later.' : 'Wait for steady.');
      return false;
    }
    const load = `${steady.scaleId} ${steady.loadId} ${piece.id}`;
    const input = { shareId, hand: view.hand, piece: piece.id, reading: steady };
    const answer = await weighing.ask({ ...input, sure: odd.current === load });
    odd.current = !answer.ok && answer.reason === 'unusual' ? load : '';
    if (!answer.ok) {
      say('refused', odd.current ? `${answer.message} Again if it is right.` : answer.message);
      return false;
    }
    taken.current = `${steady.scaleId} ${steady.loadId}`;
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
    saving: mark.busy || weighing.busy,
    notice,
    flash,
    say,
    forward,
    back,
    weigh,
    acknowledge,
  };
}

/** The piece that the step leaves alone and that has no weight yet. */
function pieceToWeigh({ pieces }: BlockView, { weigh }: StepAtBlock): PieceAtBlock | undefined {
  return pieces.find(({ id, weighed }) => weigh.includes(id) && weighed === null);
}

export type AtBlock = ReturnType<typeof useBlock>;
