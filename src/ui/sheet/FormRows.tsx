'use client';

import { Button, InputNumber, Select } from 'antd';
import { useState } from 'react';
import { formOf } from '@/core/sheet/houseSheet';
import { optionById, whyNotOffered, type Situation } from '@/core/sheet/situation';
import type { Amount, Answer, Form } from '@/core/sheet/types';
import { weight, type Weight } from '@/core/quantity/weight';
import type { Decision } from '@/core/species/types';
import { ParamField } from './ParamField';
import styles from './SheetScreen.module.css';

type Props = {
  decision: Decision;
  answer: Answer;
  situation: Situation;
  locked: boolean;
  onChange: (answer: Answer) => void;
};

/** The forms of a zone with their sizes; "another form" before the one that takes the rest. */
export function FormRows({ decision, answer, situation, locked, onChange }: Props) {
  const { forms } = answer;
  const replace = (index: number, form: Form) =>
    onChange({ forms: forms.map((each, at) => (at === index ? form : each)) });
  const first = optionById(decision, forms[0]!.option);
  const others = decision.options.filter((option) => !option.aloneOnly && !whyNotOffered(option, situation));
  const mayDivide = decision.divisible && !first.aloneOnly && forms.length < 4 && others.length > 1;
  function divide() {
    const rest = others.find((option) => forms.every((form) => form.option !== option.id)) ?? others[0]!;
    const last = forms.at(-1)!;
    onChange({
      forms: [
        ...forms.slice(0, -1),
        { ...last, amount: { kind: 'share', pct: 50 } },
        formOf(decision, rest.id, situation),
      ],
    });
  }
  return (
    <div className={styles.forms}>
      {forms.map((form, index) => {
        const option = optionById(decision, form.option);
        return (
          <div key={index} className={styles.form}>
            {forms.length > 1 && (
              <>
                <AmountField
                  amount={form.amount}
                  last={index === forms.length - 1}
                  grind={option.products.length === 0}
                  unit={situation.unit}
                  sides={situation.sides}
                  locked={locked}
                  onChange={(amount) => replace(index, { ...form, amount })}
                />
                <Select
                  size="small"
                  aria-label="Form"
                  value={form.option}
                  disabled={locked}
                  popupMatchSelectWidth={false}
                  onChange={(id) =>
                    replace(index, { ...formOf(decision, id, situation), amount: form.amount })
                  }
                  options={others.map((each) => ({ value: each.id, label: each.label }))}
                />
              </>
            )}
            {(option.params ?? []).map((spec) => (
              <ParamField
                key={`${option.id} ${spec.id}`}
                spec={spec}
                value={form.params[spec.id]!}
                unit={situation.unit}
                locked={locked}
                onChange={(value) =>
                  replace(index, { ...form, params: { ...form.params, [spec.id]: value } })
                }
              />
            ))}
            {option.products.length > 0 && (
              <Otherwise
                decision={decision}
                form={form}
                situation={situation}
                locked={locked}
                onChange={(changed) => replace(index, changed)}
              />
            )}
            {forms.length > 1 && !locked && (
              <Button
                size="small"
                type="text"
                aria-label={`Without ${option.label}`}
                onClick={() => onChange({ forms: restLast(forms.filter((_, at) => at !== index)) })}
              >
                ×
              </Button>
            )}
          </div>
        );
      })}
      {mayDivide && !locked && (
        <button type="button" className={styles.link} onClick={divide}>
          part of it otherwise
        </button>
      )}
    </div>
  );
}

type OtherwiseProps = {
  decision: Decision;
  form: Form;
  situation: Situation;
  locked: boolean;
  onChange: (form: Form) => void;
};

/** What the cutter may make of the piece when it does not look right for what was asked. */
function Otherwise({ decision, form, situation, locked, onChange }: OtherwiseProps) {
  const { otherwise, ...asked } = form;
  const [asking, setAsking] = useState(false);
  if (otherwise === undefined && !asking) {
    if (locked) return null;
    return (
      <button type="button" className={styles.link} onClick={() => setAsking(true)}>
        or else
      </button>
    );
  }
  const others = decision.options.filter(
    (option) => option.id !== form.option && !option.takesOver && !whyNotOffered(option, situation),
  );
  return (
    <Select
      size="small"
      aria-label="If it does not look right"
      allowClear
      placeholder="if it does not look right"
      value={otherwise ?? null}
      disabled={locked}
      popupMatchSelectWidth={false}
      onChange={(id) => onChange(id ? { ...asked, otherwise: id } : asked)}
      options={others.map((each) => ({ value: each.id, label: `else ${each.label}` }))}
    />
  );
}

function restLast(forms: readonly Form[]): Form[] {
  return forms.map((form, index) =>
    index === forms.length - 1 ? { ...form, amount: { kind: 'rest' } } : form,
  );
}

type AmountProps = {
  amount: Amount;
  last: boolean;
  grind: boolean;
  unit: string;
  sides: 1 | 2;
  locked: boolean;
  onChange: (amount: Amount) => void;
};

const STARTS: Record<Amount['kind'], Amount> = {
  rest: { kind: 'rest' },
  share: { kind: 'share', pct: 50 },
  packs: { kind: 'packs', count: 2 },
  pieces: { kind: 'pieces', count: 2 },
  weight: { kind: 'weight', weight: weight(4) },
  length: { kind: 'length', inches: 4 },
};

function valueOf(amount: Amount): number | null {
  switch (amount.kind) {
    case 'rest':
      return null;
    case 'share':
      return amount.pct;
    case 'packs':
    case 'pieces':
      return amount.count;
    case 'weight':
      return amount.weight / 1000;
    case 'length':
      return amount.inches;
  }
}

function withValue(amount: Amount, value: number): Amount {
  switch (amount.kind) {
    case 'rest':
      return amount;
    case 'share':
      return { kind: 'share', pct: Math.min(100, value) };
    case 'packs':
    case 'pieces':
      return { ...amount, count: Math.max(1, Math.round(value)) };
    case 'weight':
      return { ...amount, weight: Math.max(1, weight(value)) as Weight };
    case 'length':
      return { kind: 'length', inches: value };
  }
}

function AmountField({ amount, last, grind, unit, sides, locked, onChange }: AmountProps) {
  const value = valueOf(amount);
  const kinds: [Amount['kind'], string][] = grind
    ? [['share', '% of it']]
    : [
        ['share', '% of it'],
        ['weight', `${unit} packed`],
        ['packs', 'packs'],
        ['pieces', 'pieces'],
        ['length', 'inches'],
      ];
  const offered: [Amount['kind'], string][] = last
    ? [['rest', 'the rest:']]
    : [...kinds, ['rest', 'as it falls:']];
  return (
    <span className={styles.amount}>
      {value !== null && (
        <InputNumber
          size="small"
          aria-label="How much"
          value={value}
          min={0.1}
          disabled={locked}
          onChange={(next) => typeof next === 'number' && next > 0 && onChange(withValue(amount, next))}
          style={{ width: 64 }}
        />
      )}
      <Select
        size="small"
        aria-label="Counted in"
        value={amount.kind}
        disabled={locked || last}
        popupMatchSelectWidth={false}
        onChange={(kind) => onChange(STARTS[kind])}
        options={offered.map(([kind, label]) => ({ value: kind, label }))}
      />
      {sides === 2 && mayBeEachSide(amount) && (
        <Select
          size="small"
          aria-label="Of both sides"
          value={amount.eachSide === true}
          disabled={locked}
          popupMatchSelectWidth={false}
          onChange={(eachSide) => onChange({ ...amount, eachSide })}
          options={[
            { value: false, label: 'in all' },
            { value: true, label: 'each side' },
          ]}
        />
      )}
    </span>
  );
}

/** A share and a length hold on each side anyway. */
function mayBeEachSide(amount: Amount): amount is Extract<Amount, { readonly eachSide?: boolean }> {
  return amount.kind === 'packs' || amount.kind === 'pieces' || amount.kind === 'weight';
}
