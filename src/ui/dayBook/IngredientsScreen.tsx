'use client';

import { Button, DatePicker, Form, Input, Select } from 'antd';
import type { Dayjs } from 'dayjs';
import Link from 'next/link';
import { useState } from 'react';
import { parseWeight } from '@/core/quantity/weight';
import { momentWords, type Day } from '@/core/time/shopTime';
import type { IngredientsView } from '@/server/dayBook';
import { AskDialog } from '../kit/AskDialog';
import { useLive } from '../kit/live/useLive';
import { Nothing } from '../kit/States';
import { useWho } from '../kit/Who';
import styles from './DayBook.module.css';

/** Ingredients as they came in: a lot each, traced to every batch and brine it goes into. */
export function IngredientsScreen({ first }: { first: IngredientsView }) {
  const { value: view } = useLive('ingredientsView', {}, first);
  const [adding, setAdding] = useState(false);
  const { role } = useWho();
  const mayTrace = role === 'owner' || role === 'counter';
  return (
    <div className={styles.page}>
      <header className={styles.head}>
        <h1>Ingredients that came in</h1>
        <Button type="primary" onClick={() => setAdding(true)}>
          Something came in
        </Button>
      </header>
      {view.lots.length === 0 ? (
        <Nothing>
          Nothing is written down yet. What comes in by its lot is traced to every batch and brine it goes
          into.
        </Nothing>
      ) : (
        <table>
          <thead>
            <tr>
              <th>ingredient</th>
              <th>lot</th>
              <th>from</th>
              <th className="num">kg</th>
              <th>best by</th>
              <th>came in</th>
            </tr>
          </thead>
          <tbody>
            {view.lots.map(({ id, ingredient, lot, supplier, tenths, bestBy, at, by }) => (
              <tr key={id}>
                <td>{ingredient}</td>
                <td>
                  {mayTrace ? <Link href={`/trace?words=${encodeURIComponent(lot)}`}>{lot}</Link> : lot}
                </td>
                <td>{supplier}</td>
                <td className="num">{(tenths / 10_000).toFixed(2)}</td>
                <td>{bestBy ?? '–'}</td>
                <td className="quiet">
                  {momentWords(view.zone, at)}, {by}
                </td>
              </tr>
            ))}
          </tbody>
        </table>
      )}
      {adding && <Received view={view} onClose={() => setAdding(false)} />}
    </div>
  );
}

type Values = { ingredient: string; lot: string; supplier: string; kg: string; bestBy: Dayjs | null };

const NOTHING_YET: Values = { ingredient: '', lot: '', supplier: '', kg: '', bestBy: null };

function Received({ view, onClose }: { view: IngredientsView; onClose: () => void }) {
  return (
    <AskDialog
      title="What came in"
      asks="receiveIngredient"
      does="Write it down"
      initial={NOTHING_YET}
      question={({ ingredient, lot, supplier, kg, bestBy }) => {
        const weight = parseWeight(kg, 'kg');
        if (!weight.ok) return { field: 'kg', message: weight.message };
        return {
          ...{ ingredient, lot: lot.trim(), supplier: supplier.trim() },
          // A thousandth of a kilogram is ten tenths of a gram.
          tenths: weight.value * 10,
          bestBy: (bestBy?.format('YYYY-MM-DD') ?? null) as Day | null,
        };
      }}
      onDone={onClose}
      onClose={onClose}
    >
      <Form.Item name="ingredient" label="Ingredient">
        <Select showSearch options={view.pantry.map((name) => ({ value: name, label: name }))} />
      </Form.Item>
      <div className={styles.fields}>
        <Form.Item name="lot" label="Lot, as its bag says">
          <Input maxLength={40} autoComplete="off" />
        </Form.Item>
        <Form.Item name="supplier" label="From whom">
          <Input maxLength={60} autoComplete="off" />
        </Form.Item>
        <Form.Item name="kg" label="Kilograms">
          <Input inputMode="decimal" maxLength={8} autoComplete="off" />
        </Form.Item>
        <Form.Item name="bestBy" label="Best by, if it says">
          <DatePicker format="YYYY-MM-DD" style={{ width: '100%' }} />
        </Form.Item>
      </div>
    </AskDialog>
  );
}
