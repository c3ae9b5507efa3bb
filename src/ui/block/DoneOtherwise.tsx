'use client';

import { useEffect, useState } from 'react';
import { useHotkeys } from 'react-hotkeys-hook';
import { OUT, type DeviationReason } from '@/core/order/deviation';
import { weight } from '@/core/quantity/weight';
import type { BlockView, OtherWays, StepAtBlock } from '@/server/block';
import { standOpen } from '../kit/keys/scopes';
import { useAsk } from '../kit/useAsk';
import styles from './Over.module.css';

type Props = {
  view: BlockView;
  step: StepAtBlock;
  onClose: () => void;
  onDone: (words: string) => void;
};

const LETTERS = 'abcdefghijklmnopqrstuvwxyz';

/** Done otherwise than the sheet says, in two taps: why, then what was done; asked about where a step has several rows. */
export function DoneOtherwise({ view, step, onClose, onDone }: Props) {
  const here = new Set([...step.off, ...step.stays].map(({ decision }) => decision));
  const rows = view.otherWays.filter(({ decision }) => here.has(decision));
  const [reason, setReason] = useState<DeviationReason>();
  const [row, setRow] = useState<OtherWays | undefined>(rows.length === 1 ? rows[0] : undefined);
  const [amount, setAmount] = useState('');
  const { ask, busy, refusal } = useAsk('doOtherwise');
  useEffect(standOpen, []);
  const back = () => {
    if (reason && row && rows.length > 1) setRow(undefined);
    else if (reason) setReason(undefined);
    else onClose();
  };
  const choose = async (doneAs: string, label: string) => {
    const typed = Number(amount.replace(',', '.'));
    const part = amount.trim() === '' || !(typed > 0) ? null : weight(typed);
    const answer = await ask({
      ...{ shareId: view.shareId, hand: view.hand, decision: row!.decision },
      ...{ reason: reason!, doneAs, weight: part },
    });
    if (!answer.ok && answer.reason === 'kept')
      onDone(`${row!.title}: ${label.toLowerCase()}. ${answer.message}`);
    if (answer.ok) onDone(`${row!.title}: ${label.toLowerCase()}. The rest is forecast anew.`);
  };
  const said = view.reasons.find(({ id }) => id === reason);
  const choices = !reason
    ? view.reasons.map(({ id, label }) => ({ id, label, take: () => setReason(id) }))
    : !row
      ? rows.map((each) => ({ id: each.decision, label: each.title, take: () => setRow(each) }))
      : waysOf(row, said?.out === true).map(({ id, label }) => ({
          id,
          label,
          take: () => void choose(id, label),
        }));
  useHotkeys('escape', back);
  useHotkeys(LETTERS.split('').join(','), ({ key }) => choices[LETTERS.indexOf(key.toLowerCase())]?.take(), {
    enabled: !busy,
  });
  return (
    <div className={styles.cover} role="dialog" aria-modal aria-label="Done otherwise">
      <header>
        <h2>
          {!reason
            ? 'Why is it done otherwise?'
            : !row
              ? `${said!.label}: what of it?`
              : `${row.title}, ${said!.label}: what was done?`}
        </h2>
        <button type="button" onClick={back}>
          <kbd>Esc</kbd> back
        </button>
      </header>
      {rows.length === 0 && <p>Nothing of the sheet is decided at this step. Go to the step that cuts it.</p>}
      {row && reason && (
        <label className={styles.amount}>
          How much of it, {view.unit}; empty for all of it
          <input
            inputMode="decimal"
            value={amount}
            maxLength={7}
            onChange={(event) => setAmount(event.target.value)}
          />
        </label>
      )}
      {refusal && (
        <p role="alert" className={styles.refused}>
          {refusal.message}
        </p>
      )}
      {rows.length > 0 && (
        <ol className={styles.choices}>
          {choices.map(({ id, label, take }, index) => (
            <li key={id}>
              <button type="button" disabled={busy} onClick={take}>
                <kbd>{LETTERS[index]?.toUpperCase()}</kbd> {label}
              </button>
            </li>
          ))}
        </ol>
      )}
    </div>
  );
}

/** Cut away stands first where the reason says so. */
function waysOf({ ways }: OtherWays, outFirst: boolean): OtherWays['ways'] {
  const out = { id: OUT, label: 'Cut away, to waste' };
  const sorted = [...ways].sort((a, b) => Number(b.id === 'grind') - Number(a.id === 'grind'));
  return outFirst ? [out, ...sorted] : [...sorted, out];
}
