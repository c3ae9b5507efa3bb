'use client';

import { Form, Input } from 'antd';
import { parseWeight, weightField, type Weight, type WeighingUnit } from '@/core/quantity/weight';
import type { AnimalOnRail, SideOnRail } from '@/server/hang';
import type { ScaleReading } from '@/core/scale/reading';
import { useScale } from '../wrap/useScale';
import { Amount } from '../kit/Amount';
import { AskDialog } from '../kit/AskDialog';
import styles from './HangScreen.module.css';

export type Asked = {
  readonly side: SideOnRail;
  readonly animal: AnimalOnRail;
  readonly kind: 'hot' | 'cold';
};

type Typed = { readonly gross: string; readonly tare: string; readonly reason?: string };
type Props = { asked: Asked; unit: WeighingUnit; onClose: () => void };

/** A rail ticket: gross and tare; the net is what hangs. */
export function RailTicketDialog({ asked: { side, animal, kind }, unit, onClose }: Props) {
  const corrects = (kind === 'hot' ? side.hot : side.cold) !== null;
  const { reading, away } = useScale('rail-scale');
  const onScale = reading?.state === 'steady' && reading.unit === unit ? reading : undefined;
  const initial: Typed = { gross: '', tare: weightField(side.hotTare) };
  return (
    <AskDialog
      title={`${animal.tag}, ${side.position} side, ${kind} weight`}
      asks="weighSide"
      does="Write the ticket"
      width={420}
      initial={initial}
      question={(typed, second) => {
        const tare = parseWeight(typed.tare || '0', unit);
        if (!tare.ok) return { field: 'tare', message: tare.message };
        if (typed.gross.trim() === '' && onScale) {
          return { sideId: side.sideId, kind, reading: onScale, tare: tare.value, ...second };
        }
        const gross = parseWeight(typed.gross, unit);
        if (!gross.ok) return { field: 'gross', message: gross.message };
        return { sideId: side.sideId, kind, gross: gross.value, tare: tare.value, ...second };
      }}
      onDone={onClose}
      onClose={onClose}
    >
      {(typed) => (
        <>
          <Form.Item name="gross" label={`On the rail scale, in ${unit}`}>
            <Input
              inputMode="decimal"
              autoComplete="off"
              placeholder={onScale ? weightField(onScale.net as Weight) : ''}
            />
          </Form.Item>
          <p className="quiet" role="status">
            {onScale
              ? 'Left empty, what hangs on the rail scale is taken.'
              : scaleWords(reading?.state, away)}
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
      )}
    </AskDialog>
  );
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
