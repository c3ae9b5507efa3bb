'use client';

import type { DragEvent } from 'react';
import { byDay, loadOf, type WeekDay } from '@/core/week/room';
import type { WeekView } from '@/server/week';
import type { AtWeek } from './useWeek';
import { dayName, hungWords, stickWords } from './words';
import styles from './WeekScreen.module.css';

type Props = {
  at: AtWeek;
  /** Places of the days that are shown. */
  days: readonly number[];
  onHours: (at: number) => void;
};

/** The rail of the days: what is cut hangs on its day, and under each day stand its tubs of minutes. */
export function WeekRail({ at, days, onHours }: Props) {
  const { view } = at;
  return (
    <ol className={styles.rail} aria-label="The days">
      {days.map((day) =>
        view.room.days[day]!.block === 0 && !view.why[view.room.days[day]!.day] ? (
          <Closed key={day} isToday={day === 0} day={view.room.days[day]!} onHours={() => onHours(day)} />
        ) : (
          <DayOfRail key={day} at={at} day={day} onHours={() => onHours(day)} />
        ),
      )}
    </ol>
  );
}

function Closed({ day: { day }, isToday, onHours }: { day: WeekDay; isToday: boolean; onHours: () => void }) {
  return (
    <li className={styles.closed}>
      <button
        type="button"
        data-today={isToday || undefined}
        onClick={onHours}
        aria-label={`Hours of ${dayName(day)}, closed`}
      >
        {dayName(day).slice(0, 3)}
      </button>
    </li>
  );
}

function DayOfRail({ at, day, onHours }: { at: AtWeek; day: number; onHours: () => void }) {
  const { view, shown } = at;
  const { room } = view;
  const known = room.days[day]!;
  const load = loadOf(room, day, byDay(room, shown)[day]!);
  const before = loadOf(room, day, byDay(room, at.proposed ?? shown)[day]!);
  const onDay = shown.flatMap((on, index) => (on === day ? [index] : []));
  const drop = (event: DragEvent) => {
    event.preventDefault();
    at.put(at.inHand, day);
  };
  return (
    <li className={styles.day} onDragOver={(event) => event.preventDefault()} onDrop={drop}>
      <button type="button" className={styles.dayName} data-today={day === 0 || undefined} onClick={onHours}>
        {day === 0 ? 'Today' : dayName(known.day)}
      </button>
      <div className={styles.bar} />
      {view.why[known.day] && <p className={styles.why}>{view.why[known.day]}</p>}
      <ul className={styles.hung}>
        {onDay.map((index) => (
          <Side key={view.animals[index]!.animalId} at={at} index={index} day={day} />
        ))}
      </ul>
      <Tub what="block" asked={load.block} was={before.block} there={known.block} over={known.over} />
      <Tub what="bench" asked={load.bench} was={before.bench} there={known.bench} over={known.over} />
      <p className={styles.washes}>{load.washing > 0 ? `${load.washing} min of washing` : ''}</p>
    </li>
  );
}

function Side({ at, index, day }: { at: AtWeek; index: number; day: number }) {
  const { view, shown } = at;
  const { tag, species, openSheets, names } = view.animals[index]!;
  const stick = stickWords(view, shown, index);
  const { pinned } = view.room.animals[index]!;
  return (
    <li>
      <button
        type="button"
        draggable
        className={styles.side}
        aria-pressed={index === at.inHand}
        data-open={openSheets > 0 || undefined}
        data-stick={stick !== '' || undefined}
        onClick={() => at.take(index)}
        onDragStart={() => at.take(index)}
        title={names.join('; ')}
      >
        <i aria-hidden>
          <Outline view={view} species={species} />
          <Outline view={view} species={species} />
        </i>
        <b>{tag}</b>
        <span>{hungWords(view, index, day)}</span>
        {pinned !== null && <span aria-label="stays">·</span>}
        {stick !== '' && <em>{stick}</em>}
        {openSheets > 0 && <em data-short>no sheet</em>}
      </button>
    </li>
  );
}

/** The side of a species as it hangs. */
function Outline({ view, species }: { view: WeekView; species: string }) {
  const outline = view.outlines[species];
  if (!outline) return null;
  return (
    <svg viewBox={outline.frame} aria-hidden>
      {outline.paths.map((path) => (
        <path key={path.slice(0, 40)} d={path} />
      ))}
    </svg>
  );
}

type TubProps = {
  readonly what: 'block' | 'bench';
  readonly asked: number;
  /** Before something was moved by hand. */
  readonly was: number;
  readonly there: number;
  readonly over: number;
};

/** The minutes of a day as a tub: as high as there are, filled with what is asked. */
function Tub({ what, asked, was, there, over }: TubProps) {
  const whole = Math.max(1, there + over, asked, was);
  const height = (minutes: number) => `${(100 * minutes) / whole}%`;
  return (
    <div
      className={styles.tub}
      data-what={what}
      data-over={asked > there || undefined}
      role="img"
      aria-label={`${what}: ${asked} of ${there} minutes`}
    >
      <i className={styles.fill} style={{ height: height(asked) }} />
      {asked > was && (
        <i className={styles.more} style={{ height: height(asked - was), bottom: height(was) }} />
      )}
      {asked < was && <i className={styles.before} style={{ bottom: height(was) }} />}
      <i className={styles.brim} style={{ bottom: height(there) }} />
      <b>{asked}</b>
      <small>
        {what}, of {there}
      </small>
    </div>
  );
}
