'use client';

import { DatePicker, Form, Input, InputNumber } from 'antd';
import dayjs, { type Dayjs } from 'dayjs';
import type { Day } from '@/core/time/shopTime';
import type { WeekView } from '@/server/week';
import { AskDialog } from '../kit/AskDialog';
import { dayName } from './words';

type Props = { view: WeekView; onDone: () => void; onClose: () => void };

type Hours = { block: number | null; bench: number | null; why: string };

/** How many minutes there are on a day: somebody is away, a saw is broken, or the shop opens for it. */
export function HoursDialog({
  view,
  at,
  more,
  onDone,
  onClose,
}: Props & {
  at: number;
  /** Minutes more than there are, as they were proposed. */
  more: number;
}) {
  const { day, block, bench } = view.room.days[at]!;
  const initial: Hours = { block: block + more, bench: bench + more, why: view.why[day] ?? '' };
  return (
    <AskDialog
      title={`Minutes of ${dayName(day)}`}
      asks="sayOfWeek"
      does="That is how it is"
      initial={initial}
      question={({ block: atBlock, bench: atBench, why }) =>
        why.trim() === ''
          ? { field: 'why', message: 'Say why this day is not as usual: everybody reads it on the rail.' }
          : {
              word: {
                kind: 'hours' as const,
                day,
                block: atBlock ?? 0,
                bench: atBench ?? 0,
                why: why.trim(),
              },
            }
      }
      onDone={onDone}
      onClose={onClose}
    >
      <p>
        A usual day has {view.usual.block} at the block and {view.usual.bench} at bench and grinder.
      </p>
      <Form.Item name="block" label="Minutes at the block; 0 where nothing is cut">
        <InputNumber min={0} max={5000} precision={0} />
      </Form.Item>
      <Form.Item name="bench" label="Minutes at bench and grinder">
        <InputNumber min={0} max={5000} precision={0} />
      </Form.Item>
      <Form.Item name="why" label="Why">
        <Input maxLength={120} autoComplete="off" placeholder="The saw is broken; Iver is away" />
      </Form.Item>
    </AskDialog>
  );
}

/** By which day all of an animal was promised. */
export function PromiseDialog({ view, index, onDone, onClose }: Props & { index: number }) {
  const { animalId, tag, promised } = view.animals[index]!;
  return (
    <AskDialog
      title={`When ${tag} was promised`}
      asks="sayOfWeek"
      does="It was promised so"
      initial={{ day: (promised ? dayjs(promised) : null) as Dayjs | null }}
      question={({ day }) => ({
        word: { kind: 'promise' as const, animalId, day: (day?.format('YYYY-MM-DD') ?? null) as Day | null },
      })}
      onDone={onDone}
      onClose={onClose}
    >
      <p>All of it can be collected by then: cut, frozen, and out of the smoke where it is cured.</p>
      <Form.Item name="day" label="Ready by; empty where nothing was promised">
        <DatePicker format="YYYY-MM-DD" style={{ width: '100%' }} />
      </Form.Item>
    </AskDialog>
  );
}
