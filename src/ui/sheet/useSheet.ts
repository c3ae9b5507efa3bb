'use client';

import { useCallback, useEffect, useMemo, useRef, useState } from 'react';
import type { Evaluation, Ground } from '@/core/questions/evaluate';
import { findingsOf, type Finding } from '@/core/questions/findings';
import { groundOf } from '@/core/questions/groundOf';
import type { Situation } from '@/core/sheet/situation';
import type { Sheet } from '@/core/sheet/types';
import type { Species } from '@/core/species/types';
import type { SheetView } from '@/server/sheet';
import { act } from '../kit/act';
import { afterPaint } from '../kit/afterPaint';
import { Evaluations } from './evaluations';
import { readKept, writeKept } from './keptSheet';
import { SheetSaver } from './sheetSaver';

export type SheetState = {
  readonly sheet: Sheet;
  readonly situation: Situation;
  readonly ground: Ground;
  readonly evaluations: Evaluations;
  readonly now: Evaluation;
  /** What is open and what is remarked; worked out when it is first asked for, after the figures. */
  readonly findings: readonly Finding[];
  readonly saver: SheetSaver;
  readonly change: (sheet: Sheet) => void;
  /** Takes the last change back; nothing when there is none. */
  readonly undo: (() => void) | undefined;
  readonly approved: boolean;
};

/** Changes that can be taken back one by one. */
const MOST_STEPS = 50;

/** A sheet being answered: its figures in the same frame, kept in the browser at once, saved when quiet. */
export function useSheet(view: SheetView, species: Species): SheetState {
  const [sheet, setSheet] = useState(view.sheet);
  const [approved, setApproved] = useState(view.approved);
  const [steps, setSteps] = useState<readonly Sheet[]>([]);
  const saver = useSaver(view);
  const ground = useMemo(() => groundOf(view, species), [view, species]);
  const { situation } = ground;
  const evaluations = useMemo(() => new Evaluations(ground), [ground]);
  const now = useMemo(() => evaluations.of(sheet), [evaluations, sheet]);
  const stand = useRef(sheet);
  const put = useCallback(
    (next: Sheet) => {
      stand.current = next;
      setSheet(next);
      setApproved(false);
      // Kept and sent once the figures stand on the screen: writing to the browser's store takes its time.
      afterPaint(() => saver.change(next));
    },
    [saver],
  );
  const change = useCallback(
    (next: Sheet) => {
      if (view.locked) return;
      const before = stand.current;
      setSteps((steps) => [...steps.slice(1 - MOST_STEPS), before]);
      put(next);
    },
    [put, view.locked],
  );
  const undo = useCallback(() => {
    const before = steps.at(-1);
    if (!before) return;
    setSteps(steps.slice(0, -1));
    put(before);
  }, [put, steps]);

  const isTakenUp = useRef(false);
  useEffect(() => {
    if (isTakenUp.current) return;
    isTakenUp.current = true;
    const kept = readKept(view);
    // A change that had not reached the house before the page was left is taken up again, once.
    if (kept) queueMicrotask(() => change(kept.sheet));
  }, [view, change]);

  const mayUndo = steps.length > 0;
  return useMemo(() => {
    let known: readonly Finding[] | undefined;
    return {
      sheet,
      situation,
      ground,
      evaluations,
      now,
      get findings() {
        known ??= findingsOf({ situation, sheet, coldSides: ground.coldSides }, now.forecast);
        return known;
      },
      saver,
      change,
      undo: mayUndo ? undo : undefined,
      approved,
    };
  }, [approved, change, evaluations, ground, mayUndo, now, saver, sheet, situation, undo]);
}

/** What saves the sheet; sends at once when the network is back. */
function useSaver(view: SheetView): SheetSaver {
  const [saver] = useState(
    () =>
      new SheetSaver(view.version, {
        send: (asked) => act('saveSheet', { shareId: view.shareId, ...asked }),
        keep: (kept) => writeKept(view, kept),
        later: (work, ms) => {
          const timer = setTimeout(work, ms);
          return () => clearTimeout(timer);
        },
      }),
  );
  useEffect(() => {
    const retry = () => void saver.flush();
    window.addEventListener('online', retry);
    return () => {
      window.removeEventListener('online', retry);
      // What was changed a moment ago goes with whoever leaves the page.
      void saver.flush();
    };
  }, [saver]);
  return saver;
}
