'use client';

import Link from 'next/link';
import { useState } from 'react';
import { formatWeight, type Weight } from '@/core/quantity/weight';
import type { BatchOfDay, GrindOfDay, GrindView } from '@/server/grind';
import { useKey, useScope } from '../kit/keys/useKey';
import { useWho } from '../kit/Who';
import { Choose } from '../wrap/Choose';
import { TypedWeight } from '../wrap/TypedWeight';
import { DayRail } from './DayRail';
import styles from './GrindScreen.module.css';
import { IngredientOnScale, MeatOnScale } from './OnScale';
import { RecipeTable } from './RecipeTable';
import { LotDialog } from './LotDialog';
import { SecondLook } from './SecondLook';
import { Tub } from './Tub';
import { useGrind, type AtGrinder, type NextAct } from './useGrind';

type Over = 'look' | 'typed' | 'order' | 'hold' | 'lot' | 'otherwise' | undefined;

const HOLDS = ['Too warm', 'Something fell in', 'Wrong meat, perhaps', 'The weight is doubted'] as const;
const OTHERWISE = [
  'They asked for more of it',
  'They asked for less of it',
  'No more of it is here',
  'Tried, and better so',
] as const;
const RELEASES = ['Looked at, and sound', 'It was the scale', 'It was cold again in time'] as const;

/** The grind room: the day, the batch in hand, and what comes next for it. */
export function GrindScreen({ first }: { first: GrindView }) {
  const grinder = useGrind(first);
  const { view, job, act, scale } = grinder;
  const [over, setOver] = useState<Over>();
  const close = () => setOver(undefined);
  const { role } = useWho();
  const mayDo = role !== 'wrapper' && role !== 'counter';
  const isOpen = over === undefined && job !== undefined;
  const isAtWork = isOpen && mayDo;
  const forward = () => (act?.does === 'look' ? setOver('look') : void grinder.forward());
  const ingredients = job?.batch?.standing.ingredients ?? [];
  const last = ingredients.filter(({ weighed }) => weighed !== null).at(-1);
  useScope('grind');
  useKey('grind', 'forward', forward, isAtWork && !grinder.busy);
  useKey(
    'grind',
    'ingredient',
    ({ key }) => grinder.choose(ingredients[Number(key) - 1]?.name ?? ''),
    isAtWork,
  );
  useKey('grind', 'again', () => last && void grinder.again(last.name), isAtWork);
  useKey('grind', 'meat', grinder.moreMeat, isAtWork);
  useKey('grind', 'typed', () => setOver('typed'), isAtWork && canType(act));
  useKey('grind', 'lot', () => setOver('lot'), isAtWork && act?.does === 'weigh');
  useKey('grind', 'otherwise', () => setOver('otherwise'), isAtWork && canType(act) && act?.does === 'weigh');
  useKey('grind', 'order', () => setOver('order'), isOpen);
  useKey('grind', 'hold', () => setOver('hold'), isAtWork && job?.batch != null);

  if (!job || !act) return <NothingToGrind />;
  const { batch } = job;
  const waiting = view.day.order.flatMap(({ id }) => view.jobs.find((each) => each.id === id) ?? []);
  return (
    <main className={styles.floor} data-ground="floor" data-flash={grinder.flash ?? undefined}>
      <Header job={job} view={view} />
      <DayRail view={view} inHand={job.id} onPick={grinder.pick} />
      <div className={styles.columns}>
        <Tub job={job} unit={view.unit} />
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
          <Planned job={job} view={view} />
        )}
        <div className={styles.right}>
          <Right grinder={grinder} job={job} act={act} />
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
      <div className={styles.keys}>
        {mayDo && (
          <>
            <button type="button" disabled={!last} onClick={() => last && void grinder.again(last.name)}>
              <kbd>⌫</kbd> weigh again
            </button>
            <button type="button" disabled={!batch} onClick={grinder.moreMeat}>
              <kbd>T</kbd> {grinder.wantsMeat ? 'enough meat' : 'more meat'}
            </button>
            {grinder.wantsMeat && (
              <button type="button" onClick={() => void grinder.meatBack()}>
                all of it back
              </button>
            )}
            <button type="button" disabled={!canType(act)} onClick={() => setOver('typed')}>
              <kbd>Y</kbd> type it
            </button>
            <button
              type="button"
              disabled={act.does !== 'weigh' || act.due.cures}
              onClick={() => setOver('otherwise')}
            >
              <kbd>D</kbd> otherwise
            </button>
            <button type="button" disabled={act.does !== 'weigh'} onClick={() => setOver('lot')}>
              <kbd>L</kbd> lot
            </button>
            <button type="button" disabled={!batch} onClick={() => setOver('hold')}>
              <kbd>H</kbd> {batch?.standing.held ? 'release' : 'hold'}
            </button>
          </>
        )}
        <button type="button" onClick={() => setOver('order')}>
          <kbd>O</kbd> order of the day
        </button>
      </div>
      {over === 'order' && (
        <Choose
          label="The order of the day"
          title="Which comes next? The order above washes least."
          choices={waiting.map((each) => ({ id: each.id, words: orderWords(each) }))}
          onChoose={(id) => {
            grinder.pick(id);
            close();
          }}
          onClose={close}
        />
      )}
      {over === 'otherwise' && act.does === 'weigh' && (
        <Choose
          label="Otherwise than the recipe says"
          title={`Why another weight of ${act.due.name}? What lies on the scale is taken.`}
          choices={OTHERWISE.map((words) => ({ id: words, words }))}
          onChoose={(reason) => {
            close();
            void grinder.weighOtherwise(reason);
          }}
          onClose={close}
        />
      )}
      {over === 'hold' && batch && (
        <Choose
          label="Hold or release"
          title={
            batch.standing.held ? `Held: ${batch.standing.held}. Why is it released?` : 'Why is it held?'
          }
          choices={(batch.standing.held ? RELEASES : HOLDS).map((words) => ({ id: words, words }))}
          onChoose={(reason) => {
            close();
            void grinder.holdOrRelease(batch.standing.held ? 'released' : 'held', reason);
          }}
          onClose={close}
        />
      )}
      {over === 'typed' && (
        <TypedWeight
          title={act.does === 'weigh' ? act.due.name : 'Meat'}
          unit={act.does === 'weigh' ? 'g' : view.unit}
          onTyped={(typed) => {
            close();
            void grinder.weighTyped(typed);
          }}
          onClose={close}
        />
      )}
      {over === 'lot' && act.does === 'weigh' && (
        <LotDialog
          ingredient={act.due.name}
          lot={grinder.lotOf(act.due.name)}
          onSaid={(lot) => {
            grinder.sayLot(act.due.name, lot);
            close();
          }}
          onClose={close}
        />
      )}
      {over === 'look' && act.does === 'look' && batch && (
        <SecondLook
          batchId={batch.id}
          ingredient={act.due.name}
          about={`${((act.due.weighed ?? 0) / 10).toFixed(1)} g of ${act.due.name} for ${formatWeight(batch.standing.meat, view.unit)} ${view.unit} of meat: ${ppmWords(batch)}.`}
          onClose={close}
          onLooked={() => {
            close();
            grinder.say('done', 'Looked at by two');
          }}
        />
      )}
      {scale.away && canType(act) && <p className="visually-hidden">The scale is away.</p>}
    </main>
  );
}

function Header({ job, view }: { job: GrindOfDay; view: GrindView }) {
  const { name } = useWho();
  const over = view.jobs.filter(({ batch }) => batch?.standing.isClosed).length;
  return (
    <header className={styles.header}>
      <Link href="/wrap" className={styles.home} aria-label="Back to the rail">
        ‹
      </Link>
      <h1>{job.name.split(',')[0]}</h1>
      <span className={styles.about}>
        {job.part}, {job.species} {job.tag}, {job.farm}
      </span>
      <span className={styles.who}>
        <b>{over}</b> of <b>{view.jobs.length}</b> done today, {view.day.minutes} min of washing. {name}{' '}
        grinds
      </span>
    </header>
  );
}

/** Before it is begun: what the plan gives to it. */
function Planned({ job, view: { unit } }: { job: GrindOfDay; view: GrindView }) {
  return (
    <section className={styles.recipe} aria-label="What is planned">
      <p>{job.cut}</p>
      <p>
        About <b>{formatWeight(job.planned, unit)}</b> {unit} of meat, {job.packs} packs
        {job.pieces !== null && `, ${job.pieces} pieces together`}.
      </p>
      {job.due.length > 0 && (
        <table>
          <thead>
            <tr>
              <th />
              <th className="num">g due</th>
            </tr>
          </thead>
          <tbody>
            {job.due.map(({ name, tenths }) => (
              <tr key={name}>
                <td>{name}</td>
                <td className="num">{(tenths / 10).toFixed(1)}</td>
              </tr>
            ))}
          </tbody>
        </table>
      )}
      {job.allergens.length > 0 && (
        <p className={styles.caution}>With {job.allergens.join(', ')}: everything is washed after it.</p>
      )}
    </section>
  );
}

function Right({
  grinder: { scale, view, lotOf },
  job,
  act,
}: {
  grinder: AtGrinder;
  job: GrindOfDay;
  act: NextAct;
}) {
  const { batch } = job;
  if (act.does === 'meat') {
    const inTub = Math.max(0, job.inTub) as Weight;
    return <MeatOnScale scale={scale} unit={view.unit} inTub={inTub} planned={job.planned} />;
  }
  if (act.does === 'weigh' && batch)
    return <IngredientOnScale due={act.due} scale={scale} batch={batch} lot={lotOf(act.due.name)} />;
  return (
    <section className={styles.onScale} aria-label="What comes next">
      <h2>{act.does === 'look' ? act.due.name : job.recipe}</h2>
      {act.does === 'look' && batch && (
        <p className={styles.figure}>
          {((act.due.weighed ?? 0) / 10).toFixed(1)} <small>g</small>
        </p>
      )}
      {batch?.standing.ppm != null && <p>{ppmWords(batch)}</p>}
      {batch?.standing.held && (
        <p className={styles.caution}>Held: {batch.standing.held}. Nothing leaves it.</p>
      )}
      {(batch?.missing ?? []).map((words) => (
        <p key={words}>{words}</p>
      ))}
    </section>
  );
}

/** The mix as the packs it becomes, and what is in none yet: in and out as one bar. */
function Packs({
  job,
  batch: { standing, mostFilm },
  view: { unit },
}: {
  job: GrindOfDay;
  batch: BatchOfDay;
  view: GrindView;
}) {
  const { mix, packed, isClosed } = standing;
  const left = (mix - packed) as Weight;
  const done = mix > 0 ? Math.min(1, packed / mix) : 0;
  return (
    <section className={styles.packs} aria-label="In and out">
      <p>
        <b>{formatWeight(packed, unit)}</b> of <b>{formatWeight(mix, unit)}</b> {unit} are packed
        {!isClosed && (
          <>
            , {formatWeight(left, unit)} are not; at most {formatWeight(mostFilm, unit)} may stay as film.{' '}
            <Link href={`/wrap/${job.shareId}`}>To the wrap table</Link>
          </>
        )}
      </p>
      <div className={styles.bar} aria-hidden>
        <i style={{ width: `${100 * done}%` }} />
      </div>
    </section>
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

const ACTS = {
  begin: 'Begin it',
  meat: 'Weigh the meat in',
  mixed: 'Mixed',
  head: 'The head is open, all of it out',
  pack: 'Pack it at the wrap table',
  close: 'Close the batch',
  over: 'Closed',
  held: 'Held',
} as const;

function actWords(act: NextAct, { recipe }: GrindOfDay): string {
  if (act.does === 'weigh') return `Weigh ${act.due.name}`;
  if (act.does === 'look') return 'Second person';
  return act.does === 'begin' ? `Begin: ${recipe}` : ACTS[act.does];
}

function canGo(act: NextAct): boolean {
  return act.does !== 'pack' && act.does !== 'over' && act.does !== 'held';
}

/** Nitrite is never typed. */
function canType(act: NextAct | undefined): boolean {
  return act?.does === 'meat' || (act?.does === 'weigh' && !act.due.cures);
}

function ppmWords({ standing: { ppm, ppmLimit } }: BatchOfDay): string {
  return ppm === null ? 'no nitrite' : `${Math.round(ppm)} ppm nitrite in the meat, the limit is ${ppmLimit}`;
}

function orderWords({ name, cut, ifNext, batch }: GrindOfDay): string {
  const state = batch ? ', begun' : '';
  const cost = ifNext <= 0 ? 'no more washing' : `${ifNext} min more washing`;
  return `${name.split(',')[0]}: ${cut}${state} (${cost})`;
}
