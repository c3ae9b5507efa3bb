'use client';

import { Form, Input } from 'antd';
import type { SideOnPlan } from '@/server/hang';
import { AskDialog } from '../kit/AskDialog';

type Typed = { readonly typed: string };
type Props = { side: SideOnPlan; unit: 'lb' | 'kg'; onClose: () => void };

/** How warm a side is inside: the probe is asked; while it is away, what it shows is typed. */
export function DeepDialog({ side, unit, onClose }: Props) {
  const degrees = unit === 'lb' ? '°F' : '°C';
  return (
    <AskDialog
      title={`${side.tag}, ${side.position} side: how warm inside`}
      asks="noteTemperature"
      does="Take it"
      width={420}
      initial={{ typed: '' } as Typed}
      question={({ typed }) => {
        if (typed.trim() === '') return { sideId: side.sideId };
        const said = Number(typed.replace(',', '.'));
        if (Number.isFinite(said)) return { sideId: side.sideId, typed: said };
        return { field: 'typed', message: 'Type degrees such as 38.5, or leave it empty.' };
      }}
      onDone={onClose}
      onClose={onClose}
    >
      <p>
        Put the probe into the thickest part of the round or ham, beside the bone, and wait until it stands
        still.
      </p>
      <Form.Item name="typed" label={`Left empty, the probe is asked; typed, in ${degrees}`}>
        <Input inputMode="decimal" autoComplete="off" />
      </Form.Item>
      <p className="quiet">
        Cold at or under {unit === 'lb' ? '40 °F' : '4.4 °C'}. Your own plan and local code stand above this.
      </p>
    </AskDialog>
  );
}
