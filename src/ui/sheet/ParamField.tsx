'use client';

import { Input, InputNumber, Select } from 'antd';
import { useState } from 'react';
import { formatInches, parseLength } from '@/core/quantity/length';
import { convertUnits, weight, type WeighingUnit } from '@/core/quantity/weight';
import type { ParamSpec } from '@/core/species/types';
import styles from './SheetScreen.module.css';

type Value = number | boolean | string;
type Props = {
  spec: ParamSpec;
  value: Value;
  unit: WeighingUnit;
  locked: boolean;
  onChange: (value: Value) => void;
};

/** One size or wish of a cut, said the way people say it. */
export function ParamField(props: Props) {
  return (
    <label className={styles.param}>
      <span>{props.spec.label}</span>
      <Field {...props} />
    </label>
  );
}

function Field({ spec, value, unit, locked, onChange }: Props) {
  switch (spec.kind) {
    case 'length':
      return <LengthField spec={spec} inches={value as number} locked={locked} onChange={onChange} />;
    case 'weight':
      return (
        <InputNumber
          size="small"
          value={(value as number) / 1000}
          min={ceilTenth(convertUnits(spec.minLb, 'lb', unit))}
          max={convertUnits(spec.maxLb, 'lb', unit)}
          step={0.5}
          disabled={locked}
          suffix={unit}
          onChange={(next) => typeof next === 'number' && onChange(weight(next))}
          style={{ width: 88 }}
        />
      );
    case 'count':
      return (
        <InputNumber
          size="small"
          value={value as number}
          min={spec.min}
          max={spec.max}
          precision={0}
          disabled={locked}
          onChange={(next) => typeof next === 'number' && onChange(next)}
          style={{ width: 56 }}
        />
      );
    case 'yesNo':
      return (
        <Select
          size="small"
          value={value === true}
          disabled={locked}
          onChange={(next) => onChange(next)}
          options={[
            { value: true, label: 'yes' },
            { value: false, label: 'no' },
          ]}
        />
      );
    case 'choice':
      return (
        <Select
          size="small"
          value={value as string}
          disabled={locked}
          popupMatchSelectWidth={false}
          onChange={(next) => onChange(next)}
          options={Object.entries(spec.options).map(([id, label]) => ({ value: id, label }))}
        />
      );
  }
}

function ceilTenth(value: number): number {
  return Math.ceil(value * 10) / 10;
}

type LengthProps = {
  spec: Extract<ParamSpec, { kind: 'length' }>;
  inches: number;
  locked: boolean;
  onChange: (value: number) => void;
};

/** Takes 3/4, 1 1/4, 0.75, 19 mm or the shop's word; nonsense stays in the field with the reason. */
function LengthField({ spec, inches, locked, onChange }: LengthProps) {
  const [typed, setTyped] = useState<string>();
  const [problem, setProblem] = useState('');
  function settle() {
    if (typed === undefined) return;
    const parsed = parseLength(typed, { ...spec, words: spec.words ?? {} });
    if (!parsed.ok) return setProblem(parsed.message);
    setProblem('');
    setTyped(undefined);
    onChange(parsed.value);
  }
  return (
    <span className={styles.lengthField}>
      <Input
        size="small"
        value={typed ?? formatInches(inches)}
        disabled={locked}
        {...(problem ? { status: 'error' as const } : {})}
        onChange={(event) => setTyped(event.target.value)}
        onFocus={(event) => event.target.select()}
        onBlur={settle}
        onPressEnter={settle}
        style={{ width: 78 }}
      />
      {problem !== '' && (
        <span className="alarm" role="alert">
          {problem}
        </span>
      )}
    </span>
  );
}
