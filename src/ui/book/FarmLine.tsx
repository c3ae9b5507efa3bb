'use client';

import { Select } from 'antd';
import { dayWords } from '@/core/time/shopTime';
import type { BookingView, RoomView } from '@/server/book';
import { PersonField } from './PersonField';
import { Typed } from './Typed';
import type { CallState } from './useCall';
import styles from './BookScreen.module.css';

const STATUS = {
  'custom-exempt': 'custom exempt: for the owners’ own tables, sold before the kill, never over the counter',
  inspected: 'inspected: its meat may be sold; every label carries the establishment number',
} as const;

type Props = { state: CallState; view: BookingView; room: RoomView };

/** Whose animals they are, when they are killed, and under which law. */
export function FarmLine({ state, view, room }: Props) {
  const { call, set, problemOf } = state;
  const problem = (field: string) => problemOf(`documents.0.${field}`);
  return (
    <div className={styles.line}>
      <PersonField
        id="farm_name"
        label="Farm, the owner until it is sold"
        value={call.farm.name}
        problem={problem('farm.name')}
        width="220px"
        autoFocus
        byName
        onChange={(name) => set({ farm: { ...call.farm, name } })}
        onTake={(found) => set({ farm: { name: found.name, phone: found.phone ?? '' } })}
      />
      <Typed
        id="farm_phone"
        label="Its phone"
        value={call.farm.phone}
        problem={problem('farm.phone')}
        width="110px"
        inputMode="tel"
        onChange={(phone) => set({ farm: { ...call.farm, phone } })}
      />
      <Typed
        id="kill_day"
        label="Kill day"
        value={call.killDate}
        problem={problem('animal.killDate')}
        width="110px"
        placeholder="year-month-day"
        onChange={(killDate) => set({ killDate })}
      />
      <span className={styles.killDays}>
        {room.killDays.slice(0, 4).map((day) => (
          <button
            key={day}
            type="button"
            aria-pressed={day === call.killDate}
            onClick={() => set({ killDate: day })}
          >
            {dayWords(day)}
          </button>
        ))}
      </span>
      <span className={styles.status}>
        <Select
          size="small"
          aria-label="Under which law"
          value={call.inspection}
          popupMatchSelectWidth={false}
          onChange={(inspection) => set({ inspection })}
          options={[
            { value: 'custom-exempt', label: 'custom exempt' },
            { value: 'inspected', label: 'inspected', disabled: !view.inspected },
          ]}
        />
        <span className="quiet">{STATUS[call.inspection].split(': ')[1]}</span>
      </span>
    </div>
  );
}
