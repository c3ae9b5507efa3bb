'use client';

import { Form, Input, Select } from 'antd';
import { parseWeight } from '@/core/quantity/weight';
import type { SmokeView } from '@/server/smoke';
import { AskDialog } from '../kit/AskDialog';

type Props = { view: SmokeView; onMade: (mixId: string) => void; onClose: () => void };

/** A brine for as many pieces as it suffices for. */
export function BrineDialog({ view, onMade, onClose }: Props) {
  const brines = view.recipes.filter(({ isForOne }) => !isForOne);
  return (
    <AskDialog
      title="A brine"
      asks="beginMix"
      does="Weigh it"
      initial={{ recipeId: brines[0]?.id ?? '', makes: '' }}
      question={({ recipeId, makes }) => {
        const weight = parseWeight(makes, view.unit);
        if (!weight.ok) return { field: 'makes', message: weight.message };
        return { recipeId, piece: null, skinOn: false, makes: weight.value };
      }}
      onDone={({ id }) => onMade(id)}
      onClose={onClose}
    >
      <Form.Item name="recipeId" label="Which">
        <Select
          options={brines.map(({ id, name, ppm, limit }) => ({
            value: id,
            label: `${name}, ${ppm > 0 ? `${Math.round(ppm)} ppm of ${limit}` : 'no nitrite'}`,
          }))}
        />
      </Form.Item>
      <Form.Item name="makes" label={`How much, ${view.unit}`}>
        <Input inputMode="decimal" autoComplete="off" maxLength={7} />
      </Form.Item>
    </AskDialog>
  );
}
