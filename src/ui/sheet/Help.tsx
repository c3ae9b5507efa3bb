import { useState } from 'react';
import { helpLines } from '@/core/questions/help';
import { sumWeights } from '@/core/quantity/weight';
import type { Decision, Option } from '@/core/species/types';
import styles from './SheetScreen.module.css';
import type { SheetState } from './useSheet';

type Props = { state: SheetState; decision: Decision; option: Option; isOpen?: boolean };

/** What to know of a way, in short lines: where it sits, bones, taste, cooking, what not, whom it feeds, how long it keeps. */
export function Help({ state, decision, option, isOpen = false }: Props) {
  const [open, setOpen] = useState(isOpen);
  return (
    <details
      className={styles.help}
      open={open}
      onToggle={(event) => setOpen(event.currentTarget.open)}
      name="help"
    >
      <summary>{option.label}: where it sits, how to cook it</summary>
      {open && <Lines state={state} decision={decision} option={option} />}
    </details>
  );
}

function Lines({ state: { now, sheet, situation }, decision, option }: Props) {
  const form = sheet.answers[decision.id]?.forms.findIndex((each) => each.option === option.id) ?? -1;
  const mine = now.forecast.lines.filter(({ key }) => key.startsWith(`${decision.id}.${form}.`));
  const packed = sumWeights(mine.map((line) => line.packaged));
  const lines = helpLines(
    situation.species,
    { decision, option },
    { packed, unit: situation.unit, wrap: sheet.wrap },
  );
  return (
    <dl>
      {lines.map(({ about, words }) => (
        <div key={about}>
          <dt>{about}</dt>
          <dd>{words}</dd>
        </div>
      ))}
    </dl>
  );
}
