import { useState } from 'react';
import { decisionsAsked } from '@/core/sheet/situation';
import { takenOver } from '@/core/sheet/takenOver';
import type { Sheet } from '@/core/sheet/types';
import { answerOn } from '@/core/sheet/wishes';
import { useKey } from '../kit/keys/useKey';
import { useSteady } from '../kit/useSteady';
import { GRIND_ROW } from './rows';
import styles from './SheetScreen.module.css';
import type { SheetState } from './useSheet';

/** A filled paper being typed in: each digit answers a row and goes on to the next, in the order of the print. */
export type Paper = {
  readonly isOn: boolean;
  readonly at: number;
  readonly of: number;
  /** The next row, as the sheet has become. */
  readonly next: (sheet: Sheet) => void;
  readonly end: () => void;
};

/** Rows in printed order; what another answer has taken over is not asked on the way. */
export function useFromPaper(state: SheetState, open: string, onOpen: (row: string) => void): Paper {
  const [isOn, setOn] = useState(false);
  const { situation } = state;
  const printed = [...decisionsAsked(situation).map(({ id }) => id), GRIND_ROW];
  const at = printed.indexOf(open);
  const step = (by: 1 | -1, sheet: Sheet) => {
    const taken = takenOver(situation.species, (id) => answerOn(sheet, id, 1));
    let next = at + by;
    while (taken.has(printed[next]!)) next += by;
    const row = printed[next];
    if (row !== undefined) onOpen(row);
    if (row === GRIND_ROW) setOn(false);
  };
  const next = useSteady((sheet: Sheet) => step(1, sheet));
  useKey('sheet', 'paper', () => {
    setOn(!isOn);
    if (!isOn) onOpen(printed[0]!);
  });
  useKey('sheet', 'paperBack', () => step(-1, state.sheet), isOn);
  return { isOn, at: at + 1, of: printed.length - 1, next, end: () => setOn(false) };
}

/** Says that a paper is being typed in, and where one is on it. */
export function FromPaper({ paper: { isOn, at, of, end } }: { paper: Paper }) {
  if (!isOn) return null;
  return (
    <p className={styles.paper} role="status">
      <b>
        From paper, row {at} of {of}.
      </b>{' '}
      A digit answers it and goes on; <kbd>Enter</kbd> leaves it open, <kbd>Backspace</kbd> the row before.{' '}
      <button type="button" className="link" onClick={end}>
        End
      </button>
    </p>
  );
}
