'use client';

import isDeepEqual from 'fast-deep-equal';
import { useCallback, useEffect, useMemo, useRef, useState } from 'react';
import type { Evaluation, Ground } from '@/core/questions/evaluate';
import { findingsOf, type Finding } from '@/core/questions/findings';
import { groundOf } from '@/core/questions/groundOf';
import type { Situation } from '@/core/sheet/situation';
import { mergeSheets, withRowsOf, type Merged, type RowClash } from '@/core/sheet/mergeSheets';
import type { Sheet } from '@/core/sheet/types';
import type { Result } from '@/core/quantity/result';
import type { Species } from '@/core/species/types';
import type { OpenSheet } from '@/server/sheet';
import { afterPaint } from '../kit/afterPaint';
import { Evaluations } from './evaluations';
import { readKept, writeKept } from './keptSheet';
import { SheetSaver, type Kept } from './sheetSaver';

export type SheetState = {
  readonly sheet: Sheet;
  readonly situation: Situation;
  readonly ground: Ground;
  readonly evaluations: Evaluations;
  readonly now: Evaluation;
  /** What is open and what is remarked; worked out when it is first asked for, after the figures. */
  readonly findings: readonly Finding[];
  readonly saver: SheetSaver;
  /** Rows that somebody else answered otherwise at the same time; mine stand until one says. */
  readonly met: MetElsewhere | undefined;
  /** Takes the rows as the other has them, or leaves mine. */
  readonly settle: (take: 'mine' | 'theirs') => void;
  readonly change: (sheet: Sheet) => void;
  /** Takes the last change back; nothing when there is none. */
  readonly undo: (() => void) | undefined;
  /** Makes what was taken back again; nothing when there is none. */
  readonly redo: (() => void) | undefined;
  /** The sheet before the last change, and how many changes there were: what moved is shown a while. */
  readonly moved: { readonly from: Sheet; readonly count: number } | undefined;
  /** Whether what stands here is what was approved. */
  readonly approved: boolean;
  /** The approved sheet was opened again, as that version: what was changed goes to the house. */
  readonly reopened: (version: number) => void;
};

export type MetElsewhere = { readonly clashes: readonly RowClash[]; readonly theirs: Sheet };

/** How a sheet is kept: in the house, by the staff's door or a private link, or on a telephone alone. */
export type SheetWay = {
  /** Whether an approved sheet may be opened again this way. */
  readonly reopens: boolean;
  readonly save: (asked: Kept) => Promise<Result<{ readonly version: number }, string>>;
  readonly fetch: () => Promise<Result<Pick<OpenSheet, 'sheet' | 'version' | 'approved' | 'locked'>, string>>;
};

/** Changes that can be taken back one by one. */
const MOST_STEPS = 50;

/** A sheet being answered: its figures in the same frame, kept in the browser at once, saved when quiet. */
export function useSheet(view: OpenSheet, species: Species, way: SheetWay): SheetState {
  const [sheet, setSheet] = useState(view.sheet);
  const [approvedSheet, setApprovedSheet] = useState(view.approved ? view.sheet : undefined);
  const [steps, setSteps] = useState<readonly Sheet[]>([]);
  const [undone, setUndone] = useState<readonly Sheet[]>([]);
  const [moved, setMoved] = useState<SheetState['moved']>();
  const [met, setMet] = useState<MetElsewhere>();
  const stand = useRef(sheet);
  const take = useCallback(
    (merged: Merged, theirs: { readonly sheet: Sheet; readonly approved: boolean }) => {
      stand.current = merged.sheet;
      setSheet(merged.sheet);
      setApprovedSheet(theirs.approved ? theirs.sheet : undefined);
      setMet(merged.clashes.length > 0 ? { clashes: merged.clashes, theirs: theirs.sheet } : undefined);
    },
    [],
  );
  const saver = useSaver(view, way, take);
  const ground = useMemo(() => groundOf(view, species), [view, species]);
  const { situation } = ground;
  const evaluations = useMemo(() => new Evaluations(ground), [ground]);
  const now = useMemo(() => evaluations.of(sheet), [evaluations, sheet]);
  const put = useCallback(
    (next: Sheet) => {
      const from = stand.current;
      stand.current = next;
      setMoved((before) => ({ from, count: (before?.count ?? 0) + 1 }));
      setSheet(next);
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
      setUndone([]);
      put(next);
    },
    [put, view.locked],
  );
  const undo = useCallback(() => {
    const before = steps.at(-1);
    if (!before) return;
    setSteps(steps.slice(0, -1));
    setUndone((undone) => [...undone, stand.current]);
    put(before);
  }, [put, steps]);
  const redo = useCallback(() => {
    const again = undone.at(-1);
    if (!again) return;
    setUndone(undone.slice(0, -1));
    setSteps((steps) => [...steps, stand.current]);
    put(again);
  }, [put, undone]);

  const settle = useCallback(
    (choice: 'mine' | 'theirs') => {
      if (met && choice === 'theirs') change(withRowsOf(stand.current, met.theirs, met.clashes));
      setMet(undefined);
    },
    [change, met],
  );

  const reopened = useCallback(
    (version: number) => {
      setApprovedSheet(undefined);
      saver.reopened(version);
    },
    [saver],
  );

  const isTakenUp = useRef(false);
  useEffect(() => {
    if (isTakenUp.current) return;
    isTakenUp.current = true;
    const kept = readKept(view);
    // A change that had not reached the house before the page was left is taken up again, once.
    if (kept) queueMicrotask(() => change(kept.sheet));
  }, [view, change]);

  const mayUndo = steps.length > 0;
  const mayRedo = undone.length > 0;
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
      met,
      settle,
      change,
      undo: mayUndo ? undo : undefined,
      redo: mayRedo ? redo : undefined,
      moved,
      approved: approvedSheet !== undefined && isDeepEqual(sheet, approvedSheet),
      reopened,
    };
  }, [
    approvedSheet,
    change,
    evaluations,
    ground,
    mayRedo,
    mayUndo,
    met,
    moved,
    now,
    redo,
    reopened,
    saver,
    settle,
    sheet,
    situation,
    undo,
  ]);
}

/** What saves the sheet; sends at once when the network is back, and meets what others have changed meanwhile. */
function useSaver(
  view: OpenSheet,
  way: SheetWay,
  take: (merged: Merged, theirs: Pick<OpenSheet, 'sheet' | 'approved'>) => void,
): SheetSaver {
  const [saver] = useState(
    () =>
      new SheetSaver(view, {
        reopens: way.reopens,
        send: (asked) => way.save(asked),
        keep: (kept) => writeKept(view, kept),
        later: (work, ms) => {
          const timer = setTimeout(work, ms);
          return () => clearTimeout(timer);
        },
        meet: async (base, mine) => {
          const answer = await way.fetch();
          if (!answer.ok || answer.value.locked) return undefined;
          const { version, sheet: theirs } = answer.value;
          const merged = mergeSheets(base, mine(), theirs);
          take(merged, answer.value);
          return { version, theirs, together: merged.sheet };
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
