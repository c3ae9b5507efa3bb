'use client';

import { useSyncExternalStore } from 'react';
import { formatWeight, sumWeights } from '@/core/quantity/weight';
import { sheetAgain } from '@/core/sheet/again';
import type { HouseholdSheet } from '@/server/links';
import { Begin } from './Begin';
import { readTry } from './keptTry';
import styles from './Mine.module.css';
import { RingUs } from './RingUs';
import type { FirstPage } from './SheetPages';
import { Side } from './Side';

type Props = { token: string; mine: HouseholdSheet; page: FirstPage };

/** The animal, what hangs, what of it will come home, and by when the shop must know. */
export function Start({ token, mine, page }: Props) {
  const { animal, days, sheet: view } = mine;
  const { state, onHome } = page;
  const { now, situation } = state;
  const answered = page.asked - page.open;
  const hangs = sumWeights(view.coldSides);
  const isWeighed = view.weightBasis !== 'usual';
  return (
    <div className={styles.body}>
      <div className={styles.twoParts}>
        <div>
          {mine.byFarmer ? (
            <>
              <h1>{mine.household}</h1>
              <p>
                {animal.part} of a {animal.species}.{' '}
                <a href={`/mine/${token}`}>All sheets of {animal.farm}</a>
              </p>
            </>
          ) : (
            <>
              <h1>
                <Greeting />, {mine.household.split(' ')[0]}.
              </h1>
              <p>
                This is your {animal.part} of a {animal.species}, raised at {animal.farm}.
              </p>
            </>
          )}
          <p className={styles.large}>
            {!isWeighed && <span className="unit">about </span>}
            {formatWeight(hangs, 1)}
            <span className="unit">{situation.unit}</span>
          </p>
          <p className="quiet">
            {isWeighed ? 'on the rail.' : 'as such animals weigh; yours is not weighed yet.'}{' '}
            {answered > 0 && (
              <>
                About <b>{formatWeight(now.forecast.takeHome, 0)}</b> {situation.unit} of it will go home with
                you.
              </>
            )}
          </p>
          <p>
            {standingWords(mine)} {(view.approved || view.locked) && <RingUs shop={mine.shop} />}
          </p>
        </div>
        <Side state={state} onZone={page.onZone} />
      </div>
      <ol className={styles.days}>
        <li>
          <b>{days.killed}</b> hung
        </li>
        {mine.standing === 'sheet' && (
          <li data-here>
            <b>{days.sheetBy}</b> we must know by then
          </li>
        )}
        <li>
          <b>{days.cut}</b> cut, about
        </li>
      </ol>
      {!mine.byFarmer && <Papers token={token} mine={mine} />}
      {mine.sent && !view.approved && <p>You sent it to us {mine.sent}. You can change it until we begin.</p>}
      {view.approved && !view.locked && (
        <div>
          <button type="button" className={styles.main} onClick={onHome}>
            See what comes home
          </button>
        </div>
      )}
      {!view.locked && !view.approved && (
        <>
          <Begin page={page} />
          <TakeTried page={page} />
        </>
      )}
    </div>
  );
}

/** Where it stands, in a sentence. */
function standingWords({ standing, sheet }: HouseholdSheet): string {
  if (standing === 'gone') return 'You have taken it home. Thank you.';
  if (standing === 'ready') return 'The meat is ready to be collected.';
  if (standing === 'block') return 'It is being cut.';
  if (sheet.approved) return 'We cut it as you told us. To change anything, ring us.';
  return 'Now tell us how you would like it cut.';
}

/** What there is to keep: the sheet as the shop has it, and the statement once it is final. */
function Papers({ token, mine: { sheet, standing, prices } }: { token: string; mine: HouseholdSheet }) {
  const isFinal = standing === 'ready' || standing === 'gone';
  if (!sheet.approved && !sheet.locked) return null;
  return (
    <p className={styles.papers}>
      <a href={`/api/mine/${token}/copy`}>Your sheet, to keep (PDF)</a>
      {!isFinal && <a href={`/api/mine/${token}/calendar`}>Its days, for your calendar</a>}
      {isFinal && prices && <a href={`/mine/${token}/box`}>Where your meat went, and what it costs</a>}
    </p>
  );
}

/** What was tried on this telephone before booking, as long as nothing else is chosen. */
function TakeTried({ page: { state, asked, open, onTake } }: { page: FirstPage }) {
  const { species } = state.situation;
  const hasTried = useSyncExternalStore(
    NEVER,
    () => readTry(species.id) !== undefined,
    () => false,
  );
  if (!hasTried || open < asked) return null;
  const take = () => {
    const tried = readTry(species.id);
    if (tried) onTake(sheetAgain(tried.sheet, state.situation).sheet);
  };
  return (
    <button type="button" className={styles.second} onClick={take}>
      Take the sheet you tried here before
    </button>
  );
}

const EVENING = 18;
const NOON = 12;
const NEVER = () => () => undefined;

/** By the clock of whoever reads it; known only there. */
function Greeting() {
  const hour = useSyncExternalStore(
    NEVER,
    () => new Date().getHours(),
    () => NOON,
  );
  return <>{hour >= EVENING ? 'Good evening' : hour < NOON ? 'Good morning' : 'Good day'}</>;
}
