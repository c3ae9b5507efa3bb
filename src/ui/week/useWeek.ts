'use client';

import { useCallback, useEffect, useRef, useState } from 'react';
import type { Help } from '@/core/week/helps';
import type { PlannedWeek } from '@/core/week/bestPlan';
import type { WeekWord } from '@/core/week/journal';
import { costOfPlan, mayBeOn, type WeekPlan } from '@/core/week/room';
import type { WeekView } from '@/server/week';
import { act, newClientId, planWeeks } from '../kit/act';
import type { Day } from '@/core/time/shopTime';

type Said = { readonly kind: 'done' | 'refused'; readonly words: string } | undefined;

/** The weeks and their plan: searched when the page opens and whenever something is said, changed by hand until kept. */
export function useWeek(first: WeekView) {
  const [view, setView] = useState(first);
  const [sofar, setSofar] = useState<PlannedWeek>();
  const [helps, setHelps] = useState<readonly Help[]>([]);
  const [planning, setPlanning] = useState(true);
  const [draft, setDraft] = useState<WeekPlan>();
  const [inHand, setInHand] = useState(0);
  const [said, setSaid] = useState<Said>();
  const run = useRef<AbortController>(undefined);
  const { room, animals } = view;

  const search = useCallback(async () => {
    run.current?.abort();
    const own = new AbortController();
    run.current = own;
    const answer = await planWeeks(own.signal, setSofar);
    if (answer === undefined || own.signal.aborted) return;
    setPlanning(false);
    if (!answer.ok) return setSaid({ kind: 'refused', words: answer.message });
    setSofar(answer.value);
    setHelps(answer.value.helps);
  }, []);

  useEffect(() => {
    const soon = setTimeout(() => void search());
    return () => {
      clearTimeout(soon);
      run.current?.abort();
    };
  }, [search]);

  /** Somebody else may have booked, weighed or begun something since: the weeks are read again first. */
  async function plan(): Promise<void> {
    setPlanning(true);
    setDraft(undefined);
    setHelps([]);
    const now = await act('weekView', {});
    if (now.ok) setView(now.value);
    return search();
  }

  const proposed = sofar && planOn(view, sofar);
  const shown: WeekPlan = draft ?? proposed ?? room.animals.map(({ was }) => was);

  /** Says something of the weeks, and plans anew by it. */
  async function say(word: WeekWord, words: string): Promise<boolean> {
    const answer = await act('sayOfWeek', { clientId: newClientId(), word });
    if (!answer.ok) {
      setSaid({ kind: 'refused', words: answer.message });
      return false;
    }
    await changed(words, word.kind !== 'plan');
    return true;
  }

  /** Something was said of the weeks: they are read again, and planned anew by it. */
  async function changed(words: string, plansAnew = true): Promise<void> {
    setSaid({ kind: 'done', words });
    if (plansAnew) return plan();
    const now = await act('weekView', {});
    if (now.ok) setView(now.value);
    return setDraft(undefined);
  }

  /** Puts an animal on another day, as a draft; what cannot be is said. */
  function put(index: number, at: number): void {
    const animal = room.animals[index];
    if (!animal || shown[index] === at) return;
    if (!mayBeOn(room, animal, at)) {
      return setSaid({ kind: 'refused', words: whyNotOn(view, index, at) });
    }
    const moved = shown.map((each, other) => (other === index ? at : each));
    if (!Number.isFinite(costOfPlan(room, moved))) {
      return setSaid({ kind: 'refused', words: `${room.days[at]!.day} runs over more than it may.` });
    }
    setSaid(undefined);
    setDraft(moved);
  }

  return {
    view,
    shown,
    sofar,
    // Of other animals than the page shows nothing is offered.
    helps: proposed && isInOrder(view, sofar) ? helps : [],
    planning,
    said,
    inHand: Math.min(inHand, Math.max(0, animals.length - 1)),
    isDraft: draft !== undefined,
    proposed,
    plan,
    say,
    changed,
    put,
    take: setInHand,
    /** To the next day before or after it on which it may be cut. */
    step(by: 1 | -1) {
      const animal = room.animals[inHand];
      if (!animal) return;
      const from = shown[inHand] ?? (by > 0 ? -1 : room.days.length);
      for (let at = from + by; at >= 0 && at < room.days.length; at += by) {
        if (mayBeOn(room, animal, at)) return put(inHand, at);
      }
    },
    putBack() {
      setDraft(undefined);
      setSaid(undefined);
    },
    stop() {
      run.current?.abort();
      setPlanning(false);
    },
    keep: () =>
      say(
        {
          kind: 'plan',
          on: Object.fromEntries(
            animals.flatMap(({ animalId }, at): [string, Day][] => {
              const on = shown[at];
              return on === null || on === undefined ? [] : [[animalId, room.days[on]!.day]];
            }),
          ) as never,
        },
        'This week stands',
      ),
  };
}

function isInOrder({ animals }: WeekView, { animals: ids }: PlannedWeek): boolean {
  return animals.every(({ animalId }, at) => animalId === ids[at]);
}

/** A plan for the animals that the page shows; undefined where it is of others. */
function planOn({ animals }: WeekView, sofar: PlannedWeek): WeekPlan | undefined {
  const on = new Map(sofar.animals.map((id, at) => [id, sofar.plan[at] ?? null]));
  const isOfThese = on.size === animals.length && animals.every(({ animalId }) => on.has(animalId));
  return isOfThese ? animals.map(({ animalId }) => on.get(animalId)!) : undefined;
}

export type AtWeek = ReturnType<typeof useWeek>;

function whyNotOn({ room, animals }: WeekView, index: number, at: number): string {
  const [{ tag, openSheets }, { pinned, first }] = [animals[index]!, room.animals[index]!];
  const { day, block } = room.days[at]!;
  if (pinned !== null) return `${tag} stays on ${room.days[pinned]!.day}: it is near, or somebody said so.`;
  if (block === 0) return `Nothing is cut on ${day}.`;
  if (at < first) {
    return openSheets > 0
      ? `${tag} cannot be cut on ${day}: a sheet does not stand yet.`
      : `${tag} is not chilled on ${day} yet.`;
  }
  return `${tag} cannot be cut on ${day}.`;
}
