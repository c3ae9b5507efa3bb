'use client';

import { useState } from 'react';
import type { DueIngredient } from '@/core/curing/ingredients';
import type { Failure } from '@/core/quantity/result';
import type { SignedReading } from '@/core/scale/reading';
import type { GrindOfDay, GrindView } from '@/server/grind';
import { act as ask } from '../kit/act';
import { useAsk } from '../kit/useAsk';
import { useFloorView } from '../offline/useFloorView';
import type { Typed } from '../wrap/TypedWeight';
import { useNotice } from '../wrap/useNotice';
import { useScale } from '../wrap/useScale';
import { whyNoReading } from '../wrap/whyNotTaken';

/** What comes next for the batch in hand. */
export type NextAct =
  | { readonly does: 'wash'; readonly wash: Exclude<GrindOfDay['washDue'], 'none'> }
  | { readonly does: 'begin' | 'meat' | 'mixed' | 'head' | 'pack' | 'close' | 'over' | 'held' }
  | { readonly does: 'weigh' | 'look'; readonly due: DueIngredient };

/** @param wantsMeat - more meat is asked for, though some is in already */
export function nextAct(
  { batch, washDue }: GrindOfDay,
  { wantsMeat, chosen }: { readonly wantsMeat: boolean; readonly chosen: string },
): NextAct {
  if (!batch) return washDue === 'none' ? { does: 'begin' } : { does: 'wash', wash: washDue };
  const { standing, missing } = batch;
  if (standing.isClosed) return { does: 'over' };
  if (standing.held !== '') return { does: 'held' };
  if (standing.meat === 0 || wantsMeat) return { does: 'meat' };
  if (standing.isMixed) {
    if (missing.length === 0) return { does: 'close' };
    return { does: standing.packed > 0 && !standing.headOpened ? 'head' : 'pack' };
  }
  const open = standing.ingredients.find(({ name, weighed }) => name === chosen && weighed === null);
  const unseen = standing.ingredients.find(
    ({ cures, weighed, second }) => cures && weighed !== null && second === '',
  );
  if (unseen && !open) return { does: 'look', due: unseen };
  const due = open ?? standing.ingredients.find(({ weighed }) => weighed === null);
  return due ? { does: 'weigh', due } : { does: 'mixed' };
}

/** Everything that can be done in the grind room, and what it shows. */
export function useGrind(first: GrindView) {
  const { value: view } = useFloorView('grindView', {}, first);
  const [picked, setPicked] = useState('');
  const [chosen, setChosen] = useState('');
  const [wantsMeat, setWantsMeat] = useState(false);
  const [tubChosen, setTub] = useState<number>();
  const [together, setTogether] = useState<readonly string[]>([]);
  const [saidLots, setSaidLots] = useState<Readonly<Record<string, string>>>({});
  const lotOf = (name: string) => saidLots[name] ?? view.lots[name] ?? '';
  const { notice, flash, say, clear } = useNotice();
  const job = inHand(view, picked);
  const act = job && nextAct(job, { wantsMeat, chosen });
  const tubAt = tubInHand(job, tubChosen);
  const joined = job?.mayPool.filter((each) => together.includes(each.shareId)) ?? [];
  const bench = useScale('scale');
  const spice = useScale('spice-scale');
  const scale = act?.does === 'weigh' ? spice : bench;
  const wash = useAsk('noteWash');
  const [begin, meat, back, ingredient, deed] = [
    useAsk('beginBatch'),
    useAsk('weighMeat'),
    useAsk('putMeatBack'),
    useAsk('weighIngredient'),
    useAsk('doBatch'),
  ];
  const busy = [wash, begin, meat, back, ingredient, deed].some((each) => each.busy);

  async function told(
    answer: Promise<{ readonly ok: true } | Failure<string>>,
    words: string,
  ): Promise<void> {
    const result = await answer;
    if (!result.ok) return say('refused', result.message);
    say('done', words);
  }

  const weighed = (typed: Typed | undefined) =>
    typed ? { typed } : { reading: scale.reading as SignedReading };

  /** @param otherwise - why what is weighed is meant to be outside its tolerance */
  function weigh(typed?: Typed, otherwise = ''): Promise<void> | void {
    const batchId = job?.batch?.id;
    if (!act || !batchId) return;
    const why = typed ? undefined : whyNoReading(scale.reading);
    if (why) return say('refused', why);
    if (act.does === 'meat') {
      setWantsMeat(false);
      setTub(undefined);
      const { grade = '', shareId: of = job.shareId } = job.tubs[tubAt] ?? {};
      return told(meat.ask({ batchId, grade, of, ...weighed(typed) }), 'Meat weighed in');
    }
    if (act.does !== 'weigh') return;
    const { name } = act.due;
    return told(
      ingredient.ask({ batchId, ingredient: name, lot: lotOf(name), otherwise, ...weighed(typed) }),
      `${name} weighed`,
    );
  }

  /** Does what comes next, where a key can do it; what needs words opens its own dialog. */
  function forward(): Promise<void> | void {
    if (!act || !job || busy) return;
    const batchId = job.batch?.id ?? '';
    switch (act.does) {
      case 'wash':
        return told(wash.ask({ wash: act.wash }), 'Washed');
      case 'begin':
        setTogether([]);
        return told(
          begin.ask({
            ...lineOf(job),
            ...(joined.length > 0 ? { with: joined.map(lineOf) } : {}),
          }),
          `${job.recipe} begun`,
        );
      case 'meat':
      case 'weigh':
        return weigh();
      case 'mixed':
        return told(deed.ask({ batchId, said: { kind: 'mixed' } }), 'Mixed');
      case 'head':
        return told(deed.ask({ batchId, said: { kind: 'head' } }), 'The head is open');
      case 'close':
        return told(deed.ask({ batchId, said: { kind: 'closed' } }), 'The batch is closed');
      default:
        return undefined;
    }
  }

  return {
    /** The ingredient that was weighed last. */
    last: lastWeighed(job),
    ...{ view, job, act, scale, busy, notice, flash, say, clear, wantsMeat },
    /** Which of the tubs the meat comes out of, in their order. */
    tubAt,
    chooseTub: (at: number) => job?.tubs[at] && setTub(at),
    /** Others' lines that the batch would begin together with. */
    joined,
    /** Takes another owner's line into the batch that is to begin, or out of it again. */
    join(shareId: string) {
      const other = job?.mayPool.find((each) => each.shareId === shareId);
      if (!other) return undefined;
      if (other.why !== '') return say('refused', other.why);
      const isIn = together.includes(shareId);
      setTogether(isIn ? together.filter((each) => each !== shareId) : [...together, shareId]);
      return say('done', isIn ? `Without ${other.name}` : `Together with ${other.name}`);
    },
    /** A tub's tag was scanned: its meat comes next, or it is said whose it is. */
    async scanned(text: string) {
      const batchId = job?.batch?.id;
      if (!batchId) return say('refused', 'Begin the batch, then scan its tub.');
      const answer = await ask('tubView', { text, batchId });
      if (!answer.ok) return say('refused', answer.message);
      const { shareId, grade } = answer.value;
      setTub(job.tubs.findIndex((tub) => tub.shareId === shareId && tub.grade === grade));
      setWantsMeat(true);
      return say('done', `Tub: ${answer.value.words}`);
    },
    forward,
    weighTyped: (typed: Typed) => weigh(typed),
    weighOtherwise: (reason: string) => weigh(undefined, reason),
    pick: (id: string) => {
      setPicked(id);
      setChosen('');
      setWantsMeat(false);
      setTub(undefined);
      setTogether([]);
      clear();
    },
    // Before the meat is in nothing is due yet.
    choose: (name: string) => job?.batch && job.batch.standing.meat > 0 && setChosen(name),
    lotOf,
    sayLot: (name: string, lot: string) => setSaidLots({ ...saidLots, [name]: lot }),
    moreMeat: () => setWantsMeat(!wantsMeat),
    meatBack: () => told(back.ask({ batchId: job?.batch?.id ?? '' }), 'Back in the tub'),
    again: (name: string) =>
      told(
        deed.ask({ batchId: job?.batch?.id ?? '', said: { kind: 'again', ingredient: name } }),
        `${name} taken out`,
      ),
    holdOrRelease: (kind: 'held' | 'released', reason: string) =>
      told(
        deed.ask({ batchId: job?.batch?.id ?? '', said: { kind, reason } }),
        kind === 'held' ? 'The batch is held' : 'The batch is released',
      ),
  };
}

export type AtGrinder = ReturnType<typeof useGrind>;

function lastWeighed(job: GrindOfDay | undefined): DueIngredient | undefined {
  const weighed = job?.batch?.standing.ingredients.filter(({ turn }) => turn >= 0) ?? [];
  return [...weighed].sort((a, b) => b.turn - a.turn)[0];
}

/** What was chosen; else the first of which something is to be taken, else the one that holds most. */
function tubInHand(job: GrindOfDay | undefined, chosen: number | undefined): number {
  if (chosen !== undefined || !job) return chosen ?? 0;
  const next = job.fromTubs?.use.findIndex(({ take }) => take > 0) ?? -1;
  if (next >= 0) return next;
  // Of a pool the owners that have given nothing yet come first.
  const given = (shareId: string) => job.batch?.owners.find((each) => each.shareId === shareId)?.meat ?? 0;
  const order = [...job.tubs.keys()].sort((a, b) => {
    const [one, other] = [job.tubs[a]!, job.tubs[b]!];
    return Number(given(one.shareId) > 0) - Number(given(other.shareId) > 0) || other.left - one.left;
  });
  return order[0] ?? 0;
}

function lineOf({ shareId, lineKey }: Pick<GrindOfDay, 'shareId' | 'lineKey'>) {
  return { shareId, lineKey };
}

/** What was picked; else what is begun; else the first of the day. */
function inHand({ jobs, day }: GrindView, picked: string): GrindOfDay | undefined {
  const begun = jobs.find(({ batch }) => batch && !batch.standing.isClosed);
  return jobs.find(({ id }) => id === picked) ?? begun ?? jobs.find(({ id }) => id === day.order[0]?.id);
}
