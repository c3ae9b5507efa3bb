'use client';

import { useCallback, useEffect, useMemo, useRef, useState } from 'react';
import type { Found } from '@/core/goals/findSheets';
import type { Goal } from '@/core/goals/goals';
import { sayGoals } from '@/core/goals/sayGoals';
import { isHouses } from '@/core/setUp/houseFromAnswer';
import { decisionsAsked } from '@/core/sheet/situation';
import type { ShareId } from '@/core/order/animal';
import { searchSheets } from '../kit/act';
import type { SheetState } from './useSheet';

export type Wishes = {
  readonly goals: readonly Goal[];
  readonly unknown: readonly string[];
  readonly say: (text: string) => void;
  readonly drop: (goal: Goal) => void;
  readonly turn: (goal: Goal) => void;
  /** Rows that no proposal may touch, and those that could stand so. */
  readonly pins: ReadonlySet<string>;
  readonly pinnable: readonly string[];
  readonly togglePin: (row: string) => void;
  readonly found: Found | undefined;
  readonly problem: string;
  readonly searching: boolean;
  /** Sheets tried so far by the search that runs. */
  readonly tried: number;
  readonly stop: () => void;
  /** Searches once more, after the house did not answer. */
  readonly again: () => void;
};

/** How much a wish counts that is wanted more than the others. */
const MUCH = 3;

/** A must, a rather, a wish that counts more than the others, and a must again; an amount is never a must. */
function turned(goal: Goal): Goal {
  const isAmount = goal.wish.kind === 'most' || goal.wish.kind === 'least';
  if (goal.must) return { ...goal, must: false, weight: 1 };
  if (goal.weight === 1) return { ...goal, weight: MUCH };
  return { ...goal, must: !isAmount, weight: 1 };
}

/** Wishes being said, and the sheets that meet them: searched anew whenever a wish or a pin changes. */
export function useWishes(shareId: ShareId, { sheet, situation }: SheetState): Wishes {
  const [goals, setGoals] = useState<readonly Goal[]>([]);
  const [unknown, setUnknown] = useState<readonly string[]>([]);
  const pinnable = useMemo(
    () =>
      decisionsAsked(situation)
        .filter((decision) => {
          const answer = sheet.answers[decision.id];
          if (answer === undefined) return false;
          return decision.id in sheet.secondSide || !isHouses(decision, answer, situation);
        })
        .map(({ id }) => id),
    [sheet, situation],
  );
  // What was answered otherwise than the house says, somebody wanted so.
  const [pins, setPins] = useState<ReadonlySet<string>>(() => new Set(pinnable));
  const [found, setFound] = useState<Found>();
  const [problem, setProblem] = useState('');
  const [searching, setSearching] = useState(false);
  const [tried, setTried] = useState(0);
  const [turn, setTurn] = useState(0);
  const running = useRef<AbortController>(undefined);
  const stop = useCallback(() => {
    running.current?.abort();
    setSearching(false);
  }, []);
  useEffect(() => {
    if (goals.length === 0) return;
    const mine = new AbortController();
    running.current = mine;
    const search = async () => {
      setSearching(true);
      setTried(0);
      setProblem('');
      const wanted = { shareId, sheet, goals: [...goals], pins: [...pins] };
      const answer = await searchSheets(wanted, mine.signal, setTried);
      if (!answer) return;
      setSearching(false);
      setProblem(answer.ok ? '' : answer.message);
      if (answer.ok) setFound(answer.value);
    };
    void search();
    return () => mine.abort();
  }, [goals, pins, sheet, shareId, turn]);
  const change = (next: readonly Goal[]) => {
    setGoals(next);
    // What was found for other wishes says nothing of these.
    setFound(undefined);
    if (next.length === 0) setSearching(false);
  };
  return {
    goals,
    unknown,
    say: (text) => {
      const said = sayGoals(situation, text);
      setUnknown(said.unknown);
      if (said.goals.length > 0) change([...goals, ...said.goals]);
    },
    drop: (goal) => change(goals.filter((each) => each !== goal)),
    turn: (goal) => change(goals.map((each) => (each === goal ? turned(goal) : each))),
    pins,
    pinnable,
    togglePin: (row) => {
      const next = new Set(pins);
      if (!next.delete(row)) next.add(row);
      setPins(next);
      setFound(undefined);
    },
    found,
    problem,
    searching,
    tried,
    stop,
    again: () => setTurn(turn + 1),
  };
}
