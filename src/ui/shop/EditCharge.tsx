'use client';

import { Button, Checkbox, Form, Input, Select } from 'antd';
import {
  BASES,
  BASIS_WORDS,
  type Basis,
  type Payer,
  type PriceRule,
  type Tier,
} from '@/core/charges/priceList';
import type { ListInHand, PricesView } from '@/server/shop';
import { AskDialog } from '../kit/AskDialog';
import type { FieldProblem } from '../kit/asking';
import { useAsk, type Question } from '../kit/useAsk';
import { idOf } from './idOf';
import { HangsOnSelect } from './HangsOnSelect';
import { readRate } from './RateTable';
import { readTiers, tierWords } from './tiers';

type Values = {
  label: string;
  rate: string;
  basis: Basis;
  key: string;
  species: string[];
  payer: Payer;
  taxable: boolean;
  tiers: string;
};

type Props = { view: PricesView; inHand: ListInHand; charge?: PriceRule; onClose: () => void };

/** One charge: what it says, what it multiplies, what it hangs on, who pays it. */
export function EditCharge({ view, inHand, charge, onClose }: Props) {
  const without = useAsk('changePrices');
  const initial: Values = {
    label: charge?.label ?? '',
    rate: charge ? (charge.rateCents / 100).toFixed(2) : '',
    basis: charge?.basis ?? 'packaged',
    key: charge?.key ?? '',
    species: [...(charge?.species ?? [])],
    payer: charge?.payer ?? 'eater',
    taxable: charge?.taxable ?? false,
    tiers: tierWords(charge?.tiers ?? []),
  };
  return (
    <AskDialog
      title={charge ? charge.label : 'Another charge'}
      asks="changePrices"
      initial={initial}
      question={(values): Question<'changePrices'> | FieldProblem => {
        const rateCents = readRate(values.rate);
        if (rateCents === undefined)
          return { field: 'rate', message: `“${values.rate}” is no rate. Write 1.04.` };
        if (values.label.trim() === '')
          return { field: 'label', message: 'The charge needs its words for the bill.' };
        const tiers = readTiers(values.tiers);
        if (!tiers.ok) return { field: 'tiers', message: tiers.message };
        const id = charge?.id ?? idFor(values.label, inHand.list.rules);
        return {
          draftId: inHand.id,
          change: { kind: 'charge', charge: chargeOf(id, values, { rateCents, tiers: tiers.value }) },
        };
      }}
      does="Keep it"
      width={560}
      onDone={onClose}
      onClose={onClose}
    >
      <Form.Item name="label" label="What the bill says">
        <Input maxLength={80} />
      </Form.Item>
      <Form.Item name="rate" label="Rate">
        <Input inputMode="decimal" />
      </Form.Item>
      <Form.Item name="basis" label="Which weight or count it multiplies">
        <Select options={BASES.map((basis) => ({ value: basis, label: BASIS_WORDS[basis].per }))} />
      </Form.Item>
      <Form.Item name="tiers" label="Heavier animals, by the hot weight of the whole animal">
        <Input placeholder="above 250: 98.00, above 400: 120.00" />
      </Form.Item>
      <Form.Item name="key" label="What raises it">
        <HangsOnSelect work={view.keys} />
      </Form.Item>
      <Form.Item name="species" label="Of which species">
        <Select
          mode="multiple"
          placeholder="all of them"
          options={view.species.map(({ id, name }) => ({ value: id, label: name }))}
        />
      </Form.Item>
      <Form.Item name="payer" label="Who pays">
        <Select
          options={[
            { value: 'eater', label: 'the household' },
            { value: 'farm', label: 'the farm' },
          ]}
        />
      </Form.Item>
      <Form.Item name="taxable" valuePropName="checked">
        <Checkbox>taxed</Checkbox>
      </Form.Item>
      {charge && (
        <Button
          danger
          loading={without.busy}
          onClick={() =>
            void without
              .ask({ draftId: inHand.id, change: { kind: 'without', rule: charge.id } })
              .then((answer) => answer.ok && onClose())
          }
        >
          Do not charge it any more
        </Button>
      )}
    </AskDialog>
  );
}

function chargeOf(
  id: string,
  { label, basis, key, species, payer, taxable }: Values,
  { rateCents, tiers }: { rateCents: number; tiers: readonly Tier[] },
): PriceRule {
  return {
    id,
    label: label.trim(),
    basis,
    rateCents: rateCents as PriceRule['rateCents'],
    ...(key === '' ? {} : { key }),
    ...(species.length === 0 ? {} : { species }),
    ...(payer === 'farm' ? { payer } : {}),
    ...(taxable ? { taxable } : {}),
    ...(tiers.length === 0 ? {} : { tiers }),
  };
}

/** An id of its words that no charge of the list has. */
function idFor(label: string, rules: readonly PriceRule[]): string {
  const plain = idOf(label);
  const taken = new Set(rules.map(({ id }) => id));
  let id = plain;
  for (let more = 2; taken.has(id); more += 1) id = `${plain}-${more}`;
  return id;
}
