'use client';

import { firstFull, roomTaken, weekdayOf } from '@/core/room/room';
import { dayWords, daysAfter, daysBetween } from '@/core/time/shopTime';
import type { BookingView, RoomView } from '@/server/book';
import { useLiveChosen } from '../kit/live/useLive';
import { tagsOf, type Call } from './call';
import styles from './BookScreen.module.css';

const WEEKDAYS = ['', 'Mon', 'Tue', 'Wed', 'Thu', 'Fri', 'Sat', 'Sun'] as const;
/** More days than these are not looked at in a call. */
const SHOWN = 14;

type Props = { call: Call; room: RoomView; view: BookingView; onKillDay: (day: string) => void };

/** What of the coming days is taken, with what is being booked on top of it. */
export function RoomPanel({ call, room, view, onKillDay }: Props) {
  const isKnown = /^\d{4}-\d{2}-\d{2}$/.test(call.killDate);
  const own = isKnown
    ? call.animals.flatMap((animal) => {
        const species = view.species.find(({ id }) => id === animal.species)!;
        const { feetPerSide, minutesPerAnimal } = species.room;
        const targetDay = daysAfter(call.killDate, species.targetDays);
        const one = { feet: 2 * feetPerSide, minutes: minutesPerAnimal, killDate: call.killDate, targetDay };
        return Array.from({ length: Math.max(1, tagsOf(animal.tag).length) }, () => one);
      })
    : [];
  const ours = roomTaken(
    room.days.map(({ day }) => day),
    own,
    room.week,
  );
  const both = room.days.map((taken, at) => ({
    day: taken.day,
    feet: taken.feet + ours[at]!.feet,
    minutes: taken.minutes + ours[at]!.minutes,
  }));
  const touched = both.filter((_, at) => ours[at]!.feet > 0 || ours[at]!.minutes > 0);
  const full = firstFull(touched, room);
  const days = both.filter(({ day }, at) => {
    const near = daysBetween(room.today, day) < SHOWN;
    return (near && weekdayOf(day) < 6) || ours[at]!.minutes > 0;
  });
  const most = Math.max(room.feet, ...both.map(({ feet }) => feet), 1);
  const mostMinutes = Math.max(room.minutes, ...both.map(({ minutes }) => minutes), 1);
  return (
    <section aria-label="Room">
      <h2>{heading(call, room, full)}</h2>
      {isKnown && call.animals[0] && <ReadyFrom species={call.animals[0].species} killDate={call.killDate} />}
      <table className={styles.room}>
        <thead>
          <tr>
            <th />
            <th>{room.feet > 0 ? `rail, ${room.feet} ft` : 'rail, feet'}</th>
            <th>block, {room.minutes} min</th>
          </tr>
        </thead>
        <tbody>
          {days.map(({ day, feet, minutes }) => {
            const at = room.days.findIndex((each) => each.day === day);
            const isKill = room.killDays.includes(day);
            return (
              <tr key={day} aria-selected={day === call.killDate}>
                <td>
                  {isKill ? (
                    <button type="button" className="link" onClick={() => onKillDay(day)}>
                      {named(day)}
                    </button>
                  ) : (
                    named(day)
                  )}
                </td>
                <td>
                  <Bar taken={room.days[at]!.feet} ours={ours[at]!.feet} most={most} limit={room.feet} />
                  <span className={room.feet > 0 && feet > room.feet ? 'alarm' : undefined}>
                    {Math.round(feet)}
                  </span>
                </td>
                <td>
                  <Bar
                    taken={room.days[at]!.minutes}
                    ours={ours[at]!.minutes}
                    most={mostMinutes}
                    limit={room.minutes}
                  />
                  <span className={minutes > room.minutes ? 'alarm' : undefined}>{Math.round(minutes)}</span>
                </td>
              </tr>
            );
          })}
        </tbody>
      </table>
    </section>
  );
}

/** When the first animal of the call would be cut beside all that is planned, and from when it can be collected. */
function ReadyFrom({ species, killDate }: { species: string; killDate: string }) {
  const { value } = useLiveChosen('readyView', { species, killDate });
  if (!value) return null;
  const { cutOn, fresh, cured } = value;
  if (!cutOn)
    return <p className="quiet">When it is cut is too far ahead to be said, or every day is full.</p>;
  return (
    <p>
      Cut about {named(cutOn)}: home from <b>{named(fresh!)}</b> fresh, <b>{named(cured!)}</b> cured.
    </p>
  );
}

function named(day: string): string {
  return `${WEEKDAYS[weekdayOf(day)]} ${dayWords(day)}`;
}

function heading(call: Call, room: RoomView, full: ReturnType<typeof firstFull>): string {
  if (!/^\d{4}-\d{2}-\d{2}$/.test(call.killDate)) return 'Room: which day?';
  if (full)
    return `Room from ${dayWords(call.killDate)}? No: the ${full.what} is full on ${dayWords(full.day)}.`;
  return `Room from ${dayWords(call.killDate)}? Yes.`;
}

type BarProps = { taken: number; ours: number; most: number; limit: number };

function Bar({ taken, ours, most, limit }: BarProps) {
  const width = (amount: number) => `${(100 * amount) / most}%`;
  return (
    <span className={styles.roomBar}>
      <i style={{ width: width(taken) }} />
      <i data-ours style={{ width: width(ours) }} />
      {limit > 0 && <b style={{ left: width(limit) }} />}
    </span>
  );
}
