'use client';

import { Button, Checkbox, InputNumber, Select } from 'antd';
import { useMemo } from 'react';
import { lipidOf } from '@/core/forecast/forecast';
import { pickingLoss } from '@/core/forecast/grind';
import { sausageBudget, type SausageBudget } from '@/core/forecast/sausageBudget';
import { formatWeight, weight, type Weight, type WeighingUnit } from '@/core/quantity/weight';
import { GRIND_SIZES } from '@/core/sheet/grindSizes';
import type { GrindLine, GrindOrder, Sheet } from '@/core/sheet/types';
import type { GrindForm } from '@/core/species/types';
import { grindWorking } from '@/core/working/forecastWorkings';
import type { SheetView } from '@/server/sheet';
import { WorkingOf } from '../kit/WorkingOf';
import { FAT_BESIDE } from './rows';
import styles from './SheetScreen.module.css';
import type { SheetState } from './useSheet';
import { Warnings } from './Warnings';

type Props = { state: SheetState; view: SheetView };

/** The grind: how fat, which sausage, whether there is enough, and what could be given up for more. */
export function GrindEditor({ state, view }: Props) {
  const { situation, sheet, now, ground } = state;
  const { grind } = sheet;
  const budget = useMemo(
    () => sausageBudget({ situation, sheet, coldSides: ground.coldSides }, now.forecast),
    [situation, sheet, ground.coldSides, now],
  );
  const change = (changed: Partial<GrindOrder>) =>
    state.change({ ...sheet, grind: { ...grind, ...changed } });
  const setLine = (index: number, line: GrindLine) =>
    change({ lines: grind.lines.map((each, at) => (at === index ? line : each)) });
  const trouble = state.findings.filter((finding) => finding.decision === 'grind');
  const addLine = () => {
    const more: GrindLine = { ...grind.lines[0]!, amount: { kind: 'weight', weight: weight(5) } };
    change({ lines: [more, ...grind.lines] });
  };
  return (
    <div className={styles.open}>
      <GrindHead state={state} locked={view.locked} onFat={(fatPct) => change({ fatPct })} />
      {grind.lines.map((line, index) => (
        <GrindLineRow
          key={index}
          line={line}
          state={state}
          locked={view.locked}
          onChange={(changed) => setLine(index, changed)}
          {...(grind.lines.length > 1
            ? { onRemove: () => change({ lines: restLast(grind.lines.filter((_, at) => at !== index)) }) }
            : {})}
        />
      ))}
      {!view.locked && grind.lines.length < 4 && (
        <button type="button" className={styles.link} onClick={addLine}>
          another kind or form
        </button>
      )}
      <Picking state={state} locked={view.locked} onPick={(picked) => change({ picked })} />
      <Warnings findings={trouble} state={state} locked={view.locked} />
      <Budget budget={budget} unit={situation.unit} locked={view.locked} onGiveUp={state.change} />
    </div>
  );
}

type HeadProps = { state: SheetState; locked: boolean; onFat: (pct: number) => void };

/** How much grind there is, how fat it was asked, and how fat it comes out. */
function GrindHead({ state: { sheet, situation, now }, locked, onFat }: HeadProps) {
  const { species, unit } = situation;
  const { fatPct, grind } = now.forecast.pool;
  const asked = sheet.grind.fatPct;
  return (
    <div className={styles.openHead}>
      <h2>Grind and sausage</h2>
      <WorkingOf title="Grind" working={() => grindWorking(now.forecast, species, unit)}>
        <span className={styles.bigFigure}>{formatWeight(grind, 1)}</span>
        <span className="unit">{unit}</span>
      </WorkingOf>
      <label className={styles.param}>
        <span>fat in it</span>
        <InputNumber
          value={asked}
          min={species.grind.fatPct.min}
          max={species.grind.fatPct.max}
          suffix="%"
          disabled={locked}
          onChange={(next) => typeof next === 'number' && onFat(next)}
          style={{ width: 96 }}
        />
      </label>
      <span className={fatPct - asked > FAT_BESIDE ? 'alarm' : 'quiet'}>
        {grind === 0 ? 'nothing is ground' : `reaches ${fatPct.toFixed(0)} %`}
      </span>
    </div>
  );
}

type PickingProps = { state: SheetState; locked: boolean; onPick: (picked: boolean) => void };

/** Fat picked from the trim by hand, offered where the trim is fatter than asked, with what it takes away. */
function Picking({ state: { sheet, situation, now }, locked, onPick }: PickingProps) {
  const { lean, attachedFat, leanPicked } = now.forecast.pool;
  const { grind: rules } = situation.species;
  const trim = { lean: lean, attachedFat };
  const lost = pickingLoss(trim, sheet.grind.fatPct, { rules, lipid: lipidOf(situation) });
  if (lost < 1 && !sheet.grind.picked) return null;
  const away = `${formatWeight(Math.round(lost) as Weight, 1)} ${situation.unit}`;
  return (
    <div className={styles.form}>
      <Checkbox
        checked={sheet.grind.picked === true}
        disabled={locked}
        onChange={(event) => onPick(event.target.checked)}
      >
        Pick it leaner by hand
      </Checkbox>
      <span className="quiet">
        {leanPicked > 0
          ? `${away} of trim leave with the fat, ${formatWeight(leanPicked, 1)} of it lean.`
          : `The fat hangs on the trim: it would take ${away} away.`}
      </span>
    </div>
  );
}

type BudgetProps = {
  budget: SausageBudget;
  unit: WeighingUnit;
  locked: boolean;
  onGiveUp: (sheet: Sheet) => void;
};

/** Whether there is enough for what is asked, and what giving up each cut would add. */
function Budget({ budget, unit, locked, onGiveUp }: BudgetProps) {
  const show = (w: Weight) => `${formatWeight(w, 1)} ${unit}`;
  return (
    <>
      <p className={styles.sentence}>
        A batch of seasoned sausage starts at {show(budget.minBatch)}.{' '}
        {budget.short > 0 ? (
          <b className="alarm">{show(budget.short)} are missing for what is asked.</b>
        ) : budget.batches === 0 ? (
          <b>There is not enough for a batch; plain grind has no smallest batch.</b>
        ) : (
          <b>
            There is enough for {budget.batches} {budget.batches === 1 ? 'batch' : 'batches'}.
          </b>
        )}{' '}
        More comes only from giving a cut up, least regret first:
      </p>
      <table className={styles.budget}>
        <thead>
          <tr>
            <th>give up</th>
            <th className="num">grind gains</th>
            <th className="num">boxes lose</th>
            <th className="num">grind then</th>
            <th />
          </tr>
        </thead>
        <tbody>
          {budget.sacrifices.map((offer) => (
            <tr key={offer.id}>
              <td>{offer.label}</td>
              <td className="num">+{formatWeight(offer.grindGained, 1)}</td>
              <td className="num">−{formatWeight(offer.cutsLost, 1)}</td>
              <td className="num">
                <b>{formatWeight((budget.grind + offer.grindGained) as Weight, 1)}</b>
              </td>
              <td className="num">
                <Button disabled={locked} onClick={() => onGiveUp(offer.sheet)}>
                  Give up
                </Button>
              </td>
            </tr>
          ))}
        </tbody>
      </table>
    </>
  );
}

/** The last line takes the rest. */
function restLast(lines: readonly GrindLine[]): GrindLine[] {
  return lines.map((line, index) =>
    index === lines.length - 1 ? { ...line, amount: { kind: 'rest' } } : line,
  );
}

/** Another form is made up in other sizes. */
/** Every run of letters that was typed is in the text. */
function holds(text: string, typed: string): boolean {
  return typed
    .toLowerCase()
    .split(/\s+/)
    .every((run) => text.includes(run));
}

function withoutSize({ size: _dropped, ...line }: GrindLine): GrindLine {
  return line;
}

type LineProps = {
  line: GrindLine;
  state: SheetState;
  locked: boolean;
  onChange: (line: GrindLine) => void;
  onRemove?: () => void;
};

function GrindLineRow({ line, state, locked, onChange, onRemove }: LineProps) {
  const { species, unit } = state.situation;
  const recipe = species.recipes.find((each) => each.id === line.recipe) ?? species.recipes[0]!;
  return (
    <div className={styles.form}>
      {line.amount.kind === 'rest' ? (
        <span className={styles.amount}>the rest:</span>
      ) : (
        <InputNumber
          size="small"
          aria-label="How much"
          value={line.amount.weight / 1000}
          min={0.5}
          step={0.5}
          suffix={unit}
          disabled={locked}
          onChange={(next) =>
            typeof next === 'number' &&
            onChange({ ...line, amount: { kind: 'weight', weight: weight(next) } })
          }
          style={{ width: 76 }}
        />
      )}
      <Select
        size="small"
        aria-label="Recipe"
        value={line.recipe}
        disabled={locked}
        popupMatchSelectWidth={false}
        onChange={(id) => {
          const chosen = species.recipes.find((each) => each.id === id)!;
          const form = chosen.forms.includes(line.form) ? line.form : chosen.forms[0]!;
          onChange({ ...(form === line.form ? line : withoutSize(line)), recipe: id, form });
        }}
        showSearch={{ filterOption: (typed, option) => holds(option?.search ?? '', typed) }}
        options={species.recipes.map(({ id, name, askedAs, ingredients }) => ({
          value: id,
          label: name,
          search: `${name} ${askedAs} ${ingredients}`.toLowerCase(),
        }))}
      />
      <Select
        size="small"
        aria-label="As"
        value={line.form}
        disabled={locked}
        onChange={(form: GrindForm) => onChange({ ...withoutSize(line), form })}
        options={recipe.forms.map((form) => ({ value: form, label: form }))}
      />
      <Select
        size="small"
        aria-label="Made up"
        allowClear
        placeholder="as we do"
        value={line.size ?? null}
        disabled={locked}
        popupMatchSelectWidth={false}
        onChange={(size) => onChange(size ? { ...line, size } : withoutSize(line))}
        options={GRIND_SIZES[line.form].map(({ id, label }) => ({ value: id, label }))}
      />
      <label className={styles.param}>
        <span>in a pack</span>
        <InputNumber
          size="small"
          value={line.packWeight / 1000}
          min={0.5}
          max={5}
          step={0.5}
          suffix={unit}
          disabled={locked}
          onChange={(next) => typeof next === 'number' && onChange({ ...line, packWeight: weight(next) })}
          style={{ width: 68 }}
        />
      </label>
      {recipe.allergens.length > 0 && <span className="alarm">contains {recipe.allergens.join(', ')}</span>}
      {onRemove && !locked && (
        <Button size="small" type="text" aria-label={`Without ${recipe.name}`} onClick={onRemove}>
          ×
        </Button>
      )}
    </div>
  );
}
