'use client';

import { Form, Input, Radio } from 'antd';
import { useState } from 'react';
import type { Quarter } from '@/core/species/types';
import { failure, success, type Failure } from '@/core/quantity/result';
import { parseWeight, weightField, type Weight, type WeighingUnit } from '@/core/quantity/weight';
import type { AnimalOnRail, SideOnRail } from '@/server/hang';
import type { ScaleReading } from '@/core/scale/reading';
import { useScale } from '../wrap/useScale';
import { Amount } from '../kit/Amount';
import { AskDialog } from '../kit/AskDialog';
import styles from './HangScreen.module.css';

type Kind = 'live' | 'hot' | 'cold';
type Part = 'side' | Quarter;

export type Asked = {
  readonly side: SideOnRail;
  readonly animal: AnimalOnRail;
  readonly kind: Kind;
};

const KINDS: readonly { readonly value: Kind; readonly label: string }[] = [
  { value: 'live', label: 'alive' },
  { value: 'hot', label: 'hot' },
  { value: 'cold', label: 'cold' },
];
const PARTS: readonly { readonly value: Part; readonly label: string }[] = [
  { value: 'side', label: 'the side' },
  { value: 'fore', label: 'fore quarter' },
  { value: 'hind', label: 'hind quarter' },
];

type Typed = { readonly gross: string; readonly tare: string; readonly reason?: string };
type Props = { asked: Asked; unit: WeighingUnit; onClose: () => void };

/** A rail ticket of a side, a quarter of it, or the animal alive: gross and tare; the net is what hangs. */
export function RailTicketDialog({ asked, unit, onClose }: Props) {
  const { side, animal } = asked;
  const [kind, setKind] = useState(asked.kind);
  const [chosen, setPart] = useState<Part>('side');
  const part = kind === 'live' || !animal.quartered ? 'side' : chosen;
  const [done, setDone] = useState('');
  const corrects = kind !== 'live' && part === 'side' && (kind === 'hot' ? side.hot : side.cold) !== null;
  const { reading, away } = useScale('rail-scale');
  const onScale = reading?.state === 'steady' && reading.unit === unit ? reading : undefined;
  const { sideId } = side;
  /** What is said of the weight, or what is wrong with it. */
  const weighed = (typed: Typed) => {
    const tare = parseWeight(typed.tare || '0', unit);
    if (!tare.ok) return failure('tare', tare.message);
    if (typed.gross.trim() === '' && onScale) return success({ reading: onScale, tare: tare.value });
    const gross = parseWeight(typed.gross, unit);
    return gross.ok ? success({ gross: gross.value, tare: tare.value }) : failure('gross', gross.message);
  };
  const problem = ({ reason: field, message }: Failure<'tare' | 'gross'>) => ({ field, message });
  const dialog = {
    width: 420,
    title: titleOf(asked, kind, part),
    does: 'Write the ticket',
    initial: { gross: '', tare: weightField(side.hotTare) } satisfies Typed,
    onClose,
  };
  const fields = (typed: Typed) => (
    <>
      <Radio.Group
        className={styles.what}
        optionType="button"
        options={[...KINDS]}
        value={kind}
        onChange={({ target }) => setKind(target.value as Kind)}
        aria-label="Which weight"
      />
      {animal.quartered && kind !== 'live' && (
        <Radio.Group
          className={styles.what}
          optionType="button"
          options={[...PARTS]}
          value={part}
          onChange={({ target }) => setPart(target.value as Part)}
          aria-label="Of what"
        />
      )}
      {done !== '' && <p role="status">{done}</p>}
      <Form.Item name="gross" label={`On the rail scale, in ${unit}`}>
        <Input
          inputMode="decimal"
          autoComplete="off"
          placeholder={onScale ? weightField(onScale.net as Weight) : ''}
        />
      </Form.Item>
      <p className="quiet" role="status">
        {onScale ? 'Left empty, what hangs on the rail scale is taken.' : scaleWords(reading?.state, away)}
      </p>
      <Form.Item name="tare" label="Hook and trolley">
        <Input inputMode="decimal" autoComplete="off" />
      </Form.Item>
      {corrects && (
        <Form.Item name="reason" label="Why it is corrected">
          <Input maxLength={200} />
        </Form.Item>
      )}
      <p className={styles.net}>
        <Net
          {...typed}
          gross={typed.gross || (onScale ? weightField(onScale.net as Weight) : '')}
          unit={unit}
        />
      </p>
      {corrects && <p className="quiet">The earlier ticket stays in the book; this one corrects it.</p>}
    </>
  );
  if (kind === 'live') {
    return (
      <AskDialog
        {...dialog}
        key="live"
        asks="noteLiveWeight"
        question={(typed, { sure }) => {
          const weight = weighed(typed);
          return weight.ok ? { sideId, sure, ...weight.value } : problem(weight);
        }}
        onDone={onClose}
      >
        {fields}
      </AskDialog>
    );
  }
  if (part !== 'side') {
    return (
      <AskDialog
        {...dialog}
        key={`${kind} ${part}`}
        asks="weighQuarter"
        question={(typed, { sure }) => {
          const weight = weighed(typed);
          return weight.ok ? { sideId, quarter: part, kind, sure, ...weight.value } : problem(weight);
        }}
        onDone={({ other }) => {
          if (other === null) return onClose();
          setDone(`The ${part} quarter is weighed. Now the ${other} quarter.`);
          setPart(other);
        }}
      >
        {fields}
      </AskDialog>
    );
  }
  return (
    <AskDialog
      {...dialog}
      key={kind}
      asks="weighSide"
      question={(typed, second) => {
        const weight = weighed(typed);
        return weight.ok ? { sideId, kind, ...second, ...weight.value } : problem(weight);
      }}
      onDone={onClose}
    >
      {fields}
    </AskDialog>
  );
}

function titleOf({ side, animal }: Asked, kind: Kind, part: Part): string {
  if (kind === 'live') return `${animal.tag}, weight alive`;
  const what = part === 'side' ? 'side' : `${part} quarter`;
  return `${animal.tag}, ${side.position} ${what}, ${kind} weight`;
}

/** Why the rail scale gives no weight now. */
function scaleWords(state: ScaleReading['state'] | undefined, away: boolean): string {
  if (away) return 'The rail scale is away: type the weight; it is marked as typed.';
  if (state === 'moving') return 'The rail scale is still moving.';
  return 'Nothing hangs on the rail scale. A weight that is typed is marked as typed.';
}

function Net({ gross, tare, unit }: Typed & { unit: WeighingUnit }) {
  const [all, hook] = [parseWeight(gross, unit), parseWeight(tare || '0', unit)];
  const net = all.ok && hook.ok ? ((all.value - hook.value) as Weight) : null;
  return net !== null && net > 0 ? <Amount weight={net} unit={unit} /> : '–';
}
