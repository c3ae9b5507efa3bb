'use client';

import { useCallback, useEffect, useRef, useState } from 'react';
import type { OrderDocument } from '@/core/order/document';
import { listed } from '@/core/quantity/listed';
import type { BookingView, RoomView } from '@/server/book';
import { useAsk, type Asking } from '../kit/useAsk';
import { divided, emptyAnimal, emptyCall, type AnimalDraft, type Call, type ShareDraft } from './call';
import { documentOf, lastTimesOf, triedOf } from './callDocument';
import type { Division } from './divisions';
import { forget, keep, readKept } from './keptCall';

export type CallState = {
  readonly call: Call;
  readonly set: (change: Partial<Call>) => void;
  readonly setAnimal: (
    key: number,
    change: Partial<AnimalDraft> | ((animal: AnimalDraft) => AnimalDraft),
  ) => void;
  readonly setShare: (key: number, at: number, change: Partial<ShareDraft>) => void;
  readonly divide: (key: number, division: Division) => void;
  readonly change: (make: (call: Call) => Call) => void;
  readonly addAnimal: () => void;
  readonly withoutAnimal: (key: number) => void;
  readonly clear: () => void;
  readonly book: () => Promise<void>;
  /** Books animals of a file, all or none. @returns whether it was done */
  readonly bookDocuments: (documents: readonly unknown[]) => Promise<boolean>;
  /** What the house says of one field of the documents; empty when nothing. */
  readonly problemOf: (field: string) => string;
  readonly booked: string;
} & Pick<Asking<'bookAnimals'>, 'busy' | 'refusal'>;

function bookedWords(tags: readonly string[]): string {
  return `${tags.join(', ')} ${tags.length === 1 ? 'is' : 'are'} booked.`;
}

function toldWords(untold: readonly string[]): string {
  return untold.length === 0
    ? 'Confirmations went out.'
    : `No confirmation for ${listed(untold)}: no telephone, no mail.`;
}

/** The hand goes to the first field that something is wrong with, once it is marked. */
function goToWhatIsWrong(): void {
  requestAnimationFrame(() =>
    document.querySelector<HTMLElement>('input[data-typed][aria-invalid="true"]')?.focus(),
  );
}

/** A call as it is typed: kept in the browser until it is booked, so that a lost network or a slip loses nothing. */
export function useCall(view: BookingView, { killDays, today }: RoomView): CallState {
  const [usual] = useState(() => emptyCall(view.species[0]!.id, killDays[0] ?? today));
  const [call, setCall] = useState<Call>(usual);
  const [booked, setBooked] = useState('');
  const [isFile, setIsFile] = useState(false);
  const { ask, busy, refusal, clear } = useAsk('bookAnimals');
  const isTakenUp = useRef(false);
  useEffect(() => {
    if (isTakenUp.current) return;
    isTakenUp.current = true;
    const kept = readKept(view.actorId);
    if (kept) queueMicrotask(() => setCall(kept));
  }, [view.actorId]);
  useEffect(() => {
    if (refusal && !isFile) goToWhatIsWrong();
  }, [refusal, isFile]);
  const change = useCallback(
    (make: (call: Call) => Call) => {
      setCall((before) => {
        const after = make(before);
        keep(view.actorId, after);
        return after;
      });
      setBooked('');
    },
    [view.actorId],
  );
  const set = useCallback((part: Partial<Call>) => change((before) => ({ ...before, ...part })), [change]);
  const setAnimal = useCallback<CallState['setAnimal']>(
    (key, said) =>
      change((before) => ({
        ...before,
        animals: before.animals.map((animal) =>
          animal.key !== key ? animal : typeof said === 'function' ? said(animal) : { ...animal, ...said },
        ),
      })),
    [change],
  );
  const setShare = useCallback<CallState['setShare']>(
    (key, at, said) =>
      setAnimal(key, (animal) => ({
        ...animal,
        shares: animal.shares.map((share, place) => (place === at ? { ...share, ...said } : share)),
      })),
    [setAnimal],
  );
  const startAnew = useCallback(() => {
    forget(view.actorId);
    clear();
    setCall(usual);
  }, [clear, usual, view.actorId]);
  const addAnimal = useCallback(
    () =>
      change((before) => {
        const last = before.animals.at(-1)!;
        const key = Math.max(...before.animals.map((animal) => animal.key)) + 1;
        return { ...before, animals: [...before.animals, emptyAnimal(key, last.species)] };
      }),
    [change],
  );
  async function book() {
    setIsFile(false);
    const documents = call.animals.map((animal) => documentOf(call, animal, view.unit));
    const answer = await ask({
      documents,
      lastTimes: lastTimesOf(call),
      tried: triedOf(call),
      confirm: true,
    });
    if (!answer.ok) return;
    startAnew();
    setBooked(`${bookedWords(call.animals.map(({ tag }) => tag.trim()))} ${toldWords(answer.value.untold)}`);
    requestAnimationFrame(() => document.getElementById('farm_name')?.focus());
  }
  async function bookDocuments(documents: readonly unknown[]): Promise<boolean> {
    setIsFile(true);
    const answer = await ask({ documents });
    if (answer.ok) setBooked(bookedWords(documents.map((each) => (each as OrderDocument).animal.tag)));
    return answer.ok;
  }
  const problems =
    refusal?.problems ?? (refusal?.field ? [{ field: refusal.field, message: refusal.message }] : []);
  return {
    call,
    set,
    setAnimal,
    setShare,
    divide: (key, division) => setAnimal(key, (animal) => divided(animal, division)),
    change,
    addAnimal,
    withoutAnimal: (key) =>
      change((before) => ({ ...before, animals: before.animals.filter((animal) => animal.key !== key) })),
    clear: startAnew,
    book,
    bookDocuments,
    problemOf: (field) =>
      isFile ? '' : (problems.find((problem) => problem.field === field)?.message ?? ''),
    booked,
    busy,
    refusal,
  };
}
