'use client';

import { memo, useMemo, useState } from 'react';
import { tradeOffSentence } from '@/core/questions/evaluate';
import { formatMoney, type Cents } from '@/core/quantity/money';
import { signed } from '@/core/quantity/signed';
import { formatWeight, sumWeights, type Weight } from '@/core/quantity/weight';
import { formOf, houseWay } from '@/core/sheet/houseSheet';
import type { Numbered } from '@/core/sheet/digits';
import { whyNotOffered } from '@/core/sheet/situation';
import type { Sheet } from '@/core/sheet/types';
import type { Decision, Option } from '@/core/species/types';
import { answeredOn } from './answered';
import { Help } from './Help';
import rows from './OptionRows.module.css';
import styles from './SheetScreen.module.css';
import type { SheetState } from './useSheet';

type Props = {
  decision: Decision;
  options: readonly Numbered[];
  settled: SheetState;
  side: 1 | 2;
  chosen: ReadonlySet<string>;
  locked: boolean;
  onChoose: (option: string) => void;
};

/**
 * The ways of the open zone side by side, with what each gives and costs. Which one is chosen is shown at once; what the
 * others would give follows when the figures of the choice stand on the screen.
 */
export function OptionRows({ decision, options, settled, side, chosen, locked, onChoose }: Props) {
  const [pointed, setPointed] = useState<string>();
  const other = (option: Option) =>
    answeredOn(side, decision.id)(settled.sheet, { forms: [formOf(decision, option.id, settled.situation)] });
  const figures = useMemo(() => {
    const offered = decision.options.filter((option) => !whyNotOffered(option, settled.situation));
    return new Map(offered.map((option) => [option.id, figuresOf(settled, { decision, option, side })]));
  }, [decision, settled, side]);
  const answer = settled.sheet.answers[decision.id];
  const spoken = options.find(({ option: { id } }) => id === (pointed ?? [...chosen][0]))?.option;
  const asked = spoken ?? options[0]?.option;
  return (
    <>
      <div className={rows.head} aria-hidden>
        <i>{settled.situation.sides === 2 && 'of both sides together'}</i>
        <span>pieces</span>
        <span>{settled.situation.unit}</span>
        <span>{settled.situation.unit} home</span>
        <span>bill</span>
      </div>
      <div className={rows.options} role="radiogroup" aria-label={decision.title}>
        {options.map(({ option, digit }) => (
          <OptionRow
            key={option.id}
            id={option.id}
            label={option.label}
            digit={digit}
            chosen={chosen.has(option.id)}
            locked={locked}
            {...figures.get(option.id)!}
            onChoose={onChoose}
            onPoint={setPointed}
          />
        ))}
      </div>
      <p className={styles.sentence}>
        {spoken?.note && <span>{spoken.note} </span>}
        {spoken && answer && !chosen.has(spoken.id) && (
          <b>Instead of what is chosen: {against(settled, other(spoken))}.</b>
        )}
        {!answer && <span className="quiet">{houseWay(decision, settled.situation).reason}</span>}
      </p>
      {asked && settled.situation.species.help && <Help state={settled} decision={decision} option={asked} />}
    </>
  );
}

function against({ now, evaluations, situation, ground }: SheetState, sheet: Sheet): string {
  const words = { unit: situation.unit, sign: ground.priceList.sign };
  return tradeOffSentence(now, evaluations.of(sheet), words);
}

type Figures = { weight: string; pieces: number; instead: string; home: string; money: string };
type Asked = { decision: Decision; option: Option; side: 1 | 2 };

/** What a card says: plain words and figures, so that a card that says the same is not drawn again. */
function figuresOf(state: SheetState, { decision, option, side }: Asked): Figures {
  const { now, evaluations, ground, situation, sheet } = state;
  const standing = (side === 2 ? sheet.secondSide[decision.id] : undefined) ?? sheet.answers[decision.id];
  const inForms = (standing?.forms ?? []).flatMap((form, at) => (form.option === option.id ? [at] : []));
  const isChosen = inForms.length > 0;
  const asked = { forms: [formOf(decision, option.id, situation)] };
  const way = isChosen ? now : evaluations.of(answeredOn(side, decision.id)(sheet, asked));
  const lines = way.forecast.lines.filter(
    (line) => line.decision === decision.id && (!isChosen || inForms.includes(formOfLine(line.key))),
  );
  const packed = sumWeights(lines.map((line) => line.packaged));
  const money = (way.bill.total - now.bill.total) as Cents;
  const gained = (way.forecast.pool.grind - now.forecast.pool.grind) as Weight;
  const nothing = option.products.length === 0 ? grindWords(gained, isChosen) : 'nothing left';
  const home = way.forecast.takeHome - now.forecast.takeHome;
  return {
    weight: packed > 0 ? formatWeight(packed, 1) : '',
    pieces: lines.reduce((sum, line) => sum + (line.pieces ?? 0), 0),
    instead: packed > 0 ? '' : nothing,
    home: isChosen ? '' : signed(home, formatWeight(Math.abs(home) as Weight, 1), TRIFLE),
    money: isChosen ? '' : signed(money, formatMoney(Math.abs(money) as Cents, ground.priceList.sign)),
  };
}

/** Which form of its zone a line is of: `rib.1.0` is of the second. */
function formOfLine(key: string): number {
  return Number(key.split('.')[1]);
}

/** Less than this, in thousandths, is not worth a word. */
const TRIFLE = 20;

function grindWords(gained: Weight, isChosen: boolean): string {
  if (isChosen || Math.abs(gained) < TRIFLE) return 'none in the boxes';
  return `${gained > 0 ? '+' : '−'}${formatWeight(Math.abs(gained) as Weight, 1)} grind`;
}

type RowProps = Figures & {
  id: string;
  label: string;
  digit: string;
  chosen: boolean;
  locked: boolean;
  onChoose: (option: string) => void;
  onPoint: (option: string | undefined) => void;
};

/** One way of the zone: a stop for the whole group, the digits choose, and what it would change stands beside it. */
const OptionRow = memo(function OptionRow(props: RowProps) {
  const { id, label, digit, chosen, locked, weight, pieces, instead, home, money, onChoose, onPoint } = props;
  return (
    <button
      type="button"
      role="radio"
      aria-checked={chosen}
      className={rows.option}
      disabled={locked}
      onClick={() => onChoose(id)}
      onMouseEnter={() => onPoint(id)}
      onMouseLeave={() => onPoint(undefined)}
      onFocus={() => onPoint(id)}
      onBlur={() => onPoint(undefined)}
    >
      <kbd data-none={digit === '' || undefined}>{digit}</kbd>
      <span className={rows.label}>{label}</span>
      {weight === '' ? (
        <span className={rows.instead}>{instead}</span>
      ) : (
        <>
          <span className={rows.pieces}>{pieces > 0 ? pieces : ''}</span>
          <b>{weight}</b>
        </>
      )}
      {chosen ? (
        <span className={rows.stands}>as it stands</span>
      ) : (
        <>
          <span>{home}</span>
          <span>{money}</span>
        </>
      )}
    </button>
  );
});
