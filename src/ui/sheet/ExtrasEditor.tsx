'use client';

import { Checkbox, Input, Segmented } from 'antd';
import { keepsWords } from '@/core/label/label';
import { tradeOffSentence } from '@/core/questions/evaluate';
import { WRAP_WORDS } from '@/core/sheet/summary';
import type { Wrap } from '@/core/sheet/types';
import type { SheetView } from '@/server/sheet';
import { onDemand } from '../kit/onDemand';
import { RowsInWords } from './RowsInWords';
import styles from './SheetScreen.module.css';
import type { SheetState } from './useSheet';

const HouseSays = onDemand(() => import('./HouseSays').then((module) => module.HouseSays));

/** How it is wrapped, what is kept besides the cuts, and the words nobody may miss. */
type Props = { state: SheetState; view: SheetView };

export function ExtrasEditor({ state, view: { locked, setsUp } }: Props) {
  const { sheet, situation, ground, now } = state;
  const other: Wrap = sheet.wrap === 'vacuum' ? 'paper' : 'vacuum';
  const otherwise = state.evaluations.of({ ...sheet, wrap: other });
  const instead = tradeOffSentence(now, otherwise, {
    unit: situation.unit,
    sign: ground.priceList.sign,
  });
  const { offal = [] } = sheet;
  return (
    <div className={styles.open}>
      <h2>Wrap, extras</h2>
      <div className={styles.form}>
        <Segmented
          value={sheet.wrap}
          disabled={locked}
          onChange={(wrap) => state.change({ ...sheet, wrap: wrap as Wrap })}
          options={(['vacuum', 'paper'] as const).map((wrap) => ({ value: wrap, label: WRAP_WORDS[wrap] }))}
        />
        <span className="quiet">
          {keepsWords(sheet.wrap, situation.species.months)} {WRAP_WORDS[other]}: {instead}.
        </span>
      </div>
      {situation.species.poolKeeps.map((keep) => (
        <div key={keep.id} className={styles.form}>
          <Checkbox
            checked={sheet.keeps[keep.id] === true}
            disabled={locked}
            onChange={(event) =>
              state.change({ ...sheet, keeps: { ...sheet.keeps, [keep.id]: event.target.checked } })
            }
          >
            {keep.title} kept
          </Checkbox>
          <span className="quiet">{keep.house.reason}</span>
          {setsUp && (sheet.keeps[keep.id] === true) !== keep.house.keep && (
            <HouseSays
              what={`${keep.title} ${keep.house.keep ? 'not kept' : 'kept'}`}
              reason={keep.house.reason}
              step={(reason) => ({
                kind: 'keep',
                species: situation.species.id,
                id: keep.id,
                keep: !keep.house.keep,
                reason,
              })}
            />
          )}
        </div>
      ))}
      <div className={styles.form} role="group" aria-label="From the kill floor">
        <span className="quiet">Asked for at the kill floor, in no weight here:</span>
        {situation.species.offal.map(({ id, label }) => (
          <Checkbox
            key={id}
            checked={offal.includes(id)}
            disabled={locked}
            onChange={(event) =>
              state.change({
                ...sheet,
                offal: event.target.checked ? [...offal, id] : offal.filter((each) => each !== id),
              })
            }
          >
            {label}
          </Checkbox>
        ))}
      </div>
      <label htmlFor="instructions">Words that stop the cutter once</label>
      <Input.TextArea
        id="instructions"
        rows={2}
        maxLength={500}
        value={sheet.instructions}
        disabled={locked}
        onChange={(event) => state.change({ ...sheet, instructions: event.target.value })}
      />
      {!locked && <RowsInWords state={state} />}
    </div>
  );
}
