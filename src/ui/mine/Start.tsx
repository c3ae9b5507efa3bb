'use client';

import { useSyncExternalStore } from 'react';
import { counted } from '@/core/quantity/counted';
import { formatWeight, sumWeights } from '@/core/quantity/weight';
import { frameOf, zonePath } from '@/core/species/sideMapPath';
import type { Decision } from '@/core/species/types';
import type { HouseholdSheet } from '@/server/links';
import type { SheetState } from '../sheet/useSheet';
import styles from './Mine.module.css';

type Props = {
  token: string;
  mine: HouseholdSheet;
  state: SheetState;
  /** The first choice that is not made yet. */
  first: Decision;
  asked: number;
  onBegin: () => void;
  onUsual: () => void;
  onHome: () => void;
  onZone: (zone: string) => void;
};

/** The animal, what hangs, what of it will come home, and by when the shop must know. */
export function Start({ token, mine, state, first, asked, onBegin, onUsual, onHome, onZone }: Props) {
  const { animal, days, sheet: view } = mine;
  const { now, situation, sheet } = state;
  const answered = Object.keys(sheet.answers).length;
  const hangs = sumWeights(view.coldSides);
  const isDone = answered >= asked;
  const isWeighed = view.weightBasis !== 'usual';
  return (
    <div className={styles.body}>
      <div className={styles.twoParts}>
        <div>
          <h1>
            <Greeting />, {mine.household.split(' ')[0]}.
          </h1>
          <p>
            This is your {animal.part} of a {animal.species}, raised at {animal.farm}.
          </p>
          <p className={styles.large}>
            {isWeighed ? '' : 'about '}
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
          <p>{standingWords(mine)}</p>
        </div>
        <Side species={situation.species} onZone={onZone} />
      </div>
      <ol className={styles.days}>
        <li>
          <b>{days.killed}</b> hung
        </li>
        <li data-here>
          <b>{days.sheetBy}</b> we must know by then
        </li>
        <li>
          <b>{days.cut}</b> cut, about
        </li>
      </ol>
      <Papers token={token} mine={mine} />
      {mine.sheet.sent && !view.approved && (
        <p>You sent it to us {mine.sheet.sent.at}. You can change it until we begin.</p>
      )}
      {view.approved && !view.locked && (
        <div className={styles.foot}>
          <button type="button" className={styles.main} onClick={onHome}>
            See what comes home
          </button>
        </div>
      )}
      {!view.locked && !view.approved && (
        <>
          <p>
            {counted(asked, 'choice')}, an evening’s worth. Stop when you like; we keep your place.
            {answered > 0 && !isDone && ` ${counted(asked - answered, 'choice')} left.`}
          </p>
          <div className={styles.foot}>
            <button type="button" className={styles.main} onClick={isDone ? onHome : onBegin}>
              {isDone
                ? 'See what comes home'
                : answered === 0
                  ? `Begin at the ${first.zone}`
                  : `Go on at the ${first.zone}`}
            </button>
            <button type="button" className={styles.second} onClick={onUsual}>
              {answered > 0 ? 'The rest the way you usually do' : 'Cut it the way you usually do'}
            </button>
          </div>
        </>
      )}
    </div>
  );
}

/** Where it stands, in a sentence. */
function standingWords({ standing, sheet }: HouseholdSheet): string {
  if (standing === 'gone') return 'You have taken it home. Thank you.';
  if (standing === 'ready') return 'Your meat is ready to be collected.';
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
      {isFinal && prices && <a href={`/api/mine/${token}/statement`}>Your statement (PDF)</a>}
    </p>
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

type SideProps = { species: SheetState['situation']['species']; onZone: (zone: string) => void };

/** The side in outline with the words of its places; a touch leads to what is asked there. */
function Side({ species, onZone }: SideProps) {
  const map = species.sideMap;
  return (
    <svg viewBox={frameOf(map).join(' ')} className={styles.outline} role="group" aria-label="Your side">
      {Object.keys(map.zones).map((zone) => (
        <path
          key={zone}
          d={zonePath(map, zone)}
          role="button"
          tabIndex={0}
          aria-label={zone}
          onClick={() => onZone(zone)}
          onKeyDown={(event) => event.key === 'Enter' && onZone(zone)}
        />
      ))}
      {Object.entries(map.labels).map(([zone, [x, y]]) => (
        <text key={zone} x={x} y={y} aria-hidden>
          {zone.split(' ').map((word, index) => (
            <tspan key={word} x={x} dy={index === 0 ? 0 : 17}>
              {word}
            </tspan>
          ))}
        </text>
      ))}
    </svg>
  );
}
