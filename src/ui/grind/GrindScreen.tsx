'use client';

import Link from 'next/link';
import { useState } from 'react';
import type { GrindOfDay, GrindView } from '@/server/grind';
import { FloorHeader } from '../kit/FloorHeader';
import { useKey, useScope } from '../kit/keys/useKey';
import { useScan } from '../kit/keys/useScan';
import { useWho } from '../kit/Who';
import { DayRail } from './DayRail';
import styles from './GrindScreen.module.css';
import { GrindKeys } from './GrindKeys';
import { NextPanel } from './NextPanel';
import { Overlays, type Over } from './Overlays';
import { Packs } from './Packs';
import { Planned } from './Planned';
import { RecipeTable } from './RecipeTable';
import { Tub } from './Tub';
import { useGrind } from './useGrind';
import { actWords, canGo, canType } from './words';

/** The grind room: the day, the batch in hand, and what comes next for it. */
export function GrindScreen({ first }: { first: GrindView }) {
  const grinder = useGrind(first);
  const { view, job, act, last } = grinder;
  const [over, setOver] = useState<Over>();
  const close = () => setOver(undefined);
  const { role } = useWho();
  const mayDo = role !== 'wrapper' && role !== 'counter';
  const isOpen = over === undefined && job !== undefined;
  const isAtWork = isOpen && mayDo;
  const forward = () => (act?.does === 'look' ? setOver('look') : void grinder.forward());
  const ingredients = job?.batch?.standing.ingredients ?? [];
  useScope('grind');
  useKey('grind', 'forward', forward, isAtWork && !grinder.busy);
  useKey(
    'grind',
    'ingredient',
    ({ key }) =>
      act?.does === 'meat'
        ? grinder.chooseTub(Number(key) - 1)
        : grinder.choose(ingredients[Number(key) - 1]?.name ?? ''),
    isAtWork,
  );
  useKey('grind', 'again', () => last && void grinder.again(last.name), isAtWork);
  useKey('grind', 'meat', grinder.moreMeat, isAtWork);
  useKey('grind', 'typed', () => setOver('typed'), isAtWork && canType(act));
  useKey('grind', 'lot', () => setOver('lot'), isAtWork && act?.does === 'weigh');
  useKey('grind', 'otherwise', () => setOver('otherwise'), isAtWork && canType(act) && act?.does === 'weigh');
  useKey('grind', 'together', () => setOver('together'), isAtWork && (job?.mayPool.length ?? 0) > 0);
  useKey('grind', 'order', () => setOver('order'), isOpen);
  useScan((text) => void grinder.scanned(text), isAtWork);
  useKey('grind', 'hold', () => setOver('hold'), isAtWork && job?.batch != null);

  if (!job || !act) return <NothingToGrind />;
  const { batch } = job;
  return (
    <main className={styles.floor} data-ground="floor" data-flash={grinder.flash ?? undefined}>
      <Header job={job} view={view} />
      <DayRail view={view} inHand={job.id} onPick={grinder.pick} />
      <div className={styles.columns}>
        <Tub
          job={job}
          unit={view.unit}
          chosen={act.does === 'meat' ? grinder.tubAt : undefined}
          onChoose={grinder.chooseTub}
        />
        {batch ? (
          <RecipeTable
            job={job}
            batch={batch}
            unit={view.unit}
            people={view.people}
            at={'due' in act ? act.due.name : ''}
            onChoose={grinder.choose}
          />
        ) : (
          <Planned job={job} view={view} joined={grinder.joined} />
        )}
        <div className={styles.right}>
          <NextPanel grinder={grinder} job={job} act={act} />
          <p className={styles.notice} role="alert" data-kind={grinder.notice?.kind}>
            {grinder.notice?.words}
          </p>
          {mayDo && (
            <button type="button" className={styles.act} disabled={!canGo(act)} onClick={forward}>
              {actWords(act, job)} <kbd>Space</kbd>
            </button>
          )}
        </div>
      </div>
      {batch?.standing.isMixed && <Packs job={job} batch={batch} view={view} />}
      <GrindKeys grinder={grinder} mayDo={mayDo} onOver={setOver} />
      <Overlays grinder={grinder} over={over} onClose={close} />
    </main>
  );
}

function Header({ job, view }: { job: GrindOfDay; view: GrindView }) {
  const { name } = useWho();
  const over = view.jobs.filter(({ batch }) => batch?.standing.isClosed).length;
  return (
    <FloorHeader
      back="/wrap"
      name={job.name.split(',')[0]!}
      about={`${job.part}, ${job.species} ${job.tag}, ${job.farm}`}
      who={
        <>
          <b>{over}</b> of <b>{view.jobs.length}</b> done today, {view.day.minutes} min of washing. {name}{' '}
          grinds
        </>
      }
    />
  );
}

function NothingToGrind() {
  return (
    <main className={styles.floor} data-ground="floor">
      <p className={styles.none}>
        Nothing waits at the grinder. A tub comes here when its side is on the block and something is ground
        for it. <Link href="/wrap">To the wrap table</Link>
      </p>
    </main>
  );
}
