'use client';

import { useCallback, useEffect, useMemo, useRef, useState } from 'react';
import { evaluate, type Evaluation, type Ground } from '@/core/questions/evaluate';
import { findingsOf, type Finding } from '@/core/questions/findings';
import type { Situation } from '@/core/sheet/situation';
import type { Sheet } from '@/core/sheet/types';
import type { Species } from '@/core/species/types';
import type { SheetView } from '@/server/sheet';
import { act } from '../kit/act';

/** Milliseconds of quiet before a change is sent; the browser keeps it meanwhile. */
const QUIET_BEFORE_SAVING = 400;

export type Saving = { readonly state: 'saved' | 'saving' | 'waiting' | 'refused'; readonly message: string };

export type SheetState = {
  readonly sheet: Sheet;
  readonly situation: Situation;
  readonly ground: Ground;
  readonly now: Evaluation;
  readonly findings: readonly Finding[];
  readonly saving: Saving;
  readonly version: number;
  readonly change: (sheet: Sheet) => void;
  readonly approved: boolean;
};

type Kept = { baseVersion: number; sheet: Sheet };

/** What one person has not sent yet is nobody else's to send. */
function keptKey({ shareId, actorId }: SheetView): string {
  return `fractum-sheet-${shareId}-${actorId}`;
}

function readKept(view: SheetView): Sheet | undefined {
  try {
    const text = window.localStorage.getItem(keptKey(view));
    const kept = text ? (JSON.parse(text) as Kept) : undefined;
    return kept?.baseVersion === view.version && !view.locked ? kept.sheet : undefined;
  } catch {
    return undefined;
  }
}

/** A sheet being answered: its figures in the same frame, kept in the browser at once, saved when quiet. */
export function useSheet(view: SheetView, species: Species): SheetState {
  const [sheet, setSheet] = useState(view.sheet);
  const [approved, setApproved] = useState(view.approved);
  const [version, setVersion] = useState(view.version);
  const [saving, setSaving] = useState<Saving>({ state: 'saved', message: '' });
  const base = useRef(view.version);
  const sending = useRef(false);
  const latest = useRef<Sheet | null>(null);

  const situation = useMemo<Situation>(
    () => ({
      species,
      unit: view.unit,
      sides: view.sides,
      addOns: view.addOns,
      tools: view.tools,
      ...view.carcass,
    }),
    [view, species],
  );
  const ground = useMemo<Ground>(
    () => ({ situation, coldSides: view.coldSides, priceList: view.priceList, bill: view.bill }),
    [situation, view],
  );
  const now = useMemo(() => evaluate(ground, sheet), [ground, sheet]);
  const findings = useMemo(
    () => findingsOf({ situation, sheet, coldSides: view.coldSides }, now.forecast),
    [situation, sheet, view.coldSides, now],
  );

  const keep = useCallback(
    (kept: Sheet) => {
      const entry: Kept = { baseVersion: base.current, sheet: kept };
      window.localStorage.setItem(keptKey(view), JSON.stringify(entry));
    },
    [view],
  );

  const send = useCallback(async () => {
    if (sending.current) return;
    sending.current = true;
    for (let wanted = latest.current; wanted; wanted = latest.current) {
      setSaving({ state: 'saving', message: '' });
      const result = await act('saveSheet', {
        shareId: view.shareId,
        baseVersion: base.current,
        sheet: wanted,
      });
      if (!result.ok) {
        setSaving({ state: result.reason === 'offline' ? 'waiting' : 'refused', message: result.message });
        break;
      }
      base.current = result.value.version;
      setVersion(result.value.version);
      if (latest.current !== wanted) {
        keep(latest.current!);
        continue;
      }
      latest.current = null;
      window.localStorage.removeItem(keptKey(view));
      setSaving({ state: 'saved', message: '' });
    }
    sending.current = false;
  }, [keep, view]);

  const change = useCallback(
    (next: Sheet) => {
      if (view.locked) return;
      setSheet(next);
      setApproved(false);
      latest.current = next;
      keep(next);
      setSaving({ state: 'saving', message: '' });
    },
    [keep, view.locked],
  );

  useEffect(() => {
    const kept = readKept(view);
    // A change that had not reached the server before the page was left is taken up again.
    if (kept) queueMicrotask(() => change(kept));
  }, [view, change]);

  useEffect(() => {
    if (!latest.current) return undefined;
    const timer = setTimeout(() => void send(), QUIET_BEFORE_SAVING);
    return () => clearTimeout(timer);
  }, [sheet, send]);

  useEffect(() => {
    const retry = () => void send();
    window.addEventListener('online', retry);
    return () => window.removeEventListener('online', retry);
  }, [send]);

  return { sheet, situation, ground, now, findings, saving, version, change, approved };
}
