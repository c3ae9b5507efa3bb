'use client';

import { Form, Input } from 'antd';
import type { PriceList } from '@/core/charges/priceList';
import { AskDialog } from '../kit/AskDialog';
import type { FieldProblem } from '../kit/asking';
import type { Question } from '../kit/useAsk';
import { readRate } from './RateTable';

type Props = { draftId: string; list: PriceList; onClose: () => void };

/** What holds for a whole list in hand: its name, its day, the smallest order and the tax. */
export function EditList({ draftId, list, onClose }: Props) {
  return (
    <AskDialog
      title={list.name}
      asks="changePrices"
      initial={{
        name: list.name,
        effectiveFrom: list.effectiveFrom as string,
        minimum: (list.minimumCents / 100).toFixed(2),
        tax: String(list.taxBp / 100),
        round: ((list.roundCents ?? 1) / 100).toFixed(2),
      }}
      question={({ name, effectiveFrom, minimum, tax, round }): Question<'changePrices'> | FieldProblem => {
        const minimumCents = readRate(minimum);
        if (minimumCents === undefined)
          return { field: 'minimum', message: `“${minimum}” is no amount. Write 75.00.` };
        const taxBp = readRate(tax);
        if (taxBp === undefined || taxBp > 10_000)
          return { field: 'tax', message: `“${tax}” is no percentage. Write 6 or 6.25.` };
        const roundCents = readRate(round);
        if (roundCents === undefined || roundCents < 1 || roundCents > 1000)
          return {
            field: 'round',
            message: `“${round}” is nothing to round to. Write 0.05, or 0.01 for the cent.`,
          };
        return {
          draftId,
          change: {
            kind: 'whole',
            whole: {
              name,
              effectiveFrom,
              minimumCents: minimumCents as PriceList['minimumCents'],
              taxBp,
              roundCents: roundCents as PriceList['minimumCents'],
            },
          },
        };
      }}
      does="Keep it"
      onDone={onClose}
      onClose={onClose}
    >
      <Form.Item name="name" label="Its name">
        <Input maxLength={80} />
      </Form.Item>
      <Form.Item name="effectiveFrom" label="In force from">
        <Input placeholder="2027-01-04" />
      </Form.Item>
      <Form.Item name="minimum" label="Smallest order; what is missing to it is charged">
        <Input inputMode="decimal" />
      </Form.Item>
      <Form.Item name="tax" label="Tax on what is taxed, percent">
        <Input inputMode="decimal" />
      </Form.Item>
      <Form.Item name="round" label="Totals are rounded to">
        <Input inputMode="decimal" />
      </Form.Item>
    </AskDialog>
  );
}
